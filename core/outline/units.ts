import { boilerplateKind, isGenericTitle } from '../language/boilerplate';
import type { Knowledge, Term } from '../knowledge';
import { folded } from '../source/inline';
import type { Section } from '../source/source';
import { markingTerms } from './naming';
import { announcedTopic, splitSection } from './split';
import { canJoin, cleanTitle, joinTitles, upperFirst } from './titles';
import { passageWeights, usableWords, type Dropped, type Unit, type UnitSection } from './unit';

/** A top section with fewer words has nothing to teach. */
const NOTHING = 25;

/** How large a lesson's matter may be, in words of the source. */
export interface UnitSize {
  most: number;
  least: number;
}

/** A top part of a source with the units in it: what becomes a module. */
export interface UnitGroup {
  title: string;
  units: Unit[];
}

/** Cuts a source into units of lesson size, grouped by its top sections; what is left out is named. */
export function unitsOf(knowledge: Knowledge, size: UnitSize, courseTitle: string, terms: readonly Term[]): { groups: UnitGroup[]; dropped: Dropped[] } {
  const { source } = knowledge;
  const words = usableWords(knowledge);
  const weights = passageWeights(knowledge);
  const dropped: Dropped[] = [];
  const navigation = navigationPassages(knowledge);
  const drop = (title: string, reason: string, passages: readonly string[]) => {
    const count = passages.reduce((sum, id) => sum + (words.get(id) ?? 0), 0);
    if (count > 0) dropped.push({ title, reason, words: count, sourceId: source.id });
  };
  if (navigation.size > 0) drop(source.title, 'navigation', [...navigation]);

  const keep = (section: Section, path: string[]): UnitSection[] => {
    // What the author put in focus is matter, whatever it is called.
    const kind = path.length > 0 && !everyPassage(section).some((id) => knowledge.focus?.has(id)) ? boilerplateKind(section.title) : undefined;
    if (kind) {
      drop(section.title, kind, everyPassage(section));
      return [];
    }
    const passages = section.passages.filter((id) => !navigation.has(id));
    const legal = passages.filter((id) => isLegal(knowledge.passages.get(id)?.text ?? ''));
    if (legal.length > 0 && (path.length === 0 || legal.length >= passages.length * 0.5)) {
      drop(section.title, 'legal', path.length === 0 ? legal : passages);
      const rest = path.length === 0 ? passages.filter((id) => !legal.includes(id)) : [];
      return [{ id: section.id, title: section.title, path, passages: rest }, ...section.sections.flatMap((child) => keep(child, [...path, section.title]))];
    }
    return [{ id: section.id, title: section.title, path, passages }, ...section.sections.flatMap((child) => keep(child, [...path, section.title]))];
  };

  const build = (sections: readonly UnitSection[], title?: string): Unit => {
    const passages = sections.flatMap((section) => section.passages);
    return {
      title: title ?? cleanTitle(sections[0].title, sections[0].path.slice(1), courseTitle), sourceId: source.id, sections: [...sections],
      words: passages.reduce((sum, id) => sum + (words.get(id) ?? 0), 0),
      weight: passages.reduce((sum, id) => sum + (weights.get(id) ?? 0), 0),
    };
  };

  /** Units of a section and all below it. `kept` is the sections as `keep` gave them, the first being the section. */
  const divide = (section: Section, kept: readonly UnitSection[]): Unit[] => {
    if (kept.length === 0) return [];
    const whole = build(kept);
    if (whole.words <= size.most) return whole.words > 0 ? [whole] : [];
    const own = build([kept[0]]);
    const children = section.sections.flatMap((child) => {
      const below = kept.filter((each) => within(child, each.id));
      return divide(child, below);
    });
    if (own.words > size.most * 1.5) return [...splitUnit(own), ...mergeSmall(children)];
    if (children.length === 0) return [own];
    if (own.words >= size.least) return [own, ...mergeSmall(children)];
    if (own.words > 0) children[0] = { ...children[0], sections: [kept[0], ...children[0].sections], words: children[0].words + own.words, weight: children[0].weight + own.weight };
    return mergeSmall(children, section.title, kept[0].path);
  };

  const splitUnit = (unit: Unit): Unit[] => {
    const parts = splitSection(unit.sections[0], Math.max(2, Math.round(unit.words / (size.most * 0.8))), knowledge, words);
    if (parts.length < 2) return [unit];
    const labels = markingTerms(parts, knowledge, terms);
    return parts.map((part, index) => {
      const title = partTitle(unit, part, labels[index], index);
      return build([{ ...part, title }], title);
    });
  };

  const partTitle = (unit: Unit, part: UnitSection, label: readonly string[], index: number): string => {
    const topic = announcedTopic(knowledge.passages.get(part.passages[0])!, knowledge);
    if (topic) return unit.sections[0].path.length === 0 ? upperFirst(topic) : `${unit.title}: ${topic}`;
    if (/\?$/.test(unit.title)) return `${unit.title} (${index + 1})`;
    return label.length === 0 ? `${unit.title} (${index + 1})` : `${unit.title}: ${label.join(` ${knowledge.pack.labels.and} `)}`;
  };

  const mergeSmall = (units: readonly Unit[], parent?: string, path: readonly string[] = []): Unit[] =>
    joinSmall(units, size, (a, b, last) => joinUnits(a, b, last && parent !== undefined ? cleanTitle(parent, path.slice(1), courseTitle) : undefined, knowledge));

  const root = source.root;
  let top = root;
  // A document with one chapter that holds nearly everything: its sections are the parts.
  while (top.sections.length === 1 && top.sections[0].sections.length > 1 && count(top.sections[0], words) > 0.85 * count(root, words)) top = top.sections[0];
  const groups: UnitGroup[] = [];
  const [opening] = keep({ ...top, sections: [] }, top === root ? [] : [root.title]);
  if (opening && build([opening]).words >= (top.sections.length === 0 ? 1 : 40)) {
    const unit = build([opening], top.sections.length === 0 ? cleanTitle(top.title, [], '') : undefined);
    groups.push({ title: unit.title, units: unit.words > size.most * 1.5 ? splitUnit(unit) : [unit] });
  }
  for (const section of top.sections) {
    const kept = keep(section, top === root ? [root.title] : [root.title, top.title]);
    const units = divide(section, kept).filter((unit) => unit.words > 0);
    const total = units.reduce((sum, unit) => sum + unit.words, 0);
    // What somebody took the time to answer is matter, however short.
    if (total > 0 && total < NOTHING && top.sections.length > 1 && source.kind !== 'interview') drop(section.title, 'empty', kept.flatMap((each) => each.passages));
    else if (units.length > 0) groups.push({ title: cleanTitle(section.title, [], courseTitle), units });
  }
  return { groups, dropped };
}

