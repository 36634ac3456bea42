import { mark, type Secret } from '../../core/checks/markings';
import { fail } from '../../core/document/problem';
import {
  after,
  allShown,
  progressOf,
  shown,
  stateAfter,
  type LearnerEvent,
  type LearnerLine,
  type LearnerState,
  type Shown,
} from '../../core/learning/progress';
import { carriedOver, difference, type Difference } from '../../core/learning/releases';
import { answersIn, type CheckAnswers } from '../../core/learning/answers';
import type { Rules } from '../../core/learning/rules';
import { checksIn, lessonsOf, type LearnerCourse } from '../../core/learning/view';
import type { Db } from '../database/open';
import { releasesIn, type AttemptRow, type LearnerRow, type ReleaseRow } from '../database/releases';
import { freshToken, tokenHash } from '../rights/password';
import { freshId } from '../ids';
import type { NewsDesk } from './news';
import type { ReleaseDesk } from './releases';
import { remembered } from '../utils/remembered';

/** What a learner may know of themselves. */
export interface ToldLearner {
  read: string[];
  answers: Record<string, Shown>;
  at?: string;
  /**
   * Events that could not be taken, each with why: `gone` (no such lesson, or the check does not stand there),
   * `lesson-closed`.
   */
  refused?: { id: string; code: string }[];
}

/** Learners' states kept in memory; each is what their attempts say. */
const KEPT = 2000;

/** What a learner did, on its way to the disk. */
interface Queued {
  learner: LearnerRow;
  events: (LearnerEvent & { at: number })[];
  state?: LearnerState;
  refused?: NonNullable<ToldLearner['refused']>;
  done: (told: ToldLearner) => void;
  failed: (error: unknown) => void;
}

const standings = new WeakMap<LearnerCourse, Map<string, Set<string>>>();

/** The checks that stand in each lesson of a frozen course. */
function standingIn(view: LearnerCourse): Map<string, Set<string>> {
  const known = standings.get(view) ?? new Map(lessonsOf(view).map((lesson) => [lesson.id, new Set(checksIn(lesson))]));
  standings.set(view, known);
  return known;
}

