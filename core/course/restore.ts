import { checksOn, type Block } from '../blocks/forms';
import {
  allLessons,
  type BinEntry,
  type Course,
  type CourseNode,
  type Lesson,
  type Module,
  type NodeKind,
} from './course';
import type { Check } from '../checks/forms';
import type { Operation } from './operations';
import { nodesIn, nodesOf } from './tree';

/**
 * What lies in the bin put back where it was; where its place is gone, at the end of what is nearest. Questions and
 * objectives that it points to and that lie in the bin too come back with it; a pointer to what is nowhere is left out.
 * Empty when nothing is left to hold it.
 */
export function restore(course: Course, id: string): Operation[] {
  const entry = course.bin.find((each) => each.node.id === id);
  return entry ? putBack(course, entry) : [];
}

/** Puts a node that once had a place back to it, or as near as can be; see `restore`. */
export function putBack(course: Course, entry: BinEntry): Operation[] {
  const place = placeOf(course, entry);
  if (!place) return [];
  const along = pointedTo(entry).flatMap(
    (id) =>
      course.bin.find((each) => each.node.id === id && (each.kind === 'check' || each.kind === 'objective')) ?? [],
  );
  const known = new Set(
    [...course.checks, ...course.objectives, ...along.map((each) => each.node)].map((node) => node.id),
  );
  const objectives = along.filter((each) => each.kind === 'objective');
  const checks = along.filter((each) => each.kind === 'check');
  const node = withoutLost(entry.kind, entry.node, known);
  if (!node) return [];
  return [
    ...atEnd(course, objectives, known),
    ...atEnd(course, checks, known),
    { type: 'insert', kind: entry.kind, ...place, node },
  ];
}

function atEnd(course: Course, entries: readonly BinEntry[], known: ReadonlySet<string>): Operation[] {
  return entries.map(({ kind, node }, at): Operation => {
    const after = at > 0 ? entries[at - 1].node.id : (nodesOf(course, kind).at(-1)?.id ?? null);
    return { type: 'insert', kind, parent: course.id, after, node: withoutLost(kind, node, known)! };
  });
}

function placeOf(
  course: Course,
  { kind, parent, after }: BinEntry,
): { parent: string; after: string | null } | undefined {
  const behind = (children: readonly { id: string }[], first: boolean) =>
    after !== null && children.some((each) => each.id === after)
      ? after
      : after === null && first
        ? null
        : (children.at(-1)?.id ?? null);
  if (kind === 'block' || kind === 'point') {
    const home = allLessons(course).find((each) => each.id === parent);
    return home && { parent: home.id, after: behind(nodesIn(home, kind), true) };
  }
  if (kind === 'lesson') {
    const home = course.modules.find((each) => each.id === parent) ?? course.modules.at(-1);
    return home && { parent: home.id, after: behind(home.lessons, home.id === parent) };
  }
  return { parent: course.id, after: behind(nodesOf(course, kind), true) };
}

/** Ids of questions and objectives that a node points to. */
function pointedTo({ kind, node }: Pick<BinEntry, 'kind' | 'node'>): string[] {
  if (kind === 'module')
    return [
      ...(node as Module).objectiveIds,
      ...(node as Module).lessons.flatMap((lesson) => pointedTo({ kind: 'lesson', node: lesson })),
    ];
  if (kind === 'lesson')
    return [
      ...(node as Lesson).objectiveIds,
      ...(node as Lesson).blocks.flatMap((block) => pointedTo({ kind: 'block', node: block })),
    ];
  if (kind === 'block') return checksOn({ blocks: [node as Block] });
  return kind === 'check' && (node as Check).objectiveId ? [(node as Check).objectiveId!] : [];
}

/** The node without pointers to what is not known; undefined where nothing of it is left. */
function withoutLost(kind: NodeKind, node: CourseNode, known: ReadonlySet<string>): CourseNode | undefined {
  if (pointedTo({ kind, node }).every((id) => known.has(id))) return node;
  if (kind === 'block') return undefined;
  if (kind === 'check') {
    const bare = { ...(node as Check) };
    delete bare.objectiveId;
    return bare;
  }
  const kept = (node as Lesson | Module).objectiveIds.filter((id) => known.has(id));
  if (kind === 'module')
    return {
      ...(node as Module),
      objectiveIds: kept,
      lessons: (node as Module).lessons.map((lesson) => withoutLost('lesson', lesson, known) as Lesson),
    };
  return {
    ...(node as Lesson),
    objectiveIds: kept,
    blocks: (node as Lesson).blocks.filter((block) => withoutLost('block', block, known)),
  };
}