/** Joins units that are too small to a neighbour, smallest first. `join` hears whether the two are the last ones left. */
export function joinSmall(units: readonly Unit[], size: UnitSize, join: (a: Unit, b: Unit, last: boolean) => Unit): Unit[] {
  const merged = [...units];
  for (;;) {
    const at = merged.reduce((least, unit, index) => (unit.words < size.least && (least < 0 || unit.words < merged[least].words) ? index : least), -1);
    if (at < 0 || merged.length === 1) return merged;
    const left = merged[at - 1]?.words ?? Infinity;
    const right = merged[at + 1]?.words ?? Infinity;
    const other = left <= right ? at - 1 : at;
    if (merged[other].words + merged[other + 1].words > size.most * 1.15 && merged[at].words >= size.least / 3) return merged;
    merged.splice(other, 2, join(merged[other], merged[other + 1], merged.length === 2));
  }
}

/** Two neighbouring units as one, under the given title or one made of theirs. */
export function joinUnits(a: Unit, b: Unit, title: string | undefined, knowledge: Pick<Knowledge, 'pack'>): Unit {
  const short = canJoin(a.title, b.title, 42, knowledge.pack);
  const parent = commonParent([...a.sections, ...b.sections]);
  const joined = title ?? parent ?? (short ? joinTitles(a.title, b.title, knowledge.pack) : (a.words >= b.words * 0.8 ? a : b).title);
  return { title: joined, sourceId: a.sourceId, sections: [...a.sections, ...b.sections], words: a.words + b.words, weight: a.weight + b.weight };
}

/** The section above units of which all titles are generic ("Purpose", "Requirements"), or which begin with that section itself. */
function commonParent(sections: readonly UnitSection[]): string | undefined {
  const [first, ...rest] = sections;
  if (!rest.some((section) => isGenericTitle(section.title))) return undefined;
  const own = rest.every((section) => section.path[first.path.length] === first.title);
  if (own && !isGenericTitle(first.title)) return cleanTitle(first.title, first.path.slice(1), '');
  const parent = first.path.at(-1);
  const together = sections.every((section) => section.path[first.path.length - 1] === parent);
  return together && parent && sections.every((section) => isGenericTitle(section.title)) ? cleanTitle(parent, first.path.slice(1, -1), '') : undefined;
}

/** Lists that only repeat the document's headings, with their lead-in. */
function navigationPassages({ source, passages }: Knowledge): Set<string> {
  const titles = new Set<string>();
  const visit = (section: Section): void => {
    titles.add(folded(section.title).toLowerCase());
    section.sections.forEach(visit);
  };
  visit(source.root);
  const found = new Set<string>();
  for (const passage of source.passages) {
    if (passage.kind !== 'item' || !titles.has(passage.text.toLowerCase().replace(/^[\d.]+\s+/, ''))) continue;
    found.add(passage.id);
    const leadIn = passages.get(passage.leadIn ?? '');
    if (leadIn && leadIn.kind === 'paragraph') found.add(leadIn.id);
  }
  return found;
}

function isLegal(text: string): boolean {
  return /^copyright\b|©|\ball rights reserved\b|\bpermission is (?:hereby )?granted\b|\blicensed? under the\b|\bGNU (?:General Public|Free Documentation) License\b|\bwithout (?:any )?warranty\b|\btrademarks? (?:of|and|are)\b|^(?:version|revision|edition)\s+[\d.]+.{0,140}$|^(?:publication date|published|last updated|author|autor)\b.{0,80}$|\bISBN\b/i.test(text);
}

function everyPassage(section: Section): string[] {
  return [...section.passages, ...section.sections.flatMap(everyPassage)];
}

function within(section: Section, id: string): boolean {
  return section.id === id || section.sections.some((child) => within(child, id));
}

function count(section: Section, words: ReadonlyMap<string, number>): number {
  return everyPassage(section).reduce((sum, id) => sum + (words.get(id) ?? 0), 0);
}
