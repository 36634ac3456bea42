import { parseOffice } from 'officeparser';
import { fail, ProblemError } from '../../document/problem';
import type { ReadBlock, ReadDocument } from '../../source/blocks';
import { folded, joinRuns, type Run } from '../../source/inline';
import { gridBlocks } from '../grid';

/** A node as the library gives it; only what is used here. */
interface RtfNode {
  type: string;
  text?: string;
  children?: RtfNode[];
  formatting?: { bold?: boolean; italic?: boolean; size?: string };
  metadata?: {
    level?: number;
    listType?: string;
    indentation?: number;
    listId?: string;
    link?: string;
    linkType?: string;
  };
}

/** Reads a rich text file: headings by its styles, lists with their depth, tables, notes. */
export async function readRtf(bytes: Uint8Array): Promise<ReadDocument> {
  const parsed = await converted(withoutFallbacks(bytes));
  let tables = 0;
  const nodes = parsed.content as RtfNode[];
  const own = titleOf(nodes);
  const blocks = (own ? nodes.slice(1) : nodes).flatMap((node) => blockOf(node, () => `t${++tables}`));
  const title = own || parsed.metadata?.title?.trim();
  return { ...(title && { title }), blocks, media: new Map(), notices: [] };
}

/**
 * Rich text writes a letter that old programs may not know twice: by its number, and as what they shall show. The
 * second is dropped.
 */
function withoutFallbacks(bytes: Uint8Array): Uint8Array {
  const latin = new TextDecoder('latin1').decode(bytes);
  let skipped = 1;
  const text = latin.replace(
    /\\uc(\d)|(\\u-?\d+) ?(\\'[0-9a-fA-F]{2}|\?)/g,
    (whole, count: string | undefined, letter: string) => {
      if (count === undefined) return skipped > 0 ? `${letter} ` : whole;
      skipped = Number(count);
      return whole;
    },
  );
  // Latin 1, one byte a letter, as it came.
  return Uint8Array.from(text, (letter) => LATIN.get(letter) ?? letter.charCodeAt(0) & 255);
}

/** What the platform calls Latin 1 reads 32 bytes as other letters (Windows 1252). */
const LATIN = new Map(
  [...new TextDecoder('latin1').decode(Uint8Array.from({ length: 32 }, (_, at) => 128 + at))].map((letter, at) => [
    letter,
    128 + at,
  ]),
);

/** The document's title: a first paragraph in letters half as large again as those of the text. */
function titleOf([first, ...rest]: readonly RtfNode[]): string | undefined {
  const size = (node: RtfNode): number =>
    Number.parseFloat(
      node.formatting?.size ?? node.children?.map((child) => child.formatting?.size).find(Boolean) ?? '0',
    );
  const body = rest
    .filter((node) => node.type === 'paragraph')
    .map(size)
    .filter(Boolean)
    .sort((a, b) => a - b);
  const text = first && folded(first.text ?? '');
  return text &&
    first.type === 'paragraph' &&
    text.length < 120 &&
    body.length > 2 &&
    size(first) >= 1.5 * body[Math.floor(body.length / 2)]
    ? text
    : undefined;
}

async function converted(bytes: Uint8Array) {
  try {
    return await parseOffice(bytes.slice().buffer, { fileType: 'rtf', ignoreNotes: false } as Parameters<
      typeof parseOffice
    >[1]);
  } catch (error) {
    if (error instanceof ProblemError) throw error;
    return fail('broken', { format: 'RTF' }, undefined, error);
  }
}

function blockOf(node: RtfNode, key: () => string): ReadBlock[] {
  const { text, marks } = joinRuns(runsOf(node));
  const marked = marks.length > 0 && { marks };
  switch (node.type) {
    case 'heading':
      return text ? [{ kind: 'heading', level: Math.min(9, Math.max(1, node.metadata?.level ?? 1)), text }] : [];
    case 'list':
      return text
        ? [
            {
              kind: 'item',
              text,
              ...marked,
              list: {
                key: node.metadata?.listId ?? 'l',
                ordered: node.metadata?.listType === 'ordered',
                depth: Math.min(8, node.metadata?.indentation ?? 0),
              },
            },
          ]
        : [];
    case 'table':
      return gridBlocks(
        key(),
        (node.children ?? []).map((row) => (row.children ?? []).map((cell) => folded(joinRuns(runsOf(cell)).text))),
      );
    case 'note':
      return text ? [{ kind: 'footnote', text, ...marked }] : [];
    case 'image':
    case 'chart':
    case 'drawing':
      return [];
    default:
      if (node.type === 'paragraph' || (node.children ?? []).every((child) => child.type === 'text'))
        return text ? [{ kind: 'paragraph', text, ...marked }] : [];
      return (node.children ?? []).flatMap((child) => blockOf(child, key));
  }
}

function runsOf(node: RtfNode): Run[] {
  if (node.type === 'text' || !node.children?.length) {
    const link = node.metadata?.linkType === 'external' ? node.metadata.link : undefined;
    return [
      {
        text: node.text ?? '',
        kinds: [
          ...(node.formatting?.bold ? ['strong' as const] : []),
          ...(node.formatting?.italic ? ['emphasis' as const] : []),
          ...(link ? ['link' as const] : []),
        ],
        ...(link && { href: link }),
      },
    ];
  }
  return node.children.flatMap((child) => [...runsOf(child), ...(child.type === 'paragraph' ? [{ text: ' ' }] : [])]);
}
