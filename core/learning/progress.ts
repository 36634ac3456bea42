import { mark, type Feedback, type Marking } from '../check/marking';
import type { Rules } from './rules';
import { checksIn, lessonsOf, type LearnerCourse, type LearnerLesson } from './view';

/** The last answer to a check, and how many there were. */
export interface Answer {
  option: string;
  right: boolean;
  tries: number;
}

/** How far a learner is. */
export interface LearnerState {
  /** Lessons read to their end. */
  read: string[];
  answers: Record<string, Answer>;
  /** The lesson they were at last. */
  at?: string;
}

/** Something a learner did; only ever added to. */
export type LearnerEvent =
  | { id: string; kind: 'read'; lesson: string }
  | { id: string; kind: 'answer'; lesson: string; check: string; option: string };

/** An answer as it may be shown: what is said to it, and, once nothing can be won by knowing it, the right option and why it is. */
export interface Shown extends Answer {
  settled: boolean;
  /** Absent when it is no longer known which option was chosen. */
  feedback?: Feedback;
  key?: string;
  why?: Feedback;
}

export const BEGINNING: LearnerState = { read: [], answers: {} };

/** Whether a check takes no more answers: it was answered rightly, or its tries are used up. */
export function isSettled(answer: Answer | undefined, rules: Rules): boolean {
  return answer !== undefined && (answer.right || (rules.tries !== null && answer.tries >= rules.tries));
}

/** The state after one more event. What cannot be (an unknown lesson or option, an answer too many) changes nothing. */
export function after(state: LearnerState, event: LearnerEvent, keys: Readonly<Record<string, Marking>>, rules: Rules): LearnerState {
  if (event.kind === 'read') return { ...state, at: event.lesson, read: state.read.includes(event.lesson) ? state.read : [...state.read, event.lesson] };
  const before = state.answers[event.check] as Answer | undefined;
  const marking = Object.hasOwn(keys, event.check) ? keys[event.check] : undefined;
  const marked = marking && mark(marking, event.option);
  if (!marked || isSettled(before, rules)) return state;
  return { ...state, at: event.lesson, answers: { ...state.answers, [event.check]: { option: event.option, right: marked.right, tries: (before?.tries ?? 0) + 1 } } };
}

/** The state that events lead to, in the order they came in. */
export function stateAfter(events: readonly LearnerEvent[], keys: Readonly<Record<string, Marking>>, rules: Rules): LearnerState {
  return events.reduce((state, event) => after(state, event, keys, rules), BEGINNING);
}

/** What may be shown of an answer; undefined for an unknown check. */
export function shown(check: string, answer: Answer, keys: Readonly<Record<string, Marking>>, rules: Rules): Shown | undefined {
  if (!Object.hasOwn(keys, check)) return undefined;
  const marking = keys[check];
  const feedback = mark(marking, answer.option)?.feedback;
  const settled = isSettled(answer, rules);
  return { ...answer, settled, ...(feedback && { feedback }), ...(settled && { key: marking.key, ...(!answer.right && { why: marking.feedback[marking.key] }) }) };
}

/** All answers as they may be shown. */
export function allShown(state: LearnerState, keys: Readonly<Record<string, Marking>>, rules: Rules): Record<string, Shown> {
  return Object.fromEntries(Object.entries(state.answers).flatMap(([check, answer]) => {
    const seen = shown(check, answer, keys, rules);
    return seen ? [[check, seen]] : [];
  }));
}

export interface LessonProgress {
  done: boolean;
  /** Whether it may be opened. */
  open: boolean;
  /** What is still to be done for it. */
  left: ('read' | 'answer' | 'pass')[];
}

export interface Progress {
  lessons: Record<string, LessonProgress>;
  done: number;
  /** Minutes of the lessons that are done, and of all. */
  minutes: { done: number; of: number };
  checks: { answered: number; right: number; of: number };
  /** Share of all checks answered rightly; undefined where there are none. */
  score?: number;
  completed: boolean;
  /** Undefined where the rules ask for no share of right answers. */
  passed?: boolean;
  /** Where to go on. */
  next?: string;
}

/** A learner in their author's list. Times are milliseconds UTC. */
export interface LearnerLine {
  id: string;
  name: string;
  /** Number of the release they are on. */
  release: number;
  begun_at: number;
  seen_at: number;
  progress: Omit<Progress, 'lessons' | 'next'>;
}

/** How far a learner is by the rules: lessons done and open, minutes, score, completion. */
export function progressOf(course: LearnerCourse, rules: Rules, state: LearnerState): Progress {
  const all = lessonsOf(course);
  const lessons: Record<string, LessonProgress> = {};
  let open = true;
  for (const lesson of all) {
    const left = leftOf(lesson, rules, state);
    lessons[lesson.id] = { done: left.length === 0, open, left };
    if (rules.order === 'forced' && left.length > 0) open = false;
  }
  const done = all.filter((lesson) => lessons[lesson.id].done);
  const ids = all.flatMap(checksIn);
  const answered = ids.filter((id) => id in state.answers);
  const right = answered.filter((id) => state.answers[id].right).length;
  const sum = (list: readonly LearnerLesson[]) => Math.round(list.reduce((total, lesson) => total + lesson.minutes, 0) * 10) / 10;
  const passed = rules.course.kind === 'passed' && ids.length > 0 ? right / ids.length >= rules.course.share - 1e-9 : undefined;
  const at = all.findIndex((lesson) => lesson.id === state.at);
  const here = all[at] as LearnerLesson | undefined;
  const next = here && !lessons[here.id].done ? here : [...all.slice(at + 1), ...all].find((lesson) => !lessons[lesson.id].done && lessons[lesson.id].open);
  return {
    lessons, done: done.length, minutes: { done: sum(done), of: sum(all) }, checks: { answered: answered.length, right, of: ids.length },
    ...(ids.length > 0 && { score: right / ids.length }), completed: done.length === all.length && passed !== false, ...(passed !== undefined && { passed }),
    ...((next ?? here ?? all[0]) && { next: (next ?? here ?? all[0]).id }),
  };
}

function leftOf(lesson: LearnerLesson, rules: Rules, state: LearnerState): LessonProgress['left'] {
  const checks = checksIn(lesson);
  const left: LessonProgress['left'] = state.read.includes(lesson.id) ? [] : ['read'];
  if (rules.lesson.kind === 'read') return left;
  if (checks.some((id) => !(id in state.answers))) left.push('answer');
  else if (rules.lesson.kind === 'passed' && checks.filter((id) => state.answers[id].right).length < checks.length * rules.lesson.share - 1e-9) left.push('pass');
  return left;
}
