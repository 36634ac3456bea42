import type { Change } from '../../change';
import { casedLike } from './cased';

/** Wordings that say the same in fewer words, whatever stands around them. */
const BRIEF: readonly (readonly [string, string])[] = [
  ['in order to', 'to'],
  ['so as to', 'to'],
  ['prior to', 'before'],
  ['subsequent to', 'after'],
  ['in the event that', 'if'],
  ['in the case that', 'if'],
  ['due to the fact that', 'because'],
  ['owing to the fact that', 'because'],
  ['despite the fact that', 'although'],
  ['in spite of the fact that', 'although'],
  ['a large number of', 'many'],
  ['a great number of', 'many'],
  ['the majority of', 'most'],
  ['a number of', 'several'],
  ['a minimum of', 'at least'],
  ['a maximum of', 'at most'],
  ['make use of', 'use'],
  ['makes use of', 'uses'],
  ['making use of', 'using'],
  ['at this point in time', 'now'],
  ['at the present time', 'now'],
  ['in the near future', 'soon'],
  ['on a daily basis', 'every day'],
  ['on a weekly basis', 'every week'],
  ['on a monthly basis', 'every month'],
  ['on a regular basis', 'regularly'],
  ['with the exception of', 'except for'],
  ['with regard to', 'about'],
  ['with respect to', 'about'],
  ['in the absence of', 'without'],
  ['in the vicinity of', 'near'],
  ['in close proximity to', 'near'],
  ['for the duration of', 'during'],
  ['until such time as', 'until'],
  ['in lieu of', 'instead of'],
  ['per annum', 'a year'],
  ['each and every', 'every'],
  ['first and foremost', 'first'],
];

/** Words for which there is a plainer one that fits wherever they stand. */
const PLAIN: readonly (readonly [string, string])[] = [
  ['utilise', 'use'],
  ['utilize', 'use'],
  ['utilises', 'uses'],
  ['utilizes', 'uses'],
  ['utilising', 'using'],
  ['utilizing', 'using'],
  ['commence', 'begin'],
  ['commences', 'begins'],
  ['endeavour to', 'try to'],
  ['endeavours to', 'tries to'],
  ['attempt to', 'try to'],
  ['attempts to', 'tries to'],
  ['numerous', 'many'],
  ['approximately', 'about'],
  ['whilst', 'while'],
  ['amongst', 'among'],
  ['ensure that', 'make sure that'],
  ['ensures that', 'makes sure that'],
  ['is able to', 'can'],
  ['are able to', 'can'],
  ['is required to', 'must'],
  ['are required to', 'must'],
  ['erroneous', 'wrong'],
  ['the remainder of', 'the rest of'],
  ['e.g.', 'for example'],
  ['i.e.', 'that is'],
  ['Additionally,', 'Also,'],
  ['Furthermore,', 'Also,'],
  ['Moreover,', 'Also,'],
];

/** "Such as e.g. this": in full it needs a joint before it. */
const ONLY_BEHIND: Record<string, RegExp> = { 'e.g.': /[(,;–—-]$/, 'i.e.': /[(,;–—-]$/ };

/** "It is required to …" says what is the case; "an attempt to" and "if … is able to" are something else. */
const NOT_BEHIND: Record<string, RegExp> = {
  'is required to': /\b(?:it|there|if|what|that|which|who)$/i,
  'are required to': /\b(?:there|if|what|that|which|who)$/i,
  'is able to': /\b(?:it|there)$/i,
  'attempt to': /\b(?:an?|the|any|no|every|each|his|her|their|our|your|its|first|second|last)$/i,
  'attempts to': /\b(?:all|any|no|his|her|their|our|your|its|the|of)$/i,
  'a number of': /\b(?:such|what|not)$/i,
};

/** Places where a list of wordings stands, with what says the same. */
function found(sentence: string, list: readonly (readonly [string, string])[], kind: Change['kind']): Change[] {
  const small = sentence.toLowerCase();
  return list.flatMap(([was, now]) => {
    const changes: Change[] = [];
    for (let at = small.indexOf(was.toLowerCase()); at >= 0; at = small.indexOf(was.toLowerCase(), at + 1)) {
      const to = at + was.length;
      const whole = !/[\p{L}\p{N}]/u.test(sentence.charAt(at - 1)) && !/[\p{L}\p{N}]/u.test(sentence.charAt(to));
      const before = sentence.slice(0, at).trimEnd();
      if (
        !whole ||
        NOT_BEHIND[was]?.test(before) ||
        ONLY_BEHIND[was]?.test(before) === false ||
        (/^\p{Lu}/u.test(was) && at > 0)
      )
        continue;
      changes.push({ from: at, to, with: casedLike(sentence.slice(at, to), now), kind });
    }
    return changes;
  });
}

export const briefWords = (sentence: string): Change[] => found(sentence, BRIEF, 'brief');

export const plainWords = (sentence: string): Change[] => [
  ...found(sentence, BRIEF, 'plain'),
  ...found(sentence, PLAIN, 'plain'),
];
