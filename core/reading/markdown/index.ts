import type { Nodes, Parents, PhrasingContent, RootContent } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmFromMarkdown } from 'mdast-util-gfm';
import { gfm } from 'micromark-extension-gfm';
import { readRow, type ReadBlock, type ReadDocument, type ReadPassage } from '../../source/blocks';
import { folded, joinRuns, visible, type Run } from '../../source/inline';
import type { Mark } from '../../source/source';
import { pictureFrom, takePicture, within } from '../pictures';
import { proseIn } from '../prose';
import { parsePage } from '../html/parse';
import { safeAddress, walkHtml } from '../html/walk';
import { decodeText } from '../text/decode';

const FRONT_MATTER = /^---\n([\s\S]*?)\n(?:---|\.\.\.)\n/;

/** Reads Markdown with tables and footnotes; front matter gives title and language, raw HTML only its text. */
export function readMarkdown(bytes: Uint8Array): ReadDocument {
  const { text, notices } = decodeText(bytes);
  const front = FRONT_MATTER.exec(text);
  const tree = fromMarkdown(front ? text.slice(front[0].length) : text, {
    extensions: [gfm()],
    mdastExtensions: [gfmFromMarkdown()],
  });
  const blocks: ReadBlock[] = [];
  const media = new Map<string, Uint8Array>();
  const body = front ? text.slice(front[0].length) : text;
  // Whether code was set between fences is known only from the text itself.
  const fenced = (node: Nodes) => /^\s*(?:```|~~~)/.test(body.slice(node.position?.start.offset ?? 0));
  for (const node of tree.children) block(node, { kind: 'paragraph', media, fenced }, blocks);
  const field = (name: string) => new RegExp(`^${name}:\\s*["']?(.+?)["']?\\s*$`, 'm').exec(front?.[1] ?? '')?.[1];
  const title = field('title');
  const language = field('lang');
  return { ...(title && { title }), ...(language && { language }), blocks, media, notices };
}

/** What begins the meaning of the term on the line before. */
const MEANING = /^\s*:\s+(?=\S)/;
const LONGEST_TERM = 80;

interface Context {
  kind: ReadPassage['kind'];
  media: Map<string, Uint8Array>;
  fenced: (node: Nodes) => boolean;
  list?: NonNullable<ReadPassage['list']>;
}

function block(node: RootContent, context: Context, blocks: ReadBlock[]): void {
  const push = (kind: ReadPassage['kind'], nodes: readonly PhrasingContent[]) => {
    const { text, marks } = joinRuns(nodes.flatMap((child) => runsOf(child, [])));
    if (!/[\p{L}\p{N}]/u.test(text)) return;
    blocks.push({ kind, text, ...(marks.length > 0 && { marks }), ...(context.list && { list: { ...context.list } }) });
    if (context.list) context.list.continued = true;
  };
  switch (node.type) {
    case 'heading': {
      const text = folded(plain(node));
      if (text) blocks.push({ kind: 'heading', level: node.depth, text });
      break;
    }
    case 'paragraph':
      if (context.list || !definitions(node, blocks)) push(context.kind, node.children);
      for (const image of node.children) {
        const picture =
          image.type === 'image' ? takePicture(context.media, within(image.url), image.alt ?? '') : undefined;
        if (picture) blocks.push(picture);
      }
      break;
    case 'blockquote':
      for (const child of node.children) block(child, { ...context, kind: context.list ? 'item' : 'quote' }, blocks);
      break;
    case 'code': {
      const prose = context.fenced(node) ? undefined : proseIn(node.value);
      if (prose) for (const value of prose) push(context.kind, [{ type: 'text', value }]);
      else if (node.value.trim())
        blocks.push({
          kind: 'code',
          text: visible(node.value),
          ...(context.list && { list: { ...context.list, continued: true } }),
        });
      break;
    }
    case 'list': {
      const key = context.list?.key ?? `k${blocks.length}`;
      const depth = context.list ? context.list.depth + 1 : 0;
      node.children.forEach((item, index) => {
        const ordered = node.ordered ?? false;
        const inside: Context = {
          ...context,
          kind: 'item',
          list: { key, ordered, depth, ...(ordered && { number: (node.start ?? 1) + index }) },
        };
        for (const child of item.children) block(child, inside, blocks);
      });
      break;
    }
    case 'table': {
      const [header, ...rows] = node.children.map((row) => row.children.map((cell) => folded(plain(cell))));
      const key = `t${blocks.length}`;
      for (const cells of rows) {
        if (cells.some(Boolean)) blocks.push(readRow(key, header, cells));
      }
      break;
    }
    case 'html': {
      for (const inner of walkHtml(parsePage(node.value).body, {
        keys: `m${blocks.length}.`,
        picture: pictureFrom(context.media),
      }))
        blocks.push(inner);
      break;
    }
    case 'footnoteDefinition':
      for (const child of node.children) block(child, { ...context, kind: 'footnote' }, blocks);
      break;
    default:
      break;
  }
}

/**
 * Lines that begin with a colon say what the line before them means; the same as a definition list of other formats.
 * False where there are none.
 */
function definitions(node: Extract<RootContent, { type: 'paragraph' }>, blocks: ReadBlock[]): boolean {
  const lines: Run[][] = [[]];
  for (const run of node.children.flatMap((child) => runsOf(child, []))) {
    run.text.split('\n').forEach((text, at) => {
      if (at > 0) lines.push([]);
      lines.at(-1)!.push({ ...run, text });
    });
  }
  const [first, ...rest] = lines.map(joinRuns);
  if (
    rest.length === 0 ||
    first.text === '' ||
    first.text.length > LONGEST_TERM ||
    !rest.every(({ text }) => MEANING.test(text))
  )
    return false;
  for (const line of lines.slice(1)) {
    const { text, marks } = joinRuns([{ ...line[0], text: line[0].text.replace(MEANING, '') }, ...line.slice(1)]);
    blocks.push({ kind: 'definition', text, term: first.text, ...(marks.length > 0 && { marks }) });
  }
  return true;
}

function runsOf(node: PhrasingContent, kinds: Mark['kind'][], href?: string): Run[] {
  const marked = (kind: Mark['kind'], address = href) =>
    (node as Parents).children.flatMap((child) => runsOf(child as PhrasingContent, [...kinds, kind], address));
  switch (node.type) {
    case 'text':
      return [{ text: node.value, kinds, ...(href && { href }) }];
    case 'inlineCode':
      return [{ text: node.value, kinds: [...kinds, 'code'], ...(href && { href }) }];
    case 'strong':
      return marked('strong');
    case 'emphasis':
      return marked('emphasis');
    case 'link': {
      const address = safeAddress(node.url);
      return address ? marked('link', address) : node.children.flatMap((child) => runsOf(child, kinds, href));
    }
    case 'break':
      return [{ text: ' ' }];
    case 'html':
    case 'image':
    case 'footnoteReference':
      return [];
    default:
      return 'children' in node ? node.children.flatMap((child) => runsOf(child as PhrasingContent, kinds, href)) : [];
  }
}

function plain(node: Nodes): string {
  if (node.type === 'html' || node.type === 'image') return '';
  if ('value' in node) return node.value;
  return 'children' in node ? (node.children as Nodes[]).map(plain).join('') : '';
}
