import { readFileSync } from 'node:fs';
import { assemble } from '../core/source/assemble';
import type { ReadBlock } from '../core/source/blocks';
import type { Source } from '../core/source/source';
import { emptyCourse, type Brief, type Course, type Lesson, type Module, type Point } from '../core/course/course';
import { idFrom } from '../core/document/id';
import { plainRun } from '../core/document/rich-text';
import type { Block } from '../core/blocks/forms';
import type { ChoiceCheck } from '../core/checks/forms';
import { freezeCourse, type FrozenCourse } from '../core/learning/view';
import { understand, type Knowledge } from '../core/knowledge';
import { readSource } from '../core/reading';
import { packFor } from '../server/language/packs';

export const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

/** An id that is valid and tells what it is for. */
export const anId = (name: string): string => idFrom('x', name);

/** Who makes takes in tests. */
export const MAKER = { at: 1, by: 'Ines Marlow' };

/** A brief without wishes. */
export function aBrief(changes: Partial<Brief> = {}): Brief {
  return {
    promise: '',
    audience: { who: '', knows: [] },
    size: { questionsPerLesson: 3 },
    language: 'en',
    sourcesOnly: true,
    outcomes: [],
    ...changes,
  };
}

export function aText(id: string, text: string): Block {
  return { id: anId(id), kind: 'text', body: { text: plainRun(text) } };
}

export function aLesson(
  name: string,
  blocks: Block[] = [aText(`${name}-b1`, `Words of ${name}.`), aText(`${name}-b2`, `More of ${name}.`)],
): Lesson {
  return {
    id: anId(name),
    title: name,
    kind: 'lesson',
    objectiveIds: [],
    state: 'drafted',
    plannedPassages: [],
    blocks,
  };
}

export function aPoint(name: string, passages: string[] = []): Point {
  return { id: anId(name), text: name, does: 'explain', passages };
}

export function aModule(name: string, lessons: Lesson[] = [aLesson(`${name} one`), aLesson(`${name} two`)]): Module {
  return { id: anId(name), title: name, purpose: '', objectiveIds: [], lessons };
}

export function aCheck(name: string, lessonId = anId('First one')): ChoiceCheck {
  const option = (letter: string) => ({
    id: anId(`${name}-${letter}`),
    text: `Answer ${letter}`,
    feedback: { code: letter === 'a' ? ('right' as const) : ('not-said' as const), quotes: [] },
  });
  return {
    id: anId(name),
    kind: 'choice',
    lessonId,
    stem: `What of ${name}?`,
    options: [option('a'), option('b'), option('c')],
    key: anId(`${name}-a`),
    evidence: [],
    level: 'recall',
    difficulty: 0.3,
  };
}

/** Two modules of two lessons of two blocks, and a check that a block places. */
export function aCourse(): Course {
  const check = aCheck('check');
  const course: Course = {
    ...emptyCourse(anId('course'), 'A course', aBrief()),
    modules: [aModule('First'), aModule('Second')],
    checks: [check, aCheck('offer')],
  };
  course.modules[0].lessons[0].blocks.push({ id: anId('place'), kind: 'check', body: { checkId: check.id } });
  return course;
}

/**
 * A frozen course of so many lessons with so many checks on each; without numbers, four lessons, the first and third
 * with a check.
 */
export function aLearnersCourse(lessons?: number, checksEach = 1): FrozenCourse {
  const course = aCourse();
  const asking = (lesson: Lesson, name: string) => {
    const check = aCheck(name, lesson.id);
    course.checks.push(check);
    lesson.blocks.push({ id: anId(`place ${name}`), kind: 'check', body: { checkId: check.id } });
  };
  if (lessons === undefined) asking(course.modules[1].lessons[0], 'second check');
  else {
    course.modules = [
      aModule(
        'Long',
        Array.from({ length: lessons }, (_, at) => aLesson(`Lesson ${at}`)),
      ),
    ];
    course.checks = [];
    for (const lesson of course.modules[0].lessons)
      for (let at = 0; at < checksEach; at++) asking(lesson, `${lesson.title} check ${at}`);
  }
  return freezeCourse(course, 'secret');
}

/** A source out of blocks, as a reader would hand them over. */
export function aSource(
  blocks: ReadBlock[],
  about: Partial<{ id: string; title: string; language: string }> = {},
): Source {
  const { id = anId('source'), title = 'A source', language = 'en' } = about;
  return assemble({ blocks, media: new Map(), notices: [] }, { id, kind: 'text', title, language });
}

/** A file of the repository, read. */
export async function fromFile(path: string): Promise<Source> {
  const result = await readSource({ name: path, bytes: new Uint8Array(file(path)) }, anId(path));
  if (!result.ok) throw new Error(result.problem.code);
  return result.source;
}

/** A source of Markdown, read. */
export async function fromMarkdown(text: string, name = 'text.md'): Promise<Source> {
  const result = await readSource({ name, bytes: bytes(text) }, anId(name));
  if (!result.ok) throw new Error(result.problem.code);
  return result.source;
}

/** What is understood of English Markdown. */
export async function knowing(text: string, name = 'text.md'): Promise<Knowledge> {
  return understand(await fromMarkdown(text, name), packFor('en'));
}

/** The language pack that tests of English use. */
export const english = () => packFor('en');

/** A file of the repository. */
export const file = (path: string): Uint8Array => new Uint8Array(readFileSync(new URL(`../${path}`, import.meta.url)));

/** The id of the option that is right, and those of the others, as a learner sees them. */
export function optionsOf(keys: FrozenCourse['keys'], check: string): { right: string; wrong: string[] } {
  const secret = keys[check];
  if (secret.kind !== 'choice') throw new Error(`${check} is no choice.`);
  return { right: secret.key, wrong: Object.keys(secret.feedback).filter((id) => id !== secret.key) };
}

/** A check, or what a learner sees of one, that is known to be a choice. */
export function asChoice<Kind extends { kind: string }>(check: Kind): Extract<Kind, { kind: 'choice' }> {
  if (check.kind !== 'choice') throw new Error(`${check.kind} is no choice.`);
  return check as Extract<Kind, { kind: 'choice' }>;
}
