import type { Block } from '../../blocks/forms';
import { allLessons } from '../../course/course';
import type { Note, NoteMatter } from '../note';

/** Pictures of a part that neither say what they show nor that they show nothing. */
function silentPictures(block: Block): number {
  if (block.kind === 'gallery')
    return block.body.pictures.filter(({ alt, decorative }) => !decorative && alt.trim() === '').length;
  return block.kind === 'picture' && !block.body.decorative && block.body.alt.trim() === '' ? 1 : 0;
}

/** Whether a part plays something whose words nobody can read. */
const isUnheard = (block: Block): boolean =>
  block.kind === 'clip' && block.body.clip !== undefined && block.body.cues.length === 0 && !block.body.wordless;

/** Lessons with what some learners cannot see or hear, and no words in its place: one note a lesson and sort. */
export const mediaNotes = ({ course }: NoteMatter): Note[] =>
  allLessons(course).flatMap(({ id, blocks }) => {
    const pictures = blocks.reduce((sum, block) => sum + silentPictures(block), 0);
    const clips = blocks.filter(isUnheard);
    const note = (rule: 'picture-silent' | 'clip-silent', count: number, print: string): Note[] =>
      count > 0 ? [{ rule, about: id, weight: 'decide', parameters: { count }, print }] : [];
    return [
      ...note('picture-silent', pictures, `${pictures}`),
      ...note('clip-silent', clips.length, clips.map((block) => block.id).join(' ')),
    ];
  });
