import { lessonMinutes } from '../brief/sizing';
import type { Course } from '../course/course';
import { isForm } from '../course/surveys';
import type { Operation } from '../course/operations';
import { shortHash } from '../document/id';
import type { Note, NoteMatter } from './note';
import { cascadeNotes } from './rules/cascade';
import { groundNotes } from './rules/ground';
import { leftOutNotes } from './rules/left-out';
import { moduleNotes } from './rules/module-brief';
import { objectiveNotes } from './rules/objectives';
import { promiseNotes } from './rules/promise';
import { quizNotes } from './rules/quizzes';
import { sizeNotes } from './rules/size';
import { slotNotes } from './rules/slots';
import { mediaNotes } from './rules/media';
import { surveyNotes } from './rules/surveys';
import { termNotes } from './rules/terms';

export type { Mend, Note, NoteRule } from './note';

/** Every rule of the outline, one file each; what must be decided comes first. */
const RULES: readonly ((matter: NoteMatter) => Note[])[] = [
  cascadeNotes,
  slotNotes,
  surveyNotes,
  mediaNotes,
  promiseNotes,
  moduleNotes,
  groundNotes,
  sizeNotes,
  termNotes,
  objectiveNotes,
  leftOutNotes,
  quizNotes,
];

/**
 * Notes on a course's outline, what must be decided first, then in the order of the rules and of the course; without
 * those that its author left as they are. `minutes`: of a lesson, where somebody knows better than its page.
 */
export function outlineNotes(course: Course, minutes?: (lesson: string) => number | undefined): Note[] {
  const lessons = course.modules.flatMap((module) =>
    module.lessons
      .filter((lesson) => lesson.kind === 'lesson' && !isForm(lesson))
      .map((lesson) => ({ lesson, module })),
  );
  const byId = new Map(lessons.map(({ lesson }) => [lesson.id, lesson]));
  const texts = new Map(course.objectives.map(({ id, text }) => [id, text]));
  const matter: NoteMatter = {
    course,
    lessons,
    minutes: (id) => minutes?.(id) ?? lessonMinutes(byId.get(id)!),
    objective: (id) => texts.get(id ?? '') ?? '',
  };
  const left = new Set((course.notesLeft ?? []).map(keyOf));
  const about = new Set((course.notesLeft ?? []).map((each) => each.about));
  const found = RULES.flatMap((rule) => rule(matter)).filter(
    (note) => !about.has(note.about) || !left.has(keyOf({ ...note, print: printOf(note) })),
  );
  return [...found.filter(({ weight }) => weight === 'decide'), ...found.filter(({ weight }) => weight === 'look')];
}

const keyOf = ({ rule, about, print }: { rule: string; about: string; print: string }): string =>
  `${rule} ${about} ${print}`;

const printOf = ({ rule, print }: Note): string => shortHash(`${rule} ${print}`, 12);

/** The operation that leaves a note as it is, until the words it is about change. */
export function leaveNote(course: Course, note: Note): Operation[] {
  const was = course.notesLeft ?? null;
  const others = (was ?? []).filter(({ rule, about }) => rule !== note.rule || about !== note.about);
  const value = [...others, { rule: note.rule, about: note.about, print: printOf(note) }];
  return [{ type: 'set', id: course.id, field: 'notesLeft', value, was }];
}
