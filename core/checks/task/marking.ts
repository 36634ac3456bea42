import { MEDIA_HASH } from '../../document/media';
import type { CheckMarking, Feedback, GivenMark, JudgedCriterion } from '../marking';
import { putText, takeText } from '../packing';
import {
  LETTERS_MOST,
  mostOf,
  WORDS_MOST,
  wordsIn,
  type Criterion,
  type HandIn,
  type LastWord,
  type TaskCheck,
} from './form';

/** A file that was handed in, by the SHA-256 of its bytes, as its learner called it. */
export interface HandedFile {
  hash: string;
  name: string;
  bytes: number;
}

/** What was handed in: typed words, files, or both. */
export interface HandedIn {
  text: string;
  files: HandedFile[];
  /** It was kept as long as it was to be: only its marks are left. Nobody can hand that in. */
  gone?: true;
}

type SeenCriterion = Omit<Criterion, 'quotes'>;

export interface TaskView {
  setting: string;
  handIn: HandIn;
  /** Whose word holds, said before anything is handed in. */
  lastWord: LastWord;
  /** What it is held against, where its author shows it. */
  criteria?: SeenCriterion[];
  /** Hand-ins go so many days after they were marked. */
  keepDays?: number;
}

export interface TaskSecret {
  lastWord: LastWord;
  handIn: HandIn;
  criteria: SeenCriterion[];
  model: string;
  quotes: string[];
}

const seen = ({ id, text, levels }: Criterion): SeenCriterion => ({ id, text, levels });

/** What learners compare their hand-in with where nobody marks it. */
const compare = ({ criteria, quotes }: TaskSecret): Feedback => ({
  code: 'compare',
  quotes,
  ...(criteria.length > 0 && { points: criteria.map(({ text }) => text) }),
});

/** Each criterion with the level that was given to it and what was said to it. */
function judged(criteria: readonly SeenCriterion[], given: GivenMark): JudgedCriterion[] {
  return criteria.map((criterion) => {
    const level = criterion.levels.find(({ id }) => id === given.levels?.[criterion.id]);
    const words = given.words?.[criterion.id];
    const note = given.notes?.[criterion.id];
    return {
      text: criterion.text,
      points: level?.points ?? 0,
      of: mostOf(criterion),
      ...(level && { level: level.text }),
      ...(words && words.length > 0 && { words }),
      ...(note && { note }),
    };
  });
}

/** The response is what was handed in. It waits for its mark, which comes as an event of its own. */
export const task: CheckMarking<TaskCheck, TaskView, TaskSecret, HandedIn> = {
  view: ({ setting, handIn, lastWord, criteria, criteriaShown, keepDays }) => ({
    setting,
    handIn,
    lastWord,
    ...(criteriaShown && criteria.length > 0 && { criteria: criteria.map(seen) }),
    ...(keepDays !== undefined && { keepDays }),
  }),
  secret: ({ lastWord, handIn, criteria, model, quotes }) => ({
    lastWord,
    handIn,
    criteria: criteria.map(seen),
    model,
    quotes: [...quotes, ...criteria.flatMap((each) => each.quotes)]
      .map(({ text }) => text)
      .filter((text, at, all) => all.indexOf(text) === at),
  }),
  // Nobody is there to read a file, or to delete it: what was done is told in words, and compared.
  alone({ view, secret }) {
    const kept: TaskView = { ...view, lastWord: 'learner' };
    delete kept.keepDays;
    const handIn = { ...view.handIn, words: view.handIn.words ?? { most: WORDS_MOST } };
    return {
      view: kept,
      secret: { ...secret, lastWord: 'learner', handIn: { words: handIn.words } },
    };
  },
  read(response, { handIn: { words, files } }) {
    if (!isHandedIn(response)) return undefined;
    if (response.gone) return response;
    const count = wordsIn(response.text);
    if (count > (words?.most ?? 0) || (words?.least !== undefined && count < words.least)) return undefined;
    if (response.files.length > (files?.most ?? 0)) return undefined;
    return count > 0 || response.files.length > 0 ? response : undefined;
  },
  mark: (secret) =>
    secret.lastWord === 'learner'
      ? { score: 1, state: 'marked', feedback: compare(secret) }
      : { score: 0, state: 'waiting' },
  judged: ({ criteria }, given) => ({
    code: 'own',
    quotes: [],
    ...(criteria.length > 0 && given.levels && { criteria: judged(criteria, given) }),
    ...(given.suggested && { suggested: true as const }),
  }),
  solution: (secret) => ({ response: { text: secret.model, files: [] }, feedback: compare(secret) }),
  typed: true,
  pack: (_, { text }, bits) => putText(text, bits),
  unpack(_, bits) {
    const text = takeText(bits);
    return text === undefined ? undefined : { text, files: [] };
  },
  interaction: (_, { text }) => ({ type: 'long-fill-in', response: [text] }),
  said: (_, { text, files }) => [...(text ? [text] : []), ...files.map(({ name }) => name)],
};

function isHandedIn(value: unknown): value is HandedIn {
  if (typeof value !== 'object' || value === null) return false;
  const { text, files } = value as Partial<HandedIn>;
  const isFile = (file: unknown) => {
    const { hash, name, bytes } = (file ?? {}) as Partial<HandedFile>;
    return (
      typeof hash === 'string' &&
      MEDIA_HASH.test(hash) &&
      typeof name === 'string' &&
      name.length > 0 &&
      name.length <= 200 &&
      Number.isInteger(bytes)
    );
  };
  return typeof text === 'string' && text.length <= LETTERS_MOST && Array.isArray(files) && files.every(isFile);
}
