import type { Range, TaggedWord } from '../pack';
import type { WordList } from './lexicon';
import { anyOf } from '../phrases';

/** A leading or trailing condition, without its comma. */
export interface Condition extends Range {
  word: string;
  leading: boolean;
}

const LEADING =
  /^(if|when|whenever|unless|once|as soon as|in case|provided that|providing that|until|before|after|where|while)\s+/i;
const TRAILING =
  /\s(only if|only when|if|when|whenever|unless|as soon as|provided that|in case)\s+(?=(?:the|a|an|you|your|it|they|there|we|no|any|all|each|every|one|he|she|this|that|these|those|[a-z]+s?\b))/gi;

/**
 * The condition a sentence begins with: up to the first comma after which a main clause can begin. Undefined
 * when there is none, or its end cannot be told.
 */
export function leadingCondition(
  sentence: string,
  tags: readonly TaggedWord[],
  words: WordList,
): (Condition & { rest: number }) | undefined {
  const opening = LEADING.exec(sentence);
  if (!opening) return undefined;
  for (const comma of commas(sentence)) {
    if (comma < opening[0].length + 2) continue;
    const rest = comma + 1 + /^\s*(?:then\s+)?/.exec(sentence.slice(comma + 1))![0].length;
    const inside = tags.filter((tag) => tag.from >= opening[0].length && tag.to <= comma);
    if (inside.length < 2 || !startsMainClause(sentence, rest, tags, words)) continue;
    return { from: 0, to: comma, word: opening[1].toLowerCase(), leading: true, rest };
  }
  return undefined;
}

/** The condition that a clause between two places ends with. */
export function trailingCondition(
  sentence: string,
  from: number,
  to: number,
  tags: readonly TaggedWord[],
): Condition | undefined {
  const clause = sentence.slice(from, to);
  for (const match of clause.matchAll(TRAILING)) {
    const start = from + match.index + 1;
    const verbs = tags.filter((tag) => tag.from > start && tag.to <= to && (tag.tag === 'VERB' || tag.tag === 'AUX'));
    // "even if" and "not if" do not limit, they widen or turn round.
    if (
      verbs.length === 0 ||
      openBracket(sentence, start) ||
      /\b(?:even|as|not|whether|know|see|check|ask|tell|say|and|or)$/i.test(sentence.slice(0, start).trimEnd())
    )
      continue;
    return { from: start, to, word: match[1].toLowerCase(), leading: false };
  }
  return undefined;
}

/** Places of commas outside brackets and quotation marks. */
function commas(sentence: string): number[] {
  const places: number[] = [];
  let depth = 0;
  for (let at = 0; at < sentence.length; at++) {
    const character = sentence[at];
    if ('([“'.includes(character)) depth++;
    else if (')]”'.includes(character)) depth--;
    else if (character === ',' && depth === 0 && /\s/.test(sentence[at + 1] ?? '')) places.push(at);
  }
  return places;
}

function openBracket(sentence: string, at: number): boolean {
  const before = sentence.slice(0, at);
  return (before.match(/\(/g)?.length ?? 0) > (before.match(/\)/g)?.length ?? 0);
}

function startsMainClause(sentence: string, from: number, tags: readonly TaggedWord[], words: WordList): boolean {
  const rest = sentence.slice(from);
  if (
    /^(and|or|but|which|who|whose|that|as|for example|for instance|e\.g\.|i\.e\.|including|such as|if|when|unless|nor|because|since|even)\b/i.test(
      rest,
    )
  )
    return false;
  if (isImperative(rest, tagsFrom(tags, from), words)) return true;
  const near = tagsFrom(tags, from).slice(0, 14);
  const subject = near.findIndex((tag) => ['NOUN', 'PROPN', 'PRON', 'DET', 'NUM', 'ADJ'].includes(tag.tag));
  const verb = near.findIndex((tag) => tag.tag === 'AUX' || tag.tag === 'VERB');
  const stop = /[,;:]/.exec(rest)?.index ?? rest.length;
  return subject >= 0 && subject <= 1 && verb > subject && near[verb].from - from < stop;
}

function tagsFrom(tags: readonly TaggedWord[], from: number): TaggedWord[] {
  return tags.filter((tag) => tag.from >= from);
}

const NOT_ORDERS = new Set([
  'note',
  'notice',
  'feel',
  'talk',
  'underscore',
  'underline',
  'bear',
  'granted',
  'speaking',
  'see',
  'consider',
  'imagine',
  'suppose',
  'refer',
  'consult',
  'say',
  'thank',
  'welcome',
  'assume',
  'recall',
  'compare',
  'given',
  'based',
  'like',
  'please',
  'guess',
  'bless',
  'help',
  'sorry',
  'may',
  'might',
  'can',
  'will',
  'would',
  'should',
  'must',
  'be',
  'have',
  'do',
  'is',
  'are',
  'was',
  'were',
  'has',
  'had',
  'does',
  'did',
  'nothing',
  'second',
  'well',
  'one',
  'while',
  'even',
  'hence',
  'still',
  'further',
  'better',
  'last',
  'bar',
  'round',
  'back',
  'own',
  'free',
  'clear',
  'open',
  'dry',
  'clean',
  'empty',
  'warm',
  'cool',
]);
const ALSO_ADJECTIVES = new Set([
  'open',
  'dry',
  'clean',
  'empty',
  'warm',
  'cool',
  'free',
  'clear',
  'help',
  'be',
  'have',
  'do',
]);
const OBJECT_OPENERS = anyOf`
  the | a | an | all | any | each | every | both | no | some | your | our | his | her | their | its | my | this
  that | these | those | it | them | him | you | yourself | us | me | one | two | three | four | five | only | up
  down | out | off | on | in | into | to | for | from | with | at | by | about | around | away | back | over
  under | between | through | if | whether | when | how | what | which | who | where | before | after | until | at
  as | along | against | and | or | straight | together | again | once | twice | immediately | directly
  carefully | then | not | never | always | sure | enough | even | such | several | many | more | most | either
  another | other | first | calmly | slowly | gently | early | late
`;
const OBJECT_START = new RegExp(String.raw`^(?:${OBJECT_OPENERS}\b|[\d"“‘'\x60A-Z])`);

