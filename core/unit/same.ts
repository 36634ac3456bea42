import { weighed } from '../language/similarity';
import { denies, type Fact } from './fact';

/** Stems in more sentences than this find no partner. */
const COMMON = 60;
/** How many of a sentence's rarest stems partners are looked for by. */
const TELLING = 5;
/**
 * So much of what the shorter sentence says, by weight, stands in the fuller one or around it (`all`), so much in the
 * fuller one itself, and so many stems and figures it must have: of two sentences anywhere, and of two in one lesson,
 * where the topic is the same already. Read on pairs of sources on one matter.
 */
const LIKE = { anywhere: { all: 0.8, itself: 0.6, least: 3 }, together: { all: 0.7, itself: 0.6, least: 2 } };
/**
 * Of what a sentence says so much, by words, has to be in what is compared: of "you put the sign on the door and you
 * come and get me" two stems are not it.
 */
const COMPARED = 0.25;
/** A figure that both name counts like a rare word. */
const NUMBER_WEIGHT = 0.9;
/** Of a sentence of few words those that both have must be this telling, against the rarest, on the mean. */
const FEW = 0.8;
/** Of fewer stems nothing is a repeat within one source. */
const LEAST_WITHIN = 5;

/**
 * Facts that are said twice: each sentence that says less with the fuller one that says the same, by their keys. Of two
 * as full as each other the first stays. Figures are the same (times in any unit), and both say it or both deny it.
 * `lessonOf`: the lesson a passage stands in. Candidates are found by their rarest stems, so the time grows with the
 * text, not with its square.
 */
export function sameFacts(
  facts: readonly Fact[],
  lessonOf: (passageId: string) => string | undefined,
): Map<string, string> {
  const repeated = repeats(facts);
  const found = acrossSources(
    facts.filter((fact) => !repeated.has(fact.key)),
    lessonOf,
  );
  for (const [again, first] of repeated) found.set(again, found.get(first) ?? first);
  return found;
}

function acrossSources(
  facts: readonly Fact[],
  lessonOf: (passageId: string) => string | undefined,
): Map<string, string> {
  if (new Set(facts.map(({ source }) => source)).size < 2) return new Map();
  const spread = new Map<string, number>();
  for (const { stems } of facts) for (const stem of stems) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  const weights = new Map([...spread].map(([stem, count]) => [stem, Math.log(1 + facts.length / count)]));
  const rare = Math.log(1 + facts.length / 2) * NUMBER_WEIGHT;
  const byStem = new Map<string, Fact[]>();
  for (const fact of facts) {
    fact.weight = weighed(fact.stems, weights) + fact.numbers.size * rare;
    for (const stem of fact.stems) {
      if (spread.get(stem)! > COMMON) continue;
      const list = byStem.get(stem);
      if (list) list.push(fact);
      else byStem.set(stem, [fact]);
    }
  }
  const found = new Map<string, string>();
  const fullest = [...facts].sort((a, b) => a.weight - b.weight || b.source - a.source || (a.key < b.key ? 1 : -1));
  const place = new Map(fullest.map((fact, at) => [fact, at]));
  // From the fullest down, so that what stays is known: a fact that goes is nobody's fuller wording.
  for (const less of fullest.toReversed()) {
    const telling = [...less.stems]
      .filter((stem) => spread.get(stem)! <= COMMON)
      .sort((a, b) => spread.get(a)! - spread.get(b)! || (a < b ? -1 : 1))
      .slice(0, TELLING);
    const home = lessonOf(less.sentence.passage.id);
    let best: { fact: Fact; score: number } | undefined;
    for (const fuller of new Set(telling.flatMap((stem) => byStem.get(stem) ?? []))) {
      if (fuller.source === less.source || place.get(fuller)! <= place.get(less)! || found.has(fuller.key)) continue;
      const score = says(
        less,
        fuller,
        weights,
        rare,
        home !== undefined && lessonOf(fuller.sentence.passage.id) === home,
      );
      if (score > 0 && (!best || score > best.score || (score === best.score && fuller.source < best.fact.source)))
        best = { fact: fuller, score };
    }
    if (best) found.set(less.key, best.fact.key);
  }
  return found;
}

/** How sure it is that a sentence of another source says it all; 0 when it does not. */
function says(less: Fact, fuller: Fact, weights: ReadonlyMap<string, number>, rare: number, together: boolean): number {
  const { all, itself, least } = together ? LIKE.together : LIKE.anywhere;
  if (less.stems.size + less.numbers.size < Math.max(least, less.sentence.words * COMPARED) || less.stems.size < 2)
    return 0;
  // A note ("Anything about hygiene: the head nurse") is nobody's fuller wording but another note's.
  if (isNote(fuller) && !isNote(less)) return 0;
  for (const number of less.numbers) if (!fuller.numbers.has(number) && !fuller.numbersAround.has(number)) return 0;
  const shared = [...less.stems].filter((stem) => fuller.stems.has(stem));
  const figures = [...less.numbers].filter((number) => fuller.numbers.has(number)).length;
  const inside = weighed(shared, weights) + figures * rare;
  const around = weighed(
    [...less.stems].filter((stem) => !fuller.stems.has(stem) && fuller.around.has(stem)),
    weights,
  );
  // Of few words only telling ones say that it is the same.
  if (
    shared.length < 2 ||
    (less.stems.size < 4 &&
      fuller.stems.size > less.stems.size &&
      weighed(shared, weights) < shared.length * rare * FEW) ||
    inside < less.weight * itself ||
    inside + around < less.weight * all
  )
    return 0;
  return denies(less, shared) === denies(fuller, shared) ? (inside + around) / less.weight : 0;
}

/** Whether what is said has no verb; the rows of a table stand under their heads and are more. */
const isNote = ({ sentence: { passage, tags } }: Fact): boolean =>
  passage.kind !== 'row' && tags.length > 0 && !tags.some(({ tag }) => tag === 'VERB' || tag === 'AUX');

/**
 * Sentences that a source says again, by their keys, each with the first: letter by letter, and of themselves. A manual
 * says nearly the same of two things ("update-rc.d", "invoke-rc.d"), the same words of what stands before ("This plugin
 * ..."), and the same points under two lead-ins.
 */
function repeats(facts: readonly Fact[]): Map<string, string> {
  const first = new Map<string, Fact>();
  const found = new Map<string, string>();
  for (const fact of facts) {
    const { passage, text, facts: told } = fact.sentence;
    if (
      fact.stems.size < LEAST_WITHIN ||
      passage.kind === 'row' ||
      passage.kind === 'item' ||
      passage.kind === 'definition' ||
      told?.leaning ||
      /^(?:this|that|these|those|it|they|such)\b/i.test(text)
    )
      continue;
    const words = `${fact.source} ${text
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim()}`;
    const before = first.get(words);
    if (!before) first.set(words, fact);
    else if (before.sentence.passage !== passage) found.set(fact.key, before.key);
  }
  return found;
}
