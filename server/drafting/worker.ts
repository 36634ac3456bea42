// Drafting away from the server's own thread. It reads sources from the database and returns results; it never writes.
import type { BriefOffers } from '../../core/brief/verdict';
import { moduleOffers, type ModuleOffers } from '../../core/draft/module-offers';
import { pointOffers } from '../../core/draft/points';
import { briefOffers, madeBy } from '../../core/draft/offers';
import { lessonMinutes } from '../../core/brief/sizing';
import { allLessons, type Course } from '../../core/course/course';
import { lessonProse } from '../../core/exchange/document';
import { accountOf } from '../../core/review/account';
import { contextFor, draftContext } from '../../core/draft/context';
import { fittedDraft, outlineFor } from '../../core/draft';
import { planCourse } from '../../core/draft/plan';
import { draftLessonOf, preparedFor, prepareCourse, type Prepared } from '../../core/draft/from-course';
import { rowTakes } from '../../core/draft/takes';
import { pulledBlocks } from '../../core/draft/pulled';
import { harderChecks } from '../../core/check/harder';
import { standingFor } from '../../core/check/standing';
import { answersFor, questionsFor } from '../../core/draft/questions';
import { readingOffers } from '../../core/draft/reading';
import { companions, unusedFor } from '../../core/draft/unused';
import { leftOutOf } from '../../core/draft/left-out';
import { outlineNodes } from '../../core/draft/operations';
import { leftOutLines } from '../../core/review/left-out';
import { standsOn } from '../../core/review/stands';
import { understand, type Knowledge } from '../../core/knowledge';
import { fail } from '../../core/document/problem';
import { goneWords } from '../../core/course/settle';
import { compareDocuments } from '../../core/knowledge/comparing';
import { contradictionsIn, type Contradiction } from '../../core/knowledge/contradictions';
import { corrected } from '../../core/knowledge/corrected';
import { withoutWords } from '../../core/knowledge/settle';
import { proposals } from '../../core/rewrite';
import { topicsOf } from '../../core/knowledge/topics';
import { lessonsOf } from '../../core/outline/proposal';
import { coursesIn } from '../database/courses';
import { sourcesIn } from '../database/sources';
import { packFor } from '../language/packs';
import { remembered, WORDS_HELD } from '../utils/remembered';
import { database, serveTasks } from '../workers/serve';
import type { SourceKey, Tasks } from './tasks';

/** Understood sources kept: a course's worth. */
const KEPT = 24;
const known = remembered<Knowledge>({ most: KEPT, weigh: (each) => each.source.words, weight: WORDS_HELD });
serveTasks<Tasks>({
  understand: ({ source }) => ({ claims: understand(source, packFor(source.language)).claims }),
  outline({ course, sources, ...by }) {
    const knowledge = heldBy(course, sources);
    const whole = draftContext(course.brief, knowledge);
    const proposal = outlineFor(course.brief, whole, course.title, by);
    const context = contextFor(whole, lessonsOf(proposal));
    if (proposal.modules.length === 0) fail('nothing-to-draft');
    // Without minutes to meet there is nothing to try: the plan and its guess are enough.
    const drafted = course.brief.size.minutes === undefined ? undefined : fittedDraft(proposal, context, course.title);
    const plan = drafted?.plan ?? planCourse(proposal, context);
    const kept = new Map(plan.modules.flatMap((module) => module.lessons).map((each) => [each.lesson.id, each]));
    if (kept.size === 0) fail('nothing-to-draft');
    const fitting = {
      ...proposal,
      modules: proposal.modules
        .map((module) => ({ ...module, lessons: module.lessons.filter((lesson) => kept.has(lesson.id)) }))
        .filter((module) => module.lessons.length > 0),
    };
    const leftOut = leftOutOf(proposal, plan, context);
    const nodes = outlineNodes(fitting, plan, context, leftOut);
    return {
      nodes,
      stands: standsOn(
        nodes.modules.flatMap((module) => module.lessons),
        knowledge,
      ),
      leftOut: leftOutLines(leftOut, new Map(), knowledge),
      notices: proposal.notices,
      full: plan.minutes.full,
      minutes: Object.fromEntries(
        drafted
          ? allLessons(drafted.course).map((lesson) => [lesson.id, lessonMinutes(lesson)])
          : [...kept].map(([id, each]) => [id, each.minutes]),
      ),
    };
  },
  lesson({ courseId, revision, lessonId, sources }) {
    const course = pinnedCourse(courseId, revision);
    return draftLessonOf(course, lessonId, preparedOf(course, sources));
  },
  leftOut({ courseId, revision, sources }) {
    return preparedOf(pinnedCourse(courseId, revision), sources).leftOut;
  },
  offers({ course, sources }) {
    const { brief, title, settled, corrections, supporting } = course;
    const asked = [
      course.id,
      sources,
      title,
      brief.audience.knows,
      brief.promise,
      brief.outcomes,
      brief.size.questionsPerLesson,
      brief.size.checkEvery,
    ];
    const used = JSON.stringify([...asked, settled, corrections, supporting]);
    const held = () => heldBy(course, sources);
    return {
      ...offers.of(used, () => briefOffers(brief, held(), title)),
      makes: made.of(JSON.stringify([used, brief]), () => madeBy(brief, held(), title)),
    };
  },
  moduleOffers({ course, moduleId, sources }) {
    const { id, objectives, corrections, supporting, settled } = course;
    // What is written on its pages makes no difference.
    const lessons = course.modules
      .find((module) => module.id === moduleId)
      ?.lessons.map(({ title, plannedPassages, given, objectiveIds }) => [title, plannedPassages, given, objectiveIds]);
    return ofModules.of(
      JSON.stringify([id, moduleId, sources, lessons, objectives, corrections, supporting, settled]),
      () => moduleOffers(course, moduleId, heldBy(course, sources)),
    );
  },
  points: ({ course, lessonId, sources }) => pointOffers(course, lessonId, preparedOf(course, sources)),
  rowTakes: ({ course, row, sources }) => rowTakes(course, row, preparedOf(course, sources)),
  account({ course, sources }) {
    return accountOf(course, heldBy(course, sources), course.leftOut ?? preparedOf(course, sources).leftOut);
  },
  unused({ course, lessonId, sources }) {
    const found = unusedFor(course, lessonId, heldBy(course, sources));
    const { matter } = preparedOf(course, sources).context;
    const many = companions(
      found.map(({ id }) => id),
      matter,
    );
    return found.map((each) => ({ ...each, ...(many.has(each.id) && { with: many.get(each.id) }) }));
  },
  pulled({ course, passages, place, whole, sources }) {
    const { context } = preparedOf(course, sources);
    const known = passages.filter((id) => context.matter.of(id));
    return known.length > 0 ? pulledBlocks(known, context, place, whole) : [];
  },
  questions: ({ course, wish, sources }) => questionsFor(course, wish, preparedOf(course, sources)),
  standing({ course, check, sources }) {
    const asked = course.checks.find(({ id }) => id === check);
    return asked ? standingFor(asked, heldBy(course, sources)) : [];
  },
  answers: ({ course, check, option, sources }) => answersFor(course, check, option, preparedOf(course, sources)),
  reading: ({ course, lessonId, sources }) => readingOffers(course, lessonId, heldBy(course, sources)),
  rewrite: ({ blocks, aim, language }) => proposals(blocks, aim, packFor(language)),
  contradictions: ({ course, sources }) =>
    contradictions.of(JSON.stringify([sources, course]), () =>
      contradictionsIn(corrected(knowledgeOf(sources), course)),
    ),
  topics: ({ course, sources, field }) => topicsOf(heldBy(course, sources), field),
  compare({ course, sources }) {
    // In the order asked for: which of the two leads does not matter here.
    const held = new Map(heldBy(course, sources).map((each) => [each.source.id, each]));
    return compareDocuments(held.get(sources[0].id)!, held.get(sources[1].id)!);
  },
  figures: ({ course, sources }) => figuresOf(course, plannedMinutes(course, sources), packFor(course.language).grade),
});

