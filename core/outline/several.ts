import type { Knowledge } from '../knowledge';
import { cleanTitle } from './titles';
import type { Dropped, Unit } from './unit';
import { joinSmall, joinUnits, type UnitGroup } from './units';

/** Two units this alike (cosine of weighted stems) are about the same thing. Found by reading pairs of the demo's and the test documents. */
const ALIKE = 0.2;
/** What only supports and finds no place is left out: there less is enough. Read on the demo's pairs: from here on they fit. */
const SUPPORTS = 0.11;

/** A source with fewer words left over than this gives one module. */
const LITTLE = 1500;
const LEFTOVER = { most: 420, least: 110 };

/**
 * Brings several sources together. The leading source gives the modules; units of the others go to the unit they are
 * most like, behind its own matter; what is like nothing keeps the groups of its source, behind the leading one's, or is
 * dropped when its source is only to support.
 */
export function bringTogether(parts: readonly { knowledge: Knowledge; groups: UnitGroup[] }[], leading: number, dropped: Dropped[]): UnitGroup[] {
  const result = parts[leading].groups.map((group) => ({ ...group, units: [...group.units] }));
  const others = parts.filter((_, index) => index !== leading);
  if (others.length === 0) return result;
  const vectors = weightedStems(parts.flatMap((part) => part.groups.flatMap((group) => group.units.map((unit) => ({ unit, stems: stemsOf(unit, part.knowledge) })))));
  const homes = result.flatMap((group, at) => group.units.map((unit, index) => ({ group: at, index, unit })));
  const additions = new Map<Unit, Unit[]>();
  for (const part of others) {
    const leftovers: UnitGroup[] = [];
    for (const group of part.groups) {
      const left: Unit[] = [];
      for (const unit of group.units) {
        const ranked = homes
          .map((home) => ({ home, score: cosine(vectors.get(unit)!, vectors.get(home.unit)!) }))
          .sort((a, b) => b.score - a.score || a.home.group - b.home.group || a.home.index - b.home.index);
        const [best] = ranked;
        if (best && best.score >= (part.knowledge.supporting ? SUPPORTS : ALIKE)) additions.set(best.home.unit, [...(additions.get(best.home.unit) ?? []), unit]);
        else left.push(unit);
      }
      if (left.length > 0) leftovers.push({ title: group.title, units: left });
    }
    if (part.knowledge.supporting) {
      for (const unit of leftovers.flatMap((group) => group.units)) dropped.push({ title: unit.title, reason: 'supporting', words: unit.words, sourceId: unit.sourceId });
    } else result.push(...together(leftovers, part.knowledge));
  }
  for (const { group, index, unit } of homes) {
    const more = additions.get(unit);
    if (more) {
      result[group].units[index] = {
        ...unit, sections: [...unit.sections, ...more.flatMap((each) => each.sections)],
        words: unit.words + more.reduce((sum, each) => sum + each.words, 0), weight: unit.weight + more.reduce((sum, each) => sum + each.weight, 0),
      };
    }
  }
  return result;
}

/** What is left of a source: one group under its title when it is little, with its small units joined to lesson size. */
function together(groups: readonly UnitGroup[], knowledge: Knowledge): UnitGroup[] {
  const words = groups.reduce((sum, group) => sum + group.units.reduce((inner, unit) => inner + unit.words, 0), 0);
  if (words === 0) return [];
  const whole = words < LITTLE ? [{ title: cleanTitle(knowledge.source.title, [], ''), units: groups.flatMap((group) => group.units) }] : groups;
  return whole.map((group) => ({ ...group, units: joinSmall(group.units, LEFTOVER, (a, b) => joinUnits(a, b, undefined, knowledge)) }));
}

/** The source to lead: of those not only to support, the one with most words under headings of its own; the first given among equals. */
export function leadingSource(parts: readonly { knowledge: Knowledge; groups: UnitGroup[] }[]): number {
  const standing = parts.map(({ knowledge, groups }) => {
    const words = groups.reduce((sum, group) => sum + group.units.reduce((inner, unit) => inner + unit.words, 0), 0);
    return (knowledge.source.root.sections.length >= 3 ? words : words / 4) / (knowledge.supporting ? 1e6 : 1);
  });
  return standing.indexOf(Math.max(...standing));
}

function stemsOf(unit: Unit, knowledge: Knowledge): string[] {
  const heading = unit.sections.flatMap((section) => knowledge.pack.stems(section.title));
  return [...heading, ...heading, ...unit.sections.flatMap((section) => section.passages.flatMap((id) => (knowledge.sentences.get(id) ?? []).flatMap((sentence) => sentence.stems)))];
}

function weightedStems(entries: readonly { unit: Unit; stems: string[] }[]): Map<Unit, Map<string, number>> {
  const spread = new Map<string, number>();
  for (const { stems } of entries) for (const stem of new Set(stems)) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  return new Map(
    entries.map(({ unit, stems }) => {
      const counts = stems.reduce((map, stem) => map.set(stem, (map.get(stem) ?? 0) + 1), new Map<string, number>());
      return [unit, new Map([...counts].map(([stem, count]) => [stem, (1 + Math.log(count)) * Math.log((1 + entries.length) / spread.get(stem)!)]))];
    }),
  );
}

function cosine(a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>): number {
  const norm = (map: ReadonlyMap<string, number>) => Math.sqrt([...map.values()].reduce((sum, value) => sum + value * value, 0));
  let dot = 0;
  for (const [stem, value] of a) dot += value * (b.get(stem) ?? 0);
  return dot / Math.max(1e-9, norm(a) * norm(b));
}
