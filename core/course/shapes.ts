import { BLOCKS, formOf, type Block, type BlockKind } from '../blocks/forms';
import { CHECK_KINDS, checkFields, OWN_CHECK_FIELDS, type Check } from '../checks/forms';
import { FRAME, LEVELS } from '../checks/check';
import { LESSON_KINDS, NODE_KINDS, POINT_DOES, type CourseNode, type Lesson, type NodeKind, type Take } from './course';
import { LEFT_OUT_REASONS } from './left-out';
import { ID_PATTERN } from '../document/id';
import { shelvedFile } from '../document/media';
import type { Problem } from '../document/problem';
import { passageRange } from '../document/rich-text';
import { quizShape } from '../quiz/form';
import {
  anything,
  boolean,
  list,
  always,
  nullable,
  number,
  object,
  oneOf,
  string,
  tagged,
  type Shape,
} from '../document/shape';

/** The forms of everything in a course; `docs/course.schema.json` is made from these. */

const id = string({ pattern: ID_PATTERN });
const ids = list(id);
const language = string({ pattern: /^[a-z]{2,3}(-[A-Z]{2}|-\d{3})?$/ });
const title = string({ min: 1, max: 400 });
const level = oneOf(...LEVELS);

export const briefShape = object({
  promise: string({ max: 4000 }),
  audience: object(
    { who: string({ max: 1000 }), knows: list(string({ min: 1, max: 200 })) },
    {
      notFor: string({ min: 1, max: 1000 }),
      wrong: string({ min: 1, max: 4000 }),
      level: string({ min: 1, max: 1000 }),
      setting: string({ min: 1, max: 1000 }),
      wants: string({ min: 1, max: 4000 }),
    },
  ),
  size: object(
    { questionsPerLesson: number({ min: 0, max: 50, whole: true }) },
    {
      minutes: number({ min: 1, max: 100_000 }),
      modules: number({ min: 1, max: 1000, whole: true }),
      lessonsPerModule: number({ min: 1, max: 1000, whole: true }),
      wordsPerLesson: number({ min: 40, max: 5000, whole: true }),
      checkEvery: number({ min: 0.5, max: 1000 }),
    },
  ),
  language,
  sourcesOnly: boolean,
  outcomes: list(string({ min: 1, max: 1000 })),
});

const blockShape = tagged(
  'kind',
  Object.fromEntries(
    (Object.keys(BLOCKS) as BlockKind[]).map((kind) => [
      kind,
      {
        required: { id, body: BLOCKS[kind].body },
        optional: {
          ...(BLOCKS[kind].evidence === 'block' && { evidence: list(passageRange) }),
          paired: always,
        } as Record<string, Shape>,
      },
    ]),
  ),
);

const pointFields = { text: string({ min: 1, max: 1000 }), does: oneOf(...POINT_DOES), passages: ids };
const pointShape = object({ id, ...pointFields });

const lessonShape = object(
  {
    id,
    title,
    kind: oneOf('lesson', 'quiz'),
    objectiveIds: ids,
    state: oneOf('blank', 'drafted', 'in-work', 'for-review', 'approved'),
    plannedPassages: ids,
    blocks: list(blockShape),
  },
  {
    quiz: quizShape,
    minutesFixed: number({ min: 0, max: 10_000 }),
    given: list(id, { min: 1 }),
    lessonKind: oneOf(...LESSON_KINDS),
    points: list(pointShape, { min: 1 }),
  },
);

const lines = list(string({ min: 1, max: 1000 }), { min: 1 });
const moduleBriefShape = object(
  {},
  { result: string({ min: 1, max: 4000 }), wrong: string({ min: 1, max: 4000 }), asked: lines, actions: lines },
);
const moduleShape = object(
  { id, title, purpose: string({ max: 4000 }), objectiveIds: ids, lessons: list(lessonShape) },
  { brief: moduleBriefShape },
);
const checkShape = tagged('kind', Object.fromEntries(CHECK_KINDS.map((kind) => [kind, checkFields(kind)])));
const objectiveShape = object(
  {
    id,
    verb: oneOf('carry-out', 'apply', 'decide', 'explain', 'choose', 'state'),
    object: string({ min: 1 }),
    level,
    text: string({ min: 1 }),
    evidence: list(passageRange),
  },
  { condition: string({ min: 1 }) },
);
const termShape = object(
  { id, term: string({ min: 1, max: 200 }), text: string({ min: 1 }), evidence: list(passageRange) },
  { everyday: boolean },
);
const madeShape = object({
  at: number({ min: 0, whole: true }),
  by: string({ max: 80 }),
  why: oneOf('draft', 'replaced', 'conflict', 'kept'),
});
const takeShape = object(
  { id, of: id, field: string({ min: 1, max: 40 }), value: anything, made: madeShape },
  { name: string({ min: 1, max: 120 }) },
);
const pageShape = object({ lesson: lessonShape, objectives: list(objectiveShape), checks: list(checkShape) });

