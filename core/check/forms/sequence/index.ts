import { idFrom } from '../../../document/id';
import { asOption, quoteOf, type Candidate, type QuestionForm } from '../form';
import { allOf } from '../rows';
import { stepsOf } from '../step';

/** Fewer are seen at a glance, more are a list to be worked off. */
const STEPS = { fewest: 4, most: 6 };

/** In which order a procedure goes: steps that follow one another without a gap. */
export const sequenceQuestions: QuestionForm = ({ blocks, pack, title }) =>
  blocks.flatMap((block): Candidate[] => {
    const stem = pack.questions?.inOrder?.(title);
    if (block.kind !== 'steps' || !stem) return [];
    const run = longestRun(stepsOf(block)).slice(0, STEPS.most);
    if (run.length < STEPS.fewest || new Set(run.map(({ words }) => words)).size < run.length) return [];
    return [
      {
        form: 'sequence',
        about: allOf(
          idFrom('c', block.id, 'sequence'),
          run.map(({ about }) => about),
        ),
        stem,
        asks: { kind: 'order', items: run.map(({ words }) => asOption(words)) },
        quotes: run.map(({ about }) => quoteOf(about)),
        level: 'apply',
        difficulty: 0.4,
        score: 0.84,
        reasons: [`steps:${run.length}`],
      },
    ];
  });

/** The longest run of steps that are each understood alone. */
function longestRun<Step extends { clear: boolean }>(steps: readonly Step[]): Step[] {
  let best: Step[] = [];
  let run: Step[] = [];
  for (const step of steps) {
    run = step.clear ? [...run, step] : [];
    if (run.length > best.length) best = run;
  }
  return best;
}
