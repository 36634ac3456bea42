import type { LanguagePack, Range } from './pack';

/** A passage as the search sees it: its words as they stand and their stems, both folded to plain letters. */
export interface SearchText {
  words: string;
  stems: string;
}

/** What is looked for: each word in its forms by language, the last as it is being typed. */
export interface SearchQuery {
  terms: SearchTerm[];
}

interface SearchTerm {
  /** The word as typed, folded. */
  word: string;
  /** Its stems in the languages at hand; none when it is too common in all of them to look for. */
  stems: string[];
  /** Words that begin so count too. */
  open: boolean;
}

/** From this length on, the beginning of a word finds it: shorter ones find everything. */
const LEAST_BEGINNING = 3;

/** The words and stems of a text for the search; scripts without spaces are cut into words. */
export function searchText(text: string, pack: LanguagePack): SearchText {
  const found = pack.stemmedWords(text);
  return {
    words: found
      .map((word) => foldedWord(text.slice(word.from, word.to)))
      .filter(Boolean)
      .join(' '),
    stems: found
      .map((word) => foldedWord(word.stem))
      .filter(Boolean)
      .join(' '),
  };
}

/**
 * What a person typed, made ready for the languages of the texts; undefined when nothing in it can be looked for. Words
 * too common in every language are left out unless there are no others.
 */
export function searchQuery(typed: string, packs: readonly LanguagePack[]): SearchQuery | undefined {
  const text = typed.trim();
  const byWord = new Map<string, { stems: Set<string>; from: number }>();
  for (const pack of packs) {
    for (const { from, to, stem } of pack.stemmedWords(text)) {
      const word = foldedWord(text.slice(from, to));
      if (!word) continue;
      const entry = byWord.get(word) ?? { stems: new Set<string>(), from };
      entry.stems.add(foldedWord(stem));
      byWord.set(word, entry);
    }
  }
  const terms = [...byWord]
    .sort((a, b) => a[1].from - b[1].from)
    .map(([word, { stems }]) => ({ word, stems: [...stems].filter(Boolean), open: false }));
  const last = terms.at(-1);
  // Only a word that is still being typed is open: behind a space it is finished.
  if (last && !/\s$/.test(typed) && last.word.length >= LEAST_BEGINNING) last.open = true;
  // "ret" has no stem of weight and "th" is common in English, yet a beginning from three letters finds.
  return terms.length > 0 ? { terms } : undefined;
}

/**
 * The query for SQLite's full-text search: all of the words, or any of them. Nothing a person typed stands in it
 * unquoted.
 */
export function matchExpression({ terms }: SearchQuery, which: 'all' | 'any'): string {
  const quoted = (text: string) => `"${text.replaceAll('"', '')}"`;
  return terms
    .map(
      ({ word, stems, open }) =>
        `(${[...stems.map((stem) => `{stems headings}: ${quoted(stem)}`), `words: ${quoted(word)}${open ? '*' : ''}`].join(' OR ')})`,
    )
    .join(which === 'all' ? ' AND ' : ' OR ');
}

/** Where a text has the words that were looked for. */
export function searchHits(text: string, { terms }: SearchQuery, pack: LanguagePack): Range[] {
  return pack
    .stemmedWords(text)
    .filter(({ from, to, stem }) => {
      const word = foldedWord(text.slice(from, to));
      const folded = foldedWord(stem);
      return terms.some(
        (term) => term.word === word || term.stems.includes(folded) || (term.open && word.startsWith(term.word)),
      );
    })
    .map(({ from, to }) => ({ from, to }));
}

/** A stretch of a long text around its first hit, with its hits; `cut` says on which sides there is more. */
export function excerpt(
  text: string,
  hits: readonly Range[],
  length = 260,
): { text: string; hits: Range[]; cut: { before: boolean; after: boolean } } {
  if (text.length <= length) return { text, hits: [...hits], cut: { before: false, after: false } };
  const first = hits[0]?.from ?? 0;
  const wanted = Math.max(0, Math.min(first - length / 4, text.length - length));
  const from = wanted === 0 ? 0 : wanted + Math.max(0, text.slice(wanted, first).search(/\s/) + 1);
  const end =
    from + length >= text.length ? text.length : Math.max(text.lastIndexOf(' ', from + length), from + length / 2);
  return {
    text: text.slice(from, end),
    hits: hits
      .filter((hit) => hit.from >= from && hit.to <= end)
      .map((hit) => ({ from: hit.from - from, to: hit.to - from })),
    cut: { before: from > 0, after: end < text.length },
  };
}

/** Letters and digits alone, accents off: "Préstamo" is found by "prestamo". */
function foldedWord(word: string): string {
  return word
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '');
}
