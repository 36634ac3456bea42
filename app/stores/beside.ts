import { base64Of } from '~/composables/base64';
import { api, type AnswerOf } from '~/client';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { PlanKey, PlannedModule } from '~~/core/brief/plans';
import { lessonMinutes } from '~~/core/brief/sizing';
import { allLessons, type Course, type Lesson } from '~~/core/course/course';
import { wordObjective } from '~~/core/course/gestures';
import type { Operation } from '~~/core/course/operations';
import { pullRows, takeOutline, type OutlineNodes } from '~~/core/course/taking';
import { sideBySide, type BesideRow } from '~~/core/course/beside';
import { freshId } from '~/composables/useApi';
import { useCourse } from './course';

type Made = AnswerOf<'POST /api/courses/:course/outline'>;

/** An outline that lies beside the course's own until it is put away. */
export interface Other {
  kind: 'drafted' | 'own' | 'version';
  /** Of a version. */
  id?: string;
  /** What it is called over its column. */
  name: string;
  nodes: OutlineNodes;
  minutes: Record<string, number>;
  /** What each lesson stands on; not of an earlier version. */
  stands?: Made['stands'];
  /** What drafting said of it. */
  made?: Pick<Made, 'leftOut' | 'notices' | 'full'>;
}

/**
 * Another outline beside the one that stands: a drafted one, the author's own from elsewhere, or an earlier version;
 * matched row by row, and pulled from as often as one likes.
 */
export const useBeside = defineStore('beside', () => {
  const desk = useCourse();
  const other = shallowRef<Other | null>(null);
  const busy = ref(false);
  /** The own row behind which rows are pulled; unset, each goes where it stands in the other. */
  const place = ref<string>();
  watch(
    () => desk.course?.id,
    () => void ((other.value = null), (place.value = undefined)),
  );
  const rows = computed<BesideRow[]>(() =>
    other.value && desk.course ? sideBySide(desk.course, other.value.nodes) : [],
  );
  /** Nodes of the other outline by their ids. */
  const nodes = computed(() => {
    const { modules = [], objectives = [] } = other.value?.nodes ?? {};
    const texts = new Map(objectives.map(({ id, text }) => [id, text]));
    return new Map(
      modules.flatMap((module) => [
        [module.id, { title: module.title, can: module.purpose }] as const,
        ...module.lessons.map(
          (lesson) => [lesson.id, { title: lesson.title, can: texts.get(lesson.objectiveIds[0] ?? '') ?? '' }] as const,
        ),
      ]),
    );
  });

  /** Asks for an outline, once what is typed is saved; undefined when it could not be had, which is told. */
  async function ask(run: () => Promise<Other>): Promise<boolean> {
    if (busy.value) return false;
    busy.value = true;
    await desk.settleAll();
    let got = false;
    await desk.asking(async () => {
      other.value = await run();
      got = true;
    });
    busy.value = false;
    return got;
  }
  const fromMade = (kind: 'drafted' | 'own', name: string, made: Made): Other => ({ kind, name, made, ...made });
  /** Drafted from the sources; with a plan as that orders them. */
  const draft = (by: { plan?: PlanKey; topic?: string } = {}) =>
    ask(async () =>
      fromMade(
        'drafted',
        by.plan ? 'By the plan' : 'Drafted',
        await api('POST /api/courses/:course/outline', { course: desk.course!.id, body: by }),
      ),
    );
  /** An outline of the author's from elsewhere, as the bytes of a file. */
  const read = (name: string, bytes: Uint8Array) =>
    ask(async () =>
      fromMade(
        'own',
        name.replace(/\.[a-z0-9]+$/i, ''),
        await api('POST /api/courses/:course/outline/own', {
          course: desk.course!.id,
          body: { name, data: base64Of(bytes) },
        }),
      ),
    );
  /** The rows of another course, held against the sources like an outline from elsewhere. */
  async function readRows(name: string, modules: readonly PlannedModule[]) {
    const rows = modules.flatMap(({ title, lessons }) =>
      lessons.map((lesson) => ({
        Module: title,
        Lesson: lesson.title,
        Objective: lesson.objective ?? '',
        Minutes: lesson.minutes ?? '',
      })),
    );
    const { default: Papa } = await import('papaparse');
    return read(`${name}.csv`, new TextEncoder().encode(Papa.unparse(rows)));
  }
  const version = (id: string, name: string) =>
    ask(async () => {
      const { course } = await api('GET /api/courses/:course/versions/:version', {
        course: desk.course!.id,
        version: id,
      });
      return { ...fromVersion(name, course), id };
    });

  /** Pulls rows into the place they have beside the own ones, as one gesture. */
  function pull(ids: readonly string[]): boolean {
    if (!other.value || !desk.course || ids.length === 0) return false;
    desk.flushTyping();
    const name = nodes.value.get(ids[0]!)?.title ?? '';
    return desk.change(
      ids.length > 1 ? `${ids.length} rows pulled` : `“${name}” pulled`,
      pullRows(desk.course, other.value.nodes, rows.value, new Set(ids), place.value),
    );
  }
  /** Takes title and objective, or purpose, of the other's row into the own one beside it. */
  function takeWords({ kind, mine, other: id }: BesideRow): boolean {
    const words = nodes.value.get(id ?? '');
    if (!words || !mine || !desk.course) return false;
    desk.flushTyping();
    const operations =
      kind === 'module' ? wordsOfModule(desk.course, mine, words) : wordsOfLesson(desk.course, mine, words);
    return operations.length > 0 && desk.change(`words of “${words.title}”`, operations);
  }
  /** Takes it as a whole, as one gesture: what stood there goes to the bin, and undo brings it back. */
  async function takeAll() {
    if (!other.value || !desk.course) return;
    desk.flushTyping();
    const { kind, name, id } = other.value;
    // A version has more than its outline, and its own way back.
    if (id !== undefined) {
      if (await desk.backTo({ id, name })) other.value = null;
      return;
    }
    const what = kind === 'drafted' ? 'drafted outline' : `outline “${name}”`;
    if (desk.change(what, takeOutline(desk.course, other.value.nodes))) other.value = null;
  }
  return {
    other,
    rows,
    nodes,
    busy,
    draft,
    readRows,
    read,
    version,
    pull,
    takeWords,
    takeAll,
    place,
    leave: () => void ((other.value = null), (place.value = undefined)),
  };
});

function wordsOfModule({ modules }: Course, id: string, { title, can }: { title: string; can: string }): Operation[] {
  const own = modules.find((module) => module.id === id)!;
  const set = (field: 'title' | 'purpose', value: string): Operation[] =>
    value && own[field] !== value ? [{ type: 'set', id, field, value, was: own[field] }] : [];
  return [...set('title', title), ...set('purpose', can)];
}

function wordsOfLesson(course: Course, id: string, { title, can }: { title: string; can: string }): Operation[] {
  const own = allLessons(course).find((lesson) => lesson.id === id)!;
  return [
    ...(own.title === title ? [] : [{ type: 'set' as const, id, field: 'title', value: title, was: own.title }]),
    ...(can ? wordObjective(course, own, can, freshId('o')) : []),
  ];
}

function fromVersion(name: string, { modules, objectives, checks, answers }: Course): Other {
  const lessons: Lesson[] = modules.flatMap((module) => module.lessons);
  return {
    kind: 'version',
    name,
    nodes: { modules, objectives, checks, ...(answers && { answers }) },
    minutes: Object.fromEntries(lessons.map((lesson) => [lesson.id, lessonMinutes(lesson)])),
  };
}
