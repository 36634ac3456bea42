import type { LastWord } from '../checks/task/form';
import type { Feedback } from '../checks/marking';
import type { CalloutTone } from '../blocks/callout/form';
import type { Shows } from '../quiz/form';

/** What learners read of quizzes. */
export interface QuizWords {
  title: string;
  practice: string;
  skips: string;
  questions: string;
  oneQuestion: string;
  minutes: string;
  pass: string;
  weight: string;
  anyTries: string;
  shows: Record<Shows, string>;
  begin: string;
  again: string;
  againWrong: string;
  wait: string;
  progress: string;
  timeLeft: string;
  handIn: string;
  missing: string;
  timeOver: string;
  result: string;
  best: string;
  passed: string;
  failed: string;
  waits: string;
  known: string;
  mark: string;
  stands: string;
  yourAnswers: string;
}

/** What is said where something is to be answered. */
export interface AskingWords {
  several: string;
  order: string;
  up: string;
  down: string;
  place: string;
  choose: string;
  sort: string;
  area: string;
  areas: string;
  number: string;
  noNumber: string;
  readAs: string;
  short: string;
  open: string;
  goodAnswer: string;
  rightOrder: string;
  rightly: string;
  looksFor: string;
  points: string;
  onePoint: string;
  required: string;
  byPerson: string;
}

/** What is said in a story that goes on by what is chosen. */
export interface StoryWords {
  before: string;
  chosen: string;
  on: string;
  toBack: string;
  best: string;
  near: string;
  off: string;
  points: string;
}

/** What is said of a task that is done and handed in. `by`: whose mark holds. */
export interface TaskWords extends Record<
  | 'write'
  | 'words'
  | 'least'
  | 'most'
  | 'criteria'
  | 'points'
  | 'files'
  | 'take'
  | 'kinds'
  | 'sending'
  | 'drop'
  | 'failed'
  | 'again'
  | 'noFiles'
  | 'handIn'
  | 'keeps'
  | 'draft'
  | 'suggested'
  | 'score'
  | 'earned'
  | 'notFound'
  | 'gone'
  | 'yours'
  | 'lost'
  | 'tooFew'
  | 'tooMany',
  string
> {
  by: Record<LastWord, string>;
}

/** What is said of a feedback form that is filled in. */
export type SurveyWords = Record<
  | 'own'
  | 'named'
  | 'unnamed'
  | 'once'
  | 'kept'
  | 'send'
  | 'change'
  | 'sending'
  | 'failed'
  | 'again'
  | 'given'
  | 'must'
  | 'missing'
  | 'choose'
  | 'rating'
  | 'range'
  | 'least'
  | 'most'
  | 'noNumber'
  | 'letters'
  | 'nowhere'
  | 'form'
  | 'closed'
  | 'nameWhy',
  string
>;

/** Everything the learner's side says, in one language; `{name}` stands for a value. */
export interface Words {
  begin: string;
  goOn: string;
  yourName: string;
  nameWhy: string;
  closed: string;
  signIn: string;
  lessons: string;
  hideLessons: string;
  toText: string;
  path: string;
  minutes: string;
  minutesOf: string;
  lessonsOf: string;
  checksIn: string;
  lessonPlace: string;
  afterwards: string;
  done: string;
  here: string;
  shut: string;
  next: string;
  finish: string;
  back: string;
  check: string;
  answer: string;
  again: string;
  checking: string;
  yourAnswer: string;
  rightAnswer: string;
  right: string;
  wrong: string;
  isTrue: string;
  isFalse: string;
  partly: string;
  toBeMarked: string;
  triesLeft: string;
  says: string;
  feedback: Record<Exclude<Feedback['code'], 'right' | 'own'>, string>;
  asks: AskingWords;
  story: StoryWords;
  survey: SurveyWords;
  task: TaskWords;
  quiz: QuizWords;
  kept: string;
  lost: string;
  left: Record<'read' | 'answer' | 'hand' | 'pass', string>;
  firstThese: string;
  stillHere: string;
  endTitle: string;
  endDone: string;
  endLeft: string;
  score: string;
  notPassed: string;
  stillOpen: string;
  withdrawn: string;
  placeOf: string;
  goOnAs: string;
  notMe: string;
  leave: string;
  leaveWhy: string;
  somebody: string;
  elsewhere: string;
  elsewhereWhy: string;
  copied: string;
  callout: Record<CalloutTone, string>;
  /** Before what belongs into a place that is still open. */
  slotOpen: string;
  reading: string;
  eventJoin: string;
  eventKeep: string;
  eventHere: string;
  /** A page of the web within the lesson: what loads it, what it means to, and how it is opened by itself. */
  embedShow: string;
  embedOpen: string;
  embedWhy: string;
  embedFull: string;
  /** Around pictures, clips and files. */
  media: Record<
    'larger' | 'close' | 'before' | 'next' | 'at' | 'said' | 'cannot' | 'pages' | 'open' | 'save' | 'part',
    string
  >;
  stepOf: string;
  stepNext: string;
  stepBack: string;
  stepsAll: string;
  /** The first lesson of a course: what it is called, for whom, how long, what comes, that it asks. */
  opens: Record<'title' | 'who' | 'takes' | 'comes' | 'checks', string>;
  summary: string;
  ruleLesson: Record<'read' | 'answered' | 'passed', string>;
  ruleCourse: Record<'lessons' | 'passed', string>;
  ruleForced: string;
  ruleTries: string;
  size: string;
  rules: string;
  trouble: string;
  oneMinute: string;
}
