import snowball from 'snowball-stemmers';
import * as stopwordLists from 'stopword';
import type { Range } from './pack';

const STEMMERS: Record<string, string> = {
  en: 'english',
  de: 'german',
  fr: 'french',
  es: 'spanish',
  it: 'italian',
  pt: 'portuguese',
  nl: 'dutch',
  sv: 'swedish',
  da: 'danish',
  nb: 'norwegian',
  fi: 'finnish',
  hu: 'hungarian',
  ro: 'romanian',
  ru: 'russian',
  tr: 'turkish',
};
const STOP_LISTS: Record<string, string> = {
  en: 'eng',
  de: 'deu',
  fr: 'fra',
  es: 'spa',
  it: 'ita',
  pt: 'por',
  nl: 'nld',
  sv: 'swe',
  da: 'dan',
  nb: 'nob',
  fi: 'fin',
  hu: 'hun',
  ro: 'ron',
  ru: 'rus',
  tr: 'tur',
  ar: 'ara',
  ja: 'jpn',
  zh: 'zho',
  pl: 'pol',
};

/** Words, stems and stop words of one language. */
export interface Words {
  stems(text: string): string[];
  stemmedWords(text: string): (Range & { stem: string })[];
}

const WORD = /[\p{L}\p{N}](?:[\p{L}\p{M}\p{N}]|['’_-](?=[\p{L}\p{N}]))*/gu;
const DENSE = /[\u3040-\u30ff\u3400-\u9fff\uac00-\ud7af\u0e00-\u0e7f]/;

/**
 * The tools for a language; languages without a stemmer keep whole words, scripts without spaces are cut by the
 * platform.
 */
export function wordsFor(language: string): Words {
  const base = language.split('-')[0];
  const stemmer = STEMMERS[base] ? snowball.newStemmer(STEMMERS[base]) : undefined;
  const stops = new Set((stopwordLists as unknown as Record<string, string[]>)[STOP_LISTS[base] ?? ''] ?? []);
  const dense = new Intl.Segmenter(base === 'und' ? 'en' : base, { granularity: 'word' });
  // By the word as it is written: most words of a text come again and again.
  const cache = new Map<string, string>();
  const stemOf = (written: string): string => {
    const known = cache.get(written);
    if (known !== undefined) return known;
    const word = written.toLowerCase().replace(/’/g, "'").replace(/'s$/, '');
    const stem =
      stops.has(word) || (word.length < 2 && !/\d/.test(word) && !DENSE.test(word))
        ? ''
        : (stemmer?.stem(word) ?? word);
    cache.set(written, stem);
    return stem;
  };
  const ranges = (text: string): Range[] =>
    DENSE.test(text)
      ? [...dense.segment(text)]
          .filter((part) => part.isWordLike)
          .map((part) => ({ from: part.index, to: part.index + part.segment.length }))
      : [...text.matchAll(WORD)].map((match) => ({ from: match.index, to: match.index + match[0].length }));
  const stemmedWords = (text: string) =>
    ranges(text).flatMap(({ from, to }) => {
      const stem = stemOf(text.slice(from, to));
      return stem === '' ? [] : [{ from, to, stem }];
    });
  const stems = (text: string) =>
    DENSE.test(text)
      ? stemmedWords(text).map((word) => word.stem)
      : (text.match(WORD) ?? []).map(stemOf).filter((stem) => stem !== '');
  return { stemmedWords, stems };
}
