import { describe, expect, it } from 'vitest';
import { allLessons, emptyCourse, type Course } from '../../core/course/course';
import { takeOutline } from '../../core/course/taking';
import { applyAll } from '../../core/course/operations';
import { validateCourse } from '../../core/course/validate';
import { draftCourse, planCourse } from '../../core/draft';
import { contextFor, draftContext, type DraftContext } from '../../core/draft/context';
import { leftOutOf } from '../../core/draft/left-out';
import { usesOf } from '../../core/course/uses';
import { draftLessonOf, plannedObjectives, preparedFor, prepareCourse, proposalOf } from '../../core/draft/from-course';
import { scopeOf } from '../../core/draft/lesson-scope';
import { unusedFor } from '../../core/draft/unused';
import { takePage } from '../../core/course/takes';
import { outlineNodes } from '../../core/draft/operations';
import type { Knowledge } from '../../core/knowledge';
import { understand } from '../../core/knowledge';
import { draftOutline } from '../../core/outline';
import { lessonsOf } from '../../core/outline/proposal';
import { readSource } from '../../core/reading';
import { packFor } from '../../server/language/packs';
import { aBrief, anId, file, MAKER } from '../builders';

async function read(name: string): Promise<Knowledge> {
  const result = await readSource({ name, bytes: file(name) }, anId(name));
  if (!result.ok) throw new Error(result.problem.code);
  return understand(result.source, packFor(result.source.language));
}
const policy = await read('demo/files/lending-policy.docx');
const faq = await read('demo/files/questions.html');
const TITLE = 'Lending tools safely';

function make(course: Course, operations: Parameters<typeof applyAll>[1]): Course {
  const applied = applyAll(course, operations);
  if (!applied.ok) throw new Error(`${applied.problem.code} at ${applied.problem.place}`);
  return applied.course;
}
function outlined(knowledge: Knowledge[]): Course {
  const course = emptyCourse(anId('desk'), TITLE, aBrief());
  const context = draftContext(course.brief, knowledge);
  return make(course, takeOutline(course, nodesOf(course, context)));
}
function nodesOf(course: Course, whole: DraftContext) {
  const proposal = draftOutline(course.brief, whole.sources, whole.terms, TITLE);
  const context = contextFor(whole, lessonsOf(proposal));
  const plan = planCourse(proposal, context);
  return outlineNodes(proposal, plan, context, leftOutOf(proposal, plan, context));
}
const bare = (lesson: ReturnType<typeof allLessons>[number]) => lesson.blocks;

describe('a course drafted lesson by lesson', () => {
  it('drafts every lesson that its author keeps, however small it is and however short the course is to be', () => {
    const course = outlined([policy]);
    const brief = { ...course.brief, size: { ...course.brief.size, minutes: 3 } };
    const short = {
      ...course,
      brief,
      modules: course.modules.map((module, at) => ({
        ...module,
        lessons: module.lessons.map((lesson, index) =>
          at + index === 0 ? { ...lesson, plannedPassages: lesson.plannedPassages.slice(0, 1) } : lesson,
        ),
      })),
    };
    const prepared = prepareCourse(short, [policy]);
    expect(allLessons(short).length).toBeGreaterThan(3);
    for (const { id } of allLessons(short))
      expect(draftLessonOf(short, id, prepared).lesson.blocks.length).toBeGreaterThan(0);
  });

  it('gets the pages that the whole run gives, whatever the order of the lessons', () => {
    const knowledge = [policy, faq];
    const whole = allLessons(draftCourse(aBrief(), knowledge, TITLE).course);
    let course = outlined(knowledge);
    const ids = allLessons(course).map((lesson) => lesson.id);
    for (const id of ids.toReversed())
      course = make(
        course,
        takePage(course, draftLessonOf(course, id, prepareCourse(course, knowledge)), anId('kept'), MAKER),
      );
    expect(validateCourse(course)).toEqual([]);
    const drafted = new Map(allLessons(course).map((lesson) => [lesson.id, lesson]));
    for (const lesson of whole) expect(bare(drafted.get(lesson.id)!), lesson.title).toEqual(bare(lesson));
  });

  it('is prepared once for all its lessons: drafting one changes nothing that the next depends on', () => {
    const course = outlined([policy]);
    const before = preparedFor(course);
    const [first] = allLessons(course);
    const after = make(
      course,
      takePage(course, draftLessonOf(course, first.id, prepareCourse(course, [policy])), anId('kept'), MAKER),
    );
    expect(preparedFor(after)).toBe(before);
    expect(
      preparedFor(make(course, [{ type: 'set', id: first.id, field: 'title', value: 'Other', was: first.title }])),
    ).not.toBe(before);
  });

  it('drafted again gives the same page, and what stood there lies in the bin or is the same', () => {
    let course = outlined([policy]);
    const [{ id }] = allLessons(course);
    const take = () =>
      make(course, takePage(course, draftLessonOf(course, id, prepareCourse(course, [policy])), anId('kept'), MAKER));
    course = take();
    const once = allLessons(course)[0];
    course = take();
    expect(allLessons(course)[0]).toEqual(once);
    expect(course.checks.length).toBe(new Set(course.checks.map((check) => check.id)).size);
  });

  it('keeps the objectives its author wrote', () => {
    let course = outlined([policy]);
    const [lesson] = allLessons(course);
    const objective = {
      id: anId('mine'),
      verb: 'decide' as const,
      object: 'a loan',
      level: 'decide' as const,
      text: 'Decide on a loan',
      evidence: [],
    };
    course = make(course, [
      { type: 'insert', kind: 'objective', parent: course.id, after: null, node: objective },
      { type: 'set', id: lesson.id, field: 'objectiveIds', value: [objective.id], was: lesson.objectiveIds },
    ]);
    course = make(
      course,
      takePage(course, draftLessonOf(course, lesson.id, prepareCourse(course, [policy])), anId('kept'), MAKER),
    );
    expect(allLessons(course)[0].objectiveIds).toEqual([objective.id]);
  });
});

