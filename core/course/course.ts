import { checksOn, type Block } from '../blocks/forms';
import type { Level } from '../checks/check';
import type { Check } from '../checks/forms';
import type { LeftOut } from './left-out';
import type { MediaRef } from '../document/media';
import type { PassageRange } from '../document/rich-text';
import type { Quiz } from '../quiz/form';

/** What the author wants of the course. */
export interface Brief {
  /** What the learner gets out of it. */
  promise: string;
  audience: {
    who: string;
    /** Terms and subjects they need not be taught. */
    knows: string[];
    /** Who might think it is for them, and is not meant. */
    notFor?: string;
    /** What goes wrong at their work today. */
    wrong?: string;
    /** How far they are. */
    level?: string;
    /** Where and with what they work. */
    setting?: string;
    /** What they want of it themselves. */
    wants?: string;
  };
  size: {
    minutes?: number;
    modules?: number;
    lessonsPerModule?: number;
    /** About so many words of the source in a lesson. */
    wordsPerLesson?: number;
    /** At most. */
    questionsPerLesson: number;
    /** A check for so many minutes, up to that; absent: as many as are good. */
    checkEvery?: number;
  };
  language: string;
  /** No connecting text by the engine at all. */
  sourcesOnly: boolean;
  /** What would count as success at work. */
  outcomes: string[];
}

export type ObjectiveVerb = 'carry-out' | 'apply' | 'decide' | 'explain' | 'choose' | 'state';

export interface Objective {
  id: string;
  verb: ObjectiveVerb;
  /** What the verb is done to, as words of the course's language. */
  object: string;
  condition?: string;
  level: Level;
  /** The whole sentence, as shown. */
  text: string;
  evidence: PassageRange[];
}

export interface GlossaryEntry {
  id: string;
  term: string;
  text: string;
  evidence: PassageRange[];
  /** An everyday word ("return") that the sources give a meaning of their own: it may stand before that. */
  everyday?: boolean;
}

/**
 * What a lesson is for: an idea explained, a procedure done, a decision made, things told apart, practice, or finding
 * one's way.
 */
export const LESSON_KINDS = ['idea', 'procedure', 'decision', 'comparison', 'practice', 'orientation'] as const;
export type LessonKind = (typeof LESSON_KINDS)[number];

/** What a lesson does at one of its points: explains it, shows it, weighs cases, or lets the learner try. */
export const POINT_DOES = ['explain', 'show', 'weigh', 'try'] as const;
export type PointDoes = (typeof POINT_DOES)[number];

/** A point of a lesson, settled before its text: what it says, what is done there, and from which passages. */
export interface Point {
  id: string;
  text: string;
  does: PointDoes;
  /** In teaching order; none where the sources say nothing of it yet. */
  passages: string[];
}

export type LessonState = 'blank' | 'drafted' | 'in-work' | 'for-review' | 'approved';

export interface Lesson {
  id: string;
  title: string;
  /** A page to learn from, or a quiz: what stands before its first question introduces it. */
  kind: 'lesson' | 'quiz';
  /** How a quiz is taken; lessons have none. */
  quiz?: Quiz;
  /** What it is for; absent where nobody said. */
  lessonKind?: LessonKind;
  objectiveIds: string[];
  state: LessonState;
  /** Set by the author; otherwise minutes are computed. */
  minutesFixed?: number;
  /** What the engine plans for it, in teaching order. */
  plannedPassages: string[];
  /** What the author gave it: used as given, whatever the size; absent when there is nothing. */
  given?: string[];
  /** What it says, point by point, in order; absent where nobody asked for that. */
  points?: Point[];
  blocks: Block[];
}

/** What a module is for by itself, beside its purpose, so that it can stand alone later. */
export interface ModuleBrief {
  /** What can be seen or counted at work afterwards. */
  result?: string;
  /** What goes wrong today. */
  wrong?: string;
  /** What people ask about it. */
  asked?: string[];
  /** What they do at work that matters. */
  actions?: string[];
}

export interface Module {
  id: string;
  title: string;
  /** What it promises. */
  purpose: string;
  objectiveIds: string[];
  lessons: Lesson[];
  /** Absent when its author says no more of it. */
  brief?: ModuleBrief;
}

/** An alternative for a field of a node, or for a lesson's whole page; it stays until it is thrown away. */
export interface Take {
  id: string;
  of: string;
  /**
   * The field it holds another value for; `page`: a whole page of a lesson; `arrangement`: a module's lessons in
   * another order or grouping; `insert`: a node whose place went meanwhile.
   */
  field: string;
  value: unknown;
  made: TakeMade;
  /** What its author calls it. */
  name?: string;
}

/**
 * When a take was made (milliseconds UTC), by whom (their name; empty where it is not known), and why it lies there.
 */
export interface TakeMade {
  at: number;
  by: string;
  /**
   * draft: drafted while its lesson was edited; replaced: stood there before; conflict: met another's change; kept:
   * laid there by hand.
   */
  why: 'draft' | 'replaced' | 'conflict' | 'kept';
}

/**
 * A question that the author is asked about what they know, with the answer as typed; an empty answer is an open slot.
 */
export interface Answer {
  id: string;
  /** The heading its answer stands under: the topic of the interview, or the title of its lesson. */
  topic: string;
  question: string;
  text: string;
  /** The lesson whose slot it is. */
  lesson?: string;
}

