import { blockTexts, plainText, type Block } from '../blocks/forms';
import { evidencedSentences } from '../document/rich-text';
import type { Course, Lesson } from './course';
import { blankLesson, moduleOf } from './gestures';
import type { Operation } from './operations';

/**
 * The operations that split a lesson in two: what stands from a place of its page on, or of the points or passages of
 * a blank one, goes into a new lesson behind it. `at`: the block, point or passage that begins the second; without it
 * the heading nearest the middle, or the middle. Objectives and points go where their passages stand, the first
 * objective stays. None where there is nothing to split.
 */
export function splitLesson(course: Course, lesson: Lesson, at: string | undefined, id: string): Operation[] {
  const module = moduleOf(course, lesson.id);
  if (!module) return [];
  const { blocks, plannedPassages, points = [] } = lesson;
  const pointed = blocks.length === 0 && points.length > 0;
  const place =
    blocks.length > 0 ? placeOf(blocks, at) : pointed ? placeOf(points, at) : passagePlace(plannedPassages, at);
  if (place < 1) return [];
  const gone = blocks.slice(place);
  const standing = new Set(
    pointed ? points.slice(place).flatMap(({ passages }) => passages) : gone.flatMap(passagesOf),
  );
  const staying = new Set(blocks.slice(0, place).flatMap(passagesOf));
  const second = (passage: string, index: number) =>
    blocks.length > 0 || pointed ? standing.has(passage) && !staying.has(passage) : index >= place;
  const going = pointed
    ? points.slice(place)
    : points.filter(({ passages }) => passages.length > 0 && passages.every((id) => standing.has(id)));
  const given = (lesson.given ?? []).filter((passage) => standing.has(passage) && !staying.has(passage));
  const planned = plannedPassages.filter((passage, index) => !second(passage, index));
  const moved = plannedPassages.filter(second);
  const there = new Set(moved);
  const objectives = lesson.objectiveIds
    .slice(1)
    .filter((each) =>
      course.objectives.find((objective) => objective.id === each)?.evidence.some((range) => there.has(range.id)),
    );
  const heading = gone[0]?.kind === 'heading' ? plainText(gone[0]).trim() : pointed ? points[place].text : '';
  const node: Lesson = {
    ...blankLesson(id, heading || `${lesson.title} (2)`),
    state: lesson.state === 'approved' ? 'in-work' : lesson.state,
    plannedPassages: moved,
    objectiveIds: objectives,
    ...(given.length > 0 && { given }),
  };
  const set = (field: 'plannedPassages' | 'objectiveIds' | 'given', value: string[] | null): Operation => ({
    type: 'set',
    id: lesson.id,
    field,
    value,
    was: lesson[field] ?? null,
  });
  const kept = (lesson.given ?? []).filter((passage) => !given.includes(passage));
  return [
    { type: 'insert', kind: 'lesson', parent: module.id, after: lesson.id, node },
    ...[gone, going].flatMap((parts) =>
      parts.map((part, index): Operation => ({
        type: 'move',
        id: part.id,
        parent: id,
        after: index > 0 ? parts[index - 1].id : null,
      })),
    ),
    ...(given.length > 0 ? [set('given', kept.length > 0 ? kept : null)] : []),
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
 * The operations that join a lesson to another: its page, points, passages and objectives go behind the other's, and
 * what is left of it goes to the bin.
 */
export function mergeLessons(into: Lesson, from: Lesson): Operation[] {
  const both = (a: readonly string[] = [], b: readonly string[] = []) => [...new Set([...a, ...b])];
  const set = (field: 'plannedPassages' | 'objectiveIds' | 'given'): Operation[] => {
    const [was, value] = [into[field], both(into[field], from[field])];
    return value.length === (was?.length ?? 0) ? [] : [{ type: 'set', id: into.id, field, value, was: was ?? null }];
  };
  const behind = (own: readonly { id: string }[], coming: readonly { id: string }[]): Operation[] =>
    coming.map(({ id }, at): Operation => ({
      type: 'move',
      id,
      parent: into.id,
      after: (at > 0 ? coming[at - 1] : own.at(-1))?.id ?? null,
    }));
  return [
    ...behind(into.blocks, from.blocks),
    ...behind(into.points ?? [], from.points ?? []),
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

/** Where the second lesson begins: at the part named, at the heading nearest the middle, or in the middle. */
function placeOf(parts: readonly { id: string; kind?: string }[], at: string | undefined): number {
  if (at !== undefined) return parts.findIndex(({ id }) => id === at);
  const middle = parts.length / 2;
  const headings = parts
    .map((part, index) => ({ part, index }))
    .filter(({ part, index }) => part.kind === 'heading' && index > 0)
    .sort((a, b) => Math.abs(a.index - middle) - Math.abs(b.index - middle));
  return headings[0]?.index ?? (parts.length > 1 ? Math.ceil(middle) : 0);
}

const passagePlace = (passages: readonly string[], at: string | undefined): number =>
  at !== undefined ? passages.indexOf(at) : passages.length > 1 ? Math.ceil(passages.length / 2) : 0;
