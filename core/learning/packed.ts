import {
  isTypedKind,
  packResponse,
  unpackResponse,
  type BitReader,
  type BitWriter,
  type LearnerCheck,
} from '../checks/markings';
import type { Answer, LearnerState } from './progress';
import { checksIn, lessonsOf, type LearnerCourse } from './view';

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';
/** Bits of a check's state, tries and score: more tries count as the most, scores are kept to a hundredth. */
const BITS = { state: 2, tries: 2, score: 7 };
const STATES = { none: 0, marked: 1, waiting: 2 } as const;

/**
 * How much of a state is kept: everything; without typed words; without any responses; without scores, too; lessons
 * read only.
 */
const FORMS = { whole: 'd', untyped: 'g', scores: 'e', states: 'f', lessons: 'c' } as const;
type Form = (typeof FORMS)[keyof typeof FORMS];
/** As packed before checks had kinds: everything; without responses. */
const OLDER = { whole: 'a', outcomes: 'b' } as const;

/**
 * Packs a learner's state into at most `most` characters (SCORM 1.2 gives 4,096), in order of the course's lessons and
 * checks. For each lesson one bit (read); for each check two (unanswered, marked, waiting), and of those answered two
 * for the tries, seven for the score, and the response as its kind packs it. What does not fit is dropped by a fixed
 * rule: first typed words, then all responses, then scores (an answer that was all right counts as right still), then
 * answers; never which lessons were read. 300 lessons of 3 checks take 2,305 characters.
 */
export function packState(course: LearnerCourse, state: LearnerState, most = 4096): string {
  for (const form of [FORMS.whole, FORMS.untyped, FORMS.scores, FORMS.states, FORMS.lessons]) {
    const packed = form + place(course, state.at) + '.' + letters(bitsOf(course, state, form));
    if (packed.length <= most || form === FORMS.lessons) return packed.slice(0, most);
  }
  return '';
}

/** Reads a packed state; anything that is not one, or is of a course with fewer parts, gives what can be read of it. */
export function unpackState(course: LearnerCourse, packed: string): LearnerState {
  const match = /^([abcdefg])(\d*)\.([\w-]*)$/.exec(packed);
  const state: LearnerState = { read: [], answers: {} };
  if (!match) return state;
  const [, form, at, body] = match;
  const take = reader(body);
  const lessons = lessonsOf(course);
  for (const lesson of lessons) if (take(1)) state.read.push(lesson.id);
  if (form !== FORMS.lessons) {
    const checks = new Map(course.checks.map((check) => [check.id, check]));
    const isOld = form === OLDER.whole || form === OLDER.outcomes;
    for (const id of lessons.flatMap(checksIn)) {
      const answer = isOld ? olderAnswer(take) : answerIn(take, form as Form);
      const check = checks.get(id);
      const isKept = form === OLDER.whole || (answer && check && keepsResponse(form as Form, check));
      const response = check && isKept ? unpackResponse(check, take) : undefined;
      if (answer) state.answers[id] = { ...(response !== undefined && { response }), ...answer };
    }
  }
  const here = at ? lessons[Number(at)] : undefined;
  return here ? { ...state, at: here.id } : state;
}

const keepsResponse = (form: Form, check: LearnerCheck): boolean =>
  form === FORMS.whole || (form === FORMS.untyped && !isTypedKind(check));

function answerIn(take: BitReader, form: Form): Answer | undefined {
  const state = take(BITS.state);
  if (state === STATES.none) return undefined;
  const tries = Math.max(1, take(BITS.tries));
  const score = form === FORMS.states ? take(1) : Math.min(100, take(BITS.score)) / 100;
  return { score, state: state === STATES.waiting ? 'waiting' : 'marked', tries };
}

/** Two bits that say unanswered, wrong or right, and two for the tries; the option's four stand behind. */
function olderAnswer(take: BitReader): Answer | undefined {
  const outcome = take(2);
  const tries = Math.max(1, take(BITS.tries));
  return outcome ? { score: outcome === 2 ? 1 : 0, state: 'marked', tries } : undefined;
}

function place(course: LearnerCourse, at: string | undefined): string {
  const index = lessonsOf(course).findIndex((lesson) => lesson.id === at);
  return index < 0 ? '' : String(index);
}

function bitsOf(course: LearnerCourse, state: LearnerState, form: Form): number[] {
  const bits: number[] = [];
  const writer: BitWriter = {
    put(value, width) {
      for (let bit = width - 1; bit >= 0; bit--) bits.push((value >> bit) & 1);
    },
  };
  const lessons = lessonsOf(course);
  const read = new Set(state.read);
  for (const lesson of lessons) writer.put(read.has(lesson.id) ? 1 : 0, 1);
  if (form === FORMS.lessons) return bits;
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  for (const id of lessons.flatMap(checksIn)) {
    const answer = Object.hasOwn(state.answers, id) ? state.answers[id] : undefined;
    writer.put(answer ? STATES[answer.state] : STATES.none, BITS.state);
    if (!answer) continue;
    writer.put(Math.min(answer.tries, 2 ** BITS.tries - 1), BITS.tries);
    if (form === FORMS.states) writer.put(answer.score === 1 ? 1 : 0, 1);
    // Only what is all right is packed as that.
    else writer.put(answer.score === 1 ? 100 : Math.min(99, Math.round(answer.score * 100)), BITS.score);
    const check = checks.get(id);
    if (check && keepsResponse(form, check)) packResponse(check, answer.response, writer);
  }
  return bits;
}

function letters(bits: readonly number[]): string {
  let text = '';
  for (let at = 0; at < bits.length; at += 6)
    text += ALPHABET[[0, 1, 2, 3, 4, 5].reduce((sum, bit) => sum * 2 + (bits[at + bit] ?? 0), 0)];
  // What is nothing at the end need not be written.
  return text.replace(/A+$/, '');
}

function reader(text: string): BitReader {
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
