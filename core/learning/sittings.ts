import { mark, type Secret } from '../checks/markings';
import { shortHash } from '../document/id';
import type { Answer, LearnerEvent } from './state';
import type { Rules } from './rules';
import type { LearnerCourse, LearnerQuiz } from './view';

/** One try at a quiz. Times are milliseconds UTC, 0 where nobody noted them. */
export interface Sitting {
  /** Checks in the order they are asked. */
  asked: string[];
  answers: Record<string, Answer>;
  begun: number;
  /** When it was handed in; absent while it is under way. */
  handed?: number;
}

/** What a learner did with a quiz. */
export interface QuizState {
  /** Tries begun, the last one among them. */
  tries: number;
  /** What the best try before the last one was worth, 0 to 1. */
  best?: number;
  /** Lessons that tries before the last one told need not be learned: what was known stays known. */
  knew?: string[];
  /** The try under way, or the last one; absent before the first. */
  last?: Sitting;
  /** What a person granted besides: minutes for each try, further tries. */
  granted?: { minutes: number; tries: number };
}

/** What is needed to tell what a learner's doings lead to. */
export interface Taking {
  course: LearnerCourse;
  keys: Readonly<Record<string, Secret>>;
  rules: Rules;
  /** Whose they are: with it what is drawn for them is settled. */
  learner: string;
}

/** So many milliseconds after its end a try still takes answers that were on their way. */
const GRACE = 15_000;
const MINUTE = 60_000;

const quizzes = new WeakMap<LearnerCourse, Map<string, LearnerQuiz>>();
const weights = new WeakMap<LearnerCourse, Map<string, number>>();

function remembered<Value>(
  kept: WeakMap<LearnerCourse, Map<string, Value>>,
  course: LearnerCourse,
  make: () => (readonly [string, Value])[],
): Map<string, Value> {
  const known = kept.get(course) ?? new Map(make());
  kept.set(course, known);
  return known;
}

/** A course's quizzes by their lessons. */
export const quizzesOf = (course: LearnerCourse): ReadonlyMap<string, LearnerQuiz> =>
  remembered(quizzes, course, () =>
    course.modules.flatMap(({ lessons }) => lessons.flatMap(({ id, quiz }) => (quiz ? [[id, quiz] as const] : []))),
  );

/** What each check of a course weighs. */
const pointsOf = (course: LearnerCourse): ReadonlyMap<string, number> =>
  remembered(weights, course, () => course.checks.map(({ id, points }) => [id, points ?? 1] as const));

/** Ids in an order that a text settles, and that tells nothing of them. */
export function shuffled(ids: readonly string[], seed: string): string[] {
  const ranks = new Map(ids.map((id) => [id, shortHash(`${seed}/${id}`, 10)]));
  return [...ids].sort((a, b) => (ranks.get(a)! < ranks.get(b)! ? -1 : 1));
}

/** What a try draws is settled by whose it is and which try it is: the same wherever and whenever it is computed. */
const seedOf = (lesson: string, learner: string, round: number): string => `${lesson}/${learner}/${round}`;

/** The checks of a try, in the order they are asked: rule after rule, none twice. */
export function drawn({ draws, mix }: LearnerQuiz, seed: string): string[] {
  const taken = new Set<string>();
  for (const { take, from } of draws) {
    const free = from.filter((id) => !taken.has(id));
    // What is all taken needs no drawing.
    for (const id of take >= free.length ? free : shuffled(free, seed).slice(0, take)) taken.add(id);
  }
  const all = [...new Set(draws.flatMap(({ from }) => from))].filter((id) => taken.has(id));
  return mix ? shuffled(all, `${seed}/order`) : all;
}

/** The checks that the try of some number asks. */
export function askedIn(quiz: LearnerQuiz, lesson: string, learner: string, tries: number): string[] {
  // Where only what was wrong is asked again, all tries are of the same questions.
  return drawn(quiz, seedOf(lesson, learner, quiz.again ? 1 : tries));
}

/** What answers are an order of their own by: absent where a quiz mixes nothing. */
export const mixOf = (quiz: LearnerQuiz, lesson: string, learner: string, tries: number): string | undefined =>
  quiz.mix ? seedOf(lesson, learner, tries) : undefined;

/** How many minutes a try has; undefined where it has any. */
export const minutesOf = ({ minutes }: LearnerQuiz, state: QuizState | undefined): number | undefined =>
  minutes === undefined ? undefined : minutes + (state?.granted?.minutes ?? 0);

