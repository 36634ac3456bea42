import { fail } from '../../document/problem';
import type { ReadBlock, ReadDocument, ReadPassage } from '../../source/blocks';
import { folded, joinRuns, type Run } from '../../source/inline';
import { gridBlocks, sheetBlocks } from '../grid';
import { takePicture } from '../pictures';
import { above, all, childrenNamed, first, xmlOf } from '../xml';
import { unpack, type Entries } from '../zip';
import { readStyles, type Styles } from './styles';

/**
 * Cells that a file says are repeated are repeated so often at most: files say it of the whole empty rest of a sheet.
 */
const MOST_REPEATED = 60;

/** Parts of a text that are not its matter: contents, indexes, what was deleted, forms. */
const LEFT_OUT = new Set([
  'text:tracked-changes',
  'text:table-of-content',
  'text:alphabetical-index',
  'text:illustration-index',
  'text:table-index',
  'text:bibliography',
  'text:sequence-decls',
  'office:forms',
  'office:annotation',
  'office:annotation-end',
]);

interface Walk {
  entries: Entries;
  styles: Styles;
  media: Map<string, Uint8Array>;
  blocks: ReadBlock[];
  tables: number;
  lists: number;
  title?: string;
  slide?: number;
}

/**
 * Reads an OpenDocument text, presentation or spreadsheet: final text of tracked changes, headings, lists, tables,
 * notes, pictures.
 */