/** A file of media on the course's shelf, whether or not anything shows it now. */
export interface Medium {
  id: string;
  file: ShelvedFile;
  /** What its author calls it. */
  name: string;
  /** What it shows, for who cannot see it; where it is used next, it says that. */
  alt?: string;
  /** It says nothing that the words do not. */
  decorative?: true;
  /** Whose it is, and what they allow. */
  credit?: string;
  licence?: string;
  /** Learners are shown both wherever it stands. */
  credited?: true;
  /** Of a sound or film: the source that has what is said in it, by the same times. */
  ofSource?: string;
}

/** A file with what is known of it: bytes, pixels of what is seen, seconds of what goes on. */
export interface ShelvedFile extends MediaRef {
  bytes?: number;
  width?: number;
  height?: number;
  seconds?: number;
}

export const NODE_KINDS = [
  'module',
  'lesson',
  'block',
  'check',
  'objective',
  'term',
  'take',
  'answer',
  'point',
  'medium',
] as const;
export type NodeKind = (typeof NODE_KINDS)[number];

/** A deleted node, with the place it had. */
export interface BinEntry {
  kind: NodeKind;
  parent: string;
  after: string | null;
  node: CourseNode;
}

export type CourseNode = Module | Lesson | Block | Check | Objective | GlossaryEntry | Take | Answer | Point | Medium;

/** How the author settled a contradiction between sources: which side holds, or both, each in its own case. */
export interface Settlement {
  /** Of the contradiction. */
  id: string;
  holds: 'first' | 'second' | 'both';
  /** The words that do not hold; none when both do. */
  gone: PassageRange[];
  /** When which holds, in the author's words. */
  words?: string;
}

/** What the author corrected in how a source is read or used. */
export interface Correction {
  id: string;
  /**
   * leave-out: not for this course; furniture: repeated words that teach nothing, wherever they stand; focus: what the
   * course is about above all; no-heading: a heading that is none; heading: its right words; not: what was understood
   * here is not so.
   */
  kind: 'leave-out' | 'furniture' | 'focus' | 'no-heading' | 'heading' | 'not';
  sourceId: string;
  /** The section or passage. */
  place: string;
  /** Of a heading: the right words. */
  title?: string;
  /** Of what was understood: the kind of claim, and the hash of its words. */
  claim?: string;
  words?: string;
}

/** A note that the author leaves: its rule, what it is about, and the hash of the words it saw then. */
export interface NoteLeft {
  rule: string;
  about: string;
  print: string;
}

/**
 * Words that others stand under, as they were before they were changed: the course's promise, for whom it is, or a
 * module's purpose. What below still speaks as they did can be found by them.
 */
export interface EarlierWords {
  /** The course or the module. */
  of: string;
  field: 'promise' | 'who' | 'purpose';
  /** The latest last. */
  was: string[];
}

/** How a course is announced and filed. */
export interface CourseAbout {
  /** What a learner reads before they begin. */
  description?: string;
  tags?: string[];
  /** Its number or short name where courses are filed. */
  code?: string;
  category?: string;
}

/** A course: the whole document, changed only by operations. */
export interface Course {
  id: string;
  title: string;
  language: string;
  direction: 'ltr' | 'rtl';
  brief: Brief;
  objectives: Objective[];
  glossary: GlossaryEntry[];
  modules: Module[];
  checks: Check[];
  takes: Take[];
  /** Absent when nothing is said. */
  about?: CourseAbout;
  /** Contradictions between its sources that the author settled; absent when there are none. */
  settled?: Settlement[];
  /** What the author was asked and answered; absent when nothing was. */
  answers?: Answer[];
  /** Its shelf of media; absent when nothing lies there. */
  media?: Medium[];
  /** How its author corrected the reading of its sources; absent when there is nothing. */
  corrections?: Correction[];
  /** Sources that only add to what the others lead; absent when all lead. */
  supporting?: string[];
  /** Notes that the author looked at and left as they are; absent when there are none. */
  notesLeft?: NoteLeft[];
  /** What its promise, its audience and purposes said before; absent when none was reworded. */
  earlier?: EarlierWords[];
  /** What drafting left out of the sources; absent when nothing was. */
  leftOut?: LeftOut[];
  /** Sorted by id, so that taking out and putting back gives the same document. */
  bin: BinEntry[];
}

/** All lessons in order. */
export function allLessons(course: Course): Lesson[] {
  return course.modules.flatMap((module) => module.lessons);
}

/** Checks that a block places, in order of lessons. */
export function placedChecks(course: Course): Check[] {
  const byId = new Map(course.checks.map((check) => [check.id, check]));
  return allLessons(course).flatMap((lesson) => checksOn(lesson).flatMap((id) => byId.get(id) ?? []));
}

const RIGHT_TO_LEFT = new Set(['ar', 'fa', 'he', 'ur', 'yi', 'ps', 'dv']);

/** The direction a language is written in. */
export function directionOf(language: string): Course['direction'] {
  return RIGHT_TO_LEFT.has(language.split('-')[0]) ? 'rtl' : 'ltr';
}

/** A course with nothing in it. */
export function emptyCourse(id: string, title: string, brief: Brief): Course {
  return {
    id,
    title,
    language: brief.language,
    direction: directionOf(brief.language),
    brief,
    objectives: [],
    glossary: [],
    modules: [],
    checks: [],
    takes: [],
    bin: [],
  };
}
