import type { Claim } from '../../../knowledge';
import {
  alike,
  asOption,
  isPlainOrder,
  ofClaims,
  quoteOf,
  shownOf,
  turnsAlone,
  WRONG_SHOWN,
  WRONG_SOUGHT,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
} from '../form';

/** Fewer wrong answers say nothing. */
const FEWEST = 2;

/** Which of some actions must not be done: one that the lesson forbids, among others that it asks for. */
export const prohibitionQuestions: QuestionForm = (matter) =>
  ofClaims(
    (claim) => isPlainOrder(claim) && turnsAlone(claim) && claim.rule!.negative && claim.rule!.strength === 'must',
    ask,
  )(matter).slice(0, 2);

function ask(claim: Claim, { lesson, pack, title }: QuestionMatter): Candidate | undefined {
  const stem = pack.questions?.notToDo?.(title);
  if (!stem) return undefined;
  const right = claim.rule!.action;
  const wrong: Claim[] = [];
  const place = lesson.indexOf(claim);
  const duties = lesson
    .filter((other) => isPlainOrder(other) && !other.rule!.negative && other.rule!.strength === 'must')
    .sort((a, b) => Math.abs(lesson.indexOf(a) - place) - Math.abs(lesson.indexOf(b) - place));
  for (const other of duties)
    if (
      wrong.length < WRONG_SOUGHT &&
      [claim, ...wrong].every((each) => !alike(each.rule!.action, other.rule!.action, pack))
    )
      wrong.push(other);
  if (wrong.length < FEWEST) return undefined;
  return {
    form: 'prohibition',
    about: claim,
    stem,
    asks: {
      kind: 'choice',
      right: asOption(right),
      wrong: wrong.map((other) => ({
        text: asOption(other.rule!.action),
        code: 'other-case',
        quotes: [quoteOf(other)],
      })),
    },
    level: 'apply',
    difficulty: 0.35,
    score: wrong.length >= WRONG_SHOWN ? 0.79 : 0.75,
    reasons: [`wrong-answers:${shownOf(wrong).length}`],
  };
}
