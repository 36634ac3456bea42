import type { Extensions, JSONContent } from '@tiptap/core';
import { BLOCKS, type Block, type BlockBodies, type BlockKind } from '~~/core/blocks/forms';
import type { Words } from '~~/core/words';
import { callout } from './callout';
import { check } from './check';
import { code } from './code';
import { sides } from './sides';
import { cards } from './cards';
import { panels } from './panels';
import { figures } from './figures';
import { divider } from './divider';
import { slot } from './slot';
import { embed, embedOf } from './embed';
import { event } from './event';
import { reading } from './reading';
import { worked } from './worked';
import { clip } from './clip';
import { diagram } from './diagram';
import { files } from './files';
import { gallery } from './gallery';
import { heading } from './heading';
import { list } from './list';
import { picture } from './picture';
import { quote } from './quote';
import { steps } from './steps';
import { summary } from './summary';
import { survey } from './survey';
import { table } from './table';
import { terms } from './terms';
import { text } from './text';
import type { BlockNode } from './node';

/** Every kind of block as the editor knows it, in the order of the menu "Add". */
export const BLOCK_NODES: { [Kind in BlockKind]: BlockNode<BlockBodies[Kind]> } = {
  text,
  heading,
  list,
  steps,
  callout,
  summary,
  quote,
  table,
  sides,
  terms,
  cards,
  panels,
  figures,
  code,
  picture,
  diagram,
  gallery,
  clip,
  files,
  divider,
  slot,
  worked,
  reading,
  event,
  embed,
  survey,
  check,
};

const KINDS = Object.keys(BLOCK_NODES) as BlockKind[];
const nodeOf = (kind: BlockKind) => BLOCK_NODES[kind] as BlockNode<unknown>;
const KIND_OF = new Map(KINDS.flatMap((kind) => BLOCK_NODES[kind].nodes.map((node) => [node, kind] as const)));

/** The kind of block that a top node of the editor stands for. */
export const kindOfNode = (name: string | undefined): BlockKind | undefined => KIND_OF.get(name ?? '');

/** The editor's top nodes: each is a block, and carries its id. */
export const TOP_NODES = [...KIND_OF.keys()];

/** Those that carry evidence as a whole. */
export const EVIDENCE_NODES = KINDS.filter((kind) => BLOCKS[kind].evidence === 'block').flatMap(
  (kind) => BLOCK_NODES[kind].nodes,
);

/** What all kinds bring into the editor's schema. */
export function blockExtensions(words: Words): Extensions {
  return KINDS.flatMap((kind) => nodeOf(kind).extensions?.(words) ?? []);
}

/** What can be added to a page: what it is called, and the new block. `id` gives its id. */
export function addable(id: () => string): { label: string; make: () => Block }[] {
  return KINDS.flatMap((kind) =>
    nodeOf(kind).add.map(({ label, body }) => ({ label, make: () => ({ id: id(), kind, body: body() }) as Block })),
  );
}

/** A block that shows a page of the web. */
export const ofEmbed = (id: string, known: Parameters<typeof embedOf>[0]): Block => ({
  id,
  kind: 'embed',
  body: embedOf(known),
});

/** A block as a node of the editor, with its id. */
export function toNode(block: Block): JSONContent {
  const node = nodeOf(block.kind).to(block.body);
  const { id, evidence, paired } = block;
  return { ...node, attrs: { ...node.attrs, id, ...(evidence && { evidence }), ...(paired && { paired }) } };
}

/** A top node of the editor as a block; undefined for nodes that are none. */
export function fromNode(node: JSONContent): Block | undefined {
  const kind = KIND_OF.get(node.type ?? '');
  if (!kind || !node.attrs?.id) return undefined;
  const evidence = node.attrs.evidence as Block['evidence'] | null;
  return {
    id: node.attrs.id as string,
    kind,
    body: nodeOf(kind).from(node),
    ...(evidence && { evidence }),
    ...(node.attrs.paired === true && { paired: true }),
  } as Block;
}
