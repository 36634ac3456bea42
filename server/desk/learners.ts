import { handedIn, mark, type GivenMark } from '../../core/checks/markings';
import { worthOf } from '../../core/checks/task/form';
import { fail } from '../../core/document/problem';
import { answersIn, type LearnerAnswers } from '../../core/learning/answers';
import { waysOf, type Ways } from '../../core/learning/ways';
import { lineOf, progressOf, standingIn, type LearnerLine } from '../../core/learning/progress';
import { shown, shownQuiz, shownState, type Shown, type ShownQuiz } from '../../core/learning/shown';
import { canAnswer, quizzesOf, type Taking } from '../../core/learning/sittings';
import { after, isSettled, own, stateAfter, type LearnerEvent, type LearnerState } from '../../core/learning/state';
import { carriedOver, difference, type Difference } from '../../core/learning/releases';
import { asksIn, lessonsOf, type LearnerCourse } from '../../core/learning/view';
import type { Db } from '../database/open';
import { releasesIn, type LearnerRow, type ReleaseRow } from '../database/releases';
import { freshToken, tokenHash } from '../rights/password';
import { freshId } from '../ids';
import { attemptOf, eventOf } from './attempts';
import { suggestedMark, taskOf } from './grading';
import type { HandedFiles } from './handed-files';
import type { NewsDesk } from './news';
import type { ReleaseDesk } from './releases';
import { remembered } from '../utils/remembered';

/** What a learner may know of themselves. */
export interface ToldLearner {
  read: string[];
  answers: Record<string, Shown>;
  quizzes: Record<string, ShownQuiz>;
  at?: string;
  /**
   * Events that could not be taken, each with why: `gone` (no such lesson, or the check does not stand there),
   * `lesson-closed`, `too-late` (a try at a quiz was over by then).
   */
  refused?: { id: string; code: string }[];
}

/** Learners' states kept in memory; each is what their attempts say. */
const KEPT = 2000;

/** A person's mark, by its score or, where there are criteria, by their levels. */
export interface PersonMark {
  check: string;
  lesson?: string;
  score: number;
  said?: string;
  levels?: Record<string, string>;
  notes?: Record<string, string>;
}

/** A learner, and where they stand. */
export interface Standing {
  learner: LearnerRow;
  taking: Taking;
  state: LearnerState;
  events: (LearnerEvent & { at: number })[];
}

/** What a person grants a learner besides at a quiz. */
export interface Grant {
  lesson: string;
  minutes?: number;
  tries?: number;
}
type Done = { lesson: string } & (
  | { kind: 'mark'; check: string; score: number; said?: string; given?: GivenMark; by?: string }
  | { kind: 'grant'; minutes: number; tries: number }
);

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
function askedIn(view: LearnerCourse): Map<string, Set<string>> {
  const known = standings.get(view) ?? new Map(lessonsOf(view).map((lesson) => [lesson.id, new Set(asksIn(lesson))]));
  standings.set(view, known);
  return known;
}

