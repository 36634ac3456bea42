import type { Block } from '../course/blocks';
import { idFrom } from '../course/id';
import type { RichText } from '../course/rich-text';
import type { Unit } from '../outline';
import type { Source } from '../source/source';
import { cleanTitle } from '../outline/titles';
import { FROM_PIECE } from './blocks/kinds';
import { summaryOf } from './blocks/summary';
import type { Piece, UsedSentence } from './piece';
import type { Matter } from './pieces';
import { richSentences } from './rich';
import { isToldLead, toldPieces } from './told';

/** A lesson's page without its checks, and where each section of it ends. */
export interface Page {
  blocks: Block[];
  /** For each section of the unit: index behind its last block; undefined when nothing of it was taken. */
  ends: (number | undefined)[];
  passages: string[];
}

/**
 * Makes a lesson's blocks of chosen pieces, in the order of the source: headings where sections change, paragraphs, lists,
 * callouts. `recalled`: terms of this matter that the audience knows, named in a line of our own at the start.
 */
export function composePage(lesson: { id: string; title: string }, unit: Unit, pieces: readonly Piece[], chosen: readonly number[], matter: Matter, courseTitle: string, recalled: readonly string[]): Page {
  const blocks: Block[] = [];
  if (recalled.length > 0) {
    const { labels } = matter.of(unit.sections.flatMap((section) => section.passages)[0]).pack;
    blocks.push({ id: idFrom('b', lesson.id, 'known'), kind: 'text', body: { text: [{ type: 'text', text: `${labels.known} ${recalled.join(', ')}.`, marks: [{ type: 'connecting' }] }] } });
  }
  const ends: (number | undefined)[] = [];
  const place = (...parts: (string | number)[]) => `${lesson.id}/${parts.join('/')}`;
  const sections = [...new Set(chosen.map((index) => pieces[index].section))];
  const told = toldPieces(pieces, chosen);
  let section = -1;
  for (let at = 0; at < chosen.length;) {
    const piece = pieces[chosen[at]];
    if (piece.section !== section) {
      section = piece.section;
      const leaning = chosen.some((index) => pieces[index].section === section && pieces[index].headed);
      const title = sectionTitle(unit, section, { lesson: lesson.title, course: courseTitle }, { alone: sections.length === 1, first: section === sections[0], leaning });
      if (title) blocks.push({ id: idFrom('b', place('h', unit.sections[section].id, unit.sections[section].passages[0])), kind: 'heading', body: { level: 2, text: [{ type: 'text', text: title }] } });
    }
    if (piece.kind === 'sentence') {
      const [{ passage }] = piece.items;
      const run: UsedSentence[] = [];
      const from = at;
      while (at < chosen.length && pieces[chosen[at]].kind === 'sentence' && pieces[chosen[at]].items[0].passage === passage) run.push(...pieces[chosen[at++]].items[0].sentences);
      // The last sentence of a paragraph that introduces a list stays in its paragraph: that comes with the list.
      const next = pieces[chosen[at]];
      if (next?.lead?.sentence.passage === passage && next.section === section) continue;
      append(blocks, paragraph(run, place('p', passage.id, run[0].sentence.index), chosen.slice(from, at).some((index) => told.has(index))));
    } else {
      if (piece.lead) {
        const id = piece.lead.sentence.passage.id;
        const run = sentencesFrom(pieces, chosen, at, id);
        append(blocks, paragraph([...run, piece.lead], place('lead', id), told.has(chosen[at]) || isToldLead(piece)));
      }
      const own = place(piece.kind, piece.items[0].passage.id);
      for (const block of told.has(chosen[at]) ? [toldList(piece, own)] : FROM_PIECE[piece.kind](piece, own, matter)) append(blocks, block);
      at++;
    }
    ends[section] = blocks.length;
  }
  const used = chosen.flatMap((index) => [...(pieces[index].lead ? [pieces[index].lead!.sentence.passage.id] : []), ...pieces[index].items.map((item) => item.passage.id)]);
  blocks.push(...talksOf(used, matter, place('talk')));
  const summary = summaryOf(chosen.map((index) => pieces[index]), matter, place('summary'));
  if (summary) blocks.push(summary);
  return { blocks, ends, passages: [...new Set(used)] };
}

