import { evidencedSentences, textOf } from '../../../document/rich-text';
import { idFrom } from '../../../document/id';
import type { Block } from '../../../blocks/forms';
import {
  alike,
  asOption,
  givenAway,
  pointsOut,
  quoteOf,
  shownOf,
  WRONG_SHOWN,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
  type Said,
} from '../form';

type Steps = Extract<Block, { kind: 'steps' }>;

/** Fewer steps are seen at a glance. */
const FEWEST = 4;
const MOST = 2;
const LONGEST = 18;

/** What comes next in a procedure: wrong answers are its other steps. */
export const stepQuestions: QuestionForm = (matter) =>
  matter.blocks.flatMap((block) =>
    block.kind === 'steps' && matter.pack.questions?.afterStep ? ofSteps(block, matter) : [],
  );

/** A step that can be asked about, with where it stands; `clear`: it says by itself what is done. */
interface Step {
  words: string;
  about: Said;
  clear: boolean;
}

/** The steps of a procedure by their own words, without what is said further of each. */
export const stepsOf = ({ id, body }: Steps): Step[] =>
  body.steps.map(({ text }, at) => {
    const words = textOf(text).trim();
    const ranges = evidencedSentences(text).flatMap(({ mark }) => mark.attrs.passages);
    return {
      words,
      about: { id: idFrom('c', id, at), ranges, text: words },
      clear: ranges.length > 0 && isClear(words),
    };
  });

function ofSteps(block: Steps, matter: QuestionMatter): Candidate[] {
  const steps = stepsOf(block);
  if (steps.length < FEWEST) return [];
  const made: Candidate[] = [];
  // The middle first: what comes first and last is remembered anyway.
  const order = steps
    .map((_, at) => at)
    .slice(1, -1)
    .sort((a, b) => Math.abs(a - steps.length / 2) - Math.abs(b - steps.length / 2) || a - b);
  for (const at of order) {
    if (made.length === MOST && !matter.generous) break;
    const [step, next] = [steps[at], steps[at + 1]];
    if (!step.clear || !next.clear) continue;
    const wrong = steps
      .filter(
        (each, place) => place !== at && place !== at + 1 && each.clear && !alike(each.words, next.words, matter.pack),
      )
      // What comes late tempts most; of what comes after, the nearest.
      .reverse();
    const shown = shownOf(wrong);
    const stem = matter.pack.questions!.afterStep!(asOption(step.words));
    const options = shown.map(({ words }) => asOption(words));
    if (shown.length < 2 || givenAway(next.words, step.words, options, matter.pack)) continue;
    made.push({
      form: 'step',
      about: {
        id: next.about.id,
        ranges: [...step.about.ranges, ...next.about.ranges],
        text: `${step.words} ${next.words}`,
      },
      stem,
      asks: {
        kind: 'choice',
        right: asOption(next.words),
        wrong: wrong.map((each) => ({ text: asOption(each.words), code: 'other-case', quotes: [quoteOf(each.about)] })),
      },
      level: 'apply',
      difficulty: 0.35,
      score: 0.74 + (shown.length >= WRONG_SHOWN ? 0.04 : 0),
      reasons: [`wrong-answers:${shown.length}`],
    });
  }
  return made;
}

/** A step that says by itself what is done, and not when or what else. */
const isClear = (words: string): boolean => {
  const count = words.split(/\s+/).length;
  return (
    count >= 3 &&
    count <= LONGEST &&
    !pointsOut(words) &&
    !/\b(?:again|next|first|last|if|unless|repeat)\b|[:`{}<>|]|https?:/i.test(words)
  );
};
