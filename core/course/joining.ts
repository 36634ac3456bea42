import { blockTexts, plainText, type Block } from '../blocks/forms';
import { evidencedSentences } from '../document/rich-text';
import type { Course, Lesson } from './course';
import { blankLesson, moduleOf } from './gestures';
import type { Operation } from './operations';

/**
 * The operations that split a lesson in two: what stands from a point of its page on, or of the passages of a blank
 * one, goes into a new lesson behind it. `at`: the block or passage that begins the second; without it the heading
 * nearest the middle, or the middle. Objectives go where their evidence stands, the first stays. None where there is
 * nothing to split.
 */
export function splitLesson(course: Course, lesson: Lesson, at: string | undefined, id: string): Operation[] {
  const module = moduleOf(course, lesson.id);
  if (!module) return [];
  const { blocks, plannedPassages } = lesson;
  const place = blocks.length > 0 ? blockPlace(blocks, at) : passagePlace(plannedPassages, at);
  if (place < 1) return [];
  const gone = blocks.slice(place);
  const standing = new Set(gone.flatMap(passagesOf));
  const staying = new Set(blocks.slice(0, place).flatMap(passagesOf));
  const second = (passage: string, index: number) =>
    blocks.length > 0 ? standing.has(passage) && !staying.has(passage) : index >= place;
  const planned = plannedPassages.filter((passage, index) => !second(passage, index));
  const moved = plannedPassages.filter(second);
  const there = new Set(moved);
  const objectives = lesson.objectiveIds
    .slice(1)
    .filter((each) =>
      course.objectives.find((objective) => objective.id === each)?.evidence.some((range) => there.has(range.id)),
    );
  const heading = gone[0]?.kind === 'heading' ? plainText(gone[0]).trim() : '';
  const node: Lesson = {
    ...blankLesson(id, heading || `${lesson.title} (2)`),
    state: lesson.state === 'approved' ? 'in-work' : lesson.state,
    plannedPassages: moved,
    objectiveIds: objectives,
  };
  const set = (field: 'plannedPassages' | 'objectiveIds', value: string[]): Operation => ({
    type: 'set',
    id: lesson.id,
    field,
    value,
    was: lesson[field],
  });
  return [
    { type: 'insert', kind: 'lesson', parent: module.id, after: lesson.id, node },
    ...gone.map((block, index): Operation => ({
      type: 'move',
      id: block.id,
      parent: id,
      after: index > 0 ? gone[index - 1].id : null,
    })),
    ...(moved.length > 0 ? [set('plannedPassages', planned)] : []),
    ...(objectives.length > 0
      ? [
          set(
            'objectiveIds',
            lesson.objectiveIds.filter((each) => !objectives.includes(each)),
          ),
        ]
      : []),
  ];
}

/**
 * The operations that join a lesson to another: its page, passages and objectives go behind the other's, and what is
 * left of it goes to the bin.
 */
export function mergeLessons(into: Lesson, from: Lesson): Operation[] {
  const both = (a: readonly string[] = [], b: readonly string[] = []) => [...new Set([...a, ...b])];
  const set = (field: 'plannedPassages' | 'objectiveIds' | 'given'): Operation[] => {
    const [was, value] = [into[field], both(into[field], from[field])];
    return value.length === (was?.length ?? 0) ? [] : [{ type: 'set', id: into.id, field, value, was: was ?? null }];
  };
  let after = into.blocks.at(-1)?.id ?? null;
  return [
    ...from.blocks.map((block): Operation => {
      const move: Operation = { type: 'move', id: block.id, parent: into.id, after };
      after = block.id;
      return move;
    }),
    ...set('plannedPassages'),
    ...set('given'),
    ...set('objectiveIds'),
    { type: 'remove', id: from.id },
  ];
}

/** Passages that a block's words stand on. */
const passagesOf = (block: Block): string[] => [
  ...(block.evidence ?? []).map(({ id }) => id),
  ...blockTexts(block).flatMap((text) =>
    evidencedSentences(text).flatMap(({ mark }) => mark.attrs.passages.map(({ id }) => id)),
  ),
];

/** Where the second page begins: at the block named, at the heading nearest the middle, or in the middle. */
function blockPlace(blocks: readonly Block[], at: string | undefined): number {
  if (at !== undefined) return blocks.findIndex(({ id }) => id === at);
  const middle = blocks.length / 2;
  const headings = blocks
    .map((block, index) => ({ block, index }))
    .filter(({ block, index }) => block.kind === 'heading' && index > 0)
    .sort((a, b) => Math.abs(a.index - middle) - Math.abs(b.index - middle));
  return headings[0]?.index ?? (blocks.length > 1 ? Math.ceil(middle) : 0);
}

const passagePlace = (passages: readonly string[], at: string | undefined): number =>
  at !== undefined ? passages.indexOf(at) : passages.length > 1 ? Math.ceil(passages.length / 2) : 0;
