import { keepRefused, metAnother, refitted, without } from '~~/core/course/conflicts';
import type { Course } from '~~/core/course/course';
import { applyAll, gesturesOf, replayAll, type Operation } from '~~/core/course/operations';
import { freshId, troubleOf, type Trouble } from '~/composables/useApi';
import type { Outbox, Pending } from './outbox';
import type { Answer, CourseServer, Opened } from './server';

/**
 * How a course stands in this window: `saved`, nothing waits; `saving`; `waiting`, what was changed lies here until the
 * server can be reached; `stuck`, some of it the server will never take.
 */
export type Saving = 'saved' | 'saving' | 'waiting' | 'stuck';

/** What an engine tells the screen. Nothing is told once it has ended. */
export interface Screen {
  /** The course was opened, by somebody of this part in it; before anything of it is shown. */
  opened(role: string): void;
  show(course: Course | null): void;
  /** Changes came that this screen's own hands did not make: undo, a draft, another window. */
  outside(): void;
  saving(state: Saving, kept: boolean): void;
  undoable(undo: string | undefined, redo: string | undefined): void;
  trouble(trouble: Trouble | null): void;
}

interface Means {
  server: CourseServer;
  box: Outbox;
  screen: Screen;
  /** Who makes changes here, for texts that are kept beside another's. */
  maker: () => string;
  now?: () => number;
}

/** Milliseconds until the server is asked again after it could not be reached, and until a change is sent. */
const RETRY = 4000;
const SOON = 40;
/**
 * Operations of a gesture that is kept as takes when it is refused: what is larger was drafted, and can be made again.
 */
const KEPT_OF_ONE = 20;

/** Troubles that pass: what waits is sent again by itself, or once one has signed in. */
const PASSING = new Set([
  'offline',
  'fault',
  'disk-full',
  'disk-read-only',
  'data-missing',
  'data-damaged',
  'data-unreadable',
  'too-often',
  'not-signed-in',
  'own-password-first',
]);

/**
 * Keeps one course in step with the server, from when it is opened until it is ended; it never touches another. What is
 * shown is what the server has confirmed with the pending changes on top. Changes go out in the order they were made,
 * one gesture at a time; each is kept in the box until it is confirmed. What meets somebody else's change is laid
 * beside it as a take, which is a change like any other. Ended, it still sends what waits, and tells nobody.
 */