const arrangementShape = object({ modules: list(object({ id, title, lessons: ids }), { min: 1 }) });

const answerShape = object(
  { id, topic: title, question: string({ min: 1, max: 1000 }), text: string({ max: 200_000 }) },
  { lesson: id },
);

const words = string({ min: 1, max: 1000 });
const mediumFields = {
  required: { file: shelvedFile, name: string({ min: 1, max: 200 }) },
  optional: { alt: words, decorative: always, credit: words, licence: words, credited: always, ofSource: id },
};
const mediumShape = object({ id, ...mediumFields.required }, mediumFields.optional);

const settledShape = list(
  object(
    { id, holds: oneOf('first', 'second', 'both'), gone: list(passageRange) },
    { words: string({ min: 1, max: 1000 }) },
  ),
  { min: 1 },
);

const correctionsShape = list(
  object(
    { id, kind: oneOf('leave-out', 'furniture', 'focus', 'no-heading', 'heading', 'not'), sourceId: id, place: id },
    { title, claim: string({ min: 1, max: 40 }), words: string({ min: 1, max: 80 }) },
  ),
  { min: 1 },
);
const supportingShape = list(id, { min: 1 });
const notesLeftShape = list(
  object({ rule: string({ min: 1, max: 40 }), about: id, print: string({ min: 1, max: 40 }) }),
  { min: 1 },
);
const aboutShape = object(
  {},
  {
    description: string({ min: 1, max: 4000 }),
    tags: list(string({ min: 1, max: 100 }), { min: 1 }),
    code: string({ min: 1, max: 100 }),
    category: string({ min: 1, max: 200 }),
  },
);
const earlierShape = list(
  object({ of: id, field: oneOf('promise', 'who', 'purpose'), was: list(string({ min: 1, max: 4000 }), { min: 1 }) }),
  { min: 1 },
);
const leftOutShape = list(object({ passages: list(passageRange, { min: 1 }), reason: oneOf(...LEFT_OUT_REASONS) }), {
  min: 1,
});

/** What a course may have beside its parts. */
const COURSE_EXTRAS = {
  about: aboutShape,
  settled: settledShape,
  corrections: correctionsShape,
  supporting: supportingShape,
  leftOut: leftOutShape,
  notesLeft: notesLeftShape,
  earlier: earlierShape,
};

/** The form of each kind of node. */
export const NODE_SHAPES: Record<NodeKind, Shape> = {
  module: moduleShape,
  lesson: lessonShape,
  block: blockShape,
  check: checkShape,
  objective: objectiveShape,
  term: termShape,
  take: takeShape,
  answer: answerShape,
  point: pointShape,
  medium: mediumShape,
};

/** The fields that `set` may change, with the form of their values. `null` empties an optional field. */
export const FIELDS: Record<NodeKind | 'course', Record<string, { shape: Shape; optional?: boolean }>> = {
  course: {
    title: { shape: title },
    language: { shape: language },
    direction: { shape: oneOf('ltr', 'rtl') },
    brief: { shape: briefShape },
    ...Object.fromEntries(Object.entries(COURSE_EXTRAS).map(([key, shape]) => [key, { shape, optional: true }])),
  },
  module: {
    title: { shape: title },
    purpose: { shape: string({ max: 4000 }) },
    objectiveIds: { shape: ids },
    brief: { shape: moduleBriefShape, optional: true },
  },
  lesson: {
    title: { shape: title },
    objectiveIds: { shape: ids },
    plannedPassages: { shape: ids },
    given: { shape: list(id, { min: 1 }), optional: true },
    state: { shape: oneOf('blank', 'drafted', 'in-work', 'for-review', 'approved') },
    minutesFixed: { shape: number({ min: 0, max: 10_000 }), optional: true },
    lessonKind: { shape: oneOf(...LESSON_KINDS), optional: true },
    quiz: { shape: quizShape },
  },
  block: {
    body: { shape: anything },
    evidence: { shape: list(passageRange), optional: true },
    paired: { shape: always, optional: true },
  },
  check: Object.fromEntries([
    ...Object.entries({ ...FRAME.required, ...FRAME.optional })
      .filter(([key]) => key !== 'id')
      .map(([key, shape]) => [key, { shape, optional: key in FRAME.optional }] as const),
    ...OWN_CHECK_FIELDS.map((key) => [key, { shape: anything, optional: true }] as const),
  ]),
  objective: {
    verb: { shape: oneOf('carry-out', 'apply', 'decide', 'explain', 'choose', 'state') },
    object: { shape: string({ min: 1 }) },
    level: { shape: level },
    text: { shape: string({ min: 1 }) },
    condition: { shape: string({ min: 1 }), optional: true },
    evidence: { shape: list(passageRange) },
  },
  term: {
    term: { shape: string({ min: 1, max: 200 }) },
    text: { shape: string({ min: 1 }) },
    evidence: { shape: list(passageRange) },
    everyday: { shape: boolean, optional: true },
  },
  take: {
    value: { shape: anything },
    made: { shape: madeShape },
    name: { shape: string({ min: 1, max: 120 }), optional: true },
  },
  answer: { text: { shape: string({ max: 200_000 }) }, question: { shape: string({ min: 1, max: 1000 }) } },
  point: Object.fromEntries(Object.entries(pointFields).map(([key, shape]) => [key, { shape }])),
  medium: Object.fromEntries([
    ['name', { shape: mediumFields.required.name }],
    ...Object.entries(mediumFields.optional).map(([key, shape]) => [key, { shape, optional: true }] as const),
  ]),
};