const CLAUSE_WORDS = anyOf`
  that | which | who | whom | what | whatever | whoever | if | when | whenever | where | how | why | until
  before | after | because | as | so | than | whether | once | unless | while | and | or | but
`;
const ENDS_A_NOUN_PHRASE = new RegExp(String.raw`\b${CLAUSE_WORDS}\b|[,;:]`, 'i');

/**
 * "Access to the file requires …", "Finance Operations pays …": what looks like a verb begins the subject of another.
 */
function isNounPhrase(clause: string, rest: string, tags: readonly TaggedWord[]): boolean {
  if (!/^(?:to|of|for)\s|^\p{Lu}/u.test(rest)) return false;
  const at = tags.findIndex(
    (tag, index) =>
      index > 1 &&
      tag.tag === 'VERB' &&
      /[^s]s$/.test(tag.text) &&
      ['NOUN', 'PROPN', 'VERB'].includes(tags[index - 1].tag),
  );
  return at > 0 && !ENDS_A_NOUN_PHRASE.test(clause.slice(0, tags[at].from));
}

/** Length of a label before what is said ("Right dose: compare label and chart."): up to four words and a colon. */
export function labelLength(sentence: string): number {
  return /^["“‘']?\p{Lu}[^\s:,.;]*(?: [^\s:,.;]+){0,3}:\s+(?=[\p{L}"“‘'])/u.exec(sentence)?.[0].length ?? 0;
}

/** Whether a clause tells the reader to do something: "Check …", "Do not …", "Never …", "Please …". */
export function isImperative(clause: string, tags: readonly TaggedWord[], words: WordList): boolean {
  const bare = clause.replace(
    /^(?:please|always|never|also|first|simply|just|then|instead|carefully|immediately|do not|don't|do)\s+(?:also\s+|ever\s+)?/i,
    '',
  );
  const led = bare !== clause;
  const match = /^([A-Za-z]+(?:-[a-z]+)?)(?:\s+|$|[,.;])(.*)$/s.exec(bare);
  if (!match) return false;
  const verb = match[1].toLowerCase();
  // "Let me", "Let us": the speaker's plan, not an order.
  if (verb === 'let' && /^(?:me|us|['’]s)\b/i.test(match[2])) return false;
  if (led && /^(?:do not|don't|never|please)/i.test(clause)) return words.isVerb(verb) || /^(be|have|do)$/.test(verb);
  if (!words.isVerb(verb) || (NOT_ORDERS.has(verb) && !ALSO_ADJECTIVES.has(verb))) return false;
  if (
    /(?:ing|ed)$/.test(verb) &&
    !/^(?:bring|sing|ring|swing|spring|string|need|feed|speed|proceed|succeed|exceed|heed|seed|weed|bleed|shed|embed|spread)$/.test(
      verb,
    )
  )
    return false;
  const rest = match[2];
  if (isNounPhrase(clause, rest, tags)) return false;
  if (
    rest.startsWith('(') ||
    /^(?:of|is|are|was|were|has|have|had|must|should|may|can|will|would|does|do|did|might|shall|cannot)\b/i.test(rest)
  )
    return false;
  if (verb === 'be' || verb === 'have' || verb === 'do')
    return (
      /^(?:be) (?:sure|careful|aware|ready|prepared|patient|honest|clear|polite|kind|on|able)/i.test(bare) ||
      (verb !== 'be' && OBJECT_START.test(rest) && clause === bare && /^[A-Z]/.test(clause))
    );
  // "Check in with your buddy": a verb with its particle.
  const particle =
    /^(?:in|out|up|off|down|away|back)\s+(?:with|to|at|by|before|after|your|the|a|an|all|any|each|every|as)\b/.test(
      rest,
    );
  if (particle && /^[A-Z]/.test(clause)) return true;
  if (OBJECT_START.test(rest) || rest === '')
    return (
      (words.isMostlyVerb(verb) && !words.isAdjective(verb)) ||
      !words.isNoun(verb) ||
      /^(?:the|a|an|all|any|each|every|both|no|your|our|their|its|it|them|you|yourself|whether|that|this|these|those|only|to)\b/.test(
        rest,
      )
    );
  // A bare plural or other noun as object ("Put dishes …"): only after words that are hardly ever anything but verbs.
  if ((!words.isMostlyVerb(verb) && words.isNoun(verb)) || words.isAdjective(verb)) return false;
  const next = /^[A-Za-z]+/.exec(rest)?.[0].toLowerCase() ?? '';
  // "Finance pays …": a subject and its verb.
  if (next.endsWith('s') && words.isMostlyVerb(next.replace(/s$/, ''))) return false;
  const tag = tags.find((each) => each.text.toLowerCase() === next)?.tag;
  return tag !== 'VERB' && tag !== 'AUX' && !/^\S+\s*:/.test(rest);
}
