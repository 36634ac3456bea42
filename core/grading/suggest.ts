import type { Criterion } from '../checks/task/form';
import type { LanguagePack } from '../language/pack';
import { contained } from '../language/similarity';

/** What a language is asked for where hand-ins are read. */
export type GradingLanguage = Pick<
  LanguagePack,
  'sentences' | 'stems' | 'stemmedWords' | 'commonness' | 'numbers' | 'denies' | 'regular'
>;

/** What a hand-in is held against. */
export interface Held {
  criteria: readonly Pick<Criterion, 'id' | 'text' | 'levels'>[];
  /** A good answer; may be empty. */
  model: string;
  /** What the learner was given to read: its words earn nothing. */
  prompt: string;
}

/** The level suggested for a criterion: by which words of the hand-in, what of it was not found, and how sure. */
export interface SuggestedLevel {
  criterion: string;
  level: string;
  words: string[];
  missing: string[];
  sure: boolean;
  /** How much of it was found, 0 to 1. */
  share: number;
}

/** A sentence with what can be found in it. */
interface Read {
  text: string;
  stems: ReadonlySet<string>;
  figures: readonly number[];
  denies: boolean;
}

/** Words in a row that are taken for copied where the task has them too, and how many of a sentence's are too many. */
const RUN = 4;
const COPIED = 0.7;
/** What is found at least for the best level, and for any above the last. */
const FULL = 0.54;
const PART = 0.22;
/** So close to a border between levels nothing is sure. */
const CLOSE = 0.06;
/** Words of a criterion that an answer has at least, where no figure of it is met. */
const LEAST = 2;
/** What is said to be missing tells so much at least of what tells most. */
const SAID = 0.7;
/** A word as common as this on the Zipf scale, or more, tells least; one rarer by so much tells most. */
const COMMON = 6.6;
const RARER = 2.6;
const USUAL = 4.5;
const TELLS_LEAST = 0.25;
/** How much words that only the best level or the model answer has tell beside those of the criterion. */
const OTHER = 0.7;
/** A sentence that has less of a criterion is not about it. */
const ABOUT = 0.2;
/** A sentence of the model answer that has so much of a criterion is how it is met. */
const MODEL = 0.3;

/**
 * Suggests a level for each criterion of a task. What a criterion asks for are the stems of its words, weighed by how
 * rare they are, how much they tell it from the other criteria and whether the task gives them away already; the
 * sentences of the model answer that meet it say the same in other words. How much of it stands in those sentences of
 * the hand-in that are about it is its share, and the share its level. Figures must be the right ones, and what
 * is denied counts as not done. What is copied from the task, or said of something else, earns nothing.
 */
export function suggestMarks(
  { criteria, model, prompt }: Held,
  text: string,
  language: GradingLanguage,
): SuggestedLevel[] {
  const read = (of: string) => readSentences(of, language);
  const given = runsOf(prompt);
  const copies = criteria.flatMap((each) => [each.text, ...each.levels.map((level) => level.text)]).map(plainly);
  const own = read(text).filter(
    (sentence) =>
      sentence.stems.size > 0 &&
      !copies.includes(plainly(sentence.text)) &&
      contained(runsOf(sentence.text), given) < COPIED,
  );
  const meant = criteria.map((criterion) => wantedOf(bestFirst(criterion), language));
  const promised = new Set(language.stems(prompt));
  const models = read(model);
  return criteria.map((criterion, at) => {
    const others = meant.filter((_, other) => other !== at);
    const weight = (stem: string) => {
      const shared = others.filter((each) => each.stems.has(stem) || each.best.has(stem)).length;
      const rare = Math.min(1, Math.max(TELLS_LEAST, (COMMON - (language.commonness(stem) ?? USUAL)) / RARER));
      return (rare / (1 + shared)) * (promised.has(stem) ? 0.5 : 1) * (meant[at].stems.has(stem) ? 1 : OTHER);
    };
    return levelOf(bestFirst(criterion), meant[at], own, models, weight, language);
  });
}

/** A criterion with its levels by what they are worth: their order is their author's, and may be another. */
const bestFirst = <Each extends Held['criteria'][number]>(criterion: Each): Each => ({
  ...criterion,
  levels: [...criterion.levels].sort((a, b) => b.points - a.points),
});

/** A criterion's own words and its figures. */
interface Wanted {
  stems: ReadonlySet<string>;
  /** The words of its best level. */
  best: ReadonlySet<string>;
  figures: readonly number[];
  denies: boolean;
}

function wantedOf({ text, levels }: Held['criteria'][number], language: GradingLanguage): Wanted {
  const sentences = readSentences(text, language);
  const best = readSentences(levels[0]?.text ?? '', language);
  return {
    stems: new Set(sentences.flatMap(({ stems }) => [...stems])),
    best: new Set(best.flatMap(({ stems }) => [...stems])),
    figures: [...new Set([...sentences, ...best].flatMap(({ figures }) => figures))],
    denies: sentences.some(({ denies }) => denies),
  };
}

