import { BLOCKS } from '../blocks/forms';
import { PACE, studiedWords } from '../brief/sizing';
import type { PassageRange } from '../document/rich-text';
import type { Claim, Knowledge, Sentence } from '../knowledge';
import type { Scope } from '../outline';
import type { Passage } from '../source/source';
import type { Unit } from '../unit/unit';
import { sentenceKey } from '../unit/units';
import { isSpoken } from '../unit/noise';
import { shown, wordsOf, type UsedSentence } from '../unit/shown';

/** What pages are made with. */
export interface Matter {
  /** The knowledge that a passage belongs to. */
  of(passageId: string): Knowledge;
  claims: ReadonlyMap<string, Claim[]>;
  /** The unit that a passage lies in. */
  unitOf(passageId: string): Unit;
  /** Sentences that teach nothing, by their key. */
  noise: ReadonlyMap<string, string>;
  /** Sentences left out because another place says the same, by their key, with the key of that. */
  said: ReadonlyMap<string, string>;
  /** Where else the sources say what a sentence says, by its key. */
  also: ReadonlyMap<string, PassageRange[]>;
  /** Stems of what the audience knows: definitions of it are left out. */
  known: readonly string[][];
}

/** A part of a page: a paragraph, or a list, table, run of terms, quotation or piece of code, whole. */
export interface Part {
  kind: 'text' | 'list' | 'steps' | 'table' | 'code' | 'terms' | 'quote';
  /** Index of the scope's section. */
  section: number;
  unit: string;
  items: { passage: Passage; sentences: UsedSentence[] }[];
  words: number;
}

/** A scope's matter as parts of a page, in order. `without`: ids of units that find no room. */
export function partsOf(
  scope: Pick<Scope, 'sections'>,
  matter: Matter,
  without: ReadonlySet<string> = new Set(),
): Part[] {
  return scope.sections.flatMap((section, at) => {
    const passages = section.passages
      .filter((id) => !without.has(matter.unitOf(id).id))
      .map((id) => matter.of(id).passages.get(id)!);
    const parts: Part[] = [];
    for (let from = 0; from < passages.length;) {
      const group = groupFrom(passages, from);
      const part = partFrom(group, at, matter);
      if (part) parts.push(part);
      from += group.length;
    }
    return parts;
  });
}

/** Passages that stand in one part: one list, one table, one run of definitions, or one passage alone. */
function groupFrom(passages: readonly Passage[], start: number): Passage[] {
  const first = passages[start];
  const same = (passage: Passage) =>
    (first.list !== undefined && passage.list?.id === first.list.id) ||
    (first.table !== undefined && passage.table?.id === first.table.id) ||
    (first.kind === 'definition' && passage.kind === 'definition');
  let end = start + 1;
  while (end < passages.length && same(passages[end])) end++;
  return passages.slice(start, end);
}

function partFrom(group: readonly Passage[], section: number, matter: Matter): Part | undefined {
  const [first] = group;
  const knowledge = matter.of(first.id);
  const unit = matter.unitOf(first.id).id;
  const items = group
    .map((passage) => ({ passage, sentences: keptSentences(passage, matter) }))
    .filter(({ passage, sentences }) => passage.kind === 'code' || sentences.length > 0);
  if (items.length === 0) return undefined;
  const kind = kindOf(first, items, knowledge);
  const entries =
    kind === 'terms'
      ? items.filter(({ passage }) => !isKnown(knowledge.entries.get(passage.id)!.term, matter, knowledge))
      : items;
  if (entries.length === 0) return undefined;
  return { kind, section, unit, items: entries, words: wordsIn(kind, entries) };
}

/** Words of code are not read like others: a line takes as long as so many words. */
const WORDS_A_LINE = BLOCKS.code.study!.minutes! * PACE.wordsPerMinute;

function wordsIn(kind: Part['kind'], items: Part['items']): number {
  const words = items.reduce(
    (sum, { sentences }) => sum + sentences.reduce((count, used) => count + wordsOf(used), 0),
    0,
  );
  const lines = items.reduce(
    (sum, { passage }) => sum + (passage.kind === 'code' ? passage.text.split('\n').length : 0),
    0,
  );
  const studied = kind === 'table' || kind === 'list' ? studiedWords(kind, words, items.length) : words;
  return studied + Math.round(studiedWords('code', lines * WORDS_A_LINE, lines));
}

function kindOf(
  first: Passage,
  items: readonly { passage: Passage }[],
  { entries, stepLists }: Knowledge,
): Part['kind'] {
  if (first.table) return 'table';
  if (first.kind === 'code' && !first.list) return 'code';
  if (items.every(({ passage }) => entries.has(passage.id)) && (first.list || first.kind === 'definition'))
    return 'terms';
  if (first.list) return stepLists.has(first.list.id) ? 'steps' : 'list';
  if (first.kind === 'quote' && !first.callout) return 'quote';
  return first.kind === 'definition' ? 'list' : 'text';
}

/**
 * The sentences of a passage that a page shows: all but noise, what is said elsewhere, and definitions of what the
 * audience knows. What a sentence leans on stays with it.
 */
function keptSentences(passage: Passage, matter: Matter): UsedSentence[] {
  const knowledge = matter.of(passage.id);
  const sentences = knowledge.sentences.get(passage.id) ?? [];
  if (passage.kind === 'row')
    return sentences
      .filter((sentence) => !matter.said.has(sentenceKey(sentence)))
      .map((sentence) => withAlso({ sentence, edits: [] }, matter));
  const spoken = isSpoken(passage);
  const gone = sentences.map(
    (sentence) =>
      matter.noise.has(sentenceKey(sentence)) ||
      matter.said.has(sentenceKey(sentence)) ||
      definesKnown(sentence, matter, knowledge),
  );
  for (let at = sentences.length - 1; at > 0; at--) {
    const leaning = sentences[at].facts?.leaning;
    // Speech joins everything to everything ("So, …"), and what only holds the floor is nothing to lean on.
    if (
      !gone[at] &&
      gone[at - 1] &&
      (spoken
        ? leaning === 'points-back' && sentences[at - 1].words > 5 && matter.noise.has(sentenceKey(sentences[at - 1]))
        : leaning === 'points-back' || leaning === 'joins-on')
    )
      gone[at - 1] = false;
  }
  return sentences.filter((_, at) => !gone[at]).map((sentence) => withAlso(shown(sentence, knowledge), matter));
}

function withAlso(used: UsedSentence, { also }: Matter): UsedSentence {
  const others = also.get(sentenceKey(used.sentence));
  return others ? { ...used, also: others } : used;
}

function definesKnown(sentence: Sentence, matter: Matter, knowledge: Knowledge): boolean {
  const definition = sentence.facts?.definition;
  return (
    definition !== undefined &&
    isKnown(sentence.text.slice(definition.term.from, definition.term.to), matter, knowledge)
  );
}

function isKnown(term: string, matter: Matter, knowledge: Knowledge): boolean {
  if (matter.known.length === 0) return false;
  const stems = knowledge.pack.stems(term).join(' ');
  return matter.known.some((known) => known.join(' ') === stems);
}
