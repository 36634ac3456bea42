import { isGenericTitle } from '../language/boilerplate';
import type { Knowledge, Term } from '../knowledge';
import type { Section } from '../source/source';
import { isTold } from '../unit/noise';
import { wordsOfPassage, type SourceUnits } from '../unit/units';
import { goodHeading, markingTerms, saidTitle } from './naming';
import { announcedTopic, readsQuestion, splitSection } from './split';
import { canJoin, cleanTitle, joinTitles, lowerFirst, upperFirst } from './titles';
import { passageWeights, type Scope, type ScopeSection } from './scope';

/** How large a lesson's matter may be, in words of the source. */
export interface ScopeSize {
  most: number;
  least: number;
}

/**
 * So many times the most a lesson holds is too long for one: where its heading names it whole it may be longer than
 * where its parts are named by what they say.
 */
const LONG = { headed: 2, unheaded: 1.5 };

/** From this share of terms on a part is one to look things up in, called by the first and the last. */
const LOOKED_UP = 0.6;

/** A top part of a source with the scopes in it: what becomes a module. */
export interface ScopeGroup {
  title: string;
  scopes: Scope[];
}

/** Cuts a source's units into scopes of lesson size, grouped by its top sections. What is noise is in none. */
export function scopesOf(
  knowledge: Knowledge,
  { units, noise }: SourceUnits,
  size: ScopeSize,
  courseTitle: string,
  terms: readonly Term[],
): ScopeGroup[] {
  const { source } = knowledge;
  const weights = passageWeights(knowledge);
  const taught = new Map(
    units.filter((unit) => !unit.noise).flatMap((unit) => unit.passages.map((id) => [id, unit] as const)),
  );
  const words = new Map([...taught.keys()].map((id) => [id, wordsOfPassage(knowledge, id)]));
  const cutBySection = new Map<string, { path: string[]; passages: string[] }>();
  const note = (section: Section, path: string[]): void => {
    cutBySection.set(section.id, { path, passages: section.passages.filter((id) => taught.has(id)) });
    for (const child of section.sections) note(child, [...path, section.title]);
  };
  note(source.root, []);
  const own = (section: Section): ScopeSection => ({
    id: section.id,
    title: section.title,
    ...cutBySection.get(section.id)!,
  });
  const withBelow = (section: Section): ScopeSection[] => [own(section), ...section.sections.flatMap(withBelow)];

  const build = (sections: readonly ScopeSection[], title?: string): Scope => {
    const passages = sections.flatMap((section) => section.passages);
    const headed = sections.find((section) => section.passages.length > 0) ?? sections[0];
    return {
      title: title ?? titleOf(headed),
      sourceId: source.id,
      sections: sections.filter((section) => section.passages.length > 0),
      words: passages.reduce((sum, id) => sum + words.get(id)!, 0),
      weight: passages.reduce((sum, id) => sum + (weights.get(id) ?? 0), 0),
    };
  };

  const voice = isTold(knowledge);
  /** The heading, or what is said under it where that is a question to the one who tells. */
  const titleOf = (section: ScopeSection): string => {
    const clean = cleanTitle(section.title, section.path.slice(1), courseTitle);
    if (goodHeading(section.title, voice, knowledge)) return clean;
    const procedure = section.passages.some(
      (id) =>
        taught.get(id)!.kind === 'procedure' ||
        (knowledge.passages.get(id)!.list && knowledge.stepLists.has(knowledge.passages.get(id)!.list!.id)),
    );
    const learners = knowledge.pack.askedOfLearner?.(section.title);
    return procedure
      ? knowledge.pack.labels.stepByStep
      : learners
        ? cleanTitle(learners, [], courseTitle)
        : (saidTitle(section, knowledge, noise) ?? clean);
  };

  /** Scopes of a section and all below it. */
  const divide = (section: Section): Scope[] => {
    const whole = build(withBelow(section), titleOf(own(section)));
    if (whole.words === 0) return [];
    if (whole.words <= size.most) return [whole];
    const first = build([own(section)]);
    const children = section.sections.flatMap(divide);
    if (first.words > size.most * LONG.headed) return [...splitScope(first), ...mergeSmall(children)];
    if (children.length === 0) return [first];
    if (first.words >= size.least) return [first, ...mergeSmall(children)];
    if (first.words > 0)
      children[0] = {
        ...children[0],
        sections: [...first.sections, ...children[0].sections],
        words: children[0].words + first.words,
        weight: children[0].weight + first.weight,
      };
    return mergeSmall(children, section.title, own(section).path);
  };

  const splitScope = (scope: Scope): Scope[] => {
    const parts = splitSection(
      scope.sections[0],
      Math.max(2, Math.round(scope.words / (size.most * 0.8))),
      knowledge,
      words,
      taught,
    );
    if (parts.length < 2) return [scope];
    const labels = markingTerms(parts, knowledge, terms);
    return parts.map((part, index) => {
      const title = partTitle(scope, part, labels[index], index);
      return build([{ ...part, title }], title);
    });
  };

  const partTitle = (scope: Scope, part: ScopeSection, label: readonly string[], index: number): string => {
    const passages = part.passages.map((id) => knowledge.passages.get(id)!);
    const topic =
      announcedTopic(passages[0], knowledge) ??
      (passages.filter(readsQuestion).length >= 2 && passages.findIndex(readsQuestion) <= 1
        ? knowledge.pack.labels.asked
        : undefined);
    const headed = scope.sections[0].path.length > 0;
    const terms = passages.flatMap(({ term }) => term ?? []);
    if (headed && terms.length >= passages.length * LOOKED_UP) return `${scope.title}: ${terms[0]} – ${terms.at(-1)}`;
    // A talk begins by saying what it is about.
    const own =
      topic ??
      (headed
        ? undefined
        : (saidTitle(part, knowledge, noise) ?? (index === 0 && voice ? knowledge.pack.labels.opening : undefined))) ??
      label[0];
    if (!own) return index === 0 || !headed ? scope.title : `${scope.title} (${index + 1})`;
    // What stands under no heading is called by what it says, never by its document.
    return headed ? `${scope.title.replace(/[?？]$/, '')}: ${lowerFirst(own)}` : upperFirst(own);
  };

  const mergeSmall = (scopes: readonly Scope[], parent?: string, path: readonly string[] = []): Scope[] =>
    joinSmall(scopes, size, (a, b, last) =>
      joinScopes(
        a,
        b,
        last && parent !== undefined ? cleanTitle(parent, path.slice(1), courseTitle) : undefined,
        knowledge,
      ),
    );

  const root = source.root;
  let top = root;
  const count = (section: Section): number => build(withBelow(section)).words;
  // A document with one chapter that holds nearly everything: its sections are the parts.
  while (
    top.sections.length === 1 &&
    top.sections[0].sections.length > 1 &&
    count(top.sections[0]) > 0.85 * count(root)
  )
    top = top.sections[0];
  const groups: ScopeGroup[] = [];
  const above: ScopeSection[] = [];
  // What stands before the parts, under the titles that head them all.
  for (let section: Section | undefined = root; section; section = section === top ? undefined : section.sections[0])
    above.push(own(section));
  const opening = build(
    above,
    top.sections.length === 0 ? cleanTitle(top.title, [], '') : knowledge.pack.labels.opening,
  );
  if (opening.words > 0)
    groups.push({
      title: opening.title,
      scopes:
        opening.sections.length === 1 && opening.words > size.most * LONG.unheaded ? splitScope(opening) : [opening],
    });
  for (const section of top.sections) {
    const scopes = divide(section);
    if (scopes.length > 0) groups.push({ title: cleanTitle(section.title, [], courseTitle), scopes });
  }
  return groups;
}

