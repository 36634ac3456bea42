import type { JSONContent } from '@tiptap/core';
import type { Block, BlockBodies, BlockKindName } from '~~/core/course/blocks';
import type { RichText } from '~~/core/course/rich-text';
import { fromInline, toInline, toParagraph } from './rich';

/** How each kind of block is a node of the editor, and back. */
type Conversions = { [Kind in BlockKindName]: { node: string; to: (body: BlockBodies[Kind]) => JSONContent; from: (node: JSONContent) => BlockBodies[Kind] } };

const children = (node: JSONContent) => node.content ?? [];
const firstText = (node: JSONContent): RichText => fromInline(children(children(node)[0] ?? {}));

const CONVERSIONS: Conversions = {
  text: { node: 'paragraph', to: ({ text }) => toParagraph(text), from: (node) => ({ text: fromInline(children(node)) }) },
  heading: { node: 'heading', to: ({ level, text }) => ({ type: 'heading', attrs: { level }, content: toInline(text) }), from: (node) => ({ level: node.attrs?.level === 3 ? 3 : 2, text: fromInline(children(node)) }) },
  list: {
    node: 'bulletList',
    to: ({ ordered, items }) => nested(items, ordered ? 'orderedList' : 'bulletList'),
    from: (node) => ({ ordered: node.type === 'orderedList', items: flat(node, 0) }),
  },
  steps: {
    node: 'steps',
    to: ({ steps }) => ({ type: 'steps', content: steps.map((step) => ({ type: 'step', content: [step.text, ...(step.detail ?? [])].map(toParagraph) })) }),
    from: (node) => ({ steps: children(node).map((step) => {
      const [text = [], ...detail] = children(step).map((paragraph) => fromInline(children(paragraph)));
      return { text, ...(detail.length > 0 && { detail }) };
    }) }),
  },
  callout: { node: 'callout', to: ({ tone, paragraphs }) => ({ type: 'callout', attrs: { tone }, content: paragraphs.map(toParagraph) }), from: (node) => ({ tone: (node.attrs?.tone ?? 'note') as BlockBodies['callout']['tone'], paragraphs: children(node).map((paragraph) => fromInline(children(paragraph))) }) },
  summary: { node: 'summary', to: ({ points }) => ({ type: 'summary', content: points.map(toParagraph) }), from: (node) => ({ points: children(node).map((paragraph) => fromInline(children(paragraph))) }) },
  terms: {
    node: 'terms',
    to: ({ terms }) => ({ type: 'terms', content: terms.map(({ term, text }) => ({ type: 'termEntry', content: [{ type: 'termName', content: term ? [{ type: 'text', text: term }] : [] }, toParagraph(text)] })) }),
    from: (node) => ({ terms: children(node).map((entry) => {
      const [name, meaning] = children(entry);
      return { term: children(name ?? {}).map((part) => part.text ?? '').join('').trim() || '…', text: fromInline(children(meaning ?? {})) };
    }) }),
  },
  table: {
    node: 'table',
    to: ({ header, rows }) => ({ type: 'table', content: [...(header.length > 0 ? [tableRow(header, 'tableHeader')] : []), ...rows.map((row) => tableRow(row, 'tableCell'))] }),
    from: (node) => {
      const rows = children(node).map((row) => ({ head: children(row).every((cell) => cell.type === 'tableHeader'), cells: children(row).map((cell) => children(cell).flatMap((paragraph, at) => [...(at > 0 ? [{ type: 'text' as const, text: ' ' }] : []), ...fromInline(children(paragraph))])) }));
      const [first, ...rest] = rows;
      return first?.head && rest.length > 0 ? { header: first.cells, rows: rest.map((row) => row.cells) } : { header: [], rows: rows.map((row) => row.cells) };
    },
  },
  code: { node: 'codeBlock', to: ({ code }) => ({ type: 'codeBlock', content: [{ type: 'text', text: code }] }), from: (node) => ({ code: children(node).map((part) => part.text ?? '').join('') || ' ' }) },
  check: { node: 'checkPlace', to: ({ checkId }) => ({ type: 'checkPlace', attrs: { checkId } }), from: (node) => ({ checkId: String(node.attrs?.checkId) }) },
};

const KIND_OF = new Map<string, BlockKindName>([...Object.entries(CONVERSIONS).map(([kind, { node }]) => [node, kind as BlockKindName] as const), ['orderedList', 'list']]);

/** A block as a node of the editor, with its id. */
export function toNode(block: Block): JSONContent {
  const node = (CONVERSIONS[block.kind].to as (body: unknown) => JSONContent)(block.body);
  return { ...node, attrs: { ...node.attrs, id: block.id, ...(block.evidence && { evidence: block.evidence }) } };
}

/** A top node of the editor as a block; undefined for nodes that are none. */
export function fromNode(node: JSONContent): Block | undefined {
  const kind = KIND_OF.get(node.type ?? '');
  if (!kind || !node.attrs?.id) return undefined;
  const evidence = node.attrs.evidence as Block['evidence'] | null;
  return { id: node.attrs.id as string, kind, body: CONVERSIONS[kind].from(node), ...(evidence && { evidence }) } as Block;
}

function tableRow(cells: readonly RichText[], type: string): JSONContent {
  return { type: 'tableRow', content: cells.map((cell) => ({ type, content: [toParagraph(cell)] })) };
}

/** Items with depths as lists in lists. A jump of depth is taken one level at a time. */
function nested(items: BlockBodies['list']['items'], type: string): JSONContent {
  const root: JSONContent = { type, content: [] };
  const open: JSONContent[] = [root];
  for (const { depth, text } of items) {
    while (open.length > depth + 1) open.pop();
    if (open.length < depth + 1 && open.at(-1)!.content!.length > 0) {
      const inner: JSONContent = { type, content: [] };
      open.at(-1)!.content!.at(-1)!.content!.push(inner);
      open.push(inner);
    }
    open.at(-1)!.content!.push({ type: 'listItem', content: [toParagraph(text)] });
  }
  return root;
}

function flat(list: JSONContent, depth: number): BlockBodies['list']['items'] {
  return children(list).flatMap((item) => [{ depth: Math.min(8, depth), text: firstText(item) }, ...children(item).slice(1).flatMap((inner) => flat(inner, depth + 1))]);
}
