import type { Block } from '../blocks/forms';
import { blockTexts } from '../blocks/forms';
import type { DiagramBody } from '../blocks/diagram/form';
import type { Lesson } from '../course/course';
import { evidencedSentences, textOf, type PassageRange } from '../document/rich-text';
import type { LanguagePack } from '../language/pack';
import { changeIn } from './change';
import { rolesIn } from './roles';
import { scaleIn } from './scale';
import { stripIn } from './strip';

/** What could be drawn of a lesson's own words, and before which of its parts it would stand. */
export interface DiagramOffer {
  body: DiagramBody;
  evidence: PassageRange[];
  before: string;
}

/** What one way of drawing finds in a lesson: the drawing without a title, and the parts it is made of, in order. */
export interface Drawn {
  body: Omit<DiagramBody, 'title'> & { title?: string };
  of: Block[];
}

/** Looks for one form of drawing; `id` gives ids for its parts. */
export type Drawing = (blocks: readonly Block[], pack: LanguagePack, id: () => string) => Drawn[];

const DRAWINGS: readonly Drawing[] = [scaleIn, stripIn, changeIn, rolesIn];

/**
 * What can be drawn of a lesson's own words, in the order of its page. Every word of a drawing stands on the page; its
 * evidence is that of the parts it is made of. What is drawn already is not offered again.
 */
export function diagramsOf(lesson: Lesson, pack: LanguagePack, id: () => string): DiagramOffer[] {
  const { blocks } = lesson;
  const drawn = new Set(blocks.flatMap((block) => (block.kind === 'diagram' ? [labelsOf(block.body)] : [])));
  const place = (block: Block) => blocks.indexOf(block);
  return DRAWINGS.flatMap((draw) => draw(blocks, pack, id))
    .filter(({ body }) => !drawn.has(labelsOf(body)))
    .map(({ body, of }) => ({
      body: { ...body, title: body.title ?? titleOver(blocks, place(of[0]), lesson.title) },
      evidence: rangesOf(of),
      before: of[0].id,
    }))
    .sort(
      (a, b) =>
        blocks.findIndex(({ id: own }) => own === a.before) - blocks.findIndex(({ id: own }) => own === b.before),
    );
}

const labelsOf = ({ parts }: Pick<DiagramBody, 'parts'>): string => parts.map(({ label }) => label).join('\n');

/** The heading that stands over a part; the lesson's title where none does. */
function titleOver(blocks: readonly Block[], at: number, title: string): string {
  const heading = blocks.slice(0, at).findLast((block) => block.kind === 'heading');
  return heading ? textOf(heading.body.text) : title;
}

/** The passages that parts stand on, each range once, in order. */
function rangesOf(blocks: readonly Block[]): PassageRange[] {
  const ranges = new Map<string, PassageRange>();
  for (const block of blocks)
    for (const range of [
      ...(block.evidence ?? []),
      ...blockTexts(block).flatMap((text) => evidencedSentences(text).flatMap(({ mark }) => mark.attrs.passages)),
    ]) {
      const { id, from, to } = range;
      ranges.set(`${id} ${from} ${to}`, { id, from, to });
    }
  return [...ranges.values()];
}
