import type { Claim, Knowledge, Sentence } from '../knowledge';
import type { Unit } from '../outline';
import type { Passage } from '../source/source';
import { isAnsweredWhole } from './answers';
import { headingOver, leansOnHeading, type Heading } from './heading';
import type { Piece, UsedSentence } from './piece';
import { edited, edits, isPointer, shortAnswer, usable, wordsOf } from './usable';

/** What pieces are made with. */
export interface Matter {
  /** The knowledge that a passage belongs to. */
  of(passageId: string): Knowledge;
  claims: ReadonlyMap<string, Claim[]>;
  /** Sentences left out because another place says the same, as "passage/index". */
  said: ReadonlySet<string>;
  /** Stems of what the audience knows: definitions of it are left out. */
  known: readonly string[][];
}

const WORTH: Record<Claim['kind'], number> = { rule: 2.4, definition: 2.6, step: 2.6, warning: 2.4, figure: 1.6, comparison: 1.5, tip: 1.8, reason: 1.2, example: 1, role: 1.2 };
/** What the course is about above all, as its author says, is worth this much more. */
const FOCUS = 6;
/** An answer of fewer words does not stand alone. */
const SHORTEST = 4;
const LONGEST_TABLE = 30;
const LONGEST_CODE = 25;
/** What speakers say to their hall and not to a learner. */
const SMALL_TALK = /^(?:good (?:morning|afternoon|evening)|hello|hi\b|welcome|thank you|thanks|(?:the|a|one) (?:first|second|third|fourth|last|next|final|other|more) thing|one more thing|another thing|let me|so,|ok\b|okay|all right|right,|as i said|next slide)/i;
/** What speakers say of their talk, or only to be polite. */
const OF_THE_TALK = /\b(?:I(?:['’]m| am) (?:going to|here to|gonna)\b|I (?:want(?:ed)?|would like|['’]d like) to (?:talk|tell|show|start|begin|say|thank|share|mention|finish|close)|I['’]d like to|I(?:['’]ll| will) (?:talk|tell|show|start|begin|come|explain|get|go|say|finish|keep|try)\b|I (?:mean|hope|guess|suppose|mentioned|said|promise you)\b|my name is|my talk|my slides?|bear with me|ask me|tell me|excuse me|if you have (?:any )?questions)/i;

/** Where in a unit pieces are made. */
interface Place {
  /** Index of the unit's section. */
  section: number;
  /** Index of the piece before, on which the next may lean; -1 for none. */
  last: number;
  over(passage: Passage): Heading | undefined;
}

/** Cuts a unit's passages into pieces, in order. What cannot be taught from (technical, pointing elsewhere) is not among them. */
export function piecesOf(unit: Unit, matter: Matter): Piece[] {
  const pieces: Piece[] = [];
  unit.sections.forEach((section, at) => {
    const passages = section.passages.map((id) => matter.of(id).passages.get(id)!);
    const over = (passage: Passage) => headingOver(passage, section, passage === passages[0], matter.of(passage.id));
    let last = -1;
    for (let index = 0; index < passages.length;) {
      const group = groupFrom(passages, index);
      const made = piecesOfGroup(group, passages[index - 1], { section: at, last, over }, matter, pieces);
      for (const piece of made) {
        const inFocus = piece.items.some(({ passage }) => matter.of(passage.id).focus?.has(passage.id));
        pieces.push(inFocus ? { ...piece, weight: piece.weight + FOCUS, focus: true } : piece);
        last = pieces.length - 1;
      }
      // What nothing could be made of breaks the thread: the next cannot lean on what stood before it.
      if (made.length === 0 && group[0].kind !== 'footnote' && group[0].kind !== 'caption') last = -1;
      index += group.length;
    }
  });
  return pieces;
}

/** Passages that belong together: one list, one table, or one passage alone. */
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