export function readOdf(bytes: Uint8Array): ReadDocument {
  const entries = unpack(bytes, (name) => /\.xml$|^Pictures\//i.test(name));
  const content = xmlOf(entries, 'content.xml');
  const body = first(content, 'office:body');
  if (!body) fail('not-this-format', { format: 'ODF' });
  if (/encryption-data/.test(first(xmlOf(entries, 'META-INF/manifest.xml'), 'manifest:encryption-data')?.tagName ?? ''))
    fail('password');
  const walk: Walk = {
    entries,
    styles: readStyles([xmlOf(entries, 'styles.xml'), content]),
    media: new Map(),
    blocks: [],
    tables: 0,
    lists: 0,
  };
  const text = first(body, 'office:text');
  if (text) children(text, walk);
  for (const [at, page] of all(body, 'draw:page').entries()) slide(page, at + 1, walk);
  const sheets = first(body, 'office:spreadsheet');
  for (const sheet of sheets ? childrenNamed(sheets, 'table:table') : []) {
    const found = sheetBlocks(gridOf(sheet), `t${++walk.tables}`);
    if (found.length > 0)
      walk.blocks.push({ kind: 'heading', level: 1, text: folded(sheet.getAttribute('table:name') ?? '') }, ...found);
  }
  const about = xmlOf(entries, 'meta.xml');
  const title = walk.title ?? first(about, 'dc:title')?.textContent?.trim();
  const language = first(about, 'dc:language')?.textContent?.trim();
  return {
    ...(title && { title }),
    ...(language && { language }),
    blocks: walk.blocks,
    media: walk.media,
    notices: [],
  };
}

function children(element: Element, walk: Walk): void {
  for (const child of element.children) {
    if (LEFT_OUT.has(child.tagName)) continue;
    switch (child.tagName) {
      case 'text:h':
        heading(child, walk);
        break;
      case 'text:p':
        paragraph(child, walk);
        break;
      case 'text:list':
        list(child, walk, `l${++walk.lists}`, 0, child.getAttribute('text:style-name'));
        break;
      case 'table:table':
        walk.blocks.push(
          ...gridBlocks(
            `t${++walk.tables}`,
            gridOf(child),
            place(walk),
            childrenNamed(child, 'table:table-header-rows').length > 0,
          ),
        );
        break;
      default:
        // Sections and frames hold more of the same.
        children(child, walk);
    }
  }
}

const place = ({ slide: number }: Walk): Partial<ReadPassage> => (number === undefined ? {} : { slide: number });

function heading(element: Element, walk: Walk): void {
  const text = folded(inline(element, walk).text);
  const level = Math.min(9, Math.max(1, Number(element.getAttribute('text:outline-level') ?? 1) || 1));
  if (text) walk.blocks.push({ kind: 'heading', level, text, ...place(walk) });
}

function paragraph(element: Element, walk: Walk): void {
  const { text, marks, after } = inline(element, walk);
  const { name } = walk.styles.look(element.getAttribute('text:style-name'));
  const level = /^Heading(?:_20_|\s)?\s*([1-9])$/.exec(name)?.[1];
  if (level && text) walk.blocks.push({ kind: 'heading', level: Number(level), text, ...place(walk) });
  else if (name === 'Title' && text && walk.title === undefined) walk.title = text;
  else if (text) {
    const kind = /^Quot/.test(name)
      ? 'quote'
      : /^Preformatted/.test(name)
        ? 'code'
        : /Caption|^Illustration|^Table$/.test(name)
          ? 'caption'
          : 'paragraph';
    walk.blocks.push({ kind, text, ...(marks.length > 0 && { marks }), ...place(walk) });
  }
  walk.blocks.push(...after);
}

function list(element: Element, walk: Walk, key: string, depth: number, style: string | null): void {
  const ordered = walk.styles.isOrdered(style, depth);
  for (const item of element.children) {
    if (item.tagName !== 'text:list-item' && item.tagName !== 'text:list-header') continue;
    let first_ = true;
    for (const child of item.children) {
      if (child.tagName === 'text:list')
        list(child, walk, key, depth + 1, child.getAttribute('text:style-name') ?? style);
      else if (child.tagName === 'text:h') heading(child, walk);
      else if (child.tagName === 'text:p') {
        const { text, marks, after } = inline(child, walk);
        if (text)
          walk.blocks.push({
            kind: walk.slide === undefined ? 'item' : 'point',
            text,
            ...(marks.length > 0 && { marks }),
            list: { key, ordered, depth, ...(!first_ && { continued: true }) },
            ...place(walk),
          });
        walk.blocks.push(...after);
        first_ = false;
      }
    }
  }
}

function slide(page: Element, number: number, walk: Walk): void {
  walk.slide = number;
  const frames = all(page, 'draw:frame').filter((frame) => !above(frame, 'presentation:notes'));
  const isOf = (frame: Element, ...kinds: string[]) => kinds.includes(frame.getAttribute('presentation:class') ?? '');
  const title = frames.find((frame) => isOf(frame, 'title'));
  const said = title
    ? folded(
        all(title, 'text:p')
          .map((line) => inline(line, walk).text)
          .join(' '),
      )
    : '';
  if (number === 1 && said && !frames.some((frame) => isOf(frame, 'outline'))) walk.title = said;
  else if (said) walk.blocks.push({ kind: 'heading', level: 2, text: said, slide: number });
  for (const frame of frames) {
    if (frame === title || isOf(frame, 'date-time', 'footer', 'page-number', 'header')) continue;
    pictureOf(frame, walk, walk.blocks);
    const from = walk.blocks.length;
    children(frame, walk);
    for (const block of walk.blocks.slice(from)) if (block.kind === 'paragraph') block.kind = 'point';
  }
  for (const notes of all(page, 'presentation:notes')) {
    for (const line of all(notes, 'draw:frame')
      .filter((frame) => isOf(frame, 'notes'))
      .flatMap((frame) => all(frame, 'text:p'))) {
      const { text, marks } = inline(line, walk);
      if (text) walk.blocks.push({ kind: 'note', text, ...(marks.length > 0 && { marks }), slide: number });
    }
  }
  walk.slide = undefined;
}

/** A paragraph's running text; its notes and pictures come behind it. */
function inline(
  element: Element,
  walk: Walk,
): { text: string; marks: ReturnType<typeof joinRuns>['marks']; after: ReadBlock[] } {
  const runs: Run[] = [];
  const after: ReadBlock[] = [];
  const visit = (node: ChildNode, kinds: NonNullable<Run['kinds']>, href?: string): void => {
    if (node.nodeType === 3) {
      runs.push({ text: node.textContent ?? '', kinds, ...(href && { href }) });
      return;
    }
    if (node.nodeType !== 1) return;
    const child = node as Element;
    if (LEFT_OUT.has(child.tagName)) return;
    switch (child.tagName) {
      case 'text:s':
      case 'text:tab':
      case 'text:line-break':
        runs.push({ text: ' ' });
        return;
      case 'text:note': {
        const body = first(child, 'text:note-body');
        const text = body
          ? folded(
              all(body, 'text:p')
                .map((line) => inline(line, walk).text)
                .join(' '),
            )
          : '';
        if (text) after.push({ kind: 'footnote', text, ...place(walk) });
        return;
      }
      case 'draw:frame':
        pictureOf(child, walk, after);
        return;
      case 'text:a': {
        const target = child.getAttribute('xlink:href') ?? '';
        for (const inner of child.childNodes)
          visit(inner, /^https?:/.test(target) ? [...kinds, 'link'] : kinds, /^https?:/.test(target) ? target : href);
        return;
      }
      default: {
        const look =
          child.tagName === 'text:span' ? walk.styles.look(child.getAttribute('text:style-name')) : undefined;
        const more = [
          ...kinds,
          ...(look?.strong ? ['strong' as const] : []),
          ...(look?.emphasis ? ['emphasis' as const] : []),
        ];
        for (const inner of child.childNodes) visit(inner, more, href);
      }
    }
  };
  for (const node of element.childNodes) visit(node, []);
  return { ...joinRuns(runs), after };
}

function pictureOf(frame: Element, walk: Walk, into: ReadBlock[]): void {
  const image = childrenNamed(frame, 'draw:image')[0] as Element | undefined;
  const alt = (childrenNamed(frame, 'svg:desc')[0] ?? childrenNamed(frame, 'svg:title')[0])?.textContent ?? '';
  const picture = image && takePicture(walk.media, walk.entries.get(image.getAttribute('xlink:href') ?? ''), alt);
  if (picture) into.push({ ...picture, ...(walk.slide !== undefined && { slide: walk.slide }) });
}

function gridOf(table: Element): string[][] {
  return all(table, 'table:table-row')
    .filter((row) => above(row, 'table:table') === table)
    .map((row) =>
      [...row.children].flatMap((cell) => {
        if (cell.tagName !== 'table:table-cell' && cell.tagName !== 'table:covered-table-cell') return [];
        const text = folded(
          all(cell, 'text:p')
            .map((line) => line.textContent)
            .join(' '),
        );
        return Array.from(
          { length: Math.min(MOST_REPEATED, Number(cell.getAttribute('table:number-columns-repeated') ?? 1) || 1) },
          () => text,
        );
      }),
    );
}
