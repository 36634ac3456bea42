import { blockTexts, type Block } from '../../../../../core/blocks/forms';
import { allLessons } from '../../../../../core/course/course';
import { diagramsOf } from '../../../../../core/diagrams';
import { evidencedSentences } from '../../../../../core/document/rich-text';
import { heldPictures } from '../../../../desk/held-pictures';
import { freshId } from '../../../../ids';
import { packFor } from '../../../../language/packs';
import { route } from '../../../../route';

/** The passages that a part of a page stands on. */
const passagesOf = (block: Block): string[] => [
  ...(block.evidence ?? []).map(({ id }) => id),
  ...blockTexts(block).flatMap((text) =>
    evidencedSentences(text).flatMap(({ mark }) => mark.attrs.passages.map(({ id }) => id)),
  ),
];

/**
 * What could be shown in a course, lesson by lesson: what can be drawn of its own words, and the pictures of sources
 * that stand by passages it teaches. What stands there already is left out.
 */
export default route({
  right: 'reader',
  run({ ids, desks }) {
    const { course } = desks.courses.load(ids.course);
    const pack = packFor(course.language);
    const held = heldPictures(desks.sources, course.id);
    const offered = new Set<string>();
    return allLessons(course).flatMap((lesson) => {
      const diagrams = diagramsOf(lesson, pack, () => freshId('d'));
      const stands = new Map(lesson.blocks.flatMap((block) => passagesOf(block).map((id) => [id, block.id] as const)));
      const shown = new Set(lesson.blocks.filter(({ kind }) => kind === 'picture').flatMap(passagesOf));
      const pictures = held.flatMap((picture) => {
        const passage = picture.evidence?.[0]?.id ?? '';
        const after = stands.get(passage);
        if (!after || shown.has(passage) || offered.has(picture.hash)) return [];
        offered.add(picture.hash);
        return [{ ...picture, after }];
      });
      return diagrams.length + pictures.length > 0 ? [{ lesson: lesson.id, diagrams, pictures }] : [];
    });
  },
});
