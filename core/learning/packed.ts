import { byLetters } from '../checks/options';
import {
  isTypedKind,
  packResponse,
  unpackResponse,
  type BitReader,
  type BitWriter,
  type LearnerCheck,
} from '../checks/markings';
import { askedIn, quizzesOf, resultOf, type QuizState } from './sittings';
import { own, type Answer, type LearnerState } from './state';
import { checksIn, lessonsOf, type LearnerCourse, type LearnerQuiz } from './view';

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';
/**
 * Bits of a check's state, tries and score: more tries count as the most, scores are kept to a hundredth. Of a quiz:
 * tries, the best share (one more than its hundredths, nothing for none), and when the try under way began, in seconds.
 */
const BITS = { state: 2, tries: 2, score: 7, sittings: 10, begun: 32 };
const STATES = { none: 0, marked: 1, waiting: 2, going: 3 } as const;

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
 * checks. For each lesson one bit (read); for each check two (unanswered, marked, waiting, under way), and of those
 * answered two for the tries, seven for the score, and the response as its kind packs it. A quiz has besides its
 * lesson's bit how many tries were begun, the best, whether one is under way and since when, and which lessons it told
 * are known; what the last one asks is drawn anew, so only its answers are packed. What does not fit is dropped by a
 * fixed rule: first typed words, then all responses, then scores (an answer that was all right counts as right still),
 * then answers; never which lessons were read or what a quiz counts. 300 lessons of 3 checks take 2,305 characters.
 */
export function packState(course: LearnerCourse, state: LearnerState, most = 4096): string {
  for (const form of [FORMS.whole, FORMS.untyped, FORMS.scores, FORMS.states, FORMS.lessons]) {
    const packed = form + place(course, state.at) + '.' + letters(bitsOf(course, state, form));
    if (packed.length <= most || form === FORMS.lessons) return packed.slice(0, most);
  }
  return '';
}

/**
 * Reads a packed state of a learner; anything that is not one, or is of a course with fewer parts, gives what can be
 * read of it.
 */
export function unpackState(course: LearnerCourse, packed: string, learner: string): LearnerState {
  const match = /^([abcdefg])(\d*)\.([\w-]*)$/.exec(packed);
  const state: LearnerState = { read: [], answers: {} };
  if (!match) return state;
  const [, form, at, body] = match;
  const take = reader(body);
  const lessons = lessonsOf(course);
  const quizzes = new Map<string, QuizState>();
  for (const { id, quiz } of lessons) {
    if (take(1)) state.read.push(id);
    const known = quiz && quizIn(take, quiz, id, learner);
    if (known) quizzes.set(id, known);
  }
  if (form === FORMS.lessons) for (const [id, quiz] of quizzes) quizzes.set(id, withoutHanded(quiz));
  else {
    const checks = new Map(course.checks.map((check) => [check.id, check]));
    const isOld = form === OLDER.whole || form === OLDER.outcomes;
    const answerTo = (id: string): Answer | undefined => {
      const answer = isOld ? olderAnswer(take) : answerIn(take, form as Form);
      const check = checks.get(id);
      const isKept = form === OLDER.whole || (answer && check && keepsResponse(form as Form, check));
      const response = check && isKept ? unpackResponse(check, take) : undefined;
      return answer && { ...(response !== undefined && { response }), ...answer };
    };
    for (const lesson of lessons)
      for (const id of checksIn(lesson)) {
        const answer = answerTo(id);
        if (answer) state.answers[id] = answer;
      }
    for (const [lesson, quiz] of quizzes) {
      const again = quizzesOf(course).get(lesson)!.again;
      for (const id of quiz.last!.asked) {
        const answer = answerTo(id);
        const isKept = again && answer && take(1) === 1;
        if (answer) quiz.last!.answers[id] = { ...answer, ...(isKept && { kept: true as const }) };
      }
    }
  }
  if (quizzes.size > 0) state.quizzes = Object.fromEntries(quizzes);
  const here = at ? lessons[Number(at)] : undefined;
  return here ? { ...state, at: here.id } : state;
}

