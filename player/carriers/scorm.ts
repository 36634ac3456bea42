import { packState, unpackState } from '../../core/learning/packed';
import { interactionOf, type Interaction } from '../../core/checks/markings';
import { progressOf, standingIn } from '../../core/learning/progress';
import { BEGINNING, own, type Answer, type LearnerEvent, type LearnerState } from '../../core/learning/state';
import type { Rules } from '../../core/learning/rules';
import type { LearnerCourse } from '../../core/learning/view';
import { chanceName } from './carrier';
import type { Store } from './local';

/** A learning platform's run-time as the standards name it; all values are text. */
interface Api {
  begin(): boolean;
  get(name: string): string;
  set(name: string, value: string): void;
  commit(): void;
  end(): void;
}

type Raw = Record<string, (...values: string[]) => string | boolean>;
const yes = (answer: unknown) => answer === true || answer === 'true';

/**
 * Finds the run-time in the windows around this one, as the standards say: parents first, then the opener and its
 * parents.
 */
function find(name: 'API' | 'API_1484_11'): Raw | undefined {
  for (const start of [window, window.opener as Window | null]) {
    let place: Window | null = start;
    for (let up = 0; place && up < 500; up++) {
      try {
        const api = (place as unknown as Record<string, Raw | undefined>)[name];
        if (api) return api;
      } catch {
        // A window of another origin: nothing to be found there.
      }
      if (place.parent === place) break;
      place = place.parent;
    }
  }
  return undefined;
}

function wrap(raw: Raw, prefix: string, finish: string): Api {
  return {
    begin: () => yes(raw[`${prefix}Initialize`]('')),
    get: (name) => String(raw[`${prefix}GetValue`](name) ?? ''),
    set: (name, value) => void raw[`${prefix}SetValue`](name, value),
    commit: () => void raw[`${prefix}Commit`](''),
    end: () => void raw[finish](''),
  };
}

/** The names of the things both editions know. */
const NAMES = {
  '1.2': {
    data: 'cmi.suspend_data',
    place: 'cmi.core.lesson_location',
    entry: 'cmi.core.entry',
    exit: 'cmi.core.exit',
    learner: 'cmi.core.student_id',
    time: 'cmi.core.session_time',
    score: 'cmi.core.score',
    most: 4096,
  },
  2004: {
    data: 'cmi.suspend_data',
    place: 'cmi.location',
    entry: 'cmi.entry',
    exit: 'cmi.exit',
    learner: 'cmi.learner_id',
    time: 'cmi.session_time',
    score: 'cmi.score',
    most: 64_000,
  },
} as const;

/** Seconds as the editions want them: HHHH:MM:SS, or an ISO 8601 duration. */
export function sessionTime(edition: '1.2' | '2004', seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  const [hours, minutes, rest] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  const two = (value: number) => String(value).padStart(2, '0');
  return edition === '1.2' ? `${two(hours)}:${two(minutes)}:${two(rest)}` : `PT${hours}H${minutes}M${rest}S`;
}

/** What a field of an answer holds at most, by edition and type. */
const LONGEST = { '1.2': 255, 2004: 250, long: 4000 } as const;

/**
 * An answer as an edition writes it: several by commas, pairs by points, both in brackets in the later edition. The
 * first knows true and false by one letter, and no long texts.
 */
export function reported(
  edition: '1.2' | '2004',
  { type, response }: Interaction,
): { type: Interaction['type']; said: string } {
  const [comma, point] = edition === '1.2' ? [',', '.'] : ['[,]', '[.]'];
  const said = response.map((each) => (typeof each === 'string' ? each : each.join(point))).join(comma);
  if (edition === '2004') return { type, said: said.slice(0, type === 'long-fill-in' ? LONGEST.long : LONGEST[2004]) };
  return type === 'true-false'
    ? { type, said: said.slice(0, 1) }
    : { type: type === 'long-fill-in' ? 'fill-in' : type, said: said.slice(0, LONGEST['1.2']) };
}

/**
 * Keeps a learner's state in a learning platform: packed in its suspend data, with place, score, status and each
 * answer. Without a platform around (opened by hand) nothing is kept beyond the page.
 */
