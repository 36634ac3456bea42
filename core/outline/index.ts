import type { Brief } from '../course/course';
import { idFrom } from '../course/id';
import type { Knowledge, Term } from '../knowledge';
import { contained } from '../language/similarity';
import type { OutlineProposal, ProposedModule } from './proposal';
import { bringTogether, leadingSource } from './several';
import { fitCounts, groupSmall, glossaryFirst } from './shape';
import { titlesFor } from './titling';
import type { Dropped, Unit } from './unit';
import { unitsOf, type UnitGroup, type UnitSize } from './units';

export type { OutlineProposal, ProposedLesson, ProposedModule } from './proposal';
export type { Dropped, Unit } from './unit';

/**
 * A lesson's matter in words of the source: two to four minutes of a short document; more of a long one, so that the
 * course does not fall into hundreds of lessons.
 */
function lessonSize(words: number): UnitSize {
  const most = Math.round(Math.min(900, Math.max(340, words / 20)));
  return { most, least: Math.round(most * 0.3) };
}
/** Matter of other sources comes in smaller pieces, so that each finds its place. */
const SMALL = { most: 350, least: 60 };
/** A talk has no headings to cut at, and wanders. */
const SPOKEN = { most: 130, least: 50 };

/**
 * Drafts an outline: headings first, neighbouring sections brought to lesson size, boilerplate and what the audience
 * knows left out by name, several sources brought together, counts as the brief asks.
 */
export function draftOutline(brief: Brief, sources: readonly Knowledge[], terms: readonly Term[], title: string): OutlineProposal {
  const notices: OutlineProposal['notices'] = [];
  const dropped: Dropped[] = [];
  const cut = (knowledge: Knowledge, size: UnitSize) => ({ knowledge, ...unitsOf(knowledge, size, title, terms) });
  const first = sources.map((knowledge) => cut(knowledge, lessonSize(knowledge.source.words)));
  const leading = leadingSource(first);
  const parts = first.map((part, index) => (index === leading || sources.length === 1 ? part : cut(part.knowledge, part.knowledge.source.root.sections.length > 0 ? SMALL : SPOKEN)));
  for (const part of parts) dropped.push(...part.dropped);
  const [lead] = [sources[leading]];
  let groups = bringTogether(parts, leading, dropped);
  groups = withoutKnown(groups, brief, lead, dropped);
  groups = glossaryFirst(groups);
  groups = groupSmall(groups, title, lead);
  groups = fitCounts(groups, brief.size, lead, dropped, notices);
  for (const { pack, source } of sources) if (!pack.understands) notices.push({ code: pack.facts ? 'language-in-part' : 'language-not-understood', parameters: { language: pack.code, title: source.title } });
  const titled = titlesFor(groups, title, sources);
  const modules: ProposedModule[] = titled.map((group) => ({
    id: idFrom('m', group.units[0].sections[0].id, group.title),
    title: group.title,
    lessons: group.units.map((unit) => ({ id: idFrom('l', ...unit.sections.map((section) => `${section.id}/${section.passages[0] ?? ''}`)), title: unit.title, otherTitles: unit.otherTitles, unit })),
  }));
  return { title, language: brief.language, modules, dropped, notices };
}

/** Leaves out what the audience already knows: units whose title is about it. */
function withoutKnown(groups: readonly UnitGroup[], brief: Brief, { pack, source }: Knowledge, dropped: Dropped[]): UnitGroup[] {
  const known = brief.audience.knows.map((subject) => pack.stems(subject)).filter((stems) => stems.length > 0);
  if (known.length === 0) return [...groups];
  const isKnown = (unit: Unit) => known.some((stems) => contained(stems, pack.stems(unit.title)) === 1 && pack.stems(unit.title).length <= stems.length + 1);
  return groups
    .map((group) => ({
      ...group,
      units: group.units.filter((unit) => {
        if (!isKnown(unit)) return true;
        dropped.push({ title: unit.title, reason: 'known', words: unit.words, sourceId: source.id });
        return false;
      }),
    }))
    .filter((group) => group.units.length > 0);
}
