import { checkIn, checksOn, plainText, type Block } from '../blocks/forms';
import { sameData } from '../document/canonical';
import { checkText } from '../checks/forms';
import { allLessons, type Course, type Lesson, type Module } from './course';
import { offersOf } from './offers';

/** A stretch of words as it was and as it is; one of them is empty where words came or went as a whole. */
export interface WordsChange {
  /** The part, the question, or the field it stands in. */
  id: string;
  before: string;
  after: string;
}

/** What differs in one lesson between two states of a course. */
export interface LessonChange {
  id: string;
  title: string;
  kind: 'same' | 'added' | 'gone' | 'changed';
  /** Whether it stands in another place: another module, or another order among those there before and after. */
  moved: boolean;
  words: WordsChange[];
  checks: WordsChange[];
  /** Whether parts that stayed stand in another order. */
  order: boolean;
  state?: { before: Lesson['state']; after: Lesson['state'] };
}

/** What differs between two states of a course, lesson by lesson, and outside of lessons. */
export interface CourseComparison {
  lessons: LessonChange[];
  /** Title, brief, titles and purposes of modules, objectives, terms, by what they are. */
  course: (WordsChange & { what: 'title' | 'brief' | 'module' | 'objective' | 'term' | 'offer' })[];
}

/** Compares two states of one course. Lessons come in the order of the later state, those that are gone at the end. */
export function compareCourses(before: Course, after: Course): CourseComparison {
  const was = new Map(allLessons(before).map((lesson) => [lesson.id, lesson]));
  const is = new Map(allLessons(after).map((lesson) => [lesson.id, lesson]));
  const moved = movedAmong(homes(before), homes(after));
  const lessons = [
    ...allLessons(after).map((lesson) => lessonChange(was.get(lesson.id), lesson, before, after, moved.has(lesson.id))),
    ...allLessons(before)
      .filter((lesson) => !is.has(lesson.id))
      .map((lesson) => lessonChange(lesson, undefined, before, after, false)),
  ];
  const pairs = <Node extends { id: string }>(a: readonly Node[], b: readonly Node[], words: (node: Node) => string) =>
    differing(
      a.map((node) => [node.id, words(node)]),
      b.map((node) => [node.id, words(node)]),
    );
  const said = (what: CourseComparison['course'][number]['what'], changes: WordsChange[]) =>
    changes.map((change) => ({ ...change, what }));
  return {
    lessons,
    course: [
      ...said('title', differing([[before.id, before.title]], [[after.id, after.title]])),
      ...said('brief', differing([[before.id, briefWords(before)]], [[after.id, briefWords(after)]])),
      ...said('module', pairs(before.modules, after.modules, moduleWords)),
      ...said(
        'objective',
        pairs(before.objectives, after.objectives, (objective) => objective.text),
      ),
      ...said(
        'term',
        pairs(before.glossary, after.glossary, (term) => `${term.term}: ${term.text}`),
      ),
      ...said('offer', pairs(offersOf(before), offersOf(after), checkText)),
    ],
  };
}

/** Compares two states of one lesson, each with the course whose questions its places lead to. */
export function compareLessons(was: Lesson, is: Lesson, before: Course, after: Course): LessonChange {
  return lessonChange(was, is, before, after, false);
}

function lessonChange(
  was: Lesson | undefined,
  is: Lesson | undefined,
  before: Course,
  after: Course,
  moved: boolean,
): LessonChange {
  const lesson = (is ?? was)!;
  const title = was && is ? differing([[lesson.id, was.title]], [[lesson.id, is.title]]) : [];
  const words = [...title, ...differing(partWords(was), partWords(is))];
  const checks = differing(placedWords(was, before), placedWords(is, after));
  const stayed = (blocks: readonly Block[], other: readonly Block[]) =>
    blocks.filter((block) => other.some((each) => each.id === block.id)).map((block) => block.id);
  const order =
    was !== undefined && is !== undefined && !sameData(stayed(was.blocks, is.blocks), stayed(is.blocks, was.blocks));
  const state = was && is && was.state !== is.state ? { before: was.state, after: is.state } : undefined;
  const kind = !was
    ? 'added'
    : !is
      ? 'gone'
      : words.length > 0 || checks.length > 0 || order || state
        ? 'changed'
        : 'same';
  return { id: lesson.id, title: lesson.title, kind, moved, words, checks, order, ...(state && { state }) };
}