/**
 * Joins scopes that are too small to a neighbour, smallest first. `join` hears whether the two are the last ones left.
 */
export function joinSmall(
  scopes: readonly Scope[],
  size: ScopeSize,
  join: (a: Scope, b: Scope, last: boolean) => Scope,
): Scope[] {
  const merged = [...scopes];
  for (;;) {
    const at = merged.reduce(
      (least, scope, index) =>
        scope.words < size.least && (least < 0 || scope.words < merged[least].words) ? index : least,
      -1,
    );
    if (at < 0 || merged.length === 1) return merged;
    const left = merged[at - 1]?.words ?? Infinity;
    const right = merged[at + 1]?.words ?? Infinity;
    const other = left <= right ? at - 1 : at;
    if (merged[other].words + merged[other + 1].words > size.most * 1.15 && merged[at].words >= size.least / 3)
      return merged;
    merged.splice(other, 2, join(merged[other], merged[other + 1], merged.length === 2));
  }
}

/** Two neighbouring scopes as one, under the given title or one made of theirs. */
export function joinScopes(a: Scope, b: Scope, title: string | undefined, knowledge: Pick<Knowledge, 'pack'>): Scope {
  const short = canJoin(a.title, b.title, 42, knowledge.pack);
  const parent = commonParent([...a.sections, ...b.sections]);
  const joined =
    title ??
    parent ??
    (short ? joinTitles(a.title, b.title, knowledge.pack) : (a.words >= b.words * 0.8 ? a : b).title);
  return {
    title: joined,
    sourceId: a.sourceId,
    sections: [...a.sections, ...b.sections],
    words: a.words + b.words,
    weight: a.weight + b.weight,
  };
}

/**
 * The section above scopes of which all titles are generic ("Purpose", "Requirements"), or which begin with that
 * section itself.
 */
function commonParent(sections: readonly ScopeSection[]): string | undefined {
  const [first, ...rest] = sections;
  if (!rest.some((section) => isGenericTitle(section.title))) return undefined;
  const own = rest.every((section) => section.path[first.path.length] === first.title);
  if (own && !isGenericTitle(first.title)) return cleanTitle(first.title, first.path.slice(1), '');
  const parent = first.path.at(-1);
  const together = sections.every((section) => section.path[first.path.length - 1] === parent);
  return together && parent && sections.every((section) => isGenericTitle(section.title))
    ? cleanTitle(parent, first.path.slice(1, -1), '')
    : undefined;
}
