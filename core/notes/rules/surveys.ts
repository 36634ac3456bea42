import { allLessons } from '../../course/course';
import type { Note, NoteMatter } from '../note';

/** Feedback forms that ask nothing: one note each. */
export const surveyNotes = ({ course }: NoteMatter): Note[] =>
  allLessons(course).flatMap(({ id, blocks }) =>
    blocks.flatMap((block): Note[] =>
      block.kind === 'survey' && block.body.items.length === 0
        ? [
            {
              rule: 'form-empty',
              about: id,
              weight: 'look',
              parameters: { title: block.body.title },
              print: `${block.id} ${block.body.title}`,
            },
          ]
        : [],
    ),
  );