/** Those who learn, and what they did: attempts are only ever added, everything else is computed from them. */
export function learnerDesk(db: Db, desk: ReleaseDesk, news: NewsDesk, now: () => number) {
  const releases = releasesIn(db);
  const states = remembered<LearnerState>({ most: KEPT });
  const differences = remembered<Difference>({ most: 100 });
  let queue: Queued[] = [];

  const changesBetween = (from: string, to: string): Difference =>
    differences.of(`${from}/${to}`, () => difference(desk.frozen(from).view, desk.frozen(to).view));

  /** What a learner did on this release, and what still counts of older ones. */
  function eventsOf(learner: LearnerRow): (LearnerEvent & { at: number })[] {
    return releases.attempts(learner.id).flatMap((attempt) => {
      const event = { ...eventOf(attempt), at: attempt.made_at };
      const counts =
        attempt.release_id === learner.release_id ||
        carriedOver([event], changesBetween(attempt.release_id, learner.release_id)).length > 0;
      return counts ? [event] : [];
    });
  }
  /** Where a learner stands. */
  const stateOf = (learner: LearnerRow, rules: ReleaseRow['rules']): LearnerState =>
    states.of(`${learner.id}/${learner.release_id}`, () =>
      stateAfter(eventsOf(learner), desk.frozen(learner.release_id).keys, rules),
    );
  const learnerOf = (courseId: string, id: string): LearnerRow =>
    releases.learners(courseId).find((row) => row.id === id) ?? fail('no-such-learner', undefined, id);
  function told(learner: LearnerRow, state: LearnerState): ToldLearner {
    return {
      read: state.read,
      answers: allShown(state, desk.frozen(learner.release_id).keys, desk.rules(learner.release_id)),
      ...(state.at && { at: state.at }),
    };
  }

  /**
   * Writes everything that came in since the last time in one transaction: many learners at once cost one write to the
   * disk. One that fails fails alone.
   */
  function write(): void {
    const batch = queue;
    queue = [];
    try {
      const states = new Map<string, LearnerState>();
      db.transaction(() => batch.forEach((each) => taken(each, states)))();
      batch.forEach(answer);
    } catch {
      for (const each of batch) {
        try {
          db.transaction(() => taken(each, new Map()))();
          answer(each);
        } catch (error) {
          each.failed(error);
        }
      }
    }
    for (const course of new Set(batch.map(({ learner }) => learner.course_id)))
      news.tell(course, { kind: 'learners' });
  }

  /**
   * Takes one learner's events, in order (`reached`: where learners are by what came just before): only what stands in
   * the course, and in a lesson that is open to them by then.
   */
  function taken(each: Queued, reached: Map<string, LearnerState>): void {
    const { learner, events } = each;
    const [{ view, keys }, rules] = [desk.frozen(learner.release_id), desk.rules(learner.release_id)];
    const standing = standingIn(view);
    each.state = reached.get(learner.id) ?? stateOf(learner, rules);
    each.refused = [];
    releases.seen(learner.id, now());
    for (const event of events) {
      const lesson = standing.get(event.lesson);
      const known = lesson && (event.kind === 'read' || (lesson.has(event.check) && canTake(event, keys)));
      if (!known) each.refused.push({ id: event.id, code: 'gone' });
      else if (rules.order === 'forced' && !progressOf(view, rules, each.state).lessons[event.lesson].open)
        each.refused.push({ id: event.id, code: 'lesson-closed' });
      else if (releases.addAttempt(learner.id, attemptOf(event, learner.release_id, now())))
        each.state = after(each.state, event, keys, rules);
    }
    reached.set(learner.id, each.state);
  }

  function answer({ learner, events, state, refused, done, failed }: Queued): void {
    try {
      states.keep(`${learner.id}/${learner.release_id}`, state!);
      const [keys, rules] = [desk.frozen(learner.release_id).keys, desk.rules(learner.release_id)];
      done({ ...toldOf(events, state!, keys, rules), ...(refused!.length > 0 && { refused }) });
    } catch (error) {
      failed(error);
    }
  }

  return {
    /** Begins a course; the key is told once, to the learner. Somebody who is signed in has one place per course. */
    begin(
      courseId: string,
      release: ReleaseRow,
      who: { person?: { id: string; name: string }; name?: string },
    ): { learner: LearnerRow; key: string } {
      const name = who.person?.name ?? who.name?.trim();
      if (!name) fail('name-wanted');
      const key = freshToken();
      const learner: LearnerRow = {
        id: freshId('n'),
        course_id: courseId,
        release_id: release.id,
        person_id: who.person?.id ?? null,
        name,
        begun_at: now(),
        seen_at: now(),
      };
      releases.addLearner({ ...learner, key: tokenHash(key) });
      news.tell(courseId, { kind: 'learners' });
      return { learner, key };
    },
    byPerson: (courseId: string, person: string) => releases.learnerByPerson(courseId, person),
    byKey: (courseId: string, key: string) => releases.learnerByKey(courseId, tokenHash(key)),
    told: (learner: LearnerRow) => told(learner, stateOf(learner, desk.rules(learner.release_id))),
    /**
     * Takes in what a learner did; resolves, with what may be said to just that, when it is on the disk. What cannot be
     * is named, and the rest taken.
     */
    take(learner: LearnerRow, events: (LearnerEvent & { at: number })[]): Promise<ToldLearner> {
      return new Promise((done, failed) => {
        if (queue.length === 0) setImmediate(write);
        queue.push({ learner, events, done, failed });
      });
    },
    /**
     * Takes a learner out: with all they did, or (`whole` false) only their name and their way back in. Gives how many
     * events it was about. Throws `no-such-learner`.
     */
    remove(courseId: string, id: string, whole: boolean): number {
      const count =
        releases.removeLearner(courseId, id, whole ? undefined : tokenHash(freshToken())) ??
        fail('no-such-learner', undefined, id);
      states.forgetWhere((key) => key.startsWith(`${id}/`));
      news.tell(courseId, { kind: 'learners' });
      return count;
    },
    /** Every answer of a learner, as their author reads it. Throws `no-such-learner`. */
    answers(courseId: string, id: string): CheckAnswers[] {
      const learner = learnerOf(courseId, id);
      return answersIn(desk.frozen(learner.release_id), desk.rules(learner.release_id), eventsOf(learner));
    },
    /**
     * Takes a person's mark, 0 to 1, for a learner's last answer to a check. Throws `no-such-learner`, and
     * `nothing-to-mark` where there is no answer.
     */
    mark(courseId: string, id: string, { check, score, said }: { check: string; score: number; said?: string }): void {
      const learner = learnerOf(courseId, id);
      const rules = desk.rules(learner.release_id);
      const answered = this.answers(courseId, id).find((each) => each.check === check);
      if (!answered) return fail('nothing-to-mark', undefined, check);
      const event = {
        id: freshId('e'),
        kind: 'mark' as const,
        lesson: answered.lesson.id,
        check,
        score,
        ...(said && { said }),
        at: now(),
      };
      const before = stateOf(learner, rules);
      releases.addAttempt(learner.id, attemptOf(event, learner.release_id, now()));
      const { keys } = desk.frozen(learner.release_id);
      states.keep(`${learner.id}/${learner.release_id}`, after(before, event, keys, rules));
      news.tell(courseId, { kind: 'learners' });
    },
    /** All learners of a course with how far they are, the last seen first. */
    lines: (courseId: string): LearnerLine[] =>
      releases.learners(courseId).map((learner) => {
        const rules = desk.rules(learner.release_id);
        const { done, minutes, checks, score, completed, passed } = progressOf(
          desk.frozen(learner.release_id).view,
          rules,
          stateOf(learner, rules),
        );
        const progress = {
          done,
          minutes,
          checks,
          completed,
          ...(score !== undefined && { score }),
          ...(passed !== undefined && { passed }),
        };
        return {
          id: learner.id,
          name: learner.name,
          release: desk.get(courseId, learner.release_id).number,
          begun_at: learner.begun_at,
          seen_at: learner.seen_at,
          progress,
        };
      }),
  };
}