describe('a lesson written by hand', () => {
  const withLesson = (title: string) => {
    const course = outlined([policy]);
    return make(course, [
      {
        type: 'insert',
        kind: 'lesson',
        parent: course.modules[0].id,
        after: null,
        node: {
          id: anId('own'),
          title,
          kind: 'lesson',
          objectiveIds: [],
          state: 'blank',
          plannedPassages: [],
          blocks: [],
        },
      },
    ]);
  };
  it('takes passages that fit its title and that no other lesson has', () => {
    // All of the policy is planned for others; a second source has more on the same.
    const course = withLesson('Late fees');
    const own = proposalOf(course, draftContext(course.brief, [policy, faq])).modules[0].lessons[0];
    const ids = own.scope.sections.flatMap((section) => section.passages);
    expect(ids.length).toBeGreaterThan(0);
    expect(ids.every((id) => faq.passages.has(id))).toBe(true);
    expect(ids.map((id) => faq.passages.get(id)!.text).join(' ')).toMatch(/late/i);
  });
  it('on what no source speaks of gets none', () =>
    expect(
      proposalOf(withLesson('Volcanoes'), draftContext(aBrief(), [faq])).modules[0].lessons[0].scope.sections,
    ).toEqual([]));
});

describe('what stands on what', () => {
  it("a lesson's matter is its passages under their sections, in the order of the source", () => {
    const course = outlined([policy]);
    for (const lesson of allLessons(course))
      expect(scopeOf(lesson, draftContext(aBrief(), [policy])).sections.flatMap((section) => section.passages)).toEqual(
        policy.source.passages.map((passage) => passage.id).filter((id) => lesson.plannedPassages.includes(id)),
      );
  });

  it('passages are used when text or a block stands on them, and unused ones are ranked by topic', () => {
    let course = outlined([policy, faq]);
    expect(usesOf(course).size).toBe(0);
    const lesson = allLessons(course).find((each) => /late/i.test(each.title))!;
    const before = unusedFor(course, lesson.id, [policy, faq], 40).map((each) => each.id);
    course = make(
      course,
      takePage(course, draftLessonOf(course, lesson.id, prepareCourse(course, [policy, faq])), anId('kept'), MAKER),
    );
    const used = usesOf(course);
    expect(used.size).toBeGreaterThan(1);
    const after = unusedFor(course, lesson.id, [policy, faq], 40);
    expect(after.some((each) => used.has(each.id))).toBe(false);
    expect(before.some((id) => used.has(id))).toBe(true);
    expect(after.every((each) => each.kinds.every((kind) => kind.length > 0))).toBe(true);
  });

  it('objectives come with an outline before any text, each on its evidence', () => {
    const course = outlined([policy]);
    expect(course.objectives.length).toBeGreaterThan(4);
    const context = draftContext(course.brief, [policy]);
    for (const lesson of allLessons(course)) {
      for (const objective of plannedObjectives(lesson, context))
        for (const range of objective.evidence)
          expect(policy.passages.get(range.id)!.text.length).toBeGreaterThanOrEqual(range.to);
    }
    expect(plannedObjectives({ id: anId('x'), title: 'X', plannedPassages: [] }, context)).toEqual([]);
  });
});
