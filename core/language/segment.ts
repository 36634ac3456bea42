import type { Range } from './pack';

const ABBREVIATIONS: Record<string, string> = {
  en: 'e.g i.e etc vs cf al fig figs no nos vol pp ch sec eq approx dept est min max incl excl mr mrs ms dr prof st jr sr inc ltd co corp jan feb mar apr jun jul aug sep sept oct nov dec a.m p.m u.s u.k',
  de: 'z.b d.h u.a usw bzw ggf vgl evtl inkl exkl ca nr abs bspw o.ä z.t s.o s.u dr prof hr fr str tel max min mind bzgl sog',
  fr: 'p.ex c.-à-d cf etc m mm mme mlle dr st av env fig vol chap art',
  es: 'p.ej etc sr sra srta dr dra ud uds núm pág págs art cap fig aprox ee.uu',
};

/** Abbreviations only before a figure: "No." alone is an answer, "fig." mostly the end of one. */
const COUNTING = new Set([
  'no',
  'nos',
  'fig',
  'figs',
  'vol',
  'ch',
  'sec',
  'eq',
  'min',
  'max',
  'nr',
  'abs',
  'art',
  'cap',
  'núm',
]);

/** German writes "am 3. Tag", "ab dem 1. März": behind such a word a figure with its stop goes on. */
const ORDINAL = /(?:^|\s)(?:der|die|das|dem|den|des|am|vom|zum|zur|im|beim|ab|bis|jede[rnms]?|seit)\s\d{1,2}\.$/iu;

const ALL_ABBREVIATIONS = new Set(Object.values(ABBREVIATIONS).flatMap((list) => list.split(' ')));

/** Whether a word with a full stop behind it is an abbreviation in one of the languages at hand. */
export const isAbbreviation = (word: string): boolean => ALL_ABBREVIATIONS.has(word.toLowerCase());

const BY_LANGUAGE: Record<string, ReadonlySet<string>> = Object.fromEntries(
  Object.entries(ABBREVIATIONS).map(([language, list]) => [language, new Set(list.split(' '))]),
);
const NONE: ReadonlySet<string> = new Set();

const segmenters = new Map<string, Intl.Segmenter>();

function segmenter(language: string): Intl.Segmenter {
  const known = segmenters.get(language);
  if (known) return known;
  const made = new Intl.Segmenter(language === 'und' ? 'en' : language, { granularity: 'sentence' });
  segmenters.set(language, made);
  return made;
}

/**
 * Sentences of one passage (never of a whole document: the segmenter's memory grows with the text): Unicode
 * segmentation, then pieces joined again that an abbreviation, an initial, a number or an open bracket has split.
 */
export function segmentSentences(text: string, language: string): Range[] {
  const base = language.split('-')[0];
  const known = BY_LANGUAGE[base] ?? NONE;
  const pieces: Range[] = [];
  for (const { segment, index } of segmenter(language).segment(text)) {
    const from = index + (segment.length - segment.trimStart().length);
    const to = index + segment.trimEnd().length;
    if (to <= from) continue;
    const last = pieces[pieces.length - 1];
    const before = last && text.slice(last.from, last.to);
    if (
      before !== undefined &&
      (belongsTo(before, text.slice(from, to), known) || (base === 'de' && ORDINAL.test(before)))
    )
      last.to = to;
    else pieces.push({ from, to });
  }
  return pieces.flatMap((piece) => splitMissed(text, piece));
}

function belongsTo(before: string, next: string, abbreviations: ReadonlySet<string>): boolean {
  if (!/[.!?…。！？؟:]["'”’»)\]]*$/.test(before)) return true;
  // "add '!authenticate'": a sign right behind an opening quotation mark ends nothing.
  if (/(?:^|[\s(])["'“‘«][.!?]$/.test(before)) return true;
  const word = /([\p{L}][\p{L}.-]*)\.$/u.exec(before)?.[1].toLowerCase();
  if (
    word &&
    abbreviations.has(word) &&
    (COUNTING.has(word) ? /^\d/.test(next) : word !== 'etc' || /^\p{Ll}/u.test(next))
  )
    return true;
  if (/(^|\s)\p{Lu}\.$/u.test(before) && /^\p{Lu}/u.test(next) && before.length < 200) return true;
  if (/^[\p{Ll},;)]/u.test(next) && !/[!?]["'”’»)\]]*$/.test(before)) return true;
  if (/\b\d+\.$/.test(before) && /^\d/.test(next)) return true;
  const open = (before.match(/\(/g)?.length ?? 0) - (before.match(/\)/g)?.length ?? 0);
  return open > 0 && before.length < 400;
}

/** A full stop stuck to the next sentence's capital ("done.Then") is still an end. */
function splitMissed(text: string, piece: Range): Range[] {
  const found = /[\p{Ll}]{2}[.!?](?=\p{Lu}\p{Ll}+\s)/u.exec(text.slice(piece.from, piece.to));
  if (!found) return [piece];
  const cut = piece.from + found.index + found[0].length;
  return [{ from: piece.from, to: cut }, ...splitMissed(text, { from: cut, to: piece.to })];
}
