import { allLessons, type Course, type Point, type PointDoes } from '../course/course';
import { idFrom } from '../document/id';
import type { Claim } from '../knowledge';
import { isGenericTitle } from '../language/boilerplate';
import type { Matter, Part } from '../lesson/parts';
import { cleanTitle, upperFirst } from '../outline/titles';
import { facetsOf, instructs } from '../unit/facets';
import type { Unit } from '../unit/unit';
import type { DraftContext } from './context';
import type { Prepared } from './from-course';
import { draftLesson } from './lesson';
import type { LessonPlan } from './plan';
import { placedIn, rankedPassages } from './unused';

/** What the sources offer whoever settles the points of a lesson. */
export interface PointOffers {
  /** What is planned for the lesson or was given to it, as points, in order. */
  offered: Point[];
  /** Passages that nothing uses and that fit a point without any, best first, by the point's id. */
  fitting: Record<string, string[]>;
  /** Points whose passages do not have what is to be done there: nothing to show, no cases to weigh, no question. */
  lacking: string[];
}

/** More points are gathered by the headings they stand under. */
const MOST = 8;
/** What says nothing to act on goes along with a point of less words than this. */
const SMALL = 120;
/** So much of a point's words stands in a passage that fits it. */
const FITS = 0.5;
const MOST_FITTING = 2;
/** A point is a line, no paragraph. */
const LONGEST = 140;
const MOST_TERMS = 3;
/** A sentence of fewer words ("Right.") says nothing of what stands behind it. */
const TELLING = 5;

/**
 * The points that a lesson of a course can be made of: one for each thing its units say, those that lean on another
 * with it; what its own points lack, and what would fit those that stand on nothing. Undefined where there is no such
 * lesson.
 */
export function pointOffers(course: Course, lessonId: string, { plan, context }: Prepared): PointOffers | undefined {
  const lesson = allLessons(course).find(({ id }) => id === lessonId);
  if (!lesson) return undefined;
  const planned = plan.modules.flatMap((module) => module.lessons).find((each) => each.lesson.id === lessonId);
  const points = lesson.points ?? [];
  return {
    offered: planned ? offeredPoints(planned, context) : [],
    fitting: fittingPassages(course, points, context),
    lacking: lackingPoints(points, planned ? draftLesson(planned, course.title, context).checks : [], context),
  };
}

/** Units that are said together as one point. */
interface Group {
  section: number;
  units: Unit[];
  /** What stands on the page for it. */
  kinds: Part['kind'][];
  passages: string[];
  words: number;
}

/** The matter of a planned lesson as points. */
export function offeredPoints({ lesson, parts }: LessonPlan, { matter }: Pick<DraftContext, 'matter'>): Point[] {
  const groups = gathered(groupsOf(parts, matter));
  return groups.map((group) => {
    const section = lesson.scope.sections[group.section];
    const alone = groups.filter((other) => other.section === group.section).length === 1;
    const heading = cleanTitle(section.title, [], '');
    // A source's own title heads its beginning, and is no point of it.
    const headed =
      alone &&
      section.path.length > 0 &&
      !isGenericTitle(heading) &&
      heading.toLowerCase() !== lesson.title.toLowerCase();
    return {
      id: idFrom('i', lesson.id, group.passages[0]),
      text: headed ? heading : wordsOf(group, matter),
      does: doesOf(group, matter),
      passages: group.passages,
    };
  });
}

function groupsOf(parts: readonly Part[], matter: Matter): Group[] {
  const groups: Group[] = [];
  for (const part of parts) {
    const unit = matter.unitOf(part.items[0].passage.id);
    const last = groups.at(-1);
    const passages = part.items.map(({ passage }) => passage.id);
    const near = last !== undefined && last.section === part.section;
    const goesAlong =
      near &&
      (last.units.includes(unit) ||
        unit.relations.some(({ to }) => last.units.some(({ id }) => id === to)) ||
        (!tells(unit, matter) && last.words < SMALL) ||
        !last.units.some((each) => tells(each, matter)));
    if (goesAlong) {
      if (!last.units.includes(unit)) last.units.push(unit);
      last.kinds.push(part.kind);
      last.passages.push(...passages);
      last.words += part.words;
    } else groups.push({ section: part.section, units: [unit], kinds: [part.kind], passages, words: part.words });
  }
  return groups;
}

/** Too many points gathered: those under one heading are one, the headings with most of them first. */
function gathered(groups: readonly Group[]): Group[] {
  let rest = [...groups];
  while (rest.length > MOST) {
    const counts = new Map<number, number>();
    for (const { section } of rest) counts.set(section, (counts.get(section) ?? 0) + 1);
    const [section, count] = [...counts].sort((a, b) => b[1] - a[1])[0];
    if (count < 2) break;
    const own = rest.filter((group) => group.section === section);
    const one: Group = {
      section,
      units: own.flatMap(({ units }) => units),
      kinds: own.flatMap(({ kinds }) => kinds),
      passages: own.flatMap(({ passages }) => passages),
      words: own.reduce((sum, { words }) => sum + words, 0),
    };
    rest = rest.flatMap((group) => (group === own[0] ? [one] : group.section === section ? [] : [group]));
  }
  return rest;
}

const claimsOf = (unit: Unit, matter: Matter): Claim[] => unit.passages.flatMap((id) => matter.claims.get(id) ?? []);