/** What a field of a node may hold, by the kind of block or check it is; undefined where there is no such field. */
export function fieldRule(
  kind: NodeKind | 'course',
  node: CourseNode | undefined,
  field: string,
): { shape: Shape; optional?: boolean } | undefined {
  if (!Object.hasOwn(FIELDS[kind], field)) return undefined;
  if (kind === 'block' && field === 'body') return { shape: formOf(node as Block).body };
  if (kind === 'lesson' && field === 'quiz' && (node as Lesson).kind !== 'quiz') return undefined;
  if (kind !== 'check' || !OWN_CHECK_FIELDS.includes(field)) return FIELDS[kind][field];
  const { required, optional } = checkFields((node as Check).kind);
  if (Object.hasOwn(required, field)) return { shape: required[field] };
  return Object.hasOwn(optional, field) ? { shape: optional[field], optional: true } : undefined;
}

const kindShape = oneOf(...NODE_KINDS);
const place = { parent: id, after: nullable(id) };
const binShape = object({ kind: kindShape, ...place, node: anything });

/** The form of each kind of operation; a node in it is checked by its kind. */
export const OPERATION_SHAPES: Record<string, Shape> = {
  insert: object({ type: oneOf('insert'), kind: kindShape, ...place, node: anything }),
  remove: object({ type: oneOf('remove'), id }, { bin: nullable(binShape) }),
  move: object({ type: oneOf('move'), id, ...place }),
  set: object({ type: oneOf('set'), id, field: string({ min: 1, max: 40 }), value: anything }, { was: anything }),
};

/**
 * What is wrong with a take's value: it is a lesson's page, a node whose place went, or what a field of some kind of
 * node can hold.
 */
export function takeValueProblems({ id: take, field, value }: Take): Problem[] {
  const against = (shape: Shape): Problem[] => {
    const problems: Problem[] = [];
    shape.check(value, `${take}/value`, problems);
    return problems;
  };
  if (field === 'page') return against(pageShape);
  if (field === 'arrangement') return against(arrangementShape);
  if (field === 'insert') {
    const problems = against(binShape);
    if (problems.length === 0)
      NODE_SHAPES[(value as { kind: NodeKind }).kind].check(
        (value as { node: unknown }).node,
        `${take}/value`,
        problems,
      );
    return problems;
  }
  const fields = Object.values(FIELDS).flatMap((rules) => (Object.hasOwn(rules, field) ? [rules[field]] : []));
  if (fields.length === 0) return [{ code: 'unknown-field', place: `${take}/${field}` }];
  const shapes = field === 'body' ? Object.values(BLOCKS).map((kind) => kind.body) : fields.map((rule) => rule.shape);
  const wrongs = value === null && fields.some((rule) => rule.optional) ? [[]] : shapes.map(against);
  return wrongs.some((problems) => problems.length === 0) ? [] : wrongs[0];
}

/** The form of a whole course. */
export const courseShape = object(
  {
    id,
    title,
    language,
    direction: oneOf('ltr', 'rtl'),
    brief: briefShape,
    objectives: list(objectiveShape),
    glossary: list(termShape),
    modules: list(moduleShape),
    checks: list(checkShape),
    takes: list(takeShape),
    bin: list(binShape),
  },
  { ...COURSE_EXTRAS, answers: list(answerShape, { min: 1 }), media: list(mediumShape, { min: 1 }) },
);