/** The words of a lesson's points and of each part of its page. */
function partWords(lesson: Lesson | undefined): [string, string][] {
  return [
    ...(lesson?.points ?? []).map(({ id, text }): [string, string] => [id, text]),
    ...(lesson?.blocks ?? [])
      .filter((block) => checkIn(block) === undefined)
      .map((block): [string, string] => [block.id, plainText(block)]),
  ];
}

function placedWords(lesson: Lesson | undefined, course: Course): [string, string][] {
  const byId = new Map(course.checks.map((check) => [check.id, check]));
  return (lesson ? checksOn(lesson) : []).flatMap((id): [string, string][] =>
    byId.has(id) ? [[id, checkText(byId.get(id)!)]] : [],
  );
}

const moduleWords = ({ title, purpose, brief }: Module): string =>
  [
    [title, purpose].filter(Boolean).join(': '),
    brief?.result,
    brief?.wrong,
    ...(brief?.asked ?? []),
    ...(brief?.actions ?? []),
  ]
    .filter(Boolean)
    .join('\n');

function briefWords({ brief: { promise, audience, outcomes, size, language }, about }: Course): string {
  return [
    promise,
    audience.who,
    audience.notFor,
    audience.wrong,
    audience.level,
    audience.setting,
    audience.wants,
    audience.knows.join(', '),
    ...outcomes,
    size.minutes ? `${size.minutes} min` : '',
    language,
    about?.description,
    about?.tags?.join(', '),
    about?.code,
    about?.category,
  ]
    .filter(Boolean)
    .join('\n');
}

/** What differs between two lists of named words, in the order of the later one. */
function differing(
  before: readonly (readonly [string, string])[],
  after: readonly (readonly [string, string])[],
): WordsChange[] {
  const was = new Map(before);
  const is = new Map(after);
  return [
    ...after
      .filter(([id, words]) => was.get(id) !== words)
      .map(([id, words]) => ({ id, before: was.get(id) ?? '', after: words })),
    ...before.filter(([id]) => !is.has(id)).map(([id, words]) => ({ id, before: words, after: '' })),
  ].filter((change) => change.before !== change.after);
}

/** Each lesson with the module it is in, in order. */
const homes = (course: Course): (readonly [string, string])[] =>
  course.modules.flatMap((module) => module.lessons.map((lesson) => [lesson.id, module.id] as const));

/** Those of two orders that stand elsewhere: in another module, or out of the longest run that kept its order. */
function movedAmong(
  before: readonly (readonly [string, string])[],
  after: readonly (readonly [string, string])[],
): Set<string> {
  const was = new Map(before.map(([id, home], at) => [id, { home, at }]));
  const both = after.filter(([id]) => was.has(id));
  const kept = longestRun(both.map(([id]) => was.get(id)!.at));
  return new Set(both.filter(([id, home], at) => !kept.has(at) || was.get(id)!.home !== home).map(([id]) => id));
}

/** Places of a longest increasing run in a list of numbers (patience sorting, O(n log n)). */
function longestRun(numbers: readonly number[]): Set<number> {
  const tails: number[] = [];
  const before: number[] = [];
  numbers.forEach((number, at) => {
    let low = 0;
    for (let high = tails.length; low < high;) {
      const middle = (low + high) >> 1;
      if (numbers[tails[middle]] < number) low = middle + 1;
      else high = middle;
    }
    before[at] = low > 0 ? tails[low - 1] : -1;
    tails[low] = at;
  });
  const run = new Set<number>();
  for (let at = tails.at(-1) ?? -1; at >= 0; at = before[at]) run.add(at);
  return run;
}
