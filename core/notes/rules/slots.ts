import { isOpenSlot } from '../../blocks/slot/form';
import type { Note, NoteMatter } from '../note';

/** Places on a page that wait for what holds where the course is taken: one note each. */
export function slotNotes({ lessons }: NoteMatter): Note[] {
  return lessons.flatMap(({ lesson }) =>
    lesson.blocks.flatMap((block): Note[] =>
      block.kind === 'slot' && isOpenSlot(block.body)
        ? [
            {
              rule: 'slot-open',
              about: lesson.id,
              weight: 'decide',
              parameters: { asks: block.body.asks },
              print: `${block.id} ${block.body.asks}`,
            },
          ]
        : [],
    ),
  );
}
