import type { Opener, Quantity, TaggedWord } from '../pack';
import { anyOf } from '../phrases';
import type { WordList } from './lexicon';

/** A beginning is a few words. */
const LONGEST = { phrase: 10, band: 8, name: 3 };
const PLACES = anyOf`at | in | on | for | with | without | from | to`;
const TIMES = anyOf`by | within | before | after | until | during | every`;
const LEADS = new RegExp(`^(?:${PLACES}|${TIMES})$`, 'i');
const IN_TIME = new RegExp(`^(?:${TIMES})$`, 'i');
const CLOCK = anyOf`
  first | second | third | fourth | last | beginning | start | end | night | noon | midnight | morning | evening
  \d{1,2}(?::\d\d)? | (?:mon|tues|wednes|thurs|fri|satur|sun)days?
`;
/** "At the first complaint", "on Fridays": a place word before something that comes in time. */
const AT_A_TIME = new RegExp(String.raw`^(?:at|on|in|from)\s+(?:the\s+)?${CLOCK}\b`, 'i');
/** What bounds a figure from below or above. */
const BOUND = new RegExp(
  anyOf`
    up to | over | under | above | below | from | between | more than | less than | fewer than | at least | at most
    no more than | not more than | worth more than | of up to | of over | of (?=\d)
  `,
  'i',
);
/** What can follow a beginning that has a comma behind it: an order, or somebody who does something. */
const GOES_ON = new Set(['VERB', 'PRON', 'DET', 'AUX', 'ADV']);

/**
 * The beginning of a sentence that tells its case, where it is no clause of its own: "By seven, …", "At the second
 * complaint, …", "After 30 days we …", "Sums from 50 to 200 pounds go …", "Amber means …". Undefined where there is
 * none that can be cut off.
 */
export function openerOf(
  sentence: string,
  tags: readonly TaggedWord[],
  quantities: readonly Quantity[],
  words: WordList,
): Opener | undefined {
  if (/\?["'”’)]*$/.test(sentence)) return undefined;
  return (
    phraseOf(sentence, tags, quantities) ??
    bandOf(sentence, tags, quantities, words) ??
    nameOf(sentence, tags) ??
    undefined
  );
}

function phraseOf(sentence: string, tags: readonly TaggedWord[], quantities: readonly Quantity[]): Opener | undefined {
  const [first] = tags;
  if (!first || !LEADS.test(first.text)) return undefined;
  const word = first.text.toLowerCase();
  const tells = IN_TIME.test(word) || AT_A_TIME.test(sentence) ? 'time' : 'case';
  const measure = quantities.find(({ from }) => from <= first.to + 1);
  const behind = measure && tags.find(({ from }) => from >= measure.to);
  // "After 30 days we …": the figure ends it, and somebody goes on.
  if (behind && (behind.tag === 'PRON' || behind.tag === 'DET'))
    return {
      lead: { from: 0, to: measure.to },
      rest: { from: behind.from, to: sentence.length },
      sort: word,
      by: 'phrase',
      tells,
    };
  const comma = tags.findIndex(({ text }) => text === ',');
  const next = tags[comma + 1];
  if (comma < 2 || comma > LONGEST.phrase || !next) return undefined;
  const goesOn = GOES_ON.has(next.tag) || /^[a-z]+$/.test(next.text);
  // "For kettles, lamps and drills, …": the comma is one of a list.
  const listed = tags.slice(comma + 1, comma + 4).some(({ tag }) => tag === 'CCONJ') && next.tag !== 'VERB';
  if (!goesOn || next.tag === 'CCONJ' || next.tag === 'SCONJ' || (listed && next.tag === 'NOUN')) return undefined;
  return {
    lead: { from: 0, to: tags[comma - 1].to },
    rest: { from: next.from, to: sentence.length },
    sort: word,
    by: 'phrase',
    tells,
  };
}

function bandOf(
  sentence: string,
  tags: readonly TaggedWord[],
  quantities: readonly Quantity[],
  words: WordList,
): Opener | undefined {
  const [first, second] = quantities;
  if (!first?.unit) return undefined;
  const joined = second?.unit === first.unit && /^\s*(?:to|and|–|-)\s*$/.test(sentence.slice(first.to, second.from));
  const measure = joined ? second : first;
  const at = tags.findIndex(({ from }) => from >= measure.to);
  if (at < 2 || at > LONGEST.band) return undefined;
  const before = sentence.slice(0, first.from);
  const verb = tags[at];
  // The subject begins the sentence, and the verb stands right behind the figure; taggers take it for a noun there.
  const isVerb = verb.tag === 'VERB' || verb.tag === 'AUX' || words.isVerb(verb.text.toLowerCase().replace(/s$/, ''));
  if (!isVerb || tags[0].tag === 'ADP' || tags[0].tag === 'SCONJ') return undefined;
  if (!(joined || BOUND.test(before)) || /[,;:(]/.test(before) || tags.slice(0, at).some((each) => each.tag === 'VERB'))
    return undefined;
  return {
    lead: { from: 0, to: measure.to },
    rest: { from: verb.from, to: sentence.length },
    sort: `band ${measure.unit}`,
    by: 'band',
    tells: 'case',
  };
}

function nameOf(sentence: string, tags: readonly TaggedWord[]): Opener | undefined {
  const at = tags.findIndex(({ text }) => /^means?$/i.test(text));
  if (at < 1 || at > LONGEST.name || !tags[at + 1] || /^(?:that|this|it|these|those|which)$/i.test(tags[0].text))
    return undefined;
  return {
    lead: { from: 0, to: tags[at - 1].to },
    rest: { from: tags[at + 1].from, to: sentence.length },
    sort: 'means',
    by: 'name',
    tells: 'name',
  };
}
