import { readRow, type ReadBlock, type ReadPassage } from '../../source/blocks';
import { calloutOf } from '../../source/callouts';
import { folded, joinRuns, visible, type Run } from '../../source/inline';
import type { Mark } from '../../source/source';
import { proseIn } from '../prose';
import { BLOCKS, isSkipped, MARKS } from './elements';
import { readTable } from './table';

/** What a walk needs besides the tree: how pictures are taken in, and what to add to every block. */
export interface WalkOptions {
  picture?: (image: Element) => ReadBlock | undefined;
  place?: { file?: string; page?: number };
  /** Added to every heading's level. */
  deeper?: number;
  /** Keys of lists and tables start with this, so that several pages do not share one. */
  keys?: string;
}

interface Context {
  kind: ReadPassage['kind'];
  list?: NonNullable<ReadPassage['list']>;
  term?: string;
  anchor?: string;
  callout?: ReadPassage['callout'];
}

/**
 * Reads any HTML-like tree into blocks. Inline text inside loose containers is merged into one paragraph (a
 * paragraph per text node turns sentences into splinters); only block elements and double line breaks end it.
 */
export function walkHtml(root: Element, options: WalkOptions = {}): ReadBlock[] {
  const blocks: ReadBlock[] = [];
  let runs: Run[] = [];
  let keys = 0;
  const key = () => `${options.keys ?? 'k'}${++keys}`;

  const put = (block: ReadBlock) => blocks.push({ ...block, ...options.place });

  function flush(context: Context) {
    const { text, marks } = joinRuns(runs);
    runs = [];
    if (!/[\p{L}\p{N}]/u.test(text)) return;
    const { kind, list, term, anchor, callout } = context;
    put({
      kind,
      text,
      ...(marks.length > 0 && { marks }),
      ...(list && { list: { ...list } }),
      ...(term && { term }),
      ...(anchor && { anchor }),
      ...(callout && { callout }),
    });
    if (list) list.continued = true;
    delete context.anchor;
  }

  function inline(node: Node, kinds: Mark['kind'][], href: string | undefined, context: Context) {
    if (node.nodeType === 3) {
      runs.push({ text: node.textContent ?? '', kinds, ...(href && { href }) });
      return;
    }
    if (node.nodeType !== 1) return;
    const element = node as Element;
    const name = element.localName;
    if (isSkipped(element)) return;
    if (name === 'br') {
      const next = element.nextElementSibling;
      if (next?.localName === 'br' && !element.nextSibling?.textContent?.trim()) flush(context);
      else runs.push({ text: ' ' });
      return;
    }
    if (name === 'img') {
      const picture = options.picture?.(element);
      if (picture) {
        flush(context);
        put(picture);
      }
      return;
    }
    if (name === 'sup') {
      const raised = raisedText(element, runs.at(-1)?.text ?? '');
      if (raised !== undefined) {
        if (raised) runs.push({ text: raised, kinds });
        return;
      }
    }
    if (BLOCKS.has(name)) {
      flush(context);
      block(element, context);
      return;
    }
    const mark = MARKS[name];
    const address = mark === 'link' ? safeAddress(element.getAttribute('href')) : href;
    const inner = mark && !(mark === 'link' && !address) ? [...new Set([...kinds, mark])] : kinds;
    for (const child of element.childNodes) inline(child, inner, address ?? href, context);
  }

  function children(element: Element, context: Context) {
    for (const child of element.childNodes) inline(child, [], undefined, context);
    flush(context);
  }

  function block(element: Element, outer: Context) {
    const name = element.localName;
    const callout = calloutOfElement(element);
    const context = callout ? { ...outer, callout } : outer;
    const anchor = element.getAttribute('id') ?? undefined;
    if (/^h[1-6]$/.test(name)) {
      const text = folded(textWithin(element));
      if (text)
        put({ kind: 'heading', level: Number(name[1]) + (options.deeper ?? 0), text, ...(anchor && { anchor }) });
    } else if (name === 'pre') {
      const text = visible(element.textContent ?? '')
        .replace(/\t/g, '    ')
        .replace(/^\s*\n|\s+$/g, '');
      const prose = element.querySelector('code, span') ? undefined : proseIn(text);
      if (prose) {
        for (const paragraph of prose) {
          runs.push({ text: paragraph });
          flush(context);
        }
      } else if (text.trim())
        put({ kind: 'code', text, ...(context.list && { list: { ...context.list, continued: true } }) });
    } else if (name === 'ul' || name === 'ol' || name === 'menu' || name === 'dir') {
      list(element, context);
    } else if (name === 'dl') {
      definitions(element, context);
    } else if (name === 'table') {
      const table = readTable(element, (cell) => joinRuns([{ text: textWithin(cell) }]).text);
      if (table) {
        const tableKey = key();
        if (table.caption) put({ kind: 'caption', text: table.caption });
        for (const cells of table.rows) {
          put(readRow(tableKey, table.header, cells, context.list && { list: { ...context.list, continued: true } }));
        }
      } else children(element, context);
    } else if (name === 'blockquote') {
      children(element, { ...context, kind: context.kind === 'paragraph' ? 'quote' : context.kind });
    } else if (name === 'figcaption' || name === 'caption') {
      children(element, { kind: 'caption' });
    } else if (isFootnote(element)) {
      children(element, { kind: 'footnote' });
    } else {
      // The context object is shared on purpose: an item's further paragraphs must know that they continue it.
      if (anchor && !context.list) context.anchor = anchor;
      for (const child of element.childNodes) inline(child, [], undefined, context);
      flush(context);
      delete context.anchor;
    }
  }

  function list(element: Element, context: Context) {
    const ordered = element.localName === 'ol';
    const depth = context.list ? context.list.depth + 1 : 0;
    const listKey = context.list ? context.list.key : key();
    let number = Number(element.getAttribute('start') ?? 1);
    for (const child of element.children) {
      if (isSkipped(child)) continue;
      if (child.localName !== 'li') {
        // A list straight inside a list, as word processors write deeper items.
        if (child.localName === 'ul' || child.localName === 'ol')
          list(child, { ...context, list: { key: listKey, ordered, depth } });
        else block(child, context);
        continue;
      }
      const item: Context = isFootnote(child)
        ? { kind: 'footnote' }
        : { kind: 'item', list: { key: listKey, ordered, depth, ...(ordered && { number: number++ }) } };
      children(child, item);
    }
  }

  function definitions(element: Element, context: Context) {
    let term = '';
    const pairs = [...element.children].flatMap((child) => (child.localName === 'div' ? [...child.children] : [child]));
    for (const child of pairs) {
      if (isSkipped(child)) continue;
      if (child.localName === 'dt') term = folded(textWithin(child));
      else if (child.localName === 'dd') children(child, { ...context, kind: 'definition', term });
      else block(child, context);
    }
  }

  children(root, { kind: 'paragraph' });
  return blocks;
}

