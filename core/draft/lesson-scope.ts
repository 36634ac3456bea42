import type { Lesson, Point } from '../course/course';
import type { Knowledge } from '../knowledge';
import type { Matter } from '../lesson/parts';
import type { Scope } from '../outline';
import type { ScopeSection } from '../outline/scope';
import { cleanTitle } from '../outline/titles';
import { pointQuestion } from '../own/open';
import type { Section } from '../source/source';
import type { DraftContext } from './context';

/**
 * The matter of a lesson as it stands in the course: its planned passages in teaching order, widened to whole units,
 * and what the author gave it, behind what it stands with in its source. `elsewhere`: passages that other lessons plan.
 */
export function scopeOf(
  { title, plannedPassages, given = [] }: Pick<Lesson, 'title' | 'plannedPassages' | 'given'>,
  { knowledge, matter }: Pick<DraftContext, 'knowledge' | 'matter'>,
  elsewhere: ReadonlySet<string> = new Set(),
): Scope {
  const order: string[] = [];
  const taken = new Set<string>();
  const take = (id: string) => {
    if (taken.has(id) || !matter.of(id)) return;
    taken.add(id);
    order.push(id);
  };
  for (const id of plannedPassages) {
    const unit = matter.of(id) && matter.unitOf(id);
    for (const own of unit?.passages ?? []) if (own === id || (!unit.noise && !elsewhere.has(own))) take(own);
  }
  const place = placeIn(knowledge);
  for (const id of given) {
    const own = place.get(id);
    if (taken.has(id) || !own) continue;
    taken.add(id);
    const before = order.reduce(
      (last, other, at) => (place.get(other)!.section === own.section && place.get(other)!.at < own.at ? at : last),
      -1,
    );
    order.splice(before < 0 ? order.length : before + 1, 0, id);
  }
  const sections: ScopeSection[] = [];
  for (const id of order) {
    const { section, path } = place.get(id)!;
    if (sections.at(-1)?.id === section.id) sections.at(-1)!.passages.push(id);
    else sections.push({ id: section.id, title: section.title, path, passages: [id] });
  }
  return {
    title,
    sourceId: order.length > 0 ? matter.of(order[0]).source.id : (knowledge[0]?.source.id ?? ''),
    sections,
    words: 0,
    weight: 1,
  };
}

/** Where each passage stands: its section with the titles above, and its place in the source. */
function placeIn(knowledge: readonly Knowledge[]): Map<string, { section: Section; path: string[]; at: number }> {
  const places = new Map<string, { section: Section; path: string[]; at: number }>();
  for (const { source } of knowledge) {
    const visit = (section: Section, path: string[]): void => {
      for (const id of section.passages) places.set(id, { section, path, at: places.size });
      for (const child of section.sections) visit(child, [...path, section.title]);
    };
    visit(source.root, []);
  }
  return places;
}

/** A point said in more signs, or as a sentence, is no heading. */
const LONGEST_HEADING = 90;

/**
 * A lesson's matter in the order of its points, each unit at the point that has its first passage; what no point has
 * stays behind what it stood behind. A point in its author's own words heads its part, one in words of the source does
 * not: they stand there anyway.
 */
export function byPoints(scope: Scope, points: readonly Point[] | undefined, matter: Matter): Scope {
  if (!points?.length || scope.sections.length === 0) return scope;
  const homes = new Map<string, number>();
  points.forEach((point, at) => point.passages.forEach((id) => homes.has(id) || homes.set(id, at)));
  const asked = new Map(points.map((point, at) => [pointQuestion(point.text), at]));
  const units = new Map<string, number>();
  for (const { passages } of scope.sections)
    for (const id of passages) {
      const [own, unit] = [homes.get(id), matter.unitOf(id).id];
      if (own !== undefined && !units.has(unit)) units.set(unit, own);
    }
  const parts: ScopeSection[][] = Array.from({ length: points.length + 1 }, () => []);
  let last = -1;
  for (const section of scope.sections)
    for (const id of section.passages) {
      const question = matter.of(id).passages.get(id)!.locator.question;
      last = units.get(matter.unitOf(id).id) ?? (question === undefined ? last : (asked.get(question) ?? last));
      const part = parts[last + 1];
      if (part.at(-1)?.id === section.id) part.at(-1)!.passages.push(id);
      else part.push({ ...section, passages: [id] });
    }
  const headed = parts.map((part, at) => {
    const heading = at > 0 ? ownHeading(points[at - 1].text, part, matter) : undefined;
    return heading === undefined
      ? part
      : part.map((section) => ({ ...section, title: heading, id: points[at - 1].id }));
  });
  return { ...scope, sections: headed.flat() };
}

/** A point's words where they are its author's own and short enough to head something. */
function ownHeading(text: string, part: readonly ScopeSection[], matter: Matter): string | undefined {
  const passages = part.flatMap((section) => section.passages.map((id) => matter.of(id).passages.get(id)!));
  if (text.length > LONGEST_HEADING || /[.!;:…]$/.test(text)) return undefined;
  // A question to the author is none to learners.
  if (passages.some(({ locator }) => locator.question !== undefined) && /[?？]$/.test(text)) return undefined;
  const plain = (words: string) =>
    words
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim();
  const own = plain(text);
  // Columns and terms by their names are the source's words, too, though no sentence of it.
  const names = new Set(
    passages
      .flatMap(({ id, table }) => [
        ...(table?.header ?? []),
        ...(matter.claims.get(id) ?? []).flatMap(({ term }) => term ?? []),
      ])
      .map(plain),
  );
  const said =
    text.split(',').every((name) => names.has(plain(name))) ||
    passages.some((passage) => plain(passage.text).includes(own)) ||
    part.some(({ title }) => plain(title) === own || plain(cleanTitle(title, [], '')) === own);
  return said ? undefined : text;
}
