import { fail } from '../../document/problem';
import type { ReadBlock, ReadDocument } from '../../source/blocks';
import { folded, joinRuns, type Run } from '../../source/inline';
import { gridBlocks } from '../grid';
import { takePicture } from '../pictures';
import { all, childrenNamed, first, relations, xmlOf } from '../xml';
import { unpack, type Entries } from '../zip';

const DECK = 'ppt/presentation.xml';

/**
 * Reads a slide deck: slides in showing order under its sections, points with their depth, tables, pictures, speaker
 * notes.
 */
export function readPptx(bytes: Uint8Array): ReadDocument {
  const entries = unpack(bytes, (name) => !/\.(bin|vml|emf|wmf|mp4|m4a|mp3|wav|wmv)$/i.test(name));
  const deck = xmlOf(entries, DECK);
  if (!deck) fail('not-this-format', { format: 'PPTX' });
  const targets = relations(entries, DECK);
  const sections = sectionStarts(deck);
  const media = new Map<string, Uint8Array>();
  const blocks: ReadBlock[] = [];
  let title: string | undefined;
  let before = '';
  const slides = all(deck, 'p:sldIdLst').flatMap((list) => childrenNamed(list, 'p:sldId'));
  slides.forEach((entry, index) => {
    const part = targets.get(entry.getAttribute('r:id') ?? '')?.target;
    const slide = part ? xmlOf(entries, part) : undefined;
    if (!part || !slide || slide.getAttribute('show') === '0') return;
    const section = sections.get(entry.getAttribute('id') ?? '');
    if (section) blocks.push({ kind: 'heading', level: 1, text: section, slide: index + 1 });
    const read = readSlide(entries, part, slide, index + 1, media);
    const bare = read.blocks.every((block) => block.kind === 'note' || block.kind === 'picture');
    if (index === 0 && (read.cover || bare) && read.title) title = read.title;
    else if (read.title && read.title !== before)
      blocks.push({ kind: 'heading', level: 2, text: read.title, slide: index + 1 });
    if (read.title) before = read.title;
    blocks.push(...read.blocks);
  });
  return { ...(title && { title }), blocks, media, notices: [] };
}

function readSlide(entries: Entries, part: string, slide: Element, number: number, media: Map<string, Uint8Array>) {
  const links = relations(entries, part);
  const blocks: ReadBlock[] = [];
  let title = '';
  let cover = false;
  let group = 0;
  /** The size of letters of what stands alone in its box, by its place among the blocks. */
  const sizes = new Map<number, number>();
  const tree = first(slide, 'p:spTree');
  for (const shape of tree ? shapes(tree) : []) {
    const place = placeholder(shape);
    const key = `s${number}.${++group}`;
    if (shape.tagName === 'p:pic') {
      const alt = first(shape, 'p:cNvPr')?.getAttribute('descr') ?? '';
      const embedded = links.get(first(shape, 'a:blip')?.getAttribute('r:embed') ?? '')?.target;
      const picture = embedded ? takePicture(media, entries.get(embedded), alt) : undefined;
      if (picture) blocks.push({ ...picture, slide: number });
    } else if (shape.tagName === 'p:graphicFrame') {
      blocks.push(...table(shape, number, key));
    } else if ((place === 'title' || place === 'ctrTitle') && !title) {
      title = folded(
        paragraphs(shape)
          .map((paragraph) => paragraph.text)
          .join(' '),
      );
      cover = place === 'ctrTitle';
    } else if (!['dt', 'ftr', 'sldNum', 'hdr'].includes(place)) {
      const points = paragraphs(shape).filter((paragraph) => paragraph.text);
      const lone = points.length === 1;
      const size = Math.max(0, ...all(shape, 'a:rPr').map((look) => Number(look.getAttribute('sz') ?? 0)));
      for (const { text, marks, level, bullet } of points) {
        if (lone) sizes.set(blocks.length, size);
        blocks.push(
          lone || bullet === false
            ? { kind: 'point', text, ...(marks.length && { marks }), slide: number }
            : {
                kind: 'point',
                text,
                ...(marks.length && { marks }),
                list: { key, ordered: bullet === 'numbered', depth: level },
                slide: number,
              },
        );
      }
    }
  }
  if (!title) title = untitled(blocks, sizes);
  const notes = [...links.values()].find((link) => link.type === 'notesSlide');
  const notesTree = notes ? xmlOf(entries, notes.target) : undefined;
  for (const shape of notesTree ? all(notesTree, 'p:sp') : []) {
    if (placeholder(shape) !== 'body') continue;
    for (const { text, marks } of paragraphs(shape)) {
      if (text) blocks.push({ kind: 'note', text, ...(marks.length && { marks }), slide: number });
    }
  }
  return { title, cover, blocks };
}