const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹';
/**
 * What may be raised to a power: a single sign, a metre, any short unit behind a figure ("50 ft"), a number of a digit
 * or two, what stands in brackets.
 */
const BASE = /(?:^|[\s\d(/·])(?:[kcmdµ]?m|\p{L})$|\d\s?\p{L}{1,3}$|(?:^|[^\d.,])\d{1,2}$|\)$/u;

/**
 * What a raised number or sign says: a power keeps its height ("m²"), the mark of a note is left out ("changed¹",
 * "work*"). Undefined for anything else ("1st").
 */
function raisedText(element: Element, before: string): string | undefined {
  const text = (element.textContent ?? '').trim();
  const number = /^[-−]?\d{1,3}$/.test(text);
  if (number && BASE.test(before) && !element.querySelector('a'))
    return text.replace(/\d/g, (digit) => RAISED[Number(digit)]).replace(/[-−]/, '⁻');
  return number ||
    /^(?:[*†‡§¶]{1,3}|\[\w{1,3}\]|\d{1,3}(?:\s*,\s*\d{1,3})+)$/.test(text) ||
    (element.querySelector('a') && /^\(?[\da-z]{1,3}\)?$/i.test(text))
    ? ''
    : undefined;
}

/** The text of an element without what is skipped. */
function textWithin(node: Node): string {
  if (node.nodeType === 3) return node.textContent ?? '';
  if (node.nodeType !== 1) return '';
  const element = node as Element;
  if (isSkipped(element)) return '';
  if (element.localName === 'br') return ' ';
  let inner = '';
  for (const child of element.childNodes)
    inner +=
      child.nodeType === 1 && (child as Element).localName === 'sup'
        ? (raisedText(child as Element, inner) ?? textWithin(child))
        : textWithin(child);
  return BLOCKS.has(element.localName) ? ` ${inner} ` : inner;
}

/** A box that its class names a note, tip or warning. */
function calloutOfElement(element: Element): ReadPassage['callout'] {
  if (!['div', 'aside', 'section', 'p', 'blockquote', 'table'].includes(element.localName)) return undefined;
  return (element.getAttribute('class') ?? '')
    .split(/[\s_-]+/)
    .map(calloutOf)
    .find(Boolean);
}

function isFootnote(element: Element): boolean {
  const role = `${element.getAttribute('role') ?? ''} ${element.getAttribute('epub:type') ?? ''}`;
  return (
    /doc-(footnote|endnote)s?\b|\b(footnote|endnote)s?\b/.test(role) ||
    /^(footnote|endnote)-?\d/.test(element.getAttribute('id') ?? '') ||
    (BLOCKS.has(element.localName) && /(^|\s)footnotes?(\s|$)/.test(element.getAttribute('class') ?? ''))
  );
}

/** Addresses that may be kept: web, mail and places in the same document. */
export function safeAddress(href: string | null): string | undefined {
  const address = href?.trim();
  return address && /^(https?:\/\/|mailto:)/i.test(address) ? address : undefined;
}
