import type { DecisionWording, TaggedWord } from '../pack';
import { isImperative } from './clauses';
import type { WordList } from './lexicon';
import { anyOf } from '../phrases';
import { about } from './about';
import { quantitiesOf, withValue } from './quantities';

const OPENER = new RegExp(String.raw`^${anyOf`only if | if | whenever | when | once | as soon as | in case`}\s+`, 'i');
const ABOVE = new RegExp(
  String.raw`\b${anyOf`more than | over | above | longer than | later than | at least`}\s+$`,
  'i',
);
const BELOW = new RegExp(
  String.raw`\b${anyOf`up to | less than | fewer than | under | below | at most | no more than`}\s+$`,
  'i',
);
const DENIED = /\b(?:not|no|never|nobody|nothing)\b|n['’]t\b/i;
/** A figure in front of which nothing is limited any more is told as it is; of a small one, a step is enough. */
const SMALL = 10;
const NEAR = 0.08;

/** Words of drafted stories in English. */
export const englishDecisions = (words: WordList, tags: (text: string) => TaggedWord[]): DecisionWording => ({
  stem: (lesson) => `${about(lesson.replace(/\.$/, ''))} you decide`,
  role: (who) =>
    `${SEVERAL.test(who) ? `${who} meet this` : 'You meet this'} at work. Decide each time by what holds here.`,
  fact(condition) {
    const bare = condition.replace(OPENER, '').replace(/[\s,.;:]+$/, '');
    return OPENER.test(condition) && isClause(tags(bare), words) ? asSentence(withinLimits(bare)) : undefined;
  },
  goesOn(condition) {
    const bare = condition.replace(/[\s.,]+$/, '');
    return POINTS_BEFORE.test(bare) && !WEATHER.test(bare);
  },
  isOrder(action) {
    const tagged = tags(action);
    // "Up to ten pounds you can knock off yourself"
    return !NO_VERB.has(tagged[0]?.tag) && isImperative(action, tagged, words);
  },
  forbidden(sentence) {
    const [, deed] = FORBIDDEN.exec(sentence) ?? [];
    return deed && deed.split(/\s+/).length <= 14 && !/\b(?:any\w*|either|ever|until|unless|before)\b/i.test(deed)
      ? deed
      : undefined;
  },
  scene: (fact, again) => `${again ? 'Another time: ' : ''}${fact} What do you do?`,
  row: (head, value, column, again) =>
    `${again ? 'The next one. ' : ''}${head ? `${head}: ` : ''}${asSentence(value)} ${asked(column)}`,
  first: (fact) => `${fact} What do you do first?`,
  then: (done) => `${asSentence(done)} That is done. What is next?`,
  later: 'Too early: something has to come before it. What is in front of you is unchanged.',
  decides: (header) => !MEANS.test(header) && ((header.includes(' ') && DECIDES.test(header)) || hasVerb(tags(header))),
  holds: (sentence) => `That holds here: “${sentence}”`,
  elsewhere: (sentence) => `That is for another case: “${sentence}” What is in front of you is unchanged.`,
  never: (sentence) => `The rule is: “${sentence}” What is in front of you is unchanged.`,
});

const NO_VERB = new Set(['ADP', 'ADV', 'DET', 'PRON', 'SCONJ', 'NUM']);
/** "It happens again", "the deputy does not answer either", "an owner has forgotten it". */
const POINTS_BEFORE = new RegExp(
  [
    String.raw`^${anyOf`it | its | they | their | he | she | this | that | these | those`}\b`,
    String.raw`\b${anyOf`again | either`}\b`,
    String.raw`\b${anyOf`it | them | one | still | too`}$`,
  ].join('|'),
  'i',
);
const WEATHER = /^it (?:rains|snows|thunders|freezes|hails|is (?:raining|snowing|freezing))\b/i;
/** "…; do not run after it", "…, never mop it". */
const FORBIDDEN = /[;,] (?:and |but )?(?:do not|don['’]t|never) ((?!(?:let|forget|worry|be)\b)[^.;,:]+)/i;

/** "Who may say yes", "What to do", "Where it goes"; not "What goes wrong", "When it applies". */
const DECIDES = /^(?:who|whom|where|which|what (?:to|you|we|they|must|may|should|do)\b)/i;
const MEANS = /^(?:how|when|why|what)\b(?!\s+(?:to|you|we|they|must|may|should|do)\b)|\bmean(?:s|ing)?\b|^does$/i;
/** "It goes in", "Tell them"; not "Collected", "Made of". */
const hasVerb = (tags: readonly TaggedWord[]): boolean =>
  tags.some(
    ({ tag, text }, at) =>
      (tag === 'VERB' || tag === 'AUX') &&
      !/(?:ed|ing)$/i.test(text) &&
      !/^(?:of|by|from)$/i.test(tags[at + 1]?.text ?? ''),
  );

/** "Who may say yes" is a question already, "What you do" and "Where it goes" become one, "It goes in" waits. */
const asked = (column: string): string => {
  const bare = column.replace(/\?$/, '');
  if (/^what (?:to do|you do|you must do)$/i.test(bare)) return 'What do you do?';
  const [, it, does] = /^where (it|the \p{L}+) (\p{L}+s)$/iu.exec(bare) ?? [];
  if (it) return `Where does ${it} ${does.replace(/(?<=o)es$|s$/, '')}?`;
  return DECIDES.test(bare) ? `${bare}?` : `${bare} …`;
};

/** A name for several people, short and without a clause: "Front-desk volunteers". */
const SEVERAL = /^(?!(?:\p{L}+ ){5})[\p{L}][\p{L} -]*(?:s|staff|people|men|women)$/u;

const asSentence = (words: string): string => {
  const whole = /[.!?]$/.test(words) ? words : `${words}.`;
  return `${whole[0].toUpperCase()}${whole.slice(1)}`;
};

/** Somebody or something, and behind it what they do or are; "closing up the room" has nobody who does it. */
function isClause(tags: readonly TaggedWord[], words: WordList): boolean {
  const subject = tags.findIndex(
    ({ tag, text }) => tag === 'NOUN' || tag === 'PROPN' || tag === 'PRON' || (tag === 'ADJ' && words.isNoun(text)),
  );
  const isBare = tags.slice(0, Math.max(0, subject)).some(({ text }) => /ing$/i.test(text));
  // "A caller insults you": a tagger takes what could be several insults for these.
  const isVerb = ({ tag, text }: TaggedWord) =>
    tag === 'VERB' || tag === 'AUX' || (tag === 'NOUN' && /[^s]s$/.test(text) && words.isVerb(text.replace(/s$/, '')));
  return subject >= 0 && !isBare && tags.slice(subject + 1).some(isVerb);
}

/** A clause whose limits are figures within them: "more than two weeks late" -> "three weeks late". */
function withinLimits(clause: string): string {
  if (DENIED.test(clause)) return clause;
  return quantitiesOf(clause).reduceRight((text, quantity) => {
    const before = text.slice(0, quantity.from);
    const like = { text: text.slice(quantity.from, quantity.to), worded: quantity.worded };
    const limit = ABOVE.exec(before) ?? BELOW.exec(before);
    const value = limit && (ABOVE.test(before) ? above(quantity.value) : below(quantity.value));
    return limit && value !== undefined && value !== null
      ? `${before.slice(0, limit.index)}${withValue(like, value)}${text.slice(quantity.to)}`
      : text;
  }, clause);
}

/** Just beyond a limit: what is far beyond it may be beyond another. */
const above = (value: number): number | undefined =>
  value < SMALL ? (Number.isInteger(value) ? value + 1 : undefined) : rounded(value + Math.max(1, value * NEAR));
const below = (value: number): number | undefined =>
  value < SMALL
    ? value > 2 && Number.isInteger(value)
      ? value - 1
      : undefined
    : rounded(value - Math.max(1, value * NEAR));
/** To two places that count. */
function rounded(value: number): number {
  const step = Math.max(1, 10 ** (Math.floor(Math.log10(value)) - 1));
  return Math.round(value / step) * step;
}
