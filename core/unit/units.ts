import { idFrom } from '../document/id';
import type { Claim, Knowledge, Sentence } from '../knowledge';
import { speaksOfEmergency } from '../language/emergency';
import { allSections, type Passage, type Section } from '../source/source';
import { instructs } from './facets';
import { noiseOfSource } from './noise';
import { relationsOf } from './relations';
import type { Unit, UnitKind } from './unit';

/** An answer of more words than this is several units, each continuing the one before. */
const LONGEST_ANSWER = 320;

/** The units of a source, in order, and the sentences in them that teach nothing ("passage/index"). */
export interface SourceUnits {
  units: Unit[];
  noise: ReadonlyMap<string, NonNullable<Unit['noise']>>;
}

/** The key of a sentence, wherever sentences are looked up. */
export const sentenceKey = ({ passage, index }: Pick<Sentence, 'passage' | 'index'>): string =>
  `${passage.id}/${index}`;

/** Words that can be taught, of one passage: program text counts a third. */
export function wordsOfPassage({ sentences, passages }: Pick<Knowledge, 'sentences' | 'passages'>, id: string): number {
  const own = sentences.get(id);
  return Math.ceil(
    own
      ? own.reduce((sum, sentence) => sum + sentence.words, 0)
      : (passages.get(id)?.text.split(/\s+/).length ?? 0) / 3,
  );
}

/** Takes a source apart into what stands or falls together. */
export function unitsOf(knowledge: Knowledge): SourceUnits {
  const claims = claimsByPassage(knowledge.claims);
  const { sections, sentences: noise } = noiseOfSource(knowledge);
  const units: Unit[] = [];
  for (const section of allSections(knowledge.source.root)) {
    const passages = section.passages.map((id) => knowledge.passages.get(id)!);
    const own: Unit[] = [];
    for (const group of groupsOf(passages, section, knowledge)) own.push(unitFrom(group, section, knowledge, claims));
    own.forEach((unit, at) => {
      unit.noise = sections.get(section.id)?.(unit) ?? wholly(unit, knowledge, noise);
      if (unit.noise === undefined) delete unit.noise;
      unit.relations = relationsOf(unit, own[at - 1], knowledge);
    });
    units.push(...own);
  }
  return { units, noise };
}

function claimsByPassage(claims: readonly Claim[]): Map<string, Claim[]> {
  const found = new Map<string, Claim[]>();
  for (const claim of claims) {
    for (const { id } of claim.ranges) {
      const list = found.get(id);
      if (!list) found.set(id, [claim]);
      else if (list.at(-1) !== claim) list.push(claim);
    }
  }
  return found;
}

/** A unit is noise when every sentence of it is. */
function wholly(unit: Unit, { sentences }: Knowledge, noise: SourceUnits['noise']): Unit['noise'] {
  const all = unit.passages.flatMap((id) => sentences.get(id) ?? []);
  const kinds = all.map((sentence) => noise.get(sentenceKey(sentence)));
  return all.length > 0 && unit.passages.every((id) => sentences.has(id)) && kinds.every((kind) => kind !== undefined)
    ? kinds[0]
    : undefined;
}

function unitFrom(
  group: readonly Passage[],
  section: Section,
  knowledge: Knowledge,
  claims: ReadonlyMap<string, Claim[]>,
): Unit {
  const own = new Map(group.flatMap((passage) => claims.get(passage.id) ?? []).map((claim) => [claim.id, claim]));
  const [first, second] = group;
  const leads =
    second !== undefined &&
    first.kind !== 'item' &&
    first.kind !== 'row' &&
    first.kind !== 'definition' &&
    (second.leadIn === first.id || second.kind === 'item' || second.kind === 'row' || second.kind === 'definition');
  const kind = kindOf(group, section, knowledge, [...own.values()]);
  return {
    id: idFrom('n', knowledge.source.id, kind, first.id),
    kind,
    sourceId: knowledge.source.id,
    section: section.id,
    ...(leads && { lead: first.id }),
    passages: group.map((passage) => passage.id),
    claimIds: [...own.keys()],
    words: group.reduce((sum, passage) => sum + wordsOfPassage(knowledge, passage.id), 0),
    relations: [],
  };
}

