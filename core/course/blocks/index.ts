import type { PassageRange, RichText } from '../rich-text';
import { callout, type CalloutBody } from './callout';
import { check, type CheckBody } from './check';
import { code, type CodeBody } from './code';
import { heading, type HeadingBody } from './heading';
import type { BlockKind } from './kind';
import { list, type ListBody } from './list';
import { steps, type StepsBody } from './steps';
import { summary, type SummaryBody } from './summary';
import { table, type TableBody } from './table';
import { terms, type TermsBody } from './terms';
import { text, type TextBody } from './text';

/** Bodies by kind: the one list of what a lesson's page can be made of. */
export interface BlockBodies {
  heading: HeadingBody;
  text: TextBody;
  list: ListBody;
  table: TableBody;
  steps: StepsBody;
  callout: CalloutBody;
  code: CodeBody;
  terms: TermsBody;
  summary: SummaryBody;
  check: CheckBody;
}

export type BlockKindName = keyof BlockBodies;

/** One part of a lesson's page. */
export type Block = {
  [Kind in BlockKindName]: { id: string; kind: Kind; body: BlockBodies[Kind]; evidence?: PassageRange[] };
}[BlockKindName];

export const BLOCK_KINDS: { [Kind in BlockKindName]: BlockKind<BlockBodies[Kind]> } = {
  heading, text, list, table, steps, callout, code, terms, summary, check,
};

/** Every rich text of a block, in reading order. */
export function blockTexts(block: Block): RichText[] {
  return (BLOCK_KINDS[block.kind] as BlockKind<unknown>).texts(block.body);
}

/** The block with every rich text put through a function. */
export function mapBlockTexts(block: Block, change: (text: RichText) => RichText): Block {
  return { ...block, body: (BLOCK_KINDS[block.kind] as BlockKind<unknown>).mapTexts(block.body, change) } as Block;
}
