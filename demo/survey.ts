import type { SurveyAnswers } from '../core/blocks/survey/answers';
import { optionsOf, type SurveyBody } from '../core/blocks/survey/form';
import type { Course } from '../core/course/course';
import type { Operation } from '../core/course/operations';
import { surveyLesson } from '../core/course/surveys';
import { idFrom } from '../core/document/id';

export const FORM = idFrom('b', 'demo', 'form');

/** A drafted feedback form at the end, with a question of the coordinator's own. */
export function feedbackLesson(course: Course): Operation[] {
  let count = 0;
  const id = () => idFrom('a', 'demo', 'form', count++);
  const [insert] = surveyLesson(course, 'end', { lesson: idFrom('l', 'demo', 'form'), block: FORM, id });
  if (insert?.type !== 'insert' || insert.kind !== 'lesson') return [];
  const node = insert.node as Course['modules'][number]['lessons'][number];
  const [block] = node.blocks;
  if (block?.kind !== 'survey') return [];
  const own = { id: id(), kind: 'number' as const, text: 'How many shifts a month would you like?', min: 0, max: 12 };
  const body: SurveyBody = {
    ...block.body,
    items: [...block.body.items, own],
    thanks: 'Thank you. We read all of it before the next group begins.',
  };
  return [{ ...insert, node: { ...node, blocks: [{ ...block, body }] } }];
}

/** What five volunteers answer without their names: how far along each list, and in which words. */
const SHEETS: { at: number[]; words: string[] }[] = [
  {
    at: [3, 3, 2, 3, 4, 3, 0],
    words: [
      'Say the fee before the tool goes out, and not when it comes back.',
      'What to do when the desk lead is not there either.',
    ],
  },
  { at: [2, 3, 2, 2, 4, 5, 0], words: ['Look at the cable every time, in front of the borrower.'] },
  {
    at: [2, 2, 1, 2, 3, 3, 1],
    words: ['I would rather ask once more than hand something out.', 'The battery lesson is a lot at once.'],
  },
  { at: [3, 2, 2, 3, 5, 3, 0], words: ['Thank people who tell us of a damage.'] },
  { at: [1, 2, 1, 2, 3, 8, 2], words: [] },
];

/** Their answers to a form: of every list the option so far along it, and the words in turn. */
export function feedbackSheets({ items }: SurveyBody): SurveyAnswers[] {
  return SHEETS.map(({ at, words }, who) => {
    const rest = [...words];
    let asked = 0;
    const answers: SurveyAnswers = {};
    for (const item of items) {
      const options = optionsOf(item);
      const place = at[asked++ % at.length];
      if (item.kind === 'text') {
        const said = rest.shift();
        if (said) answers[item.id] = said;
      } else if (item.kind === 'rating') answers[item.id] = Math.min(item.of, Math.max(2, place + 1));
      else if (item.kind === 'number') answers[item.id] = 1 + ((who * 2) % 5);
      else answers[item.id] = { ids: [options[Math.min(place, options.length - 1)].id] };
    }
    return answers;
  });
}