/** What a unit is, by its form first and then by what it says. */
function kindOf(group: readonly Passage[], section: Section, knowledge: Knowledge, claims: readonly Claim[]): UnitKind {
  if (isAnswer(group, section, knowledge)) return 'question';
  const items = group.filter((passage) => passage.list);
  if (group.some((passage) => passage.kind === 'row')) return 'table';
  if (items.some((passage) => knowledge.stepLists.has(passage.list!.id))) return 'procedure';
  const entries = group.filter((passage) => passage.kind === 'definition' || knowledge.entries.has(passage.id));
  if (entries.length > 0 && entries.length >= (items.length || group.length) * 0.6) return 'terms';
  if (items.length > 0) return 'list';
  if (group.some((passage) => passage.kind === 'code')) return 'code';
  if (group.some((passage) => passage.callout === 'warning' || speaksOfEmergency(passage.text))) return 'warning';
  if (group.some((passage) => passage.callout === 'experience') || claims.some((claim) => claim.kind === 'example'))
    return 'case';
  return claims.some(instructs) ? 'rule' : 'paragraph';
}

function isAnswer(group: readonly Passage[], section: Section, { sentences }: Knowledge): boolean {
  const [first] = group;
  if (first.locator.question !== undefined || /[?？]["'”’)]*$/.test(section.title)) return true;
  const said = sentences.get(first.id) ?? [];
  return said.length > 0 && /[?？]["'”’)]*$/.test(said[0].text) && (said.length > 1 || group.length > 1);
}

/** The passages of a section in groups that belong together. */
function groupsOf(passages: readonly Passage[], section: Section, knowledge: Knowledge): Passage[][] {
  const groups: Passage[][] = [];
  let last: Passage[] | undefined;
  for (const passage of passages) {
    if (last && belongs(passage, last, knowledge)) last.push(passage);
    else groups.push((last = [passage]));
  }
  return asksFirst(groups, section, knowledge);
}

/** Whether a passage goes on with what the group before it is. */
function belongs(passage: Passage, group: readonly Passage[], { stepLists, source }: Knowledge): boolean {
  const last = group.at(-1)!;
  if (passage.list && last.list?.id === passage.list.id) return true;
  if (passage.table && last.table?.id === passage.table.id) return true;
  if (passage.kind === 'definition' && last.kind === 'definition') return true;
  // What introduces an item, a row or code.
  if (passage.leadIn !== undefined && group.some((each) => each.id === passage.leadIn)) return true;
  if (
    introduces(last) &&
    (passage.kind === 'item' || passage.kind === 'row' || passage.kind === 'code' || passage.kind === 'definition')
  )
    return true;
  // A caption stands with its table, before or behind it, unless it is a picture's.
  if (passage.kind === 'caption' && last.table)
    return source.pictures.every((picture) => picture.caption !== passage.id);
  if (last.kind === 'caption' && passage.table) return true;
  // A note within or right behind steps is part of them, and so is code within them.
  const inSteps = group.some((each) => each.list && stepLists.has(each.list.id));
  return inSteps && (passage.callout === 'note' || passage.callout === 'warning' || passage.callout === 'tip');
}

const introduces = ({ kind, text }: Passage): boolean =>
  (kind === 'paragraph' || kind === 'point') && /[:：]["'”’)]*$/.test(text);

/**
 * A question with its whole answer is one: the part under a heading that asks, what answers one question to the author,
 * and a paragraph that only asks with the one behind it.
 */
function asksFirst(groups: readonly Passage[][], section: Section, { sentences }: Knowledge): Passage[][] {
  const words = (group: readonly Passage[]) =>
    group.reduce(
      (sum, passage) => sum + (sentences.get(passage.id) ?? []).reduce((count, sentence) => count + sentence.words, 0),
      0,
    );
  const asked = /[?？]["'”’)]*$/.test(section.title);
  const joined: Passage[][] = [];
  for (const group of groups) {
    const before = joined.at(-1);
    const [first] = group;
    const same =
      before !== undefined &&
      (asked || (first.locator.question !== undefined && before[0].locator.question === first.locator.question));
    const answers =
      before !== undefined &&
      before.length === 1 &&
      /[?？]["'”’)]*$/.test(before[0].text) &&
      (sentences.get(before[0].id) ?? []).length === 1;
    if (before && (same || answers) && words(before) + words(group) <= LONGEST_ANSWER) before.push(...group);
    else joined.push([...group]);
  }
  return joined;
}
