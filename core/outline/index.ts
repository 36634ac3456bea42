import type { Brief } from '../course/course';
import { idFrom } from '../document/id';
import type { Knowledge, Term } from '../knowledge';
import { contained } from '../language/similarity';
import type { OutlineProposal, ProposedModule } from './proposal';
import { bringTogether, leadingSource } from './several';
import { fitCounts, groupSmall, glossaryFirst } from './shape';
import type { SourceUnits } from '../unit/units';
import { titlesFor } from './titling';
import { passagesOf, type Dropped, type Scope } from './scope';
import { scopesOf, type ScopeGroup, type ScopeSize } from './scopes';

export type { OutlineProposal, ProposedLesson, ProposedModule } from './proposal';
export type { Dropped, Scope } from './scope';

/**
 * A lesson's matter in words of the source: two to four minutes of a short document; more of a long one, so that the
 * course does not fall into hundreds of lessons.
 */
function lessonSize(words: number, asked: number | undefined): ScopeSize {
  // A lesson is cut between what belongs together: the longest of about so many words have half as many more.
  if (asked !== undefined) return { most: Math.round(asked * 1.5), least: Math.round(asked * 0.5) };
  const most = Math.round(Math.min(900, Math.max(340, words / 20)));
  return { most, least: Math.round(Math.min(most * 0.3, Math.max(35, words / 200))) };
}
/** Matter of other sources comes in smaller pieces, so that each finds its place. */
const SMALL = { most: 350, least: 0 };
/** A talk by itself: it wanders, and its lessons are what it stays with for a while. */
const TALK = { most: 220, least: 60 };
const isTalk = ({ source }: Knowledge): boolean =>
  source.root.sections.length === 0 && source.passages.some((passage) => passage.kind === 'utterance');
/** A talk has no headings to cut at, and wanders. */
const SPOKEN = { most: 130, least: 50 };

/** A source with what is understood of it, taken apart into units. */
export interface SourceMatter extends SourceUnits {
  knowledge: Knowledge;
}

/**
 * Drafts an outline: headings first, neighbouring sections brought to lesson size, noise and what the audience
 * knows left out by name, several sources brought together, counts as the brief asks.
 */
export function draftOutline(
  brief: Brief,
  matter: readonly SourceMatter[],
  terms: readonly Term[],
  title: string,
): OutlineProposal {
  const sources = matter.map((each) => each.knowledge);
  const notices: OutlineProposal['notices'] = [];
  const dropped: Dropped[] = [];
  const cut = cutter(terms, title);
  const first = matter.map((each) =>
    cut(each, isTalk(each.knowledge) ? TALK : lessonSize(each.knowledge.source.words, brief.size.wordsPerLesson)),
  );
  const leading = leadingSource(first);
  const parts = first.map((part, index) =>
    index === leading || sources.length === 1 ? part : cut(matter[index], smallSize(part.knowledge)),
  );
  const [lead] = [sources[leading]];
  let groups = bringTogether(parts, leading, dropped);
  groups = withoutKnown(groups, brief, lead, dropped);
  groups = glossaryFirst(groups);
  const unitOf = new Map(
    matter.flatMap(({ units }) => units.flatMap((unit) => unit.passages.map((id) => [id, unit] as const))),
  );
  groups = groupSmall(groups, title, lead, terms, (id) => unitOf.get(id)!);
  groups = fitCounts(groups, brief.size, lead, dropped, notices);
  for (const { pack, source } of sources)
    if (!pack.understands)
      notices.push({
        code: pack.facts ? 'language-in-part' : 'language-not-understood',
        parameters: { language: pack.code, title: source.title },
      });
  const titled = titlesFor(groups, title, sources);
  const modules: ProposedModule[] = titled.map((group) => ({
    id: idFrom('m', group.scopes[0].sections[0].id, group.title),
    title: group.title,
    lessons: group.scopes.map((scope) => ({
      id: idFrom('l', ...scope.sections.map((section) => `${section.id}/${section.passages[0] ?? ''}`)),
      title: scope.title,
      otherTitles: scope.otherTitles,
      scope,
    })),
  }));
  return { title, language: brief.language, modules, dropped, notices };
}

const smallSize = ({ source }: Knowledge): ScopeSize => (source.root.sections.length > 0 ? SMALL : SPOKEN);

const cutter =
  (terms: readonly Term[], title: string) =>
  ({ knowledge, ...units }: SourceMatter, size: ScopeSize) => ({
    knowledge,
    groups: scopesOf(knowledge, units, size, title, terms),
  });

/** All sources in small parts, each about one thing, to be given to lessons. */
export function cutSources(
  matter: readonly SourceMatter[],
  terms: readonly Term[],
  title: string,
): { knowledge: Knowledge; groups: ScopeGroup[] }[] {
  const cut = cutter(terms, title);
  return matter.map((each) => cut(each, smallSize(each.knowledge)));
}

/** Leaves out what the audience already knows: scopes whose title is about it. */
function withoutKnown(
  groups: readonly ScopeGroup[],
  brief: Brief,
  { pack }: Knowledge,
  dropped: Dropped[],
): ScopeGroup[] {
  const known = brief.audience.knows.map((subject) => pack.stems(subject)).filter((stems) => stems.length > 0);
  if (known.length === 0) return [...groups];
  const isKnown = (scope: Scope) =>
    known.some(
      (stems) => contained(stems, pack.stems(scope.title)) === 1 && pack.stems(scope.title).length <= stems.length + 1,
    );
  return groups
    .map((group) => ({
      ...group,
      scopes: group.scopes.filter((scope) => {
        if (!isKnown(scope)) return true;
        dropped.push({ passages: passagesOf(scope), reason: 'known' });
        return false;
      }),
    }))
    .filter((group) => group.scopes.length > 0);
}