/** Of each lesson: the minutes it is planned for, how hard it reads, and which of its checks read much harder. */
function figuresOf(
  course: Course,
  planned: ReadonlyMap<string, number>,
  grade: ((text: string) => number) | undefined,
): Tasks['figures']['made'] {
  const lessons = allLessons(course);
  const pages = lessons.map(lessonProse);
  const usual = grade?.(pages.join(' '));
  const rounded = (value: number) => Math.round(value * 10) / 10;
  return Object.fromEntries(
    lessons.map((lesson, at) => {
      const hard = grade && usual !== undefined ? harderChecks(course, lesson, usual, grade) : [];
      return [
        lesson.id,
        {
          planned: planned.get(lesson.id) ?? 0,
          ...(grade && pages[at].length > 200 && { grade: rounded(grade(pages[at])) }),
          ...(hard.length > 0 && { hard }),
        },
      ];
    }),
  );
}

/** What blank lessons will take when they are drafted. */
function plannedMinutes(course: Course, sources: readonly SourceKey[]): Map<string, number> {
  if (!allLessons(course).some((lesson) => lesson.blocks.length === 0 && lesson.plannedPassages.length > 0))
    return new Map();
  return new Map(
    preparedOf(course, sources)
      .plan.modules.flatMap((module) => module.lessons)
      .map((each) => [each.lesson.id, each.minutes]),
  );
}

const prepared = remembered<Prepared>({ most: 3 });
const pinned = remembered<Course>({ most: 3 });
const offers = remembered<BriefOffers>({ most: 8 });
const made = remembered<BriefOffers['makes']>({ most: 8 });
const ofModules = remembered<ModuleOffers | undefined>({ most: 16 });
const contradictions = remembered<Contradiction[]>({ most: 8 });

/** The course made ready, kept for the next lesson of the same outline. */
function preparedOf(course: Course, sources: readonly SourceKey[]): Prepared {
  return prepared.of(JSON.stringify([course.id, sources, preparedFor(course)]), () =>
    prepareCourse(course, heldBy(course, sources)),
  );
}

/** What is understood of a course's sources as its author corrected it, without what they found not to hold. */
function heldBy(course: Course, sources: readonly SourceKey[]): Knowledge[] {
  return withoutWords(corrected(knowledgeOf(sources), course), goneWords(course));
}

function pinnedCourse(id: string, revision: number): Course {
  return pinned.of(
    `${id}/${revision}`,
    () => coursesIn(database()).snapshotAt(id, revision) ?? fail('no-such-version', undefined, id),
  );
}

function knowledgeOf(keys: readonly SourceKey[]): Knowledge[] {
  const sources = sourcesIn(database());
  return keys.flatMap(({ id, version }) => {
    const read = () => sources.read(id, version) ?? fail('no-such-source', undefined, id);
    return [
      known.of(`${id}/${version}`, () => {
        const { source } = read();
        return understand(source, packFor(source.language));
      }),
    ];
  });
}
