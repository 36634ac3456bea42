import { h, type FunctionalComponent } from 'vue';
import type { Block, BlockBodies, BlockKind } from '../../core/blocks/forms';
import { callout } from './callout';
import { code } from './code';
import { sides } from './sides';
import { cards } from './cards';
import { panels } from './panels';
import { figures } from './figures';
import { divider } from './divider';
import { slot } from './slot';
import { embed } from './embed';
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
import type { BlockPart, PartView } from './part';

/** The kinds that are shown as they are; a check has a life of its own on the page. */
type ShownKind = Exclude<BlockKind, 'check'>;

const PARTS: { [Kind in ShownKind]: BlockPart<BlockBodies[Kind]> } = {
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
};

/** A row of a page: what is in it, side by side where it is two. */
export const BlockRow: FunctionalComponent<{ row: readonly Block[] }> = ({ row }, { slots }) =>
  row.length > 1 ? h('div', { class: 'up-pair' }, slots.default?.()) : slots.default?.();
BlockRow.props = ['row'];

/** One block of a page. */
export const BlockView: FunctionalComponent<{ block: Block; view: PartView }> = ({ block, view }) =>
  block.kind === 'check' ? null : (PARTS[block.kind] as BlockPart<unknown>)(block.body, view, block.id);
BlockView.props = ['block', 'view'];
