import { blockTexts } from '../blocks/forms';
import type { AskingForm } from '../checks/check';
import type { Check, Option } from '../checks/forms';
import { idFrom, shortHash } from '../document/id';
import { evidencedSentences } from '../document/rich-text';
import type { Claim } from '../knowledge';
import { overlap } from '../language/similarity';
import { conditionQuestions } from './forms/condition';
import { quoteOf, type Candidate, type QuestionForm, type QuestionMatter } from './forms/form';
import { lookupQuestions } from './forms/lookup';
import { numberQuestions } from './forms/number';
import { permissionQuestions } from './forms/permission';
import { prohibitionQuestions } from './forms/prohibition';
import { stepQuestions } from './forms/step';
import { termQuestions } from './forms/term';

export type { QuestionMatter } from './forms/form';
export { questionPool, type QuestionPool } from './pool';

/** Every form of question, by name. */
const FORMS: Record<AskingForm, QuestionForm> = {
  condition: conditionQuestions,
  term: termQuestions,
  number: numberQuestions,
  lookup: lookupQuestions,
  step: stepQuestions,
  prohibition: prohibitionQuestions,
  permission: permissionQuestions,
};

/**
 * Questions from here on were good in nine of ten cases when read; those below are kept as offers only when asked for.
 */
export const SHOWN_FROM = 0.72;

/**
 * Questions on a lesson's claims, best first: each with its options, feedback, evidence and the score it was given,
 * none twice on one sentence. The order of options is settled by their letters, so it tells nothing of the key.
 */
export function draftQuestions(lessonId: string, matter: QuestionMatter): Check[] {
  const taught = { ...matter, lesson: withoutTold(matter) };
  const candidates = Object.values(FORMS)
    .flatMap((form) => form(taught))
    .filter((candidate) => candidate.score >= SHOWN_FROM && isFair(candidate));
  const asked = new Set<string>();
  const stems: string[][] = [];
  return candidates
    .sort((a, b) => b.score - a.score || (a.about.id < b.about.id ? -1 : 1))
    .filter((candidate) => {
      const place = candidate.about.ranges.map((range) => `${range.id}/${range.from}`).join();
      const words = matter.pack.stems(candidate.stem);
      if (asked.has(place) || stems.some((other) => overlap(other, words) > 0.7)) return false;
      asked.add(place);
      stems.push(words);
      return true;
    })
    .map((candidate) => toCheck(lessonId, candidate));
}

/** Parts of a page that tell of one case: their figures and deeds are of that case, and no rule. */
const TOLD = new Set(['case', 'experience', 'example']);

/** The claims of a lesson without those that only a story or an example on its page tells. */
function withoutTold({ lesson, blocks }: QuestionMatter): Claim[] {
  const told = new Set(
    blocks
      .filter((block) => block.kind === 'worked' || (block.kind === 'callout' && TOLD.has(block.body.tone)))
      .flatMap((block) => blockTexts(block).flatMap(evidencedSentences))
      .flatMap(({ mark }) => mark.attrs.passages.map(({ id }) => id)),
  );
  return lesson.filter((claim) => !claim.ranges.every(({ id }) => told.has(id)));
}

/** No option stands out by its length alone, none twice, none a part of another. */
function isFair({ right, wrong, form, holds }: Candidate): boolean {
  if (holds !== undefined) return true;
  const texts = [right, ...wrong.map((option) => option.text)];
  if (new Set(texts.map((text) => text.toLowerCase())).size < texts.length) return false;
  if (form === 'term' || form === 'number') return true;
  const longest = Math.max(...wrong.map((option) => option.text.length));
  const shortest = Math.min(...wrong.map((option) => option.text.length));
  return right.length <= longest * 1.5 + 10 && right.length >= shortest * 0.5 - 5;
}

function toCheck(lessonId: string, candidate: Candidate): Check {
  const id = idFrom('k', lessonId, candidate.form, candidate.about.id);
  const frame = {
    id,
    lessonId,
    stem: candidate.stem,
    evidence: candidate.about.ranges,
    level: candidate.level,
    difficulty: candidate.difficulty,
    drafted: { form: candidate.form, score: Math.round(candidate.score * 100) / 100, reasons: candidate.reasons },
  };
  if (candidate.holds !== undefined)
    return { ...frame, kind: 'truth', answer: candidate.holds, quotes: [quoteOf(candidate.about)] };
  const option = (text: string, feedback: Option['feedback']): Option => ({
    id: idFrom('a', id, text),
    text,
    feedback,
  });
  const right = {
    ...option(candidate.right, { code: 'right', quotes: [quoteOf(candidate.about)] }),
    value: candidate.value,
  };
  const wrong = candidate.wrong.map(({ text, code, quotes, value }) => ({ ...option(text, { code, quotes }), value }));
  const options = [right, ...wrong]
    .sort((a, b) => (a.value ?? 0) - (b.value ?? 0) || (shortHash(id + a.text, 8) < shortHash(id + b.text, 8) ? -1 : 1))
    .map(({ id: optionId, text, feedback }) => ({ id: optionId, text, feedback }));
  return { ...frame, kind: 'choice', options, key: right.id };
}