/** Of all that may be told, what is about these events. */
function toldOf(
  events: readonly LearnerEvent[],
  state: LearnerState,
  keys: Readonly<Record<string, Secret>>,
  rules: Rules,
): ToldLearner {
  const answers = events.flatMap((event) => {
    const seen =
      event.kind === 'answer' && event.check in state.answers
        ? shown(event.check, state.answers[event.check], keys, rules)
        : undefined;
    return seen && event.kind === 'answer' ? [[event.check, seen] as const] : [];
  });
  return {
    read: [...new Set(events.map((event) => event.lesson))].filter((id) => state.read.includes(id)),
    answers: Object.fromEntries(answers),
    ...(state.at && { at: state.at }),
  };
}

function eventOf(row: AttemptRow): LearnerEvent {
  const [id, lesson] = [row.id, row.lesson_id];
  if (row.kind === 'read') return { id, kind: 'read', lesson };
  const [check, said] = [row.check_id!, JSON.parse(row.answer!) as unknown];
  return row.kind === 'answer'
    ? { id, kind: 'answer', lesson, check, response: said }
    : { id, kind: 'mark', lesson, check, ...markIn(said) };
}

/** A mark as it is stored: a number, with what is said to it where something is. */
const markIn = (stored: unknown): { score: number; said?: string } =>
  typeof stored === 'number' ? { score: stored } : (stored as { score: number; said?: string });

/** Whether an event is about a check of the release, and an answer is one to it. */
function canTake(event: Exclude<LearnerEvent, { kind: 'read' }>, keys: Readonly<Record<string, Secret>>): boolean {
  if (!Object.hasOwn(keys, event.check)) return false;
  return event.kind === 'mark' || mark(keys[event.check], event.response) !== undefined;
}

function attemptOf(event: LearnerEvent & { at: number }, release: string, receivedAt: number): AttemptRow {
  return {
    id: event.id,
    release_id: release,
    kind: event.kind,
    lesson_id: event.lesson,
    check_id: event.kind === 'read' ? null : event.check,
    answer: event.kind === 'read' ? null : JSON.stringify(event.kind === 'answer' ? event.response : markOf(event)),
    made_at: event.at,
    received_at: receivedAt,
  };
}

const markOf = ({ score, said }: { score: number; said?: string }) => (said ? { score, said } : score);

export type LearnerDesk = ReturnType<typeof learnerDesk>;
