import type { Correction, Course } from '../course/course';
import { claimHash } from '../course/corrections';
import { allSections, type Section } from '../source/source';
import type { Knowledge } from './index';

/**
 * What is understood, as the author corrected it: what is left out is gone from everything, headings that are none go,
 * claims that are not so go, what is in focus is marked. Leading sources come first, so that their words win where two
 * say the same. Corrections of what is not there any more do nothing.
 */
export function corrected(
  knowledge: readonly Knowledge[],
  { corrections = [], supporting = [] }: Pick<Course, 'corrections' | 'supporting'>,
): Knowledge[] {
  if (corrections.length === 0 && supporting.length === 0) return [...knowledge];
  const furniture = furnitureWords(knowledge, corrections);
  const made = knowledge.map((each) => {
    const own = corrections.filter((correction) => correction.sourceId === each.source.id);
    const supports = supporting.includes(each.source.id);
    return own.length === 0 && furniture.size === 0 && !supports
      ? each
      : { ...asCorrected(each, own, furniture), ...(supports && { supporting: true }) };
  });
  const leads = made.filter((each) => !each.supporting);
  // When all only support, none does.
  return leads.length === 0
    ? made.map((each) => ({ ...each, supporting: undefined }))
    : [...leads, ...made.filter((each) => each.supporting)];
}

/** Words that the author found to be furniture, wherever they stand. */
function furnitureWords(knowledge: readonly Knowledge[], corrections: readonly Correction[]): Set<string> {
  const places = corrections
    .filter((correction) => correction.kind === 'furniture')
    .map((correction) => correction.place);
  return new Set(
    places.flatMap((place) =>
      knowledge.flatMap((each) => passagesAt(each, place).map((id) => sameWords(each.passages.get(id)?.text ?? ''))),
    ),
  );
}

function asCorrected(
  knowledge: Knowledge,
  corrections: readonly Correction[],
  furniture: ReadonlySet<string>,
): Knowledge {
  const { source } = knowledge;
  const at = (kind: Correction['kind']) => corrections.filter((correction) => correction.kind === kind);
  const gone = new Set([
    ...at('leave-out').flatMap(({ place }) => passagesAt(knowledge, place)),
    ...source.passages.filter((passage) => furniture.has(sameWords(passage.text))).map((passage) => passage.id),
  ]);
  const notSo = new Set(at('not').map(({ place, claim, words }) => `${place}/${claim}/${words}`));
  const titles = new Map(at('heading').map(({ place, title }) => [place, title ?? '']));
  const none = new Set(at('no-heading').map(({ place }) => place));
  const focus = new Set(
    at('focus')
      .flatMap(({ place }) => passagesAt(knowledge, place))
      .filter((id) => !gone.has(id)),
  );
  const stays = <Value>([id]: [string, Value]) => !gone.has(id);
  return {
    ...knowledge,
    source: {
      ...source,
      root: asHeaded(source.root, none, titles, gone),
      passages: source.passages.filter((passage) => !gone.has(passage.id)),
    },
    passages: new Map([...knowledge.passages].filter(stays)),
    sentences: new Map([...knowledge.sentences].filter(stays)),
    entries: new Map([...knowledge.entries].filter(stays)),
    claims: knowledge.claims.filter((claim) =>
      claim.ranges.every((range) => !gone.has(range.id) && !notSo.has(`${range.id}/${claim.kind}/${claimHash(claim)}`)),
    ),
    ...(focus.size > 0 && { focus }),
  };
}

/** Passages of a section with all below it, or the passage itself. */
function passagesAt({ source, passages }: Knowledge, place: string): string[] {
  if (passages.has(place)) return [place];
  const section = allSections(source.root).find((each) => each.id === place);
  return section ? allSections(section).flatMap((each) => each.passages) : [];
}

/** The section tree with the right headings: what stands under one that is none belongs to what stands before it. */
function asHeaded(
  section: Section,
  none: ReadonlySet<string>,
  titles: ReadonlyMap<string, string>,
  gone: ReadonlySet<string>,
): Section {
  const made: Section = {
    ...section,
    title: titles.get(section.id) || section.title,
    passages: section.passages.filter((id) => !gone.has(id)),
    sections: [],
  };
  for (const child of section.sections) {
    const own = asHeaded(child, none, titles, gone);
    if (!none.has(child.id)) {
      if (own.passages.length > 0 || own.sections.length > 0) made.sections.push(own);
      continue;
    }
    const home = lastOf(made);
    home.passages = [...home.passages, ...own.passages];
    made.sections.push(...own.sections);
  }
  return made;
}

/** The section that a reader is in at the end of this one. */
function lastOf(section: Section): Section {
  const last = section.sections.at(-1);
  return last ? lastOf(last) : section;
}

const sameWords = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