/** What is known of a quiz; undefined where no try was begun. */
function quizIn(take: BitReader, quiz: LearnerQuiz, lesson: string, learner: string): QuizState | undefined {
  const tries = take(BITS.sittings);
  if (tries === 0) return undefined;
  const best = take(BITS.score);
  const open = take(1) === 1;
  const begun = open && quiz.minutes !== undefined ? take(BITS.begun) * 1000 : 0;
  const asked = askedIn(quiz, lesson, learner, tries);
  const knew = sparedBy(quiz).filter(() => take(1) === 1);
  return {
    tries,
    ...(knew.length > 0 && { knew }),
    ...(best > 0 && { best: (best - 1) / 100 }),
    last: { asked, answers: {}, begun, ...(!open && { handed: 0 }) },
  };
}

/** A try whose answers are gone is worth what was written down of it. */
function withoutHanded({ last, ...quiz }: QuizState): QuizState {
  return last?.handed === undefined ? { ...quiz, ...(last && { last }) } : quiz;
}

const keepsResponse = (form: Form, check: LearnerCheck): boolean =>
  form === FORMS.whole || (form === FORMS.untyped && !isTypedKind(check));

function answerIn(take: BitReader, form: Form): Answer | undefined {
  const state = take(BITS.state);
  if (state === STATES.none) return undefined;
  const tries = Math.max(1, take(BITS.tries));
  const score = form === FORMS.states ? take(1) : Math.min(100, take(BITS.score)) / 100;
  return { score, state: (['marked', 'marked', 'waiting', 'going'] as const)[state], tries };
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
  for (const { id, quiz } of lessons) {
    writer.put(read.has(id) ? 1 : 0, 1);
    if (quiz) putQuiz(writer, quiz, own(state.quizzes ?? {}, id), course);
  }
  if (form === FORMS.lessons) return bits;
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  const put = (id: string, answer: Answer | undefined) => {
    writer.put(answer ? STATES[answer.state] : STATES.none, BITS.state);
    if (!answer) return;
    writer.put(Math.min(answer.tries, 2 ** BITS.tries - 1), BITS.tries);
    if (form === FORMS.states) writer.put(answer.score === 1 ? 1 : 0, 1);
    // Only what is all right is packed as that.
    else writer.put(answer.score === 1 ? 100 : Math.min(99, Math.round(answer.score * 100)), BITS.score);
    const check = checks.get(id);
    if (check && keepsResponse(form, check)) packResponse(check, answer.response, writer);
  };
  for (const id of lessons.flatMap(checksIn)) put(id, own(state.answers, id));
  for (const { id: lesson, quiz } of lessons) {
    const last = quiz && own(state.quizzes ?? {}, lesson)?.last;
    for (const id of last?.asked ?? []) {
      const answer = own(last!.answers, id);
      put(id, answer);
      if (answer && quiz!.again) writer.put(answer.kept ? 1 : 0, 1);
    }
  }
  return bits;
}

/** Lessons that a quiz can tell need not be learned, in an order of their own. */
const sparedBy = ({ about }: LearnerQuiz): string[] => [...new Set(Object.values(about ?? {}).flat())].sort(byLetters);

function putQuiz(writer: BitWriter, quiz: LearnerQuiz, state: QuizState | undefined, course: LearnerCourse): void {
  writer.put(Math.min(state?.tries ?? 0, 2 ** BITS.sittings - 1), BITS.sittings);
  if (!state?.tries) return;
  const { share, open, knows } = resultOf(quiz, state, course);
  // Rounded down, so that what was not enough does not become enough.
  writer.put(share === undefined ? 0 : Math.floor(share * 100 + 1e-6) + 1, BITS.score);
  writer.put(open ? 1 : 0, 1);
  if (open && quiz.minutes !== undefined) writer.put(Math.floor(state.last!.begun / 1000), BITS.begun);
  for (const lesson of sparedBy(quiz)) writer.put(knows.includes(lesson) ? 1 : 0, 1);
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