/** When a try ends, in milliseconds UTC; undefined where its time is not limited. */
export function endOf(quiz: LearnerQuiz, state: QuizState): number | undefined {
  const minutes = minutesOf(quiz, state);
  return minutes === undefined || !state.last ? undefined : state.last.begun + minutes * MINUTE;
}

/** How many tries are left, the one under way not among them; undefined: any number. */
export const triesLeft = ({ tries }: LearnerQuiz, state: QuizState | undefined): number | undefined =>
  tries === undefined ? undefined : Math.max(0, tries + (state?.granted?.tries ?? 0) - (state?.tries ?? 0));

/** What a try is worth: points had, points that wait for a mark, and points that can be had. */
export interface Worth {
  scored: number;
  waiting: number;
  of: number;
}

/** What the answers of a try are worth together. */
export function worthOfSitting({ asked, answers }: Sitting, course: LearnerCourse): Worth {
  const points = pointsOf(course);
  const worth: Worth = { scored: 0, waiting: 0, of: 0 };
  for (const id of asked) {
    const own = points.get(id) ?? 1;
    worth.of += own;
    const answer = Object.hasOwn(answers, id) ? answers[id] : undefined;
    if (answer?.state === 'marked') worth.scored += answer.score * own;
    else if (answer) worth.waiting += own;
  }
  return worth;
}

const shareOf = ({ scored, of }: Worth): number => (of > 0 ? scored / of : 0);

/** What a quiz counts for a learner. */
export interface QuizResult {
  /** Tries handed in. */
  tries: number;
  /** The best share of its points, 0 to 1; absent before a try is handed in. */
  share?: number;
  /** The share that answers not marked yet could add to it, and how many those are. */
  waiting: number;
  unmarked: number;
  /** Undefined where nothing is to pass, nothing is handed in, or answers not marked yet decide it. */
  passed?: boolean;
  /** A try is under way. */
  open: boolean;
  /** Lessons that need not be learned: it asked about them, and all of that was right. */
  knows: string[];
}

/** What a quiz counts: the best of its tries that were handed in. */
export function resultOf(quiz: LearnerQuiz, state: QuizState | undefined, course: LearnerCourse): QuizResult {
  const last = state?.last;
  const handed = last?.handed !== undefined;
  const knows = [...new Set([...(state?.knew ?? []), ...knownBy(quiz, last)])];
  const worth = handed ? worthOfSitting(last, course) : undefined;
  const tries = (state?.tries ?? 0) - (last && !handed ? 1 : 0);
  const shares = [...(state?.best === undefined ? [] : [state.best]), ...(worth ? [shareOf(worth)] : [])];
  if (tries === 0 || shares.length === 0)
    return { tries, waiting: 0, unmarked: 0, open: last !== undefined && !handed, knows };
  const share = Math.max(...shares);
  const could = worth ? shareOf({ ...worth, scored: worth.scored + worth.waiting }) : 0;
  const waiting = Math.max(0, could - share);
  const passes = (value: number) => value >= quiz.pass! - 1e-9;
  const passed =
    quiz.pass === undefined ? undefined : passes(share) ? true : passes(share + waiting) ? undefined : false;
  const unmarked = handed ? Object.values(last.answers).filter((answer) => answer.state === 'waiting').length : 0;
  return {
    tries,
    share,
    waiting,
    unmarked,
    ...(passed !== undefined && { passed }),
    open: last !== undefined && !handed,
    knows,
  };
}

/**
 * Whether a try can be begun: none is under way, one is left, nothing is passed that is over by that, and no answer
 * waits for a mark that counts.
 */
export function mayBegin(quiz: LearnerQuiz, state: QuizState | undefined, course: LearnerCourse): boolean {
  const { open, passed, unmarked } = resultOf(quiz, state, course);
  if (open || triesLeft(quiz, state) === 0) return false;
  // A mark is for the last try: another one would take it away from the answer it is about.
  return quiz.practice === true || (unmarked === 0 && passed !== true);
}

/** Whether nothing can be won any more by knowing what was right in a try that was handed in. */
export function isOver(quiz: LearnerQuiz, state: QuizState, course: LearnerCourse): boolean {
  if (state.last?.handed === undefined) return false;
  const { passed } = resultOf(quiz, state, course);
  // What is asked again as it was would be known; practice is for knowing.
  return quiz.practice === true || passed === true || triesLeft(quiz, state) === 0;
}

type QuizEvent = Exclude<LearnerEvent, { kind: 'read' }>;

/**
 * A quiz's state after one more event of its lesson. What cannot be (a try too many, a check that is not asked, an
 * answer that came too late or stands for good) changes nothing.
 */