/** A title has so many words at most. */
const TITLE_WORDS = 12;

/**
 * A slide without a title is called by what stands alone in the largest letters, or first: that is taken off its
 * points.
 */
function untitled(blocks: ReadBlock[], sizes: ReadonlyMap<number, number>): string {
  const short = [...sizes].filter(([at]) => {
    const block = blocks[at];
    return block.kind === 'point' && block.text.split(' ').length <= TITLE_WORDS && !/[.;,:]$/.test(block.text);
  });
  const [best] = short.sort((a, b) => b[1] - a[1] || a[0] - b[0]);
  if (
    !best ||
    blocks.length < 2 ||
    (best[0] > 0 && (best[1] === 0 || short.some((other) => other !== best && other[1] === best[1])))
  )
    return '';
  const [taken] = blocks.splice(best[0], 1);
  return taken.kind === 'point' ? taken.text : '';
}

function shapes(tree: Element): Element[] {
  return [...tree.children].flatMap((child) => {
    if (child.tagName === 'p:grpSp') return shapes(child);
    if (child.tagName === 'mc:AlternateContent') return shapes(first(child, 'mc:Choice') ?? child);
    return ['p:sp', 'p:pic', 'p:graphicFrame'].includes(child.tagName) ? [child] : [];
  });
}

/** "" for a free text box, "body" where a placeholder names no type. */
function placeholder(shape: Element): string {
  const mark = first(shape, 'p:ph');
  return mark ? (mark.getAttribute('type') ?? 'body') : '';
}

function paragraphs(shape: Element) {
  return all(shape, 'a:p').map((paragraph) => {
    const runs: Run[] = [];
    for (const child of paragraph.children) {
      if (child.tagName === 'a:br') runs.push({ text: ' ' });
      if (child.tagName !== 'a:r' && child.tagName !== 'a:fld') continue;
      const look = first(child, 'a:rPr');
      const kinds = [look?.getAttribute('b') === '1' && 'strong', look?.getAttribute('i') === '1' && 'emphasis'].filter(
        Boolean,
      ) as Run['kinds'];
      runs.push({ text: first(child, 'a:t')?.textContent ?? '', kinds });
    }
    const style = first(paragraph, 'a:pPr');
    const bullet =
      style && first(style, 'a:buNone') ? false : style && first(style, 'a:buAutoNum') ? ('numbered' as const) : true;
    return { ...joinRuns(runs), level: Number(style?.getAttribute('lvl') ?? 0), bullet };
  });
}

function table(frame: Element, slide: number, key: string): ReadBlock[] {
  const grid = all(frame, 'a:tr').map((row) =>
    childrenNamed(row, 'a:tc').map((cell) =>
      folded(
        all(cell, 'a:p')
          .map((line) =>
            all(line, 'a:t')
              .map((text) => text.textContent)
              .join(''),
          )
          .join(' '),
      ),
    ),
  );
  return grid.length < 2
    ? []
    : gridBlocks(key, grid, { slide }, first(frame, 'a:tblPr')?.getAttribute('firstRow') === '1');
}

/** Name of the section that begins with a slide, by slide id. */
function sectionStarts(deck: Element): Map<string, string> {
  return new Map(
    all(deck, 'p14:section').flatMap((section) => {
      const start = first(section, 'p14:sldId')?.getAttribute('id');
      const name = folded(section.getAttribute('name') ?? '');
      return start && name && !/^(default section|untitled section)$/i.test(name) ? [[start, name] as const] : [];
    }),
  );
}