function piecesOfGroup(group: Passage[], before: Passage | undefined, place: Place, matter: Matter, pieces: readonly Piece[]): Piece[] {
  const { section, last } = place;
  const [first] = group;
  const knowledge = matter.of(first.id);
  if (first.kind === 'footnote' || first.kind === 'caption') return [];
  if (first.kind === 'code') {
    const lines = first.text.split('\n').length;
    const lead = leadOf(first, before, knowledge);
    // What stands right under its heading is introduced by that: an error and what to do about it.
    const support: Pick<Piece, 'needs' | 'headed'> = lead?.used ? supportOf(lead.used, place, knowledge) : place.over(first) ? { headed: true } : { needs: last };
    if (lines > LONGEST_CODE || (!lead && support.needs === -1)) return [];
    return [{ kind: 'code', section, ...(lead?.used && { lead: lead.used }), items: [{ passage: first, sentences: [] }], words: Math.ceil(lines * 3) + (lead?.used?.sentence.words ?? 0), weight: 1.2, ...support }];
  }
  if (first.list || first.table || first.kind === 'definition') {
    const piece = groupPiece(group, before, place, matter);
    return piece ? [piece] : [];
  }
  return sentencePieces(first, place, matter, pieces);
}

function groupPiece(group: Passage[], before: Passage | undefined, place: Place, matter: Matter): Piece | undefined {
  const { section, last } = place;
  const [first] = group;
  const knowledge = matter.of(first.id);
  const lead = leadOf(first, before, knowledge);
  if (lead && !lead.used) return undefined;
  const items = group
    .filter((passage) => passage.kind !== 'code' || passage.text.split('\n').length <= LONGEST_CODE)
    .map((passage) => ({ passage, sentences: passage.kind === 'code' ? [] : itemSentences(passage, knowledge) }))
    .filter((item) => item.passage.kind === 'code' || item.sentences.length > 0);
  if (items.length === 0) return undefined;
  const entries = items.filter((item) => knowledge.entries.has(item.passage.id));
  const kind: Piece['kind'] = first.table ? 'table' : entries.length === items.length ? 'terms' : first.list && knowledge.stepLists.has(first.list.id) ? 'steps' : 'list';
  if (kind === 'table' && (items.length > LONGEST_TABLE || items.length < 2)) return undefined;
  if (kind === 'list' && items.length === 1 && first.kind !== 'definition' && !lead) return sentencePieces(first, place, matter, [])[0];
  const shown = kind === 'terms' ? items.filter((item) => !isKnown(knowledge.entries.get(item.passage.id)!.term, matter, knowledge)) : items;
  if (shown.length === 0) return undefined;
  const sentences = shown.flatMap((item) => item.sentences);
  // Fragments without a lead-in say nothing unless the heading or the sentence before introduces them.
  const fragments = kind === 'list' && shown.filter((item) => /[.!?]["'”)]*$/.test(item.passage.text)).length < shown.length * 0.5;
  const leaning = lead?.used ? supportOf(lead.used, place, knowledge) : fragments && last >= 0 ? { needs: last } : {};
  const words = sentences.reduce((sum, used) => sum + wordsOf(used), 0) + (lead?.used ? wordsOf(lead.used) : 0);
  const weight = (kind === 'table' ? 2.2 : 0.8) + Math.max(...shown.map((item) => worth(item.sentences.map((used) => used.sentence), matter))) + Math.min(1.5, 0.15 * shown.length);
  return { kind, section, ...(lead?.used && { lead: lead.used }), items: shown, words, weight, ...leaning };
}

/** The sentence that introduces a group: `used` is absent when there is one that cannot be shown. */
function leadOf(first: Passage, before: Passage | undefined, knowledge: Knowledge): { used?: UsedSentence } | undefined {
  const leadIn = first.leadIn && before?.id === first.leadIn ? before : undefined;
  if (!leadIn || leadIn.kind === 'item') return undefined;
  const sentence = (knowledge.sentences.get(leadIn.id) ?? []).at(-1);
  if (!sentence) return undefined;
  const used = usable(sentence, knowledge);
  if (used) return { used };
  // "The following …:" points at the very list that is shown under it.
  const leaning = sentence.facts?.leaning;
  const here = /\b(?:the following|as follows|these|this|below)\b/i.test(sentence.text) && !/\b(?:section|chapter|page|document|manual)\b/i.test(sentence.text);
  if (!sentence.technical && (leaning === undefined || leaning === 'not-a-sentence' || leaning === 'too-short' || (leaning === 'points-elsewhere' && here))) return { used: { sentence, edits: [] } };
  return leaning === 'points-back' || leaning === 'joins-on' ? { used: { sentence, edits: [] } } : {};
}

/** What a sentence that leans back stands on: the piece before it, or the heading over it. */
function supportOf({ sentence }: UsedSentence, { last, over }: Place, knowledge: Knowledge): Pick<Piece, 'needs' | 'headed'> {
  const heading = sentence.index === 0 ? over(sentence.passage) : undefined;
  if (heading && leansOnHeading(sentence, heading, knowledge)) return { headed: true };
  const leaning = sentence.facts?.leaning;
  return leaning === 'points-back' || leaning === 'joins-on' ? { needs: last } : {};
}

function itemSentences(passage: Passage, knowledge: Knowledge): UsedSentence[] {
  const sentences = knowledge.sentences.get(passage.id) ?? [];
  return sentences.flatMap((sentence, index) => {
    if (index === 0 && sentence.facts?.leaning !== 'about-document') {
      const cleaned = usable(sentence, knowledge);
      return [cleaned ?? { sentence, edits: edits(sentence, knowledge) }];
    }
    const used = usable(sentence, knowledge);
    return used && !sentence.technical ? [used] : [];
  });
}

function sentencePieces(passage: Passage, place: Place, matter: Matter, pieces: readonly Piece[]): Piece[] {
  const { section, last } = place;
  const knowledge = matter.of(passage.id);
  const sentences = knowledge.sentences.get(passage.id) ?? [];
  const fresh = sentences.filter((sentence) => !matter.said.has(`${passage.id}/${sentence.index}`));
  if (!knowledge.pack.understands || !knowledge.pack.facts) return wholePassage(passage, fresh, sentences.length, section, last, matter);
  const made: Piece[] = [];
  // The index of the piece right before the sentence at hand; -1 when that was not usable.
  let previous = last;
  let passedOver = false;
  const asks = sentences.length > 1 && /[?？]$/.test(sentences[0].text);
  const over = place.over(passage);
  const headed = over !== undefined && sentences.length > 0 && leansOnHeading(sentences[0], over, knowledge);
  if (isAnsweredWhole(passage, sentences)) {
    const leans = !headed && /^(?:points-back|joins-on)$/.test(sentences[0]?.facts?.leaning ?? '') && passage.callout !== 'experience';
    const whole = wholePassage(passage, fresh, sentences.length, section, last, matter);
    // What leans on nothing at hand is taken sentence by sentence.
    if (whole.length > 0 && !(leans && last < 0)) return whole.map((piece) => ({ ...piece, ...(headed && { headed }), ...(leans && { needs: last }) }));
  }
  for (const sentence of sentences) {
    const isLead = sentence === sentences.at(-1) && /[:：]$/.test(sentence.text);
    if (isLead) break;
    const question = asks && sentence.index === 0;
    const onHeading = headed && sentence.index === 0;
    const used = usable(sentence, knowledge, sentences.length > 1) ?? ((asks && sentence.index === 1) || onHeading ? shortAnswer(sentence) : undefined);
    const spoken = passage.kind === 'utterance' || passage.kind === 'note';
    if (!used || sentence.technical || matter.said.has(`${passage.id}/${sentence.index}`) || (spoken && SMALL_TALK.test(sentence.text)) || (!question && sentence.facts?.firstPerson && !over?.asked && (passage.kind !== 'utterance' || OF_THE_TALK.test(sentence.text))) || definesKnown(sentence, matter, knowledge)) {
      // A question needs its answer, and the answer its question: a lost "No." would turn the rest round.
      if (question || (asks && sentence.index === 1)) return [];
      // What sends the reader elsewhere can be passed over, unless the next leans on it; anything else leaves a gap.
      if (!isPointer(sentence)) previous = -1;
      passedOver = true;
      continue;
    }
    const facts = used.edits.length > 0 ? knowledge.pack.facts(edited(used), []) : sentence.facts!;
    const answer = made.at(-1);
    // "No." is taken with what it says no to.
    if (answer?.headed && answer.words < SHORTEST && sentence.index === 1) {
      made[0] = { ...answer, items: [{ passage, sentences: [...answer.items[0].sentences, used] }], words: answer.words + wordsOf(used), weight: answer.weight + worth([sentence], matter) };
      continue;
    }
    const leansBack = !onHeading && (facts.leaning === 'points-back' || facts.leaning === 'joins-on' || (facts.pointsWithin && sentence.index > 0));
    // A paragraph is cut at its end, not in its middle: a sentence keeps those before it, even if it could be read alone.
    const leans = leansBack || (sentence.index > 0 && (previous >= 0 ? made.length > 0 : asks || (knowledge.pack.namesKnown?.(sentence.text) ?? false)));
    const opening = sentence.index === 0 && (pieces.at(-1)?.section ?? -1) !== section && made.length === 0 ? 0.9 : sentence.index === 0 ? 0.4 : 0;
    const weight = 0.6 + opening + (facts.leaning === 'too-short' ? -0.4 : 0) + worth([sentence], matter) - (sentence.words > 40 ? 0.6 : 0) - (spoken && worth([sentence], matter) === 0 ? 0.8 : 0);
    made.push({ kind: 'sentence', section, items: [{ passage, sentences: [used] }], words: wordsOf(used), weight, ...(onHeading && { headed: true }), ...(leans && { needs: leansBack && passedOver ? -1 : previous }) });
    passedOver = false;
    previous = pieces.length + made.length - 1;
  }
  return asks && made.length === 1 ? [] : made;
}

/** Where sentences are not understood, a paragraph is kept whole, so that what leans on its neighbour keeps it. */
function wholePassage(passage: Passage, sentences: readonly Sentence[], count: number, section: number, last: number, matter: Matter): Piece[] {
  const words = sentences.reduce((sum, sentence) => sum + sentence.words, 0);
  const isLead = /[:：]$/.test(passage.text);
  // A paragraph of which a part stands elsewhere already is not taken apart here.
  // What begins small in letters that have capitals is the end of something.
  if (/^\p{Ll}/u.test(passage.text) || sentences.length < count || words < (passage.locator.question === undefined ? 6 : 2) || isLead || sentences.some((sentence) => sentence.technical) || !/[.!?。！？؟…]["'”’»)\]]*$/.test(passage.text)) return [];
  return [{ kind: 'sentence', section, items: [{ passage, sentences: sentences.map((sentence) => ({ sentence, edits: [] })) }], words, weight: 1 + (last < 0 ? 0.5 : 0) + worth(sentences, matter) }];
}

function worth(sentences: readonly Sentence[], matter: Matter): number {
  const kinds = new Set(sentences.flatMap((sentence) =>
    (matter.claims.get(sentence.passage.id) ?? [])
      .filter((claim) => claim.ranges.some((range) => range.id === sentence.passage.id && range.from >= sentence.from && range.to <= sentence.to))
      .map((claim) => claim.kind)));
  const values = [...kinds].map((kind) => WORTH[kind]).sort((a, b) => b - a);
  return values.length === 0 ? 0 : values[0] + values.slice(1).reduce((sum, value) => sum + 0.25 * value, 0);
}

function definesKnown(sentence: Sentence, matter: Matter, knowledge: Knowledge): boolean {
  const definition = sentence.facts?.definition;
  return definition !== undefined && isKnown(sentence.text.slice(definition.term.from, definition.term.to), matter, knowledge);
}

function isKnown(term: string, matter: Matter, knowledge: Knowledge): boolean {
  const stems = knowledge.pack.stems(term).join(' ');
  return matter.known.some((known) => known.join(' ') === stems);
}
