import { blankLesson, blankModule, objectiveSaid } from '../course/gestures';
import type { Course, LessonKind, Objective } from '../course/course';
import { idFrom } from '../document/id';
import type { Operation } from '../course/operations';
import type { AskedFor } from '../reading/answers';

/**
 * Course plans: patterns of modules and lessons for a kind of aim, for a course that begins without any source. Every
 * slot is a question to its author.
 */

type Words = Record<'en' | 'de' | 'fr' | 'es', string>;

interface LessonPattern {
  kind: LessonKind;
  title: Words;
  /** Each a slot; {topic} is what the course is about, in the author's words. */
  slots: readonly Slot[];
}

/** A question, alone or with what its answer is, whatever its words. */
type Slot = string | { ask: string; reads: NonNullable<AskedFor['reads']> };

const LESSONS = {
  why: {
    kind: 'orientation',
    title: { en: 'Why it matters', de: 'Warum es wichtig ist', fr: 'Pourquoi c’est important', es: 'Por qué importa' },
    slots: [
      'Who is helped when {topic} goes well, and who pays when it does not?',
      { ask: 'What happened the last time that {topic} went wrong?', reads: 'experience' },
    ],
  },
  words: {
    kind: 'idea',
    title: { en: 'Words to know', de: 'Wichtige Begriffe', fr: 'Les mots à connaître', es: 'Términos importantes' },
    slots: [
      {
        ask: 'Which words does somebody need for {topic}, and what does each mean? One a line: word, colon, meaning.',
        reads: 'terms',
      },
    ],
  },
  before: {
    kind: 'procedure',
    title: { en: 'Before you begin', de: 'Bevor es losgeht', fr: 'Avant de commencer', es: 'Antes de empezar' },
    slots: ['What must be ready, checked or agreed before {topic} begins?', 'Who must not begin, or not alone?'],
  },
  steps: {
    kind: 'procedure',
    title: { en: 'Step by step', de: 'Schritt für Schritt', fr: 'Étape par étape', es: 'Paso a paso' },
    slots: [
      { ask: 'What are the steps of {topic}, from the first to the last? A numbered list.', reads: 'steps' },
      'At which step do people slip, and how is that seen in time?',
    ],
  },
  done: {
    kind: 'decision',
    title: {
      en: 'How to tell that it is done well',
      de: 'Woran man sieht, dass es gut ist',
      fr: 'Comment savoir que c’est bien fait',
      es: 'Cómo saber que está bien hecho',
    },
    slots: [
      'By which signs does one see that {topic} was done well?',
      'What is written down or passed on at the end, and to whom?',
    ],
  },
  trouble: {
    kind: 'decision',
    title: {
      en: 'When something goes wrong',
      de: 'Wenn etwas schiefgeht',
      fr: 'Quand quelque chose va mal',
      es: 'Cuando algo sale mal',
    },
    slots: [
      'What goes wrong most often in {topic}, and what is to be done then? If this, then that.',
      'When must somebody stop and call for help, and whom do they call?',
    ],
  },
  rules: {
    kind: 'decision',
    title: {
      en: 'What must and must not be done',
      de: 'Was Pflicht und was verboten ist',
      fr: 'Ce qu’il faut faire et ne pas faire',
      es: 'Lo obligatorio y lo prohibido',
    },
    slots: [
      'Which rules hold for {topic}? One a line: who must do what, when, within which time.',
      'Which exceptions are there, and who decides on them?',
    ],
  },
  reasons: {
    kind: 'idea',
    title: {
      en: 'What the rules are for',
      de: 'Wozu die Regeln da sind',
      fr: 'À quoi servent les règles',
      es: 'Para qué sirven las reglas',
    },
    slots: ['What is each rule there to prevent? Because of what was it made?'],
  },
  cases: {
    kind: 'decision',
    title: { en: 'Cases that are not clear', de: 'Unklare Fälle', fr: 'Les cas difficiles', es: 'Casos dudosos' },
    slots: [
      'Which cases in {topic} are hard to decide? What speaks for each side, and what do you do?',
      'What changes your mind: which sign, which figure, which word?',
    ],
  },
  signs: {
    kind: 'idea',
    title: {
      en: 'What to look out for',
      de: 'Worauf zu achten ist',
      fr: 'Ce qu’il faut observer',
      es: 'En qué fijarse',
    },
    slots: ['What does somebody with experience notice first in {topic} that a beginner does not see?'],
  },
  options: {
    kind: 'comparison',
    title: { en: 'Which one when', de: 'Was wann passt', fr: 'Lequel choisir et quand', es: 'Cuál y cuándo' },
    slots: ['Between what must somebody choose in {topic}, and when is which the right one?'],
  },
  parts: {
    kind: 'idea',
    title: {
      en: 'What it is and what it can do',
      de: 'Was es ist und was es kann',
      fr: 'Ce que c’est et ce que cela permet',
      es: 'Qué es y qué puede hacer',
    },
    slots: [
      'What is {topic}, to somebody who has never seen it? What is it for?',
      'What can it do, and what can it not do, although people think so?',
    ],
  },
  forwhom: {
    kind: 'orientation',
    title: { en: 'Whom it helps', de: 'Wem es hilft', fr: 'Pour qui c’est utile', es: 'A quién ayuda' },
    slots: [
      'Who needs {topic}, and by what do you recognise them?',
      'For whom is it wrong, and what do you tell them?',
    ],
  },
  questions: {
    kind: 'decision',
    title: { en: 'Questions people ask', de: 'Häufige Fragen', fr: 'Questions fréquentes', es: 'Preguntas frecuentes' },
    slots: ['What do people ask about {topic}, and what is the answer? Question, then answer.'],
  },
  opening: {
    kind: 'procedure',
    title: {
      en: 'How to begin the conversation',
      de: 'Wie das Gespräch beginnt',
      fr: 'Comment ouvrir la conversation',
      es: 'Cómo empezar la conversación',
    },
    slots: ['Which first sentences work in {topic}, and which make it worse?'],
  },
  answering: {
    kind: 'decision',
    title: {
      en: 'What to answer when',
      de: 'Was man wann antwortet',
      fr: 'Que répondre et quand',
      es: 'Qué responder y cuándo',
    },
    slots: ['What do the others say in {topic}, and what do you answer? If they say this, say that.'],
  },
  keeping: {
    kind: 'idea',
    title: { en: 'Keeping it up', de: 'Dranbleiben', fr: 'Tenir dans la durée', es: 'Mantenerlo' },
    slots: ['What makes people fall back into the old way, and what helps them not to?'],
  },
} as const satisfies Record<string, LessonPattern>;