export function afterIn(
  state: QuizState | undefined,
  event: QuizEvent,
  quiz: LearnerQuiz,
  taking: Taking,
): QuizState | undefined {
  switch (event.kind) {
    case 'sit':
      return begun(state, event, quiz, taking);
    case 'hand': {
      if (!state?.last || state.last.handed !== undefined) return state;
      const end = endOf(quiz, state) ?? Infinity;
      return { ...state, last: { ...state.last, handed: Math.min(event.at ?? 0, end) } };
    }
    case 'grant': {
      const granted = state?.granted ?? { minutes: 0, tries: 0 };
      return {
        ...(state ?? { tries: 0 }),
        granted: { minutes: granted.minutes + (event.minutes ?? 0), tries: granted.tries + (event.tries ?? 0) },
      };
    }
    case 'answer':
      return canAnswer(quiz, state, event) ? answered(state!, event, taking) : state;
    case 'mark': {
      const before = state?.last?.answers[event.check];
      if (!state?.last || !before) return state;
      const { response, tries } = before;
      const said = event.said ? { said: event.said } : {};
      return withAnswer(state, event.check, { response, score: event.score, state: 'marked', tries, ...said });
    }
  }
}

function begun(
  state: QuizState | undefined,
  { lesson, at = 0 }: Extract<QuizEvent, { kind: 'sit' }>,
  quiz: LearnerQuiz,
  { course, learner }: Taking,
): QuizState | undefined {
  // A try whose time ran out while its learner was away is over.
  const before =
    state?.last && state.last.handed === undefined && at > (endOf(quiz, state) ?? Infinity)
      ? { ...state, last: { ...state.last, handed: endOf(quiz, state)! } }
      : state;
  if (!mayBegin(quiz, before, course)) return before;
  const tries = (before?.tries ?? 0) + 1;
  const { share, knows } = resultOf(quiz, before, course);
  const asked = askedIn(quiz, lesson, learner, tries);
  const kept = quiz.again && before?.last ? rightOf(before.last) : {};
  return {
    ...before,
    tries,
    ...(share !== undefined && { best: share }),
    ...(knows.length > 0 && { knew: knows }),
    last: { asked, answers: kept, begun: at },
  };
}

const rightOf = ({ answers }: Sitting): Record<string, Answer> =>
  Object.fromEntries(
    Object.entries(answers)
      .filter(([, { state, score }]) => state === 'marked' && score === 1)
      .map(([id, answer]) => [id, { ...answer, kept: true as const }]),
  );

/** Whether a try takes this answer. */
export function canAnswer(
  quiz: LearnerQuiz,
  state: QuizState | undefined,
  { check, at }: { check: string; at?: number },
): boolean {
  if (!state?.last || state.last.handed !== undefined || !state.last.asked.includes(check)) return false;
  const before = Object.hasOwn(state.last.answers, check) ? state.last.answers[check] : undefined;
  // What was right in a try before stands; what was said to at once cannot be changed.
  if (before && (before.kept || quiz.shows === 'each')) return false;
  const end = endOf(quiz, state);
  return end === undefined || at === undefined || at <= end + GRACE;
}

function answered(
  state: QuizState,
  { check, response }: Extract<QuizEvent, { kind: 'answer' }>,
  { keys }: Taking,
): QuizState {
  // Nothing is no answer: one that was given is taken back.
  if (response === null) return withoutAnswer(state, check);
  const marked = Object.hasOwn(keys, check) ? mark(keys[check], response) : undefined;
  if (!marked) return state;
  const { score, state: worth, parts } = marked;
  return withAnswer(state, check, { response, score, state: worth, ...(parts && { parts }), tries: 1 });
}

function withoutAnswer(state: QuizState, check: string): QuizState {
  const { [check]: gone, ...answers } = state.last!.answers;
  return gone ? { ...state, last: { ...state.last!, answers } } : state;
}

const withAnswer = (state: QuizState, check: string, answer: Answer): QuizState => ({
  ...state,
  last: { ...state.last!, answers: { ...state.last!.answers, [check]: answer } },
});

/** Lessons that a try that was handed in asked about, and all of that rightly. */
function knownBy({ about }: LearnerQuiz, last: Sitting | undefined): string[] {
  if (!about || last?.handed === undefined) return [];
  const asked = new Map<string, boolean>();
  for (const check of last.asked) {
    const answer = last.answers[check] as Answer | undefined;
    const right = answer?.state === 'marked' && answer.score === 1;
    for (const each of about[check] ?? []) asked.set(each, (asked.get(each) ?? true) && right);
  }
  return [...asked].flatMap(([each, right]) => (right ? [each] : []));
}