export function courseEngine({ server, box, screen, maker, now = Date.now }: Means) {
  let confirmed: Course | null = null;
  let shown: Course | null = null;
  let revision = 0;
  let pending: Pending[] = [];
  let stuck: Pending[] = [];
  let inFlight: readonly Pending[] = [];
  let state: Saving = 'saved';
  let kept = true;
  let sending: Promise<void> | null = null;
  let turns: Promise<unknown> = Promise.resolve();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ended = false;
  let last = 0;
  let told: Trouble | null = null;
  const flushers = new Set<() => void>();
  /** The screen, as long as there is one. */
  const tell: Screen = {
    opened: (role) => void (ended || screen.opened(role)),
    show: (course) => void (ended || screen.show(course)),
    outside: () => void (ended || screen.outside()),
    saving: (...told) => void (ended || screen.saving(...told)),
    undoable: (...told) => void (ended || screen.undoable(...told)),
    trouble(trouble) {
      told = trouble;
      if (!ended) screen.trouble(trouble);
    },
  };

  async function open(): Promise<Opened> {
    const opened = await server.open();
    confirmed = opened.course;
    revision = opened.revision;
    const found = opened.role === 'author' ? await box.load() : [];
    stuck = found.filter((change) => change.stuck);
    pending = found.filter((change) => !change.stuck);
    last = Math.max(last, ...found.map((change) => change.at));
    tell.opened(opened.role);
    tell.undoable(opened.undo, opened.redo);
    settleState();
    show();
    if (pending.length > 0) void flush();
    return opened;
  }

  /**
   * What is confirmed with what is pending on top; a gesture that does not fit any more is left to the server to
   * refuse.
   */
  function show() {
    let next = confirmed;
    for (const gesture of gesturesOf(pending)) {
      const applied =
        next &&
        applyAll(
          next,
          gesture.map((change) => change.operation),
        );
      if (applied?.ok) next = applied.course;
    }
    shown = next;
    tell.show(next);
  }

  function setState(next: Saving) {
    state = next;
    tell.saving(next, kept);
  }
  const settleState = () => setState(pending.length > 0 ? 'saving' : stuck.length > 0 ? 'stuck' : 'saved');

  /**
   * Makes changes as one gesture; `group` joins them to an earlier one, such as the same burst of typing. `loose`: its
   * parts stand each for itself, and what meets another's change is kept beside it. False when (part of) it did not
   * fit.
   */
  function change(
    what: string,
    operations: readonly Operation[],
    { group = freshId('g'), loose = false } = {},
  ): boolean {
    if (!shown || operations.length === 0) return false;
    const whole = applyAll(shown, operations);
    if (whole.ok) {
      push(what, operations, group, loose, whole.course);
      return true;
    }
    const refused: Operation[] = [];
    if (loose) {
      for (const operation of operations) {
        const one = fitting(shown!, operation);
        if (one) push(what, [one.operation], group, loose, one.course);
        else refused.push(operation);
      }
      keepBeside(refused.map((operation) => ({ id: freshId('x'), operation })));
      tell.outside();
    } else
      tell.trouble({
        code: whole.problem.code,
        message: `This could not be done (${whole.problem.code}). Nothing was changed.`,
      });
    return false;
  }

  function push(what: string, operations: readonly Operation[], group: string, loose: boolean, course: Course) {
    shown = course;
    const fresh = operations.map((operation): Pending => ({
      id: freshId('x'),
      group,
      what,
      loose,
      at: (last = Math.max(last + 1, now())),
      operation,
    }));
    const merged = mergedInto(fresh);
    pending.push(...merged);
    // What was said of something tried before holds no more.
    if (told && !PASSING.has(told.code)) tell.trouble(null);
    tell.show(course);
    tell.undoable(what, undefined);
    void put(merged);
    setState(state === 'waiting' ? 'waiting' : 'saving');
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), SOON);
  }

  /**
   * A set that goes on with the last one of its burst, which was not sent yet, takes its place: typing without a server
   * does not pile up.
   */
  function mergedInto(fresh: Pending[]): Pending[] {
    const [one] = fresh;
    const before = pending.at(-1);
    if (
      fresh.length > 1 ||
      !before ||
      inFlight.includes(before) ||
      before.group !== one.group ||
      before.operation.type !== 'set' ||
      one.operation.type !== 'set'
    )
      return fresh;
    if (before.operation.id !== one.operation.id || before.operation.field !== one.operation.field) return fresh;
    pending = pending.slice(0, -1);
    void box.drop([before.id]);
    return [{ ...one, at: before.at, operation: { ...one.operation, was: before.operation.was } }];
  }

  async function put(changes: readonly Pending[]) {
    kept = await box.put(changes);
    tell.saving(state, kept);
  }

  /** Lays words that met another's change beside it. */
  function keepBeside(refused: readonly { id: string; operation: Operation }[]) {
    if (!shown || refused.length === 0) return;
    const operations = keepRefused(shown, refused, { at: now(), by: maker().slice(0, 80) });
    const applied = applyAll(shown, operations);
    if (applied.ok && operations.length > 0)
      push('your text kept beside another', operations, freshId('g'), true, applied.course);
  }

  /** Sends what is pending, in order, one gesture at a time. */
  function flush(): Promise<void> {
    clearTimeout(timer);
    sending ??= send().finally(() => {
      sending = null;
      inFlight = [];
      if (pending.length > 0 && state !== 'waiting') void flush();
    });
    return sending;
  }

  async function send() {
    const [batch] = gesturesOf(pending);
    if (!confirmed || !batch) return;
    inFlight = batch;
    if (state !== 'waiting') setState('saving');
    try {
      const answer = await server.post({
        since: revision,
        what: batch[0].what,
        changes: batch.map(({ id, group, operation }) => ({ id, group, operation })),
      });
      await settle(answer, batch);
    } catch (error) {
      const trouble = troubleOf(error);
      tell.trouble(trouble);
      if (PASSING.has(trouble.code)) {
        setState('waiting');
        timer = setTimeout(() => void flush(), RETRY);
        return;
      }
      await setAside(batch);
    }
  }

  /**
   * The server will never take these: they are kept here for their author, and the course is shown as it stands there.
   */
  async function setAside(batch: readonly Pending[]) {
    const aside = [...batch];
    const rest: Pending[] = [];
    // What was made on top of them is made without them, or lies aside with them: it did not meet anybody else.
    for (const gesture of gesturesOf(pending.filter((each) => !batch.includes(each)))) {
      const gone = aside.map((each) => each.operation);
      const made = gesture.map((change) => ({ change, operation: without(change.operation, gone) }));
      // A gesture is made whole or not at all, unless its parts stand each for itself.
      const falls = made.some(({ change, operation }) => !operation && !change.loose);
      for (const { change, operation } of made) {
        if (falls || !operation) aside.push(change);
        else rest.push(operation === change.operation ? change : { ...change, operation });
      }
    }
    const rebased = rest.filter((change) => !pending.includes(change));
    pending = rest;
    const kept = aside.map((change) => ({ ...change, stuck: true }));
    stuck.push(...kept);
    await put([...kept, ...rebased]);
    settleState();
    const opened = await server.open().catch(() => undefined);
    if (opened) {
      confirmed = opened.course;
      revision = opened.revision;
    }
    show();
    tell.outside();
  }

  async function settle(answer: Answer, batch: readonly Pending[]) {
    const refused = new Set((answer.refused ?? []).map((each) => each.id));
    const taken = batch.filter((each) => !refused.has(each.id));
    const left = batch.filter((each) => refused.has(each.id));
    const forGood = (answer.refused ?? []).some(
      ({ problem }) => problem.code !== 'with-gesture' && !metAnother(problem.code),
    );
    const before = pending;
    pending = pending.filter((each) => !batch.includes(each));
    try {
      await advance(
        answer,
        taken.map((each) => each.operation),
      );
    } catch (error) {
      // The course could not be read anew: they are sent once more, and made once all the same.
      pending = before;
      throw error;
    }
    if (left.length > 0) await (forGood ? setAside(left) : again(left));
    const stay = new Set([...pending, ...stuck].map((each) => each.id));
    void box.drop(batch.map((each) => each.id).filter((id) => !stay.has(id)));
    reached();
    settleState();
  }

  /** The server answered: what was said of a connection that was lost holds no more. */
  function reached() {
    if (told && PASSING.has(told.code)) tell.trouble(null);
  }

  /**
   * A gesture that was refused: its parts that fit by themselves go out again, the words of the others are kept beside.
   */
  function again(left: readonly Pending[]) {
    const keep: Pending[] = [];
    const ahead = pending;
    pending = [];
    shown = confirmed;
    for (const change of left) {
      const fits = change.loose && shown ? fitting(shown, change.operation) : undefined;
      if (fits) {
        // Made to fit, it is another change than the one that was refused.
        const alone = {
          ...change,
          operation: fits.operation,
          id: fits.operation === change.operation ? change.id : freshId('x'),
          group: `${change.group.slice(0, 9)}${change.id.slice(-4)}`,
        };
        pending.push(alone);
        shown = fits.course;
        void put([alone]);
      } else keep.push(change);
    }
    const commands = keep.filter((change) => !change.loose);
    keepBeside(commands.length <= KEPT_OF_ONE ? keep : keep.filter((change) => change.loose));
    if (commands.length > 0)
      tell.trouble({
        code: 'did-not-fit',
        message: `“${commands[0].what}” did not fit any more: somebody changed the place meanwhile. Look in the bin.`,
      });
    // What is mended goes out before what was made since.
    pending = [...pending, ...ahead];
    show();
    tell.outside();
  }

  /** Brings the confirmed course forward by what others did and by one's own; reads it anew when that does not fit. */
  async function advance(answer: Answer, own: readonly Operation[]) {
    tell.undoable(answer.undo, answer.redo);
    const { missed } = answer;
    const applied = confirmed && missed && replayAll(confirmed, [...missed, ...own]);
    if (applied?.ok) {
      confirmed = applied.course;
      revision = answer.revision;
    } else {
      const fresh = await server.open();
      confirmed = fresh.course;
      revision = fresh.revision;
    }
    // Own changes that were confirmed, and nothing else: what is shown is right already.
    if (
      pending.length === 0 &&
      applied?.ok &&
      missed?.length === 0 &&
      own.length > 0 &&
      !answer.operations &&
      (answer.refused ?? []).length === 0
    )
      return;
    show();
    tell.outside();
  }

  /** Sends everything that is typed or pending and waits for it. */
  async function settleAll() {
    flushTyping();
    while (pending.length > 0 && state !== 'waiting') await flush();
  }
  function flushTyping() {
    for (const flusher of [...flushers]) flusher();
  }

  /** One after another, in the order they were asked for: what comes back from one is what the next begins with. */
  function inTurn<T>(work: () => Promise<T>): Promise<T> {
    const next = turns.then(work, work);
    turns = next.then(
      () => undefined,
      () => undefined,
    );
    return next;
  }

  /**
   * What the server makes of the course: undo, redo, a version. Undefined where something went wrong, which is told.
   */
  const made = (ask: () => Promise<Answer>): Promise<Answer | undefined> =>
    inTurn(async () => {
      if (!confirmed) return undefined;
      await settleAll();
      try {
        const answer = await ask();
        await advance(answer, answer.operations ?? []);
        tell.trouble(null);
        return answer;
      } catch (error) {
        tell.trouble(troubleOf(error));
        return undefined;
      }
    });

  /**
   * Asks for what others did since, up to `newest` where that is known; what is typed here is sent first, and its
   * answer brings theirs along. False when it is worth asking again.
   */
  const refresh = (newest = Infinity): Promise<boolean> =>
    inTurn(async () => {
      // What was waited for may have come along with an answer of one's own.
      if (!confirmed || newest <= revision) return true;
      flushTyping();
      if (pending.length > 0) {
        await flush();
        return true;
      }
      try {
        const answer = await server.changes(revision);
        if (answer.revision > revision) await advance(answer, []);
        return true;
      } catch (error) {
        return !PASSING.has(troubleOf(error).code);
      }
    });

  /**
   * Hears of a revision: asks for what is missing unless it is one's own, again and again while the server cannot be
   * reached.
   */
  async function hear(newest: number): Promise<void> {
    await sending;
    if (ended || newest <= revision || (await refresh(newest))) return;
    setTimeout(() => void hear(newest), RETRY);
  }

  return {
    open,
    change,
    flush,
    settleAll,
    flushTyping,
    refresh: () => refresh(),
    hear,
    takeBack: (which: 'undo' | 'redo') => made(() => server.takeBack(which, revision)),
    backTo: (version: string) => made(() => server.backTo(version, revision)),
    /** Changes that the server will never take, for their author to copy. */
    stuck: (): readonly Pending[] => stuck,
    /** Lets go of them. */
    async forget() {
      await box.drop(stuck.map((change) => change.id));
      stuck = [];
      settleState();
    },
    /** Editors and fields put their unsaved words in when asked; what comes back ends that. */
    onFlush(flusher: () => void): () => void {
      flushers.add(flusher);
      return () => void flushers.delete(flusher);
    },
    /** The page is left: what is typed is sent still, nobody is told any more. */
    async end() {
      flushTyping();
      ended = true;
      await settleAll();
      clearTimeout(timer);
    },
  };
}

export type CourseEngine = ReturnType<typeof courseEngine>;

/**
 * An operation as it fits the course: as it is, or, where another part of the same value was changed meanwhile, joined
 * with that.
 */
function fitting(course: Course, given: Operation): { operation: Operation; course: Course } | undefined {
  for (const operation of [given, refitted(course, given)]) {
    const made = operation && applyAll(course, [operation]);
    if (made?.ok) return { operation: operation!, course: made.course };
  }
  return undefined;
}