export type PlanLessonKey = keyof typeof LESSONS;

interface Plan {
  /** The kind of aim, as the author chooses it. */
  aim: string;
  modules: readonly { title: Words; lessons: readonly PlanLessonKey[] }[];
}

const ORIENT: Words = { en: 'What it is about', de: 'Worum es geht', fr: 'De quoi il s’agit', es: 'De qué se trata' };
const DOING: Words = { en: 'Doing it', de: 'Die Durchführung', fr: 'La pratique', es: 'La práctica' };
const TROUBLE: Words = {
  en: 'When it gets difficult',
  de: 'Wenn es schwierig wird',
  fr: 'Quand cela se complique',
  es: 'Cuando se complica',
};

export const PLANS = {
  task: {
    aim: 'They can carry out a task',
    modules: [
      { title: ORIENT, lessons: ['why', 'words'] },
      { title: DOING, lessons: ['before', 'steps', 'done'] },
      { title: TROUBLE, lessons: ['trouble', 'questions'] },
    ],
  },
  rules: {
    aim: 'They keep to rules and know why',
    modules: [
      { title: ORIENT, lessons: ['why', 'words'] },
      { title: DOING, lessons: ['rules', 'reasons'] },
      { title: TROUBLE, lessons: ['cases', 'trouble', 'questions'] },
    ],
  },
  deciding: {
    aim: 'They decide well in cases that differ',
    modules: [
      { title: ORIENT, lessons: ['why', 'words'] },
      { title: DOING, lessons: ['signs', 'options', 'rules'] },
      { title: TROUBLE, lessons: ['cases', 'trouble'] },
    ],
  },
  product: {
    aim: 'They know a product or service and can explain it',
    modules: [
      { title: ORIENT, lessons: ['parts', 'forwhom'] },
      { title: DOING, lessons: ['options', 'steps'] },
      { title: TROUBLE, lessons: ['questions', 'trouble'] },
    ],
  },
  joining: {
    aim: 'They settle in at a new place of work',
    modules: [
      { title: ORIENT, lessons: ['parts', 'words'] },
      { title: DOING, lessons: ['before', 'steps', 'rules'] },
      { title: TROUBLE, lessons: ['questions', 'trouble', 'keeping'] },
    ],
  },
  talking: {
    aim: 'They handle a conversation',
    modules: [
      { title: ORIENT, lessons: ['why', 'signs'] },
      { title: DOING, lessons: ['opening', 'answering', 'done'] },
      { title: TROUBLE, lessons: ['cases', 'keeping'] },
    ],
  },
} as const satisfies Record<string, Plan>;

export type PlanKey = keyof typeof PLANS;

const askOf = (slot: Slot): string => (typeof slot === 'string' ? slot : slot.ask);

const READ_SLOTS = Object.values(LESSONS as Record<string, LessonPattern>)
  .flatMap(({ slots }) => slots)
  .flatMap((slot) => (typeof slot === 'string' ? [] : [{ reads: slot.reads, parts: slot.ask.split('{topic}') }]));

