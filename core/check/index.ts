import type { ChoiceCheck, Option } from '../checks/forms';
import { idFrom, shortHash } from '../document/id';
import { overlap } from '../language/similarity';
import { conditionQuestions } from './forms/condition';
import { quoteOf, type Candidate, type QuestionForm, type QuestionMatter } from './forms/form';
import { numberQuestions } from './forms/number';
import { termQuestions } from './forms/term';

export type { QuestionMatter } from './forms/form';
export { questionPool, type QuestionPool } from './pool';

/** Every form of question, by name. */
const FORMS: Record<Candidate['form'], QuestionForm> = {
  condition: conditionQuestions,
  term: termQuestions,
  number: numberQuestions,
};

/**
 * Questions from here on were good in nine of ten cases when read; those below are kept as offers only when asked for.
 */
export const SHOWN_FROM = 0.72;

/** Of one form so many claims of a lesson are asked about at most: nobody looks through more offers. */
const MOST_OF_A_FORM = 16;

/**
 * Questions on a lesson's claims, best first: each with its options, feedback, evidence and the score it was given,
 * none twice on one sentence. The order of options is settled by their letters, so it tells nothing of the key.
 */
export function draftQuestions(lessonId: string, matter: QuestionMatter): ChoiceCheck[] {
  const candidates = Object.values(FORMS)
    .flatMap((form) =>
      spreadOver(matter.lesson.filter(form.asks), MOST_OF_A_FORM).flatMap((claim) => form.ask(claim, matter) ?? []),
    )
    .filter((candidate) => candidate.score >= SHOWN_FROM && isFair(candidate));
  const asked = new Set<string>();
  const stems: string[][] = [];
  return candidates
    .sort((a, b) => b.score - a.score || (a.claim.id < b.claim.id ? -1 : 1))
    .filter((candidate) => {
      const place = candidate.claim.ranges.map((range) => `${range.id}/${range.from}`).join();
      const words = matter.pack.stems(candidate.stem);
      if (asked.has(place) || stems.some((other) => overlap(other, words) > 0.7)) return false;
      asked.add(place);
      stems.push(words);
      return true;
    })
    .map((candidate) => toCheck(lessonId, candidate));
}

/** So many of a list at most, taken evenly from its beginning to its end. */
function spreadOver<Item>(list: readonly Item[], most: number): Item[] {
  return list.length <= most
    ? [...list]
    : Array.from({ length: most }, (_, at) => list[Math.floor((at * list.length) / most)]);
}

/** No option stands out by its length alone, none twice, none a part of another. */
function isFair({ right, wrong, form }: Candidate): boolean {
  const texts = [right, ...wrong.map((option) => option.text)];
  if (new Set(texts.map((text) => text.toLowerCase())).size < texts.length) return false;
  if (form !== 'condition') return true;
  const longest = Math.max(...wrong.map((option) => option.text.length));
  const shortest = Math.min(...wrong.map((option) => option.text.length));
  return right.length <= longest * 1.5 + 10 && right.length >= shortest * 0.5 - 5;
}

function toCheck(lessonId: string, candidate: Candidate): ChoiceCheck {
  const id = idFrom('k', lessonId, candidate.form, candidate.claim.id);
  const option = (text: string, feedback: Option['feedback']): Option => ({
    id: idFrom('a', id, text),
    text,
    feedback,
  });
  const right = {
    ...option(candidate.right, { code: 'right', quotes: [quoteOf(candidate.claim)] }),
    value: candidate.value,
  };
  const wrong = candidate.wrong.map(({ text, code, quotes, value }) => ({ ...option(text, { code, quotes }), value }));
  const options = [right, ...wrong]
    .sort((a, b) => (a.value ?? 0) - (b.value ?? 0) || (shortHash(id + a.text, 8) < shortHash(id + b.text, 8) ? -1 : 1))
    .map(({ id: optionId, text, feedback }) => ({ id: optionId, text, feedback }));
  return {
    id,
    kind: 'choice',
    lessonId,
    stem: candidate.stem,
    options,
    key: right.id,
    evidence: candidate.claim.ranges,
    level: candidate.level,
    difficulty: candidate.difficulty,
    drafted: { form: candidate.form, score: Math.round(candidate.score * 100) / 100, reasons: candidate.reasons },
  };
}
