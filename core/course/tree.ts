import type { Course, CourseNode, Lesson, Module, NodeKind } from './course';

/** Where each kind of node lives: the kind of its parent, and the list there. */
const HOMES: Record<NodeKind, { parent: 'course' | 'module' | 'lesson'; list: string }> = {
  module: { parent: 'course', list: 'modules' },
  lesson: { parent: 'module', list: 'lessons' },
  block: { parent: 'lesson', list: 'blocks' },
  check: { parent: 'course', list: 'checks' },
  objective: { parent: 'course', list: 'objectives' },
  term: { parent: 'course', list: 'glossary' },
  take: { parent: 'course', list: 'takes' },
  answer: { parent: 'course', list: 'answers' },
  point: { parent: 'lesson', list: 'points' },
  medium: { parent: 'course', list: 'media' },
};

/** The kinds of nodes that lie in a lesson. */
const IN_LESSONS = (Object.keys(HOMES) as NodeKind[]).filter((kind) => HOMES[kind].parent === 'lesson');

/** Lists that are not there when nothing is in them. */
const OPTIONAL = new Set(['answers', 'points', 'media']);

const listOf = (holder: Course | Lesson, list: string): CourseNode[] =>
  (holder as unknown as Record<string, CourseNode[] | undefined>)[list] ?? [];

/** A course or a lesson with one of its lists changed. */
function withList<Holder extends Course | Lesson>(holder: Holder, list: string, nodes: CourseNode[]): Holder {
  if (nodes.length > 0 || !OPTIONAL.has(list)) return { ...holder, [list]: nodes };
  const without = { ...holder } as Record<string, unknown>;
  delete without[list];
  return without as unknown as Holder;
}

/** A node with where it stands. */
export interface Found {
  kind: NodeKind;
  node: CourseNode;
  parent: string;
  /** The id of the node before it, null when it is the first. */
  after: string | null;
}

/** Finds a node by id; undefined when the course (its bin apart) holds none. */
export function findNode(course: Course, id: string): Found | undefined {
  for (const [kind, { parent, list }] of Object.entries(HOMES) as [NodeKind, (typeof HOMES)[NodeKind]][]) {
    if (parent === 'course') {
      const found = within(listOf(course, list), id, kind, course.id);
      if (found) return found;
    }
  }
  for (const module of course.modules) {
    const lesson = within(module.lessons, id, 'lesson', module.id);
    if (lesson) return lesson;
    for (const each of module.lessons) {
      for (const kind of IN_LESSONS) {
        const found = within(listOf(each, HOMES[kind].list), id, kind, each.id);
        if (found) return found;
      }
    }
  }
  return undefined;
}

function within(nodes: readonly CourseNode[], id: string, kind: NodeKind, parent: string): Found | undefined {
  const at = nodes.findIndex((node) => node.id === id);
  return at < 0 ? undefined : { kind, node: nodes[at], parent, after: at === 0 ? null : nodes[at - 1].id };
}

/**
 * The course with one list changed: the children of a kind below `parent`. Only the nodes on the way are copied.
 * Undefined when `parent` is no place for that kind.
 */
export function withChildren(
  course: Course,
  parent: string,
  kind: NodeKind,
  change: (nodes: CourseNode[]) => CourseNode[] | undefined,
): Course | undefined {
  const home = HOMES[kind];
  if (home.parent === 'course') {
    const changed = parent === course.id ? change(listOf(course, home.list)) : undefined;
    return changed && withList(course, home.list, changed);
  }
  const modules = [...course.modules];
  for (const [at, module] of modules.entries()) {
    if (home.parent === 'module' && module.id === parent) {
      const lessons = change(module.lessons) as Lesson[] | undefined;
      modules[at] = { ...module, lessons: lessons ?? [] };
      return lessons && { ...course, modules };
    }
    const index = home.parent === 'lesson' ? module.lessons.findIndex((lesson) => lesson.id === parent) : -1;
    if (index >= 0) {
      const nodes = change(listOf(module.lessons[index], home.list));
      modules[at] = {
        ...module,
        lessons: module.lessons.map((lesson, place) =>
          place === index && nodes ? withList(lesson, home.list, nodes) : lesson,
        ),
      };
      return nodes && { ...course, modules };
    }
  }
  return undefined;
}

/** Ids of a node and of all that lies in it. */
export function idsWithin(kind: NodeKind, node: CourseNode): string[] {
  if (kind === 'module') return [node.id, ...(node as Module).lessons.flatMap((lesson) => idsWithin('lesson', lesson))];
  if (kind === 'lesson')
    return [
      node.id,
      ...IN_LESSONS.flatMap((each) => listOf(node as Lesson, HOMES[each].list).map((inside) => inside.id)),
    ];
  return [node.id];
}

/** Whether a course (its bin apart) holds a node under one of some ids. */
export function hasAnyId(course: Course, ids: ReadonlySet<string>): boolean {
  if (ids.has(course.id)) return true;
  for (const { parent, list } of Object.values(HOMES)) {
    if (parent === 'course' && listOf(course, list).some((node) => ids.has(node.id))) return true;
  }
  return course.modules.some((module) =>
    module.lessons.some(
      (lesson) =>
        ids.has(lesson.id) ||
        IN_LESSONS.some((kind) => listOf(lesson, HOMES[kind].list).some((inside) => ids.has(inside.id))),
    ),
  );
}

/** The nodes of a kind that lies in a lesson. */
export const nodesIn = (lesson: Lesson, kind: NodeKind): readonly CourseNode[] =>
  HOMES[kind].parent === 'lesson' ? listOf(lesson, HOMES[kind].list) : [];

/** The nodes of a kind that lies directly in the course. */
export function nodesOf(course: Course, kind: NodeKind): readonly CourseNode[] {
  return HOMES[kind].parent === 'course' ? listOf(course, HOMES[kind].list) : [];
}

/** Every id of a course, its own first; those in the bin apart. */
export function allIds(course: Course): string[] {
  return [
    course.id,
    ...(Object.entries(HOMES) as [NodeKind, (typeof HOMES)[NodeKind]][]).flatMap(([kind, home]) =>
      home.parent === 'course' ? listOf(course, home.list).flatMap((node) => idsWithin(kind, node)) : [],
    ),
  ];
}