/** What the answer to a slot's question is, whatever its words; undefined where nothing is known of it. */
export function slotReads(question: string): AskedFor['reads'] {
  return READ_SLOTS.find(({ parts: [before, after] }) => question.startsWith(before) && question.endsWith(after))
    ?.reads;
}

/** A plan as a course can begin by it: modules and lessons, each with the questions whose answers fill it. */
export interface PlannedModule {
  title: string;
  purpose?: string;
  lessons: { title: string; slots: string[]; kind?: LessonKind; objective?: string; minutes?: number }[];
}

/**
 * A plan for a topic: titles in the course's language (English where there are none), each lesson with its questions
 * and the key of its pattern.
 */
export function planFor(
  key: PlanKey,
  topic: string,
  language: string,
): { title: string; lessons: (PlannedModule['lessons'][number] & { key: PlanLessonKey })[] }[] {
  const base = language.split('-')[0];
  const inLanguage = (words: Words) => (words as Record<string, string>)[base] ?? words.en;
  return PLANS[key].modules.map((module) => ({
    title: inLanguage(module.title),
    lessons: module.lessons.map((lesson) => ({
      key: lesson,
      kind: LESSONS[lesson].kind,
      title: inLanguage(LESSONS[lesson].title),
      slots: LESSONS[lesson].slots.map((slot) => askOf(slot).replaceAll('{topic}', topic)),
    })),
  }));
}

/**
 * The plan that a course was made by: its modules and lessons, what they are for, and what its author was asked; a
 * lesson that asked nothing asks what belongs there. No text comes along.
 */
export function planOf(course: Course): PlannedModule[] {
  const objectives = new Map(course.objectives.map(({ id, text }) => [id, text]));
  return course.modules.map(({ title, purpose, lessons }) => ({
    title,
    ...(purpose && { purpose }),
    lessons: lessons.map((lesson) => {
      const objective = objectives.get(lesson.objectiveIds[0] ?? '');
      const asked = (course.answers ?? [])
        .filter((answer) => answer.lesson === lesson.id)
        .map(({ question }) => question);
      return {
        title: lesson.title,
        slots: asked.length > 0 ? asked : [openQuestion(lesson.title)],
        ...(lesson.lessonKind && { kind: lesson.lessonKind }),
        ...(objective && { objective }),
        ...(lesson.minutesFixed !== undefined && { minutes: lesson.minutesFixed }),
      };
    }),
  }));
}

/** What the author is asked about a lesson of which nothing is known but its title. */
export const openQuestion = (title: string): string => `What is to be taught under “${title}”?`;

/**
 * Begins a course from a plan: its modules with blank lessons, behind what is there, and the questions of their slots.
 * `seed` keeps apart what is begun twice.
 */
export function beginPlan(course: Course, plan: readonly PlannedModule[], seed: string): Operation[] {
  const objectives: Objective[] = [];
  const modules = plan.map((module, at) => {
    const lessons = module.lessons.map((lesson, index) => ({ ...lesson, id: idFrom('l', seed, at, index) }));
    return {
      node: {
        ...blankModule(
          idFrom('m', seed, at),
          module.title,
          lessons.map(({ id, title, kind, objective, minutes }) => {
            const aims = objective ? [objectiveSaid(idFrom('o', id, objective), objective)] : [];
            objectives.push(...aims);
            return {
              ...blankLesson(id, title),
              objectiveIds: aims.map((aim) => aim.id),
              ...(kind && { lessonKind: kind }),
              ...(minutes !== undefined && { minutesFixed: minutes }),
            };
          }),
        ),
        purpose: module.purpose ?? '',
      },
      lessons,
    };
  });
  const answers = modules.flatMap(({ lessons }) =>
    lessons.flatMap((lesson) =>
      lesson.slots.map((question, index) => ({
        id: idFrom('a', lesson.id, index),
        topic: lesson.title,
        question,
        text: '',
        lesson: lesson.id,
      })),
    ),
  );
  let after = course.modules.at(-1)?.id ?? null;
  let last = course.answers?.at(-1)?.id ?? null;
  let aim = course.objectives.at(-1)?.id ?? null;
  return [
    ...objectives.map((node): Operation => {
      const operation: Operation = { type: 'insert', kind: 'objective', parent: course.id, after: aim, node };
      aim = node.id;
      return operation;
    }),
    ...modules.map(({ node }): Operation => {
      const operation: Operation = { type: 'insert', kind: 'module', parent: course.id, after, node };
      after = node.id;
      return operation;
    }),
    ...answers.map((node): Operation => {
      const operation: Operation = { type: 'insert', kind: 'answer', parent: course.id, after: last, node };
      last = node.id;
      return operation;
    }),
  ];
}
