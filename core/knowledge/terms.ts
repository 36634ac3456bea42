import type { LanguagePack, TaggedWord } from '../language/pack';
import type { Claim } from './claim';
import type { Sentence } from './sentences';

/** A word or phrase that the sources are about. */
export interface Term {
  /** Its stems, joined: one key for all its forms. */
  key: string;
  /** As the sources write it most often. */
  label: string;
  count: number;
  /** How much it marks the sources: frequency against everyday language, raised by headings and definitions. */
  weight: number;
  /** The claim that defines it. */
  definition?: string;
}

const LONGEST = 4;
/** How common a word of a heading is that no text is about (Zipf scale). */
const EVERYDAY = 6.2;

/**
 * Terms of the sources, heaviest first: noun phrases (single content words where parts of speech are unknown) by
 * frequency against a background of everyday words.
 */
export function termsOf(
  sentences: Iterable<Sentence>,
  headings: readonly string[],
  claims: readonly Claim[],
  pack: LanguagePack,
): Term[] {
  const found = new Map<
    string,
    { forms: Map<string, number>; count: number; headings: number; words: number; rarity: number }
  >();
  const stemsOf = new Map<string, string[]>();
  const add = (label: string, heading: boolean) => {
    const stems = stemsOf.get(label) ?? pack.stems(label);
    stemsOf.set(label, stems);
    if (stems.length === 0 || stems.join('').length < 3) return;
    const key = stems.join(' ');
    const entry = found.get(key) ?? {
      forms: new Map<string, number>(),
      count: 0,
      headings: 0,
      words: stems.length,
      rarity: rarity(label, pack),
    };
    entry.forms.set(label, (entry.forms.get(label) ?? 0) + 1);
    if (heading) entry.headings++;
    else entry.count++;
    found.set(key, entry);
  };
  for (const sentence of sentences) for (const label of phrases(sentence, pack)) add(label, false);
  for (const heading of headings) for (const label of headingPhrases(heading, pack)) add(label, true);
  for (const claim of claims) if (claim.kind === 'definition' && claim.term) add(claim.term, false);
  const definitions = new Map(
    claims
      .filter((claim) => claim.kind === 'definition' && claim.term)
      .map((claim) => [pack.stems(claim.term!).join(' '), claim.id]),
  );
  return [...found]
    .filter(([key, entry]) => entry.count + entry.headings >= 2 || definitions.has(key))
    .map(([key, entry]) => {
      const label = [...entry.forms].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0][0];
      const weight =
        Math.log2(1 + entry.count) * entry.rarity * (entry.words > 1 ? 1.3 : 1) +
        entry.headings * 0.8 +
        (definitions.has(key) ? 2 : 0);
      const definition = definitions.get(key);
      return {
        key,
        label,
        count: entry.count,
        weight: Math.round(weight * 100) / 100,
        ...(definition && { definition }),
      };
    })
    .sort((a, b) => b.weight - a.weight || (a.key < b.key ? -1 : 1));
}

function rarity(label: string, pack: LanguagePack): number {
  const values = label
    .toLowerCase()
    .split(/[\s-]+/)
    .map((word) => pack.commonness(word) ?? 2);
  return Math.max(0.3, (7 - Math.min(...values)) / 3);
}

function phrases(sentence: Sentence, pack: LanguagePack): string[] {
  if (sentence.stems.length === 0) return [];
  if (sentence.tags.length === 0)
    return pack
      .stemmedWords(sentence.text)
      .filter((word) => word.to - word.from >= 4)
      .map((word) => sentence.text.slice(word.from, word.to).toLowerCase());
  const found: string[] = [];
  let run: TaggedWord[] = [];
  const close = () => {
    while (run.length > 0 && run[run.length - 1].tag === 'ADJ') run.pop();
    if (run.length > 0 && run.length <= LONGEST) {
      const label = run
        .map((word) =>
          word.tag === 'PROPN' && /^\p{Lu}/u.test(word.text) && word.from > 0 ? word.text : word.text.toLowerCase(),
        )
        .join(' ');
      if (/^[\p{L}][\p{L}\p{N} '’-]*$/u.test(label)) {
        found.push(label);
        // The last word of a phrase is a term too: "charging station" also counts for "station".
        if (run.length > 1) found.push(run[run.length - 1].text.toLowerCase());
      }
    }
    run = [];
  };
  for (const word of sentence.tags) {
    const joined = run.length === 0 || sentence.text.slice(run[run.length - 1].to, word.from) === ' ';
    if (!joined) close();
    if (word.tag === 'NOUN' || word.tag === 'PROPN' || (word.tag === 'ADJ' && run.every((each) => each.tag === 'ADJ')))
      run.push(word);
    else close();
  }
  close();
  return found;
}

function headingPhrases(heading: string, pack: LanguagePack): string[] {
  return (
    pack
      .stemmedWords(heading)
      .map((word) => heading.slice(word.from, word.to).toLowerCase())
      // "When I run it ...": what every text says marks none.
      .filter((word) => word.length >= 4 && (pack.commonness(word) ?? 0) < EVERYDAY)
  );
}