/** Where the talks that a page is made of can be watched: their titles, as links to the moment they are first used from (W3C Media Fragments). */
function talksOf(used: readonly string[], matter: Matter, place: string): Block[] {
  const starts = new Map<Source, number>();
  for (const id of used) {
    const { source, passages } = matter.of(id);
    const { seconds } = passages.get(id)!.locator;
    if (source.address && seconds !== undefined) starts.set(source, Math.min(starts.get(source) ?? Infinity, Math.floor(seconds)));
  }
  return [...starts].map(([source, seconds]): Block => ({
    id: idFrom('b', place, source.id), kind: 'text',
    body: { text: [{ type: 'text', text: `${source.title}, ${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`, marks: [{ type: 'connecting' }, { type: 'link', attrs: { href: `${source.address!.split('#')[0]}#t=${seconds}` } }] }] },
  }));
}

/** The chosen sentences of a passage right before a place. */
function sentencesFrom(pieces: readonly Piece[], chosen: readonly number[], end: number, passageId: string): UsedSentence[] {
  let from = end;
  while (from > 0 && pieces[chosen[from - 1]].kind === 'sentence' && pieces[chosen[from - 1]].items[0].passage.id === passageId) from--;
  return chosen.slice(from, end).flatMap((index) => pieces[index].items[0].sentences);
}

function paragraph(sentences: readonly UsedSentence[], place: string, isTold = false): Block {
  const id = idFrom('b', place);
  const text: RichText = richSentences(sentences, id);
  const [{ sentence }] = sentences;
  const callout = isTold ? 'experience' : sentence.passage.callout;
  if (callout) return { id, kind: 'callout', body: { tone: callout, paragraphs: [text] } };
  if (sentence.facts?.example && sentence.index === 0 && sentences.length > 1) return { id, kind: 'callout', body: { tone: 'example', paragraphs: [text] } };
  return { id, kind: 'text', body: { text } };
}

/** A list of what somebody says of themselves, told by them item by item. */
function toldList({ items }: Piece, place: string): Block {
  const id = idFrom('b', place);
  return { id, kind: 'callout', body: { tone: 'experience', paragraphs: items.filter((item) => item.sentences.length > 0).map((item) => richSentences(item.sentences, id)) } };
}

/** Puts a block behind the others; neighbouring callouts of one tone are one. */
function append(blocks: Block[], block: Block): void {
  const last = blocks.at(-1);
  if (block.kind === 'callout' && last?.kind === 'callout' && last.body.tone === block.body.tone) {
    blocks[blocks.length - 1] = { ...last, body: { ...last.body, paragraphs: [...last.body.paragraphs, ...block.body.paragraphs] } };
  } else blocks.push(block);
}

/** How a section stands in its lesson: the only one; the first; with something under it that leans on its title. */
interface SectionPlace {
  alone: boolean;
  first: boolean;
  leaning: boolean;
}

/** The heading over a section's part; none where it would only repeat the lesson's title. */
function sectionTitle(unit: Unit, section: number, titles: { lesson: string; course: string }, { alone, first, leaning }: SectionPlace): string | undefined {
  const { title, id } = unit.sections[section];
  const clean = cleanTitle(title, [], titles.course);
  const lesson = titles.lesson.toLowerCase();
  const same = clean.toLowerCase() === lesson || lesson === title.toLowerCase();
  const before = unit.sections[section - 1];
  const repeated = before !== undefined && before.title === title && before.id === id;
  if ((same && first) || repeated || (alone && !leaning && (lesson.includes(clean.toLowerCase()) || section === 0))) return undefined;
  return clean;
}