export function scormStore(edition: '1.2' | '2004', course: LearnerCourse, rules: Rules): Store {
  const raw = find(edition === '1.2' ? 'API' : 'API_1484_11');
  const api = raw && (edition === '1.2' ? wrap(raw, 'LMS', 'LMSFinish') : wrap(raw, '', 'Terminate'));
  const names = NAMES[edition];
  const begun = Date.now();
  let running = false;
  let interactions = 0;
  let last: LearnerState = BEGINNING;
  let learner = chanceName();

  function report(state: LearnerState) {
    const progress = progressOf(course, rules, standingIn(course, state));
    if (progress.score !== undefined) {
      const percent = Math.round(progress.score * 100);
      if (edition === '2004') api!.set(`${names.score}.scaled`, String(percent / 100));
      api!.set(`${names.score}.min`, '0');
      api!.set(`${names.score}.max`, '100');
      api!.set(`${names.score}.raw`, String(percent));
    }
    if (edition === '1.2') {
      const status =
        progress.passed === undefined
          ? progress.completed
            ? 'completed'
            : 'incomplete'
          : progress.completed
            ? 'passed'
            : progress.ended
              ? 'failed'
              : 'incomplete';
      api!.set('cmi.core.lesson_status', status);
    } else {
      api!.set(
        'cmi.completion_status',
        progress.done === Object.keys(progress.lessons).length ? 'completed' : 'incomplete',
      );
      api!.set(
        'cmi.progress_measure',
        String(Math.round((progress.minutes.done / Math.max(0.1, progress.minutes.of)) * 100) / 100),
      );
      if (progress.passed !== undefined)
        api!.set('cmi.success_status', progress.passed ? 'passed' : progress.ended ? 'failed' : 'unknown');
    }
  }

  /** One more answer, as the platform's reports show it. */
  function note(id: string, answer: Answer) {
    const check = course.checks.find((each) => each.id === id);
    const interaction = check && interactionOf(check, answer.response);
    // A story that is under way is reported when it ends.
    if (!interaction || answer.state === 'going') return;
    const at = `cmi.interactions.${interactions++}`;
    api!.set(`${at}.id`, check.id);
    const { type, said } = reported(edition, interaction);
    api!.set(`${at}.type`, type);
    if (edition === '2004') api!.set(`${at}.description`, check.stem.slice(0, 250));
    api!.set(edition === '1.2' ? `${at}.student_response` : `${at}.learner_response`, said);
    api!.set(`${at}.result`, resultOf(answer));
  }
  /** Answers that are partly right are told by their score; those that wait for a mark as neither. */
  function resultOf({ score, state }: Answer): string {
    if (state === 'waiting') return 'neutral';
    if (score === 1) return 'correct';
    if (score === 0) return edition === '1.2' ? 'wrong' : 'incorrect';
    return String(Math.round(score * 100) / 100);
  }

  function leave() {
    if (!running) return;
    running = false;
    const { completed } = progressOf(course, rules, standingIn(course, last));
    api!.set(names.time, sessionTime(edition, (Date.now() - begun) / 1000));
    // A course that is not completed is come back to; a completed one may be looked at again, with all its answers.
    api!.set(names.exit, edition === '1.2' && completed ? '' : 'suspend');
    api!.commit();
    api!.end();
  }

  return {
    load() {
      if (!api || !(running = api.begin())) return BEGINNING;
      window.addEventListener('pagehide', leave);
      window.addEventListener('beforeunload', leave);
      // A platform that names nobody draws the same for all: what was drawn must be the same at every visit.
      learner = api.get(names.learner) || 'learner';
      interactions = Number(api.get('cmi.interactions._count')) || 0;
      // At the first visit there is nothing to ask for, and asking would be an error.
      if (api.get(names.entry) !== 'ab-initio') {
        const place = api.get(names.place);
        last = { ...unpackState(course, api.get(names.data), learner), ...(place && { at: place }) };
      }
      report(last);
      api.commit();
      return last;
    },
    learner: () => learner,
    save(state, event) {
      const before = last;
      last = state;
      if (!running) return;
      for (const [check, answer] of newlyGiven(event, before, state)) note(check, answer);
      api!.set(names.data, packState(course, state, names.most));
      if (state.at) api!.set(names.place, state.at);
      report(state);
      api!.commit();
    },
  };
}

/** Answers that an event gave for good: one to a check of a lesson, or, when a quiz is handed in, all of that try. */
function newlyGiven(
  event: LearnerEvent | undefined,
  before: LearnerState,
  state: LearnerState,
): (readonly [string, Answer])[] {
  if (event?.kind === 'answer') {
    const [was, is] = [own(before.answers, event.check), own(state.answers, event.check)];
    return is && is !== was ? [[event.check, is]] : [];
  }
  const sitting = event?.kind === 'hand' ? state.quizzes?.[event.lesson]?.last : undefined;
  return sitting?.handed === undefined
    ? []
    : sitting.asked.flatMap((check) => {
        const answer = own(sitting.answers, check);
        return answer && !answer.kept ? [[check, answer] as const] : [];
      });
}
