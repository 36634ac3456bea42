import type { LearnerState } from './progress';
import { checksIn, lessonsOf, type LearnerCourse } from './view';

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';
/** Bits of a check's tries, and of its option: more tries count as the most, options behind the 15th are dropped. */
const BITS = { tries: 2, option: 4 };

/** How much of a state is kept: everything; without which option was chosen; lessons read only. */
const FORMS = { whole: 'a', outcomes: 'b', lessons: 'c' } as const;

/**
 * Packs a learner's state into at most `most` characters (SCORM 1.2 gives 4,096), in order of the course's lessons and checks.
 * For each lesson one bit (read), for each check two (unanswered, wrong, right), two for its tries and four for the option chosen.
 * What does not fit is dropped by a fixed rule: first which options were chosen, then answers; never which lessons were read.
 * 300 lessons of 3 checks take 1,255 characters.
 */
export function packState(course: LearnerCourse, state: LearnerState, most = 4096): string {
  for (const form of [FORMS.whole, FORMS.outcomes, FORMS.lessons]) {
    const packed = form + place(course, state.at) + '.' + letters(bitsOf(course, state, form));
    if (packed.length <= most || form === FORMS.lessons) return packed.slice(0, most);
  }
  return '';
}

/** Reads a packed state; anything that is not one, or is of a course with fewer parts, gives what can be read of it. */
export function unpackState(course: LearnerCourse, packed: string): LearnerState {
  const match = /^([abc])(\d*)\.([\w-]*)$/.exec(packed);
  const state: LearnerState = { read: [], answers: {} };
  if (!match) return state;
  const [, form, at, body] = match;
  const take = reader(body);
  const lessons = lessonsOf(course);
  for (const lesson of lessons) if (take(1)) state.read.push(lesson.id);
  if (form !== FORMS.lessons) {
    const checks = new Map(course.checks.map((check) => [check.id, check]));
    for (const id of lessons.flatMap(checksIn)) {
      const outcome = take(2);
      const tries = take(BITS.tries);
      const option = form === FORMS.whole ? take(BITS.option) : 0;
      if (outcome) state.answers[id] = { option: option > 0 ? (checks.get(id)?.options[option - 1]?.id ?? '') : '', right: outcome === 2, tries: Math.max(1, tries) };
    }
  }
  const here = at ? lessons[Number(at)] : undefined;
  return here ? { ...state, at: here.id } : state;
}

function place(course: LearnerCourse, at: string | undefined): string {
  const index = lessonsOf(course).findIndex((lesson) => lesson.id === at);
  return index < 0 ? '' : String(index);
}

function bitsOf(course: LearnerCourse, state: LearnerState, form: string): number[] {
  const bits: number[] = [];
  const put = (value: number, width: number) => {
    for (let bit = width - 1; bit >= 0; bit--) bits.push((value >> bit) & 1);
  };
  const lessons = lessonsOf(course);
  const read = new Set(state.read);
  for (const lesson of lessons) put(read.has(lesson.id) ? 1 : 0, 1);
  if (form === FORMS.lessons) return bits;
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  for (const id of lessons.flatMap(checksIn)) {
    const answer = id in state.answers ? state.answers[id] : undefined;
    put(answer ? (answer.right ? 2 : 1) : 0, 2);
    put(Math.min(answer?.tries ?? 0, 2 ** BITS.tries - 1), BITS.tries);
    if (form !== FORMS.whole) continue;
    const option = answer ? (checks.get(id)?.options.findIndex((each) => each.id === answer.option) ?? -1) + 1 : 0;
    put(option < 2 ** BITS.option ? option : 0, BITS.option);
  }
  return bits;
}

function letters(bits: readonly number[]): string {
  let text = '';
  for (let at = 0; at < bits.length; at += 6) text += ALPHABET[[0, 1, 2, 3, 4, 5].reduce((sum, bit) => sum * 2 + (bits[at + bit] ?? 0), 0)];
  // What is nothing at the end need not be written.
  return text.replace(/A+$/, '');
}

function reader(text: string): (width: number) => number {
  let at = 0;
  return (width) => {
    let value = 0;
    for (let bit = 0; bit < width; bit++, at++) {
      const letter = ALPHABET.indexOf(text[Math.floor(at / 6)] ?? 'A');
      value = value * 2 + ((letter >> (5 - (at % 6))) & 1);
    }
    return value;
  };
}
