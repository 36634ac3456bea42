import { del, get, set } from 'idb-keyval';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { allLessons, type Course } from '~~/core/course/course';
import { apply, applyAll, type Operation } from '~~/core/course/operations';
import { freshId, troubleOf, type Trouble } from '~/composables/useApi';

/** A change that the server has not confirmed yet. */
interface Pending {
  id: string;
  group: string;
  what: string;
  operation: Operation;
}

/** A change that could not be made because the place was changed meanwhile: both texts are kept for the author. */
export interface Conflict {
  id: string;
  operation: Operation;
  now: unknown;
  message: string;
}

interface Answer {
  revision: number;
  accepted?: string[];
  refused?: { id: string; problem: { code: string }; now?: unknown }[];
  missed: Operation[];
  operations?: Operation[];
  what?: string;
  undo?: string;
  redo?: string;
}

/** Milliseconds until the server is asked again after it could not be reached. */
const RETRY = 4000;
const passing = (trouble: Trouble) => trouble.code === 'offline' || trouble.code === 'fault';

/**
 * The course on the desk. What is shown is what the server has confirmed with the pending changes on top; every change
 * goes through `change`, is shown at once, kept in this browser until it is confirmed, and can be undone.
 */
export const useCourse = defineStore('course', () => {
  const course = shallowRef<Course | null>(null);
  const role = ref('author');
  const saving = ref<'saved' | 'saving' | 'waiting'>('saved');
  const savedAt = ref<Date | null>(null);
  const undoWhat = ref<string>();
  const redoWhat = ref<string>();
  const conflicts = ref<Conflict[]>([]);
  const trouble = ref<Trouble | null>(null);
  const said = ref('');
  /** Counts changes that did not come from this screen's own hands: undo, a draft, another window. */
  const outside = ref(0);

  let confirmed: Course | null = null;
  let revision = 0;
  let pending: Pending[] = [];
  let sending: Promise<void> | null = null;
  let turns: Promise<unknown> = Promise.resolve();
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** Editors put their unsaved words in here when asked. */
  const flushers = new Set<() => void>();

  const lessons = computed(() => (course.value ? allLessons(course.value) : []));
  const mayEdit = computed(() => role.value === 'author');
  const boxKey = (id: string) => `pending/${id}`;

  async function open(id: string) {
    const answer = await $fetch<{ course: Course; revision: number; role: string; undo?: string; redo?: string }>(`/api/courses/${id}`);
    confirmed = answer.course;
    revision = answer.revision;
    role.value = answer.role;
    undoWhat.value = answer.undo;
    redoWhat.value = answer.redo;
    conflicts.value = [];
    trouble.value = null;
    pending = ((await get<Pending[]>(boxKey(id))) ?? []).filter(() => answer.role === 'author');
    show();
    if (pending.length > 0) void flush();
  }

  function show() {
    let next = confirmed;
    for (const { operation } of pending) {
      const applied = next && apply(next, operation);
      if (applied?.ok) next = applied.course;
    }
    course.value = next;
  }

  /** Makes changes as one gesture. `group` joins them to an earlier one, such as the same burst of typing. False when one does not fit. */
  function change(what: string, operations: readonly Operation[], group = freshId('g')): boolean {
    if (!course.value || operations.length === 0) return false;
    const applied = applyAll(course.value, operations);
    if (!applied.ok) {
      trouble.value = { code: applied.problem.code, message: `This could not be done (${applied.problem.code}). Nothing was changed.` };
      return false;
    }
    course.value = applied.course;
    pending.push(...operations.map((operation) => ({ id: freshId('x'), group, what, operation })));
    undoWhat.value = what;
    redoWhat.value = undefined;
    keepPending();
    saving.value = 'saving';
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), 40);
    return true;
  }

  function keepPending() {
    const id = course.value!.id;
    void (pending.length > 0 ? set(boxKey(id), JSON.parse(JSON.stringify(pending))) : del(boxKey(id)));
  }

  /** Sends what is pending, in order, one request at a time. */
  function flush(): Promise<void> {
    clearTimeout(timer);
    sending ??= send().finally(() => {
      sending = null;
      if (pending.length > 0 && saving.value !== 'waiting') void flush();
    });
    return sending;
  }

  async function send() {
    if (!confirmed || pending.length === 0) return;
    const id = confirmed.id;
    const batch = pending.filter((each) => each.group === pending[0].group).slice(0, 2000);
    saving.value = 'saving';
    try {
      const answer = await $fetch<Answer>(`/api/courses/${id}/operations`, { method: 'POST', body: { since: revision, what: batch[0].what, changes: batch.map(({ id: change, group, operation }) => ({ id: change, group, operation })) } });
      await settle(id, answer, batch);
    } catch (error) {
      trouble.value = troubleOf(error);
      saving.value = 'waiting';
      if (passing(trouble.value)) setTimeout(() => void flush(), RETRY);
      else {
        // The server will never take these: they are shown as what they are, and the course as it stands there.
        pending = pending.filter((each) => !batch.includes(each));
        keepPending();
        await open(id);
      }
    }
  }

  async function settle(id: string, answer: Answer, batch: readonly Pending[]) {
    const refused = new Map((answer.refused ?? []).map((each) => [each.id, each]));
    const own = batch.filter((each) => !refused.has(each.id)).map((each) => each.operation);
    pending = pending.filter((each) => !batch.includes(each));
    keepPending();
    await advance(id, answer, own);
    for (const each of batch) {
      const why = refused.get(each.id);
      if (why && 'now' in why) conflicts.value.push({ id: each.id, operation: each.operation, now: why.now, message: 'Somebody changed the same place meanwhile. Both texts are kept until you choose.' });
      else if (why) trouble.value = { code: why.problem.code, message: 'A change did not fit any more and was left out: what it was about is not there. Look in the bin.' };
    }
    saving.value = 'saved';
    savedAt.value = new Date();
    if (trouble.value?.code === 'offline') trouble.value = null;
  }

  /** Brings the confirmed course forward by what others did and by one's own; reads it anew when that does not fit. */
  async function advance(id: string, answer: Answer, own: readonly Operation[]) {
    undoWhat.value = answer.undo;
    redoWhat.value = answer.redo;
    const applied = confirmed && applyAll(confirmed, [...answer.missed, ...own]);
    if (applied?.ok) {
      confirmed = applied.course;
      revision = answer.revision;
    } else {
      const fresh = await $fetch<{ course: Course; revision: number }>(`/api/courses/${id}`);
      confirmed = fresh.course;
      revision = fresh.revision;
    }
    // Own changes that were confirmed, and nothing else: what is shown is right already.
    if (pending.length === 0 && answer.missed.length === 0 && applied?.ok && own.length > 0 && !answer.operations && (answer.refused ?? []).length === 0) return;
    show();
    outside.value++;
  }

  /** Sends everything that is typed or pending and waits for it. */
  async function settleAll() {
    for (const flusher of flushers) flusher();
    while (pending.length > 0 && saving.value !== 'waiting') await flush();
  }

  /** One after another, in the order they were asked for: what comes back from one is what the next begins with. */
  function inTurn<T>(work: () => Promise<T>): Promise<T> {
    const next = turns.then(work, work);
    turns = next.then(() => undefined, () => undefined);
    return next;
  }

  const takeBack = (which: 'undo' | 'redo') => inTurn(async () => {
    if (!course.value || !mayEdit.value) return;
    await settleAll();
    await asking(async () => {
      const answer = await $fetch<Answer>(`/api/courses/${course.value!.id}/${which}`, { method: 'POST', body: { since: revision } });
      await advance(course.value!.id, answer, answer.operations ?? []);
      said.value = `${which === 'undo' ? 'Undone' : 'Done again'}: ${answer.what}`;
    });
  });

  /** Brings the course back to a version. */
  const backTo = (version: { id: string; name: string }): Promise<boolean> => inTurn(async () => {
    await settleAll();
    return asking(async () => {
      const answer = await $fetch<Answer>(`/api/courses/${course.value!.id}/versions/${version.id}/back`, { method: 'POST', body: { since: revision } });
      await advance(course.value!.id, answer, answer.operations ?? []);
      said.value = `Back to “${version.name}”. Undo brings it forward again.`;
    });
  });

  /** Runs a request; what goes wrong is shown. */
  async function asking(work: () => Promise<void>): Promise<boolean> {
    try {
      await work();
      trouble.value = null;
      return true;
    } catch (error) {
      trouble.value = troubleOf(error);
      return false;
    }
  }

  /**
   * Asks for what others did since: another window, a job. What is typed here is sent first; its answer brings theirs
   * along. False when the server could not be reached and asking again is worth it.
   */
  const refresh = (): Promise<boolean> => inTurn(async () => {
    if (!course.value) return true;
    for (const flusher of flushers) flusher();
    if (pending.length > 0) {
      await flush();
      return true;
    }
    const id = course.value.id;
    try {
      const answer = await $fetch<Answer>(`/api/courses/${id}/changes`, { query: { since: revision } });
      if (answer.revision > revision && course.value?.id === id) await advance(id, answer, []);
      return true;
    } catch (error) {
      return !passing(troubleOf(error));
    }
  });

  /** Hears of a revision: asks for what is missing unless it is one's own, again and again while the server cannot be reached. */
  async function hear(newest: number) {
    const id = course.value?.id;
    await sending;
    if (newest <= revision || await refresh()) return;
    setTimeout(() => id === course.value?.id && void hear(newest), RETRY);
  }

  /** Settles a conflict: mine over what stands there, or theirs with mine kept as a take. */
  function settleConflict(conflict: Conflict, keep: 'mine' | 'theirs') {
    conflicts.value = conflicts.value.filter((each) => each.id !== conflict.id);
    const { operation } = conflict;
    if (operation.type !== 'set' || !course.value) return;
    if (keep === 'mine') change('your text over another', [{ ...operation, was: conflict.now }]);
    else change('your text kept as a take', [{ type: 'insert', kind: 'take', parent: course.value.id, after: course.value.takes.at(-1)?.id ?? null, node: { id: freshId('t'), of: operation.id, field: operation.field, value: operation.value } }]);
  }

  return {
    course, role, mayEdit, lessons, saving, savedAt, undoWhat, redoWhat, conflicts, trouble, said, outside,
    open, change, flush, settleAll, refresh, hear, backTo, asking, settleConflict,
    undo: () => takeBack('undo'), redo: () => takeBack('redo'),
    onFlush(flusher: () => void) {
      flushers.add(flusher);
      return () => flushers.delete(flusher);
    },
  };
});
