import { textOf, type PassageRange, type RichText } from '../document/rich-text';
import { callout, type CalloutBody } from './callout/form';
import { check, type CheckBody } from './check/form';
import { code, type CodeBody } from './code/form';
import type { BlockForm } from './form';
import { clip, type ClipBody } from './clip/form';
import { files, type FilesBody } from './files/form';
import { diagram, type DiagramBody } from './diagram/form';
import { gallery, type GalleryBody } from './gallery/form';
import { sides, type SidesBody } from './sides/form';
import { cards, type CardsBody } from './cards/form';
import { panels, type PanelsBody } from './panels/form';
import { figures, type FiguresBody } from './figures/form';
import { divider, type DividerBody } from './divider/form';
import { slot, type SlotBody } from './slot/form';
import { embed, type EmbedBody } from './embed/form';
import { event, type EventBody } from './event/form';
import { reading, type ReadingBody } from './reading/form';
import { worked, type WorkedBody } from './worked/form';
import { heading, type HeadingBody } from './heading/form';
import { list, type ListBody } from './list/form';
import { picture, type PictureBody } from './picture/form';
import { quote, type QuoteBody } from './quote/form';
import { steps, type StepsBody } from './steps/form';
import { summary, type SummaryBody } from './summary/form';
import { survey, type SurveyBody } from './survey/form';
import { table, type TableBody } from './table/form';
import { terms, type TermsBody } from './terms/form';
import { text, type TextBody } from './text/form';

/** Bodies by kind: the one list of what a lesson's page can be made of. */
export interface BlockBodies {
  text: TextBody;
  heading: HeadingBody;
  list: ListBody;
  steps: StepsBody;
  callout: CalloutBody;
  summary: SummaryBody;
  quote: QuoteBody;
  terms: TermsBody;
  table: TableBody;
  code: CodeBody;
  sides: SidesBody;
  cards: CardsBody;
  panels: PanelsBody;
  figures: FiguresBody;
  picture: PictureBody;
  diagram: DiagramBody;
  gallery: GalleryBody;
  clip: ClipBody;
  files: FilesBody;
  divider: DividerBody;
  slot: SlotBody;
  embed: EmbedBody;
  event: EventBody;
  reading: ReadingBody;
  worked: WorkedBody;
  survey: SurveyBody;
  check: CheckBody;
}

export type BlockKind = keyof BlockBodies;

/** One part of a lesson's page. */
export type Block = {
  [Kind in BlockKind]: {
    id: string;
    kind: Kind;
    body: BlockBodies[Kind];
    evidence?: PassageRange[];
    /** It stands beside the part before it, where the page is wide enough for two. */
    paired?: true;
  };
}[BlockKind];

export const BLOCKS: { [Kind in BlockKind]: BlockForm<BlockBodies[Kind]> } = {
  text,
  heading,
  list,
  steps,
  callout,
  summary,
  quote,
  terms,
  table,
  code,
  sides,
  cards,
  panels,
  figures,
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

/** What is known of a block's kind, whatever the kind. */
export function formOf(block: Pick<Block, 'kind'>): BlockForm<unknown> {
  return BLOCKS[block.kind] as BlockForm<unknown>;
}

/** Every rich text of a block, in reading order. */
export function blockTexts(block: Block): RichText[] {
  return formOf(block).texts(block.body);
}

/** The block with every rich text put through a function. */
export function mapBlockTexts(block: Block, change: (text: RichText) => RichText): Block {
  return { ...block, body: formOf(block).mapTexts(block.body, change) } as Block;
}

/** A block's words without any marks, as a list shows them and a search finds them. */
export function plainText(block: Block): string {
  const form = formOf(block);
  return form.text?.(block.body) ?? form.texts(block.body).map(textOf).filter(Boolean).join('\n');
}

/** The parts of a page row by row: one, or two that stand side by side. */
export function rowsOf(blocks: readonly Block[]): Block[][] {
  const rows: Block[][] = [];
  for (const block of blocks) {
    const last = rows.at(-1);
    if (block.paired && last?.length === 1) last.push(block);
    else rows.push([block]);
  }
  return rows;
}

/** The check that has its place in a block. */
export function checkIn(block: Block): string | undefined {
  return formOf(block).check?.(block.body);
}

/** Ids of the checks on a page, in order. */
export function checksOn(page: { blocks: readonly Block[] }): string[] {
  return page.blocks.flatMap((block) => checkIn(block) ?? []);
}