function levelOf(
  { id, text, levels }: Held['criteria'][number],
  wanted: Wanted,
  own: readonly Read[],
  models: readonly Read[],
  weight: (stem: string) => number,
  language: GradingLanguage,
): SuggestedLevel {
  const total = (stems: Iterable<string>) => [...stems].reduce((sum, stem) => sum + weight(stem), 0);
  const found = (sentence: Read, stems: ReadonlySet<string>) => [...stems].filter((stem) => sentence.stems.has(stem));
  const shareOf = (stems: ReadonlySet<string>, sentences: readonly Read[]) => {
    const met = new Set(sentences.flatMap((sentence) => found(sentence, stems)));
    return stems.size === 0 ? 0 : total(met) / Math.max(1e-9, total(stems));
  };
  const inModel = models.filter((sentence) => shareOf(wanted.stems, [sentence]) >= MODEL);
  const modelStems = new Set(inModel.flatMap(({ stems }) => [...stems]));
  const hasFigure = (sentence: Read) => wanted.figures.some((figure) => sentence.figures.includes(figure));
  const about = own.filter(
    (sentence) =>
      shareOf(wanted.stems, [sentence]) >= ABOUT ||
      shareOf(wanted.best, [sentence]) >= ABOUT ||
      shareOf(modelStems, [sentence]) >= ABOUT ||
      (hasFigure(sentence) && found(sentence, wanted.stems).length > 0),
  );
  const byWords = Math.max(shareOf(wanted.stems, about), shareOf(wanted.best, about));
  const byModel = shareOf(modelStems, about);
  let share = inModel.length > 0 ? Math.max(byWords, 0.5 * (byWords + byModel), 0.9 * byModel) : byWords;
  let sure = true;
  // Figures are what a criterion most often turns on: one of several is a part.
  const figures = wanted.figures.filter((figure) => about.some((sentence) => sentence.figures.includes(figure)));
  if (wanted.figures.length > 0) {
    const met = figures.length / wanted.figures.length;
    share = 0.7 * share + 0.3 * met;
    if (met === 0 && share >= FULL) {
      share = FULL - CLOSE / 2;
      sure = false;
    }
  }
  const denied =
    !wanted.denies && !inModel.some(({ denies }) => denies) && about.length > 0 && about.every(({ denies }) => denies);
  if (denied) {
    share = Math.min(share, FULL - CLOSE / 2);
    sure = false;
  }
  // One word in common is chance, unless it is the one that tells most.
  const all = [...new Set([...wanted.stems, ...wanted.best, ...modelStems])];
  const met = all.filter((stem) => about.some(({ stems }) => stems.has(stem)));
  const most = Math.max(0, ...all.map(weight));
  if (met.length < LEAST && figures.length === 0 && !met.some((stem) => weight(stem) === most)) share = 0;
  const level = levels[placeOf(share, levels.length)]!;
  if ([FULL, PART].some((border) => Math.abs(share - border) < CLOSE)) sure = false;
  const words = level === levels.at(-1) ? [] : about.map((sentence) => sentence.text);
  return {
    criterion: id,
    level: level.id,
    words,
    missing: words.length > 0 && level !== levels[0] ? missingOf(text, about, weight, language) : [],
    sure,
    share,
  };
}

/** Which of so many levels, the best one first, a share stands for. */
function placeOf(share: number, count: number): number {
  if (share >= FULL) return 0;
  if (share < PART || count === 2) return count - 1;
  // Levels between the first and the last share what lies between.
  const steps = count - 2;
  return 1 + Math.min(steps - 1, Math.floor(((FULL - share) / (FULL - PART)) * steps));
}

/** The words of a criterion that tell most and none of some sentences has, its figures among them. */
function missingOf(
  text: string,
  about: readonly Read[],
  weight: (stem: string) => number,
  language: GradingLanguage,
): string[] {
  const there = new Set(about.flatMap(({ stems }) => [...stems]));
  const figures = new Set(about.flatMap((sentence) => sentence.figures));
  const gone = language
    .stemmedWords(text)
    .map(({ from, to, stem }) => ({ words: text.slice(from, to), stem, telling: weight(stem) }))
    .filter(({ words, stem }) => language.stems(words).length > 0 && !there.has(stem) && !/^\p{N}/u.test(words));
  const most = Math.max(0, ...language.stems(text).map(weight));
  return [
    ...(language.numbers?.(text) ?? [])
      .filter(({ value }) => !figures.has(value))
      .map(({ from, to }) => text.slice(from, to)),
    ...gone.filter(({ telling }) => telling >= SAID * most).map(({ words }) => words),
  ].filter((words, at, all) => all.indexOf(words) === at);
}

function readSentences(text: string, language: GradingLanguage): Read[] {
  return language.sentences(text).map(({ from, to }) => {
    const sentence = text.slice(from, to).trim();
    const numbers = language.numbers?.(sentence) ?? [];
    // Figures are held against figures, so they are no words.
    const bare = numbers.reduceRight((rest, { from: at, to: end }) => rest.slice(0, at) + rest.slice(end), sentence);
    return {
      text: sentence,
      stems: new Set(language.stems(language.regular?.(bare) ?? bare)),
      figures: numbers.map(({ value }) => value),
      denies: language.denies?.(sentence) ?? false,
    };
  });
}

/** Every few words in a row of a text. */
function runsOf(text: string): Set<string> {
  const words = plainly(text).split(' ');
  return new Set(
    words.slice(0, Math.max(0, words.length - RUN + 1)).map((_, at) => words.slice(at, at + RUN).join(' ')),
  );
}

/** A sentence without what does not count when it is copied: signs, capitals. */
const plainly = (text: string): string => (text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).join(' ');
