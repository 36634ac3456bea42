import { api } from '~/client';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { conflictsOf, letStand, takeText } from '~~/core/course/conflicts';
import { allLessons, type Course, type Take } from '~~/core/course/course';
import { keepEarlier } from '~~/core/course/earlier';
import type { Operation } from '~~/core/course/operations';
import { freshId } from '~/composables/useApi';
import { useTrying } from '~/composables/useTrying';
import { courseEngine, type CourseEngine, type Saving } from '~/sync/engine';
import { coursesWaiting, outboxOf } from '~/sync/outbox';
import type { Answer, CourseServer } from '~/sync/server';
import { useSession } from './session';

/** Something that was done elsewhere than under the author's hands, to be shown where it is: undo, going back. */
export interface Shown {
  said: string;
  ids: string[];
  /** The fields of the course itself among it. */
  fields: string[];
  count: number;
}

/**
 * The course on the desk, as screens read it. Every change goes through `change` or `type`; the engine behind keeps it
 * in step with the server.
 */
export const useCourse = defineStore('course', () => {
  const session = useSession();
  const course = shallowRef<Course | null>(null);
  const role = ref('author');
  const saving = ref<Saving>('saved');
  /** Whether this browser keeps what waits. */
  const kept = ref(true);
  const savedAt = ref<Date | null>(null);
  /** Fields and pages with words that were not given to the course yet. */
  const typing = ref(0);
  const undoWhat = ref<string>();
  const redoWhat = ref<string>();
  /** What went wrong last; `asking` runs a request and tells it. */
  const { trouble, trying: asking } = useTrying();
  /** What was just done, in words, and where. */
  const shown = shallowRef<Shown | null>(null);
  /** Counts changes that did not come from this screen's own hands: undo, a draft, another window. */
  const outside = ref(0);
  let engine: CourseEngine | undefined;

  const lessons = computed(() => (course.value ? allLessons(course.value) : []));
  const mayEdit = computed(() => role.value === 'author');
  /** This person's texts that met another's change, until they choose. */
  const conflicts = computed(() =>
    course.value ? conflictsOf(course.value).filter((take) => take.made.by === (session.person?.name ?? '')) : [],
  );

  /**
   * Opens a course in place of the one at hand, which goes on sending what waits and shows nothing any more. Throws
   * what keeps it from being opened.
   */
  async function open(id: string): Promise<void> {
    void leave();
    const made: CourseEngine = courseEngine({
      server: serverOf(id),
      box: outboxOf(session.person?.id ?? 'nobody', id),
      maker: () => session.person?.name ?? '',
      screen: {
        opened: (next) => void (role.value = next),
        show: (next) => void (course.value = next),
        outside: () => void outside.value++,
        saving(state, isKept) {
          if (state === 'saved' && saving.value !== 'saved') savedAt.value = new Date();
          saving.value = state;
          kept.value = isKept;
        },
        undoable(undo, redo) {
          undoWhat.value = undo;
          redoWhat.value = redo;
        },
        trouble: (next) => void (trouble.value = next),
      },
    });
    engine = made;
    trouble.value = null;
    shown.value = null;
    savedAt.value = null;
    await made.open();
  }

  /** Leaves the course at hand; what is typed in it is sent still. What was shown of it stays until another is. */
  async function leave(): Promise<void> {
    const left = engine;
    // While it is still the one that fields and editors give their words to.
    left?.flushTyping();
    engine = undefined;
    saving.value = 'saved';
    await left?.end();
  }

  /**
   * Makes changes as one gesture, all or none. `group` joins them to an earlier one. False when they do not fit, which
   * is told.
   */
  function change(what: string, operations: readonly Operation[], group = freshId('g')): boolean {
    return engine?.change(what, operations, { group }) ?? false;
  }

  /**
   * Takes in what is typed: each part for itself; what meets somebody else's change is kept beside it. What others
   * stand under is remembered as it was.
   */
  function type(what: string, operations: readonly Operation[], group = freshId('g')): boolean {
    const earlier = course.value ? keepEarlier(course.value, operations) : [];
    return engine?.change(what, [...operations, ...earlier], { group, loose: true }) ?? false;
  }

  async function takeBack(which: 'undo' | 'redo') {
    if (!course.value || !mayEdit.value) return;
    const answer = await engine?.takeBack(which);
    if (answer) show(`${which === 'undo' ? 'Undone' : 'Done again'}: ${answer.what}`, answer);
  }
  /** Brings the course back to a version. */
  async function backTo(version: { id: string; name: string }): Promise<boolean> {
    const answer = await engine?.backTo(version.id);
    if (answer) show(`Back to “${version.name}”. Undo brings it forward again.`, answer);
    return answer !== undefined;
  }
  function show(said: string, { operations = [] }: Answer) {
    const fields = operations.flatMap((operation) =>
      operation.type === 'set' && operation.id === course.value?.id ? operation.field : [],
    );
    shown.value = {
      said,
      ids: operations.map((operation) => (operation.type === 'insert' ? operation.node.id : operation.id)),
      fields,
      count: (shown.value?.count ?? 0) + 1,
    };
  }

  /** Shows where something of the course stands, in its room. */
  const point = (id: string) =>
    void (shown.value = { said: '', ids: [id], fields: [], count: (shown.value?.count ?? 0) + 1 });

  /** Settles a conflict: mine in its place, or what stands there with mine kept as a take. */
  function settleConflict(take: Take, keep: 'mine' | 'theirs') {
    if (!course.value) return;
    const operations = keep === 'mine' ? takeText(course.value, take) : letStand(take);
    if (operations.length === 0)
      trouble.value = {
        code: 'place-gone',
        message: 'There is no place for it any more. It stays in the bin, under “Texts without a place”.',
      };
    if (change(keep === 'mine' ? 'your text over another' : 'your text kept as a take', operations)) outside.value++;
  }

  return {
    course,
    role,
    mayEdit,
    lessons,
    saving,
    kept,
    savedAt,
    typing,
    undoWhat,
    redoWhat,
    conflicts,
    trouble,
    shown,
    outside,
    open,
    leave,
    change,
    type,
    backTo,
    point,
    asking,
    settleConflict,
    undo: () => takeBack('undo'),
    redo: () => takeBack('redo'),
    settleAll: () => engine?.settleAll() ?? Promise.resolve(),
    refresh: () => engine?.refresh() ?? Promise.resolve(true),
    hear: (revision: number) => engine?.hear(revision) ?? Promise.resolve(),
    flushTyping: () => engine?.flushTyping(),
    stuck: () => engine?.stuck() ?? [],
    forgetStuck: () => engine?.forget() ?? Promise.resolve(),
    onFlush: (flusher: () => void) => engine?.onFlush(flusher) ?? (() => undefined),
  };
});

/**
 * Sends what waits in this browser for courses that were left while the server could not be reached. What cannot be
 * sent waits on.
 */
export async function sendLeftBehind(person: { id: string; name: string }): Promise<void> {
  const nobody = () => undefined;
  for (const id of await coursesWaiting(person.id)) {
    const engine = courseEngine({
      server: serverOf(id),
      box: outboxOf(person.id, id),
      maker: () => person.name,
      screen: { opened: nobody, show: nobody, outside: nobody, saving: nobody, undoable: nobody, trouble: nobody },
    });
    await engine.open().then(() => engine.end(), nobody);
  }
}

/** A course's routes on our server. */
function serverOf(id: string): CourseServer {
  return {
    open: () => api('GET /api/courses/:course', { course: id }),
    post: (body) => api('POST /api/courses/:course/operations', { course: id, body }),
    changes: (since) => api('GET /api/courses/:course/changes', { course: id, query: { since } }),
    takeBack: (which, since) => api(`POST /api/courses/:course/${which}`, { course: id, body: { since } }),
    backTo: (version, since) =>
      api('POST /api/courses/:course/versions/:version/back', { course: id, version, body: { since } }),
  };
}
