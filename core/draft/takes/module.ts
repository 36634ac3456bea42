import type { Arrangement } from '../../course/arranging';
import type { Course, Lesson, Module } from '../../course/course';
import { sameData } from '../../document/canonical';
import { idFrom } from '../../document/id';
import { cosine, countsOf } from '../../language/similarity';
import type { DraftContext } from '../context';
import type { Prepared } from '../from-course';
import type { LessonPlan } from '../plan';
import type { RowOffer, RowTakeKind } from './offer';

/** A module of fewer lessons is not taken in two. */
const LEAST_IN_TWO = 4;
/** A module with so many lessons at most is joined with the next. */
const SMALL = 3;
const MOST_TITLES = 3;

/** Other titles, groupings and orders of a module's lessons. */
export function takesOfModule(course: Course, module: Module, { plan, context }: Prepared): RowOffer[] {
  const plans = new Map(plan.modules.flatMap(({ lessons }) => lessons).map((each) => [each.lesson.id, each]));
  const lessons = module.lessons.map((lesson) => ({ lesson, planned: plans.get(lesson.id) }));
  const arranged = (modules: Arrangement['modules'], says: RowOffer['says']): RowOffer => ({
    of: module.id,
    field: 'arrangement',
    value: { modules } satisfies Arrangement,
    says,
  });
  const inOrder = (order: readonly string[], kind: RowTakeKind): RowOffer[] =>
    sameData(
      order,
      module.lessons.map(({ id }) => id),
    )
      ? []
      : [arranged([{ id: module.id, title: module.title, lessons: [...order] }], { kind })];
  const heaviest = (of: typeof lessons) =>
    of.reduce((best, each) =>
      (each.planned?.lesson.scope.weight ?? 0) > (best.planned?.lesson.scope.weight ?? 0) ? each : best,
    ).lesson.title;
  const titles =
    lessons.length > 1 ? [heaviest(lessons), ...commonHeadings(lessons.flatMap(({ planned }) => planned ?? []))] : [];
  return [
    ...[...new Set(titles)]
      .filter((title) => title.toLowerCase() !== module.title.toLowerCase())
      .slice(0, MOST_TITLES)
      .map((value): RowOffer => ({ of: module.id, field: 'title', value, says: { kind: 'title' } })),
    ...inTwo(),
    ...joined(),
    ...inOrder(bySources(), 'in-sources-order'),
    ...inOrder(byTerms(), 'terms-first'),
    ...(course.brief.promise ? inOrder(byPromise(), 'promise-first') : []),
  ];

  /** Cut where what stands before has least in common with what stands behind. */
  function inTwo(): RowOffer[] {
    if (lessons.length < LEAST_IN_TWO) return [];
    const vectors = lessons.map(({ planned }) => stemsOf(planned, context));
    const places = lessons.slice(2, -1).map((_, index) => index + 2);
    const [cut] = places
      .map((at) => ({ at, alike: cosine(together(vectors.slice(0, at)), together(vectors.slice(at))) }))
      .sort((a, b) => a.alike - b.alike || Math.abs(a.at - lessons.length / 2) - Math.abs(b.at - lessons.length / 2));
    const ids = module.lessons.map(({ id }) => id);
    const title = heaviest(lessons.slice(cut.at));
    return [
      arranged(
        [
          { id: module.id, title: module.title, lessons: ids.slice(0, cut.at) },
          { id: idFrom('m', 'second', module.id, ids[cut.at]), title, lessons: ids.slice(cut.at) },
        ],
        { kind: 'in-two', title: lessons[cut.at].lesson.title },
      ),
    ];
  }
  function joined(): RowOffer[] {
    const next = course.modules[course.modules.indexOf(module) + 1];
    if (!next || lessons.length > SMALL || lessons.length === 0) return [];
    const ids = [...module.lessons, ...next.lessons].map(({ id }) => id);
    return [arranged([{ id: module.id, title: module.title, lessons: ids }], { kind: 'joined', title: next.title })];
  }
  function bySources(): string[] {
    const place = new Map(
      context.knowledge.flatMap(({ source }) => source.passages.map(({ id }) => id)).map((id, at) => [id, at]),
    );
    return stable(lessons, ({ lesson }) => place.get(lesson.plannedPassages[0] ?? '') ?? Infinity);
  }
  /** A lesson that defines a term comes before the first that uses it; otherwise they stay as they stand. */
  function byTerms(): string[] {
    const order = lessons.map(({ lesson }) => lesson);
    for (const { term, evidence } of course.glossary) {
      const [defines] = order.filter(({ plannedPassages }) => evidence.some(({ id }) => plannedPassages.includes(id)));
      const uses = order.findIndex((lesson) => lesson !== defines && saysTerm(lesson, term, context));
      const at = order.indexOf(defines);
      if (defines && uses >= 0 && uses < at) order.splice(uses, 0, ...order.splice(at, 1));
    }
    return order.map(({ id }) => id);
  }
  function byPromise(): string[] {
    const { pack } = context.knowledge[0];
    const { promise, outcomes } = course.brief;
    const wanted = countsOf(pack.stems([promise, ...outcomes].join(' ')));
    return stable(lessons, ({ planned }) => -Math.round(cosine(wanted, stemsOf(planned, context)) * 20));
  }
}

const stable = <Entry extends { lesson: Lesson }>(list: readonly Entry[], key: (entry: Entry) => number): string[] =>
  list
    .map((entry, at) => ({ id: entry.lesson.id, key: key(entry), at }))
    .sort((a, b) => a.key - b.key || a.at - b.at)
    .map(({ id }) => id);

function saysTerm(lesson: Lesson, term: string, { matter }: DraftContext): boolean {
  const stems = (id: string) => matter.of(id)?.pack.stems(term) ?? [];
  return lesson.plannedPassages.some((id) => {
    const own = new Set((matter.of(id)?.sentences.get(id) ?? []).flatMap((sentence) => sentence.stems));
    return stems(id).length > 0 && stems(id).every((stem) => own.has(stem));
  });
}

/** Headings that most of some lessons stand under. */
function commonHeadings(plans: readonly LessonPlan[]): string[] {
  const counts = new Map<string, number>();
  for (const { lesson } of plans)
    for (const heading of new Set(lesson.scope.sections.flatMap(({ path }) => path.slice(1))))
      counts.set(heading, (counts.get(heading) ?? 0) + 1);
  return [...counts].filter(([, count]) => count > plans.length / 2).map(([heading]) => heading);
}

function stemsOf(planned: LessonPlan | undefined, { matter }: DraftContext): Map<string, number> {
  const passages = planned?.parts.flatMap(({ items }) => items.map(({ passage }) => passage.id)) ?? [];
  return countsOf(passages.flatMap((id) => (matter.of(id).sentences.get(id) ?? []).flatMap(({ stems }) => stems)));
}

function together(counts: readonly ReadonlyMap<string, number>[]): Map<string, number> {
  const sum = new Map<string, number>();
  for (const each of counts) for (const [stem, count] of each) sum.set(stem, (sum.get(stem) ?? 0) + count);
  return sum;
}