/** Those who learn, and what they did: attempts are only ever added, everything else is computed from them. */
export function learnerDesk(
  db: Db,
  desk: ReleaseDesk,
  news: NewsDesk,
  now: () => number,
  handed: Pick<HandedFiles, 'has' | 'clear'>,
) {
  const releases = releasesIn(db);
  const states = remembered<LearnerState>({ most: KEPT });
  const differences = remembered<Difference>({ most: 100 });
  let queue: Queued[] = [];

  const changesBetween = (from: string, to: string): Difference =>
    differences.of(`${from}/${to}`, () => difference(desk.frozen(from).view, desk.frozen(to).view));

  /** What a learner did on this release, and what still counts of older ones. */
  function eventsOf(learner: LearnerRow): (LearnerEvent & { at: number })[] {
    return releases.attempts(learner.id).flatMap((attempt) => {
      const event = { ...eventOf(attempt), at: attempt.made_at, received: attempt.received_at };
      const counts =
        attempt.release_id === learner.release_id ||
        carriedOver([event], changesBetween(attempt.release_id, learner.release_id)).length > 0;
      return counts ? [event] : [];
    });
  }
  /** What tells what a learner's doings lead to: the release they are on, and who they are. */
  function takingOf({ id, release_id }: LearnerRow): Taking {
    const { view, keys } = desk.frozen(release_id);
    return { course: view, keys, rules: desk.rules(release_id), learner: id };
  }
  /** Where a learner stands. */
  const stateOf = (learner: LearnerRow): LearnerState =>
    states.of(`${learner.id}/${learner.release_id}`, () => stateAfter(eventsOf(learner), takingOf(learner)));
  const standingOf = (learner: LearnerRow): Standing => ({
    learner,
    taking: takingOf(learner),
    state: stateOf(learner),
    events: eventsOf(learner),
  });
  const learnerOf = (courseId: string, id: string): LearnerRow =>
    releases.learners(courseId).find((row) => row.id === id) ?? fail('no-such-learner', undefined, id);
  function told(learner: LearnerRow, state: LearnerState): ToldLearner {
    return { read: state.read, ...shownState(state, takingOf(learner)), ...(state.at && { at: state.at }) };
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
    const taking = takingOf(learner);
    const { course, rules } = taking;
    const standing = askedIn(course);
    each.state = reached.get(learner.id) ?? stateOf(learner);
    each.refused = [];
    releases.seen(learner.id, now());
    for (const event of events) {
      const why =
        refusalOf(event, each.state, taking, standing.get(event.lesson)) ?? notHeld(learner.id, event, taking);
      if (why) each.refused.push({ id: event.id, code: why });
      else if (
        rules.order === 'forced' &&
        !progressOf(course, rules, standingIn(course, each.state)).lessons[event.lesson].open
      )
        each.refused.push({ id: event.id, code: 'lesson-closed' });
      else if (releases.addAttempt(learner.id, attemptOf(event, learner.release_id, now())))
        each.state = marked(learner, event, each.state, taking);
    }
    reached.set(learner.id, each.state);
  }

  /** Files that are not the learner's own cannot be handed in, nor what says that its time is up. */
  function notHeld(learner: string, event: LearnerEvent, { keys }: Taking): 'gone' | undefined {
    const given = event.kind === 'answer' ? handedIn(keys[event.check], event.response) : undefined;
    return given && (given.gone || !handed.has(learner, given)) ? 'gone' : undefined;
  }

  /** The state after an event; where suggested marks have the last word they are given at once. */
  function marked(learner: LearnerRow, event: LearnerEvent, before: LearnerState, taking: Taking): LearnerState {
    const state = after(before, event, taking);
    // What was settled takes no more answers, and so no other mark.
    if (event.kind !== 'answer' || state === before) return state;
    const given = handedIn(taking.keys[event.check], event.response);
    if (!given || taskOf(taking, event.check)?.secret.lastWord !== 'suggested') return state;
    const suggested = suggestedMark(taking, event.check, given);
    // What lies in files alone is nothing to suggest by.
    if (!suggested || given.text.trim() === '') return state;
    const { score, given: marks } = suggested;
    const mark = markEvent({ lesson: event.lesson, check: event.check, score, given: marks });
    releases.addAttempt(learner.id, attemptOf(mark, learner.release_id, now()));
    return after(state, mark, taking);
  }
  /** The words that earned the levels a person gave, where the same ones are suggested. */
  function earnedBy(check: string, levels: Readonly<Record<string, string>>, learner: LearnerRow): GivenMark['words'] {
    const taking = takingOf(learner);
    const handed = handedIn(taking.keys[check], own(stateOf(learner).answers, check)?.response);
    if (!handed || taskOf(taking, check)?.secret.lastWord === 'person') return undefined;
    const given = suggestedMark(taking, check, handed)?.given;
    const same = Object.entries(given?.words ?? {}).filter(([id]) => given?.levels?.[id] === levels[id]);
    return same.length > 0 ? Object.fromEntries(same) : undefined;
  }
  const markEvent = (of: Omit<Done & { kind: 'mark' }, 'kind'>) => ({
    id: freshId('e'),
    at: now(),
    kind: 'mark' as const,
    ...of,
  });

  function answer({ learner, events, state, refused, done, failed }: Queued): void {
    try {
      states.keep(`${learner.id}/${learner.release_id}`, state!);
      done({ ...toldOf(events, state!, takingOf(learner)), ...(refused!.length > 0 && { refused }) });
    } catch (error) {
      failed(error);
    }
  }

  /** What a person did with a learner's work. */
  function done(learner: LearnerRow, what: Done): void {
    const event = { id: freshId('e'), at: now(), ...what };
    const before = stateOf(learner);
    releases.addAttempt(learner.id, attemptOf(event, learner.release_id, now()));
    states.keep(`${learner.id}/${learner.release_id}`, after(before, event, takingOf(learner)));
    news.tell(learner.course_id, { kind: 'learners' });
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
    told: (learner: LearnerRow) => told(learner, stateOf(learner)),
    /**
     * Takes in what a learner did; resolves, with what may be said to just that, when it is on the disk. What cannot be
     * is named, and the rest taken.
     */
    take(learner: LearnerRow, events: (LearnerEvent & { at: number })[]): Promise<ToldLearner> {
      return new Promise((done, failed) => {
        if (queue.length === 0) setImmediate(write);
        // A clock that goes ahead would make a try's time longer.
        const timed = events.map((event) => ({ ...event, at: Math.min(event.at, now()) }));
        queue.push({ learner, events: timed, done, failed });
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
      handed.clear();
      news.tell(courseId, { kind: 'learners' });
      return count;
    },
    /** Every answer of a learner, as their author reads it. Throws `no-such-learner`. */
    answers(courseId: string, id: string): LearnerAnswers {
      const learner = learnerOf(courseId, id);
      return answersIn(takingOf(learner), eventsOf(learner));
    },
    /** The ways of all learners of a course through one of its scenarios. */
    ways: (courseId: string, check: string): Ways =>
      waysOf(
        check,
        releases.learners(courseId).map((learner) => ({ state: stateOf(learner), keys: takingOf(learner).keys })),
      ),
    /**
     * Takes a person's mark, 0 to 1, for a learner's last answer to a check. Throws `no-such-learner`, and
     * `nothing-to-mark` where there is no answer.
     */
    mark(courseId: string, id: string, { check, lesson, score, said, levels, notes }: PersonMark, by?: string): void {
      const { checks } = this.answers(courseId, id);
      const answered = checks.find((each) => each.check === check && (!lesson || each.lesson.id === lesson));
      if (!answered) return fail('nothing-to-mark', undefined, check);
      const learner = learnerOf(courseId, id);
      const task = levels && taskOf(takingOf(learner), check);
      const words = task && earnedBy(check, levels, learner);
      done(learner, {
        kind: 'mark',
        lesson: answered.lesson.id,
        check,
        score: task ? worthOf(task.secret.criteria, levels) : score,
        ...(said && { said }),
        ...(task && { given: { levels, ...(notes && { notes }), ...(words && { words }) } }),
        ...(by && { by }),
      });
    },
    /** A learner of a course, and where they stand. Throws `no-such-learner`. */
    standing: (courseId: string, id: string): Standing => standingOf(learnerOf(courseId, id)),
    /** All learners of a course, the last seen first. */
    standings: (courseId: string): Standing[] => releases.learners(courseId).map(standingOf),
    /** All learners of all courses that stand. */
    everybody: (): Standing[] => releases.keeping().map(standingOf),
    /** Of a learner's doings something is no longer kept. */
    forgetState: (id: string): void => states.forgetWhere((key) => key.startsWith(`${id}/`)),
    /**
     * Grants a learner more minutes for each try at a quiz, or more tries. Throws `no-such-learner`, and
     * `nothing-to-grant` where the quiz is none or does not limit them.
     */
    grant(courseId: string, id: string, { lesson, minutes = 0, tries = 0 }: Grant): void {
      const limited = this.answers(courseId, id).quizzes.find((quiz) => quiz.lesson.id === lesson)?.limited;
      if (!limited || (minutes > 0 && !limited.minutes) || (tries > 0 && !limited.tries) || minutes + tries === 0)
        fail('nothing-to-grant', undefined, lesson);
      done(learnerOf(courseId, id), { kind: 'grant', lesson, minutes, tries });
    },
    /** All learners of a course with how far they are, the last seen first. */
    lines: (courseId: string): LearnerLine[] =>
      releases.learners(courseId).map((learner) => {
        const { course, rules } = takingOf(learner);
        const progress = lineOf(progressOf(course, rules, standingIn(course, stateOf(learner))));
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
function toldOf(events: readonly LearnerEvent[], state: LearnerState, taking: Taking): ToldLearner {
  const { keys, rules } = taking;
  const answers = events.flatMap((event) => {
    const answer = event.kind === 'answer' ? own(state.answers, event.check) : undefined;
    const seen = answer && event.kind === 'answer' && shown(event.check, answer, keys, isSettled(answer, rules));
    return seen && event.kind === 'answer' ? [[event.check, seen] as const] : [];
  });
  const lessons = [...new Set(events.map((event) => event.lesson))];
  return {
    read: lessons.filter((id) => state.read.includes(id)),
    answers: Object.fromEntries(answers),
    quizzes: Object.fromEntries(
      lessons.flatMap((id) => {
        const quiz = shownQuiz(id, state, taking);
        return quiz ? [[id, quiz]] : [];
      }),
    ),
    ...(state.at && { at: state.at }),
  };
}

/** Why an event of a learner cannot be taken; undefined for one that can. `asked` are the checks of its lesson. */
function refusalOf(
  event: LearnerEvent,
  state: LearnerState,
  { course, keys }: Taking,
  asked: ReadonlySet<string> | undefined,
): 'gone' | 'too-late' | undefined {
  if (!asked) return 'gone';
  const quiz = quizzesOf(course).get(event.lesson);
  if (event.kind === 'sit' || event.kind === 'hand') return quiz ? undefined : 'gone';
  if (event.kind !== 'answer') return event.kind === 'read' ? undefined : 'gone';
  const isOne = asked.has(event.check) && Object.hasOwn(keys, event.check);
  const isBack = quiz !== undefined && event.response === null;
  if (!isOne || (!isBack && mark(keys[event.check], event.response) === undefined)) return 'gone';
  return quiz && !canAnswer(quiz, own(state.quizzes ?? {}, event.lesson), event) ? 'too-late' : undefined;
}

export type LearnerDesk = ReturnType<typeof learnerDesk>;
