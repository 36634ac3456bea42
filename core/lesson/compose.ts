import type { Block } from '../blocks/forms';
import { idFrom } from '../document/id';
import type { Scope } from '../outline';
import type { Source } from '../source/source';
import { cleanTitle } from '../outline/titles';
import { toldList } from '../blocks/callout/draft';
import { DRAFTS } from '../blocks/drafts';
import { summaryOf } from '../blocks/summary/draft';
import { paragraph } from '../blocks/text/draft';
import { headingOver, leansOnHeading } from './heading';
import { shapeOf, type ShapeContext } from './shapes';
import { openingOf, type OpenedPart } from './opening';
import type { Matter, Part } from './parts';
import { toldParts } from './told';

/** A lesson's page without its checks, and where each section of it ends. */
export interface Page {
  blocks: Block[];
  /** For each section of the scope: index behind its last block; undefined when nothing of it was taken. */
  ends: (number | undefined)[];
}

/**
 * Makes a lesson's blocks of its parts, in order: headings where sections change, paragraphs, lists, callouts.
 * `recalled`: terms of this matter that the audience knows, named in a line of our own at the start; `ours`: whether
 * words of ours may stand on the page.
 */
export function composePage(
  lesson: { id: string; title: string },
  scope: Scope,
  parts: readonly Part[],
  matter: Matter,
  courseTitle: string,
  { recalled, ours }: { recalled: readonly string[]; ours: boolean },
): Page {
  const blocks: Block[] = [];
  const { labels } = matter.of(scope.sections.flatMap((section) => section.passages)[0]).pack;
  if (recalled.length > 0) {
    blocks.push({
      id: idFrom('b', lesson.id, 'known'),
      kind: 'text',
      body: {
        text: [{ type: 'text', text: `${labels.known} ${recalled.join(', ')}.`, marks: [{ type: 'connecting' }] }],
      },
    });
  }
  const ends: (number | undefined)[] = [];
  const place = (...names: (string | number)[]) => `${lesson.id}/${names.join('/')}`;
  const sections = [...new Set(parts.map((part) => part.section))];
  // A section in several parts, one a point, is one all the same.
  const headed = new Set(sections.map((at) => `${scope.sections[at].id} ${scope.sections[at].title}`));
  const told = toldParts(parts);
  const opened: OpenedPart[] = [];
  let heading: string | undefined;
  const shapes: ShapeContext = { matter, labels: ours ? labels.shapes : undefined };
  let section = -1;
  for (let at = 0; at < parts.length; at++) {
    const part = parts[at];
    if (part.section !== section) {
      section = part.section;
      const title = sectionTitle(
        scope,
        section,
        { lesson: lesson.title, course: courseTitle, opening: matter.of(part.items[0].passage.id).pack.labels.opening },
        { alone: headed.size === 1, first: section === sections[0], leaning: leansOnTitle(part, scope, matter) },
      );
      heading = title;
      if (title)
        blocks.push({
          id: idFrom('b', place('h', scope.sections[section].id, scope.sections[section].passages[0])),
          kind: 'heading',
          body: { level: 2, text: [{ type: 'text', text: title }] },
        });
    }
    const [{ passage }] = part.items;
    const before = blocks.length;
    const end = parts.findIndex((other, place) => place > at && (other.section !== section || told.has(place)));
    const shaped = told.has(at)
      ? undefined
      : shapeOf(parts.slice(at, end < 0 ? parts.length : end), shapes, (name) => place(name, passage.id));
    if (shaped) {
      for (const block of shaped.blocks) append(blocks, block);
      for (const each of parts.slice(at, at + shaped.parts))
        opened.push({ part: each, heading, blocks: shaped.blocks });
      at += shaped.parts - 1;
    } else if (part.kind === 'text') append(blocks, paragraph(part, place('p', passage.id), told.has(at), matter));
    else {
      const own = place(part.kind, passage.id);
      for (const block of told.has(at) ? [toldList(part, own)] : DRAFTS[part.kind](part, own, matter))
        append(blocks, block);
    }
    if (!shaped) opened.push({ part, heading, blocks: blocks.slice(Math.min(before, blocks.length - 1)) });
    ends[section] = blocks.length;
  }
  blocks.push(
    ...talksOf(
      parts.flatMap((part) => part.items.map((item) => item.passage.id)),
      matter,
      place('talk'),
    ),
  );
  const opening = ours ? openingOf(opened, lesson.title, matter, place('opening')) : undefined;
  if (opening) {
    blocks.unshift(opening);
    ends.forEach((end, at) => end !== undefined && (ends[at] = end + 1));
  }
  const summary = summaryOf(parts, matter, place('summary'));
  if (summary) blocks.push(summary);
  return { blocks, ends };
}

/**
 * Where the talks that a page is made of can be watched: their titles, as links to the moment they are first used from
 * (W3C Media Fragments).
 */
function talksOf(used: readonly string[], matter: Matter, place: string): Block[] {
  const starts = new Map<Source, number>();
  for (const id of used) {
    const { source, passages } = matter.of(id);
    const { seconds } = passages.get(id)!.locator;
    if (source.address && seconds !== undefined)
      starts.set(source, Math.min(starts.get(source) ?? Infinity, Math.floor(seconds)));
  }
  return [...starts].map(([source, seconds]): Block => ({
    id: idFrom('b', place, source.id),
    kind: 'text',
    body: {
      text: [
        {
          type: 'text',
          text: `${source.title}, ${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`,
          marks: [
            { type: 'connecting' },
            { type: 'link', attrs: { href: `${source.address!.split('#')[0]}#t=${seconds}` } },
          ],
        },
      ],
    },
  }));
}

/** Puts a block behind the others; neighbouring callouts of one tone are one. */
function append(blocks: Block[], block: Block): void {
  const last = blocks.at(-1);
  if (block.kind === 'callout' && last?.kind === 'callout' && last.body.tone === block.body.tone) {
    blocks[blocks.length - 1] = {
      ...last,
      body: { ...last.body, paragraphs: [...last.body.paragraphs, ...block.body.paragraphs] },
    };
  } else blocks.push(block);
}

/** Whether the first words of a section's part lean on its title. */
function leansOnTitle(part: Part, scope: Scope, matter: Matter): boolean {
  const section = scope.sections[part.section];
  const [{ passage, sentences }] = part.items;
  const knowledge = matter.of(passage.id);
  const heading = headingOver(passage, section, passage.id === section.passages[0], knowledge);
  return (
    heading !== undefined && (sentences[0] === undefined || leansOnHeading(sentences[0].sentence, heading, knowledge))
  );
}

/** How a section stands in its lesson: the only one; the first; with something under it that leans on its title. */
interface SectionPlace {
  alone: boolean;
  first: boolean;
  leaning: boolean;
}

/** The heading over a section's part; none where it would only repeat the lesson's title. */
function sectionTitle(
  scope: Scope,
  section: number,
  titles: { lesson: string; course: string; opening: string },
  { alone, first, leaning }: SectionPlace,
): string | undefined {
  const { title, id } = scope.sections[section];
  const clean = cleanTitle(title, [], titles.course);
  const lesson = titles.lesson.toLowerCase();
  const same = clean.toLowerCase() === lesson || lesson === title.toLowerCase();
  const before = scope.sections[section - 1];
  const repeated = before !== undefined && before.title === title && before.id === id;
  // What a source begins with needs no heading of ours in the middle of a lesson.
  if (
    title === titles.opening ||
    (same && first) ||
    repeated ||
    (alone && !leaning && (lesson.includes(clean.toLowerCase()) || section === 0))
  )
    return undefined;
  return clean;
}