/** Whether a unit says something to act on or to know, by its form or by a claim. */
const tells = (unit: Unit, matter: Matter): boolean =>
  unit.kind !== 'paragraph' || claimsOf(unit, matter).some(instructs);

/** What is done with some units: tables, steps, code and cases are shown, several cases weighed, the rest explained. */
function doesOf({ units, kinds }: Group, matter: Matter): PointDoes {
  if (units.some(canShow) || kinds.some((kind) => kind === 'steps' || kind === 'table')) return 'show';
  return casesIn(units.flatMap((unit) => claimsOf(unit, matter))) >= 2 ? 'weigh' : 'explain';
}

const canShow = ({ kind }: Unit): boolean =>
  kind === 'procedure' || kind === 'table' || kind === 'code' || kind === 'case';

/** Rules that hold in some case only, or not in some. */
const casesIn = (claims: readonly Claim[]): number =>
  new Set(claims.filter(({ rule }) => rule?.condition || rule?.exception !== undefined).map(({ id }) => id)).size;

/**
 * A point in words of its passages: its terms, its question, what leads its list in, the columns of its table, the
 * first of its steps, or what must not be missed.
 */
function wordsOf({ units, passages, kinds }: Group, matter: Matter): string {
  const [unit] = units.filter((each) => tells(each, matter)).concat(units);
  const knowledge = matter.of(unit.passages[0]);
  const terms = [
    ...new Set(claimsOf(unit, matter).flatMap(({ kind, term }) => (kind === 'definition' && term ? [term] : []))),
  ];
  if (unit.kind === 'terms' && terms.length > 0)
    return upperFirst(terms.slice(0, MOST_TERMS).join(', ') + (terms.length > MOST_TERMS ? ', …' : ''));
  const first = knowledge.passages.get(unit.passages[0])!;
  if (first.locator.question !== undefined) return line(first.locator.question);
  if (unit.lead) return line((sentencesOf(unit.lead, matter).at(-1) ?? first.text).replace(/\s*[:：]$/, ''));
  if (first.table) return line(first.table.header.filter(Boolean).join(', '));
  if (kinds[0] === 'steps' || kinds[0] === 'list')
    return `${line(sentencesOf(first.id, matter)[0] ?? first.text).replace(/[\s.;…]+$/, '')} …`;
  const own = new Set(passages);
  const claims = claimsOf(unit, matter).filter(
    ({ ranges, leaning }) => !leaning && ranges.every(({ id }) => own.has(id)),
  );
  const heavy = claims.find((claim) => facetsOf(claim, knowledge.pack).length > 0) ?? claims.find(instructs);
  const said = passages.flatMap((id) => sentencesOf(id, matter));
  return line(heavy?.text ?? said.find((words) => words.split(/\s+/).length >= TELLING) ?? said[0] ?? first.text);
}

const sentencesOf = (id: string, matter: Matter): string[] =>
  (matter.of(id).sentences.get(id) ?? []).map(({ text }) => text);

/** Words as a line; what is too long ends at a joint of its own. */
function line(words: string): string {
  const text = words.replace(/\s+/g, ' ').trim();
  if (text.length <= LONGEST) return text;
  const cut = text.slice(0, LONGEST);
  const joint = Math.max(cut.lastIndexOf('; '), cut.lastIndexOf(', '), cut.lastIndexOf(': '));
  return `${joint > LONGEST / 3 ? cut.slice(0, joint) : cut.replace(/\s\S*$/, '')} …`;
}

function fittingPassages(
  course: Course,
  points: readonly Point[],
  { knowledge }: Pick<DraftContext, 'knowledge'>,
): PointOffers['fitting'] {
  const bare = points.filter(({ passages }) => passages.length === 0);
  if (bare.length === 0 || knowledge.length === 0) return {};
  const used = placedIn(course);
  const said = new Map(
    knowledge.flatMap(({ sentences }) =>
      [...sentences].map(([id, own]) => [id, new Set(own.flatMap(({ stems }) => stems))] as const),
    ),
  );
  return Object.fromEntries(
    bare.map(({ id, text }) => {
      const stems = knowledge[0].pack.stems(text);
      const share = (passage: string) =>
        stems.filter((stem) => said.get(passage)?.has(stem)).length / Math.max(1, stems.length);
      const found = rankedPassages(stems, knowledge, used).filter((each) => share(each.id) >= FITS);
      return [id, found.slice(0, MOST_FITTING).map((each) => each.id)];
    }),
  );
}

function lackingPoints(
  points: readonly Point[],
  checks: readonly { evidence: readonly { id: string }[] }[],
  { matter }: Pick<DraftContext, 'matter'>,
): string[] {
  const has: Record<PointDoes, (units: readonly Unit[], passages: readonly string[]) => boolean> = {
    explain: () => true,
    show: (units) =>
      units.some((unit) => canShow(unit) || claimsOf(unit, matter).some(({ kind }) => kind === 'example')),
    weigh: (units) => casesIn(units.flatMap((unit) => claimsOf(unit, matter))) > 0,
    try: (_, passages) => checks.some(({ evidence }) => evidence.some(({ id }) => passages.includes(id))),
  };
  return points
    .filter(({ does, passages }) => {
      const known = passages.filter((id) => matter.of(id));
      return known.length > 0 && !has[does]([...new Set(known.map((id) => matter.unitOf(id)))], known);
    })
    .map(({ id }) => id);
}
