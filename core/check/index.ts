import { lintCheck } from '../checks/lints';
import { blockTexts } from '../blocks/forms';
import type { AskingForm } from '../checks/check';
import type { Check } from '../checks/forms';
import { evidencedSentences } from '../document/rich-text';
import type { Claim } from '../knowledge';
import { overlap } from '../language/similarity';
import { answerQuestions } from './forms/answer';
import { conditionQuestions } from './forms/condition';
import { decisionQuestions } from './forms/decision';
import { isTold, shownOf, type Candidate, type QuestionForm, type QuestionMatter } from './forms/form';
import { groupQuestions } from './forms/groups';
import { insteadQuestions } from './forms/instead';
import { lookupQuestions } from './forms/lookup';
import { namedQuestions } from './forms/named';
import { numberQuestions } from './forms/number';
import { pairQuestions } from './forms/pairs';
import { permissionQuestions } from './forms/permission';
import { practiceQuestions } from './forms/practice';
import { prohibitionQuestions } from './forms/prohibition';
import { sequenceQuestions } from './forms/sequence';
import { stepQuestions } from './forms/step';
import { termQuestions } from './forms/term';
import { bandQuestions } from './forms/band';
import { checkOf } from './make';

export type { QuestionMatter } from './forms/form';
export { headedIn } from './headed';
export { questionPool, type QuestionPool } from './pool';

/** Stories of a lesson are called alike, and are told apart by what they stand on. */
const isStory = ({ asks }: Candidate): boolean => asks.kind === 'scenario';

/** What stands for itself in a lesson, and on sentences that others ask about. */
const STANDS_ALONE: ReadonlySet<Candidate['asks']['kind']> = new Set(['task', 'scenario']);

/** Every form of question, by name. */
const FORMS: Record<AskingForm, QuestionForm> = {
  condition: conditionQuestions,
  term: termQuestions,
  number: numberQuestions,
  lookup: lookupQuestions,
  pairs: pairQuestions,
  band: bandQuestions,
  step: stepQuestions,
  sequence: sequenceQuestions,
  groups: groupQuestions,
  prohibition: prohibitionQuestions,
  permission: permissionQuestions,
  instead: insteadQuestions,
  answer: answerQuestions,
  named: namedQuestions,
  practice: practiceQuestions,
  decision: decisionQuestions,
};

/**
 * Questions from here on were good in nine of ten cases when read; those below are kept as offers only when asked for.
 */
export const SHOWN_FROM = 0.72;

/** What is drafted besides the best. */
export interface Asking {
  /** The score from which questions are given; `SHOWN_FROM` where nothing is said. */
  from?: number;
  /** Questions that stand or are offered already: none comes again, nor one of nearly the same words. */
  besides?: readonly Check[];
  /** A sentence may be asked about in several forms. */
  severally?: boolean;
}

/**
 * Questions on a lesson's claims, best first: each with its options, feedback, evidence and the score it was given,
 * none twice on one sentence, none with a flaw that a question written by hand would be told of. The order of options
 * is settled by their letters, so it tells nothing of the key.
 */
export function draftQuestions(
  lessonId: string,
  matter: QuestionMatter,
  { from = SHOWN_FROM, besides = [], severally = false }: Asking = {},
): Check[] {
  const candidates = candidatesOf(matter).filter((candidate) => candidate.score >= from && isFair(candidate));
  const asked = new Set<string>();
  const known = new Set(besides.map(({ id }) => id));
  const stems = besides.map(({ stem }) => matter.pack.stems(stem));
  return candidates
    .sort((a, b) => b.score - a.score || (a.about.id < b.about.id ? -1 : 1))
    .filter((candidate) => {
      const place = candidate.about.ranges.map((range) => `${range.id}/${range.from}`).join();
      const words = matter.pack.stems(candidate.stem);
      // What is done and handed in, or decided in a story, is something else than to be asked about it.
      const key = severally || STANDS_ALONE.has(candidate.asks.kind) ? `${place} ${candidate.form}` : place;
      const isSame = !isStory(candidate) && stems.some((other) => overlap(other, words) > 0.7);
      if (asked.has(key) || isSame) return false;
      asked.add(key);
      stems.push(words);
      return true;
    })
    .map((candidate) => checkOf(lessonId, inItsCase(candidate, matter)))
    .filter((check) => !known.has(check.id) && lintCheck(check, matter.pack.code).length === 0);
}

/** What is asked of one sentence alone, which may be told within a case. */
const ALONE: readonly AskingForm[] = ['number', 'permission', 'instead'];

/**
 * A question on a sentence of a paragraph that begins with a case ("If a child is lost, …. The counter rings after five
 * minutes."), asked within that case: the last one named before it, of a paragraph that speaks of nothing before.
 */
function inItsCase(candidate: Candidate, { lesson, pack }: QuestionMatter): Candidate {
  const [range] = candidate.about.ranges;
  if (!ALONE.includes(candidate.form) || range.from === 0 || !pack.questions?.within) return candidate;
  const cases = lesson
    .filter(({ ranges, rule }) => ranges[0].id === range.id && ranges[0].from < range.from && rule?.condition?.leading)
    .sort((a, b) => a.ranges[0].from - b.ranges[0].from);
  const last = cases.at(-1);
  if (cases[0]?.ranges[0].from !== 0 || /^(?:if|when|unless|once)\b/i.test(candidate.about.text)) return candidate;
  return { ...candidate, stem: pack.questions.within(last!.rule!.condition!.text, candidate.stem) };
}

/** All that the forms make of a lesson's matter, unsorted. */
export function candidatesOf(matter: QuestionMatter): Candidate[] {
  const taught = { ...matter, lesson: withoutTold(matter) };
  return Object.values(FORMS).flatMap((form) => form(taught));
}

/** The claims of a lesson without those that only a story, an example or a quotation on its page tells. */
function withoutTold({ lesson, blocks }: QuestionMatter): Claim[] {
  const told = new Set(
    blocks
      .filter(isTold)
      .flatMap((block) => blockTexts(block).flatMap(evidencedSentences))
      .flatMap(({ mark }) => mark.attrs.passages.map(({ id }) => id)),
  );
  return lesson.filter((claim) => !claim.ranges.every(({ id }) => told.has(id)));
}

/** No option stands out by its length alone, none twice, none a part of another. */
function isFair({ asks, form }: Candidate): boolean {
  if (asks.kind !== 'choice') return true;
  const { right } = asks;
  const wrong = shownOf(asks.wrong);
  const texts = [right, ...wrong.map((option) => option.text)];
  if (new Set(texts.map((text) => text.toLowerCase())).size < texts.length) return false;
  if (form === 'term' || form === 'number') return true;
  const longest = Math.max(...wrong.map((option) => option.text.length));
  const shortest = Math.min(...wrong.map((option) => option.text.length));
  return right.length <= longest * 1.5 + 10 && right.length >= shortest * 0.5 - 5;
}
