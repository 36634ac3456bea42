import type { Range, TaggedWord } from '../pack';
import { leadingCondition } from './clauses';
import type { WordList } from './lexicon';
import { headNoun, isPerson } from './rules';

/** Cases exclude each other; what comes before or after something is an order in time. */
const CASE = /^(?:if|when|whenever|unless|once|as soon as|in case|where)$/;

/** "If X, Y" -> where X stands, and Y. */
export function caseOf(
  sentence: string,
  tags: readonly TaggedWord[],
  words: WordList,
): { when: Range; then: Range } | undefined {
  const found = leadingCondition(sentence, tags, words);
  return found && CASE.test(found.word)
    ? { when: { from: found.from, to: found.to }, then: { from: found.rest, to: sentence.length } }
    : undefined;
}

/** An actor is named in few words. */
const LONGEST = 6;
/** How words end that name who does something, though no list has them. */
const AGENT = /(?:[bcdfgklmnprtv](?:er|or)|ist|ian|host|steward|crew|staff|team|line|shift|desk)s?$/;
/** Words that no name ends with. */
const ENDS_NO_NAME = new Set(['DET', 'ADP', 'CCONJ', 'PART', 'ADV']);
const OPENS_NO_ACTOR = new Set(['PRON', 'ADP', 'SCONJ', 'ADV', 'AUX', 'CCONJ', 'INTJ', 'PART', 'VERB']);

/**
 * Who a sentence begins with, up to the verb or to a comma behind the name ("The duty lead, a different person each
 * week, decides …"), and what stands behind it. Only persons and groups; the reader is nobody in particular. Not
 * `sure`: it is called like somebody who does something, which only its neighbours can confirm.
 */
export function actorOf(
  sentence: string,
  tags: readonly TaggedWord[],
  words: WordList,
): { who: Range; rest: Range; sure: boolean } | undefined {
  if (tags.length < 3 || OPENS_NO_ACTOR.has(tags[0].tag) || !/^\p{Lu}/u.test(sentence)) return undefined;
  const comma = sentence.indexOf(',');
  let maybe: { who: Range; rest: Range; sure: boolean } | undefined;
  for (let at = 1; at < Math.min(tags.length, LONGEST + 1); at++) {
    const behind = tags[at];
    const to = tags[at - 1].to;
    const cut = comma === to || /^(?:who|whose|that|which)$/i.test(behind.text);
    const verb =
      behind.tag === 'AUX' || behind.tag === 'VERB' || words.isVerb(behind.text.toLowerCase().replace(/s$/, ''));
    const who = sentence.slice(0, to);
    if (!(cut || verb) || ENDS_NO_NAME.has(tags[at - 1].tag) || /[;:?(“"]/.test(who) || goesOn(behind, words)) continue;
    const sure = isPerson(who, words);
    if (!sure && (maybe || !verb || !AGENT.test(headNoun(who) ?? ''))) continue;
    const from = comma === to ? comma + 1 + /^\s*/.exec(sentence.slice(comma + 1))![0].length : behind.from;
    if (/^(?:you|everyone|everybody|anyone|nobody|we)\b/i.test(who)) return undefined;
    const found = { who: { from: 0, to }, rest: { from, to: sentence.length }, sure };
    if (sure) return found;
    // "The desk lead carries …": a longer name may be one that is known.
    maybe = found;
  }
  return maybe;
}

/** "The practice owner": what may be a verb is a noun of the name, too. */
const goesOn = ({ text, tag }: TaggedWord, words: WordList): boolean =>
  tag !== 'AUX' && tag !== 'VERB' && words.isPerson(text.toLowerCase());

/** Whether a sentence says that something does not hold. */
export const denies = (sentence: string): boolean =>
  /\b(?:not|never|no|nothing|nobody|none|cannot)\b|n['’]t\b/i.test(sentence);
