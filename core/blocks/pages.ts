import { callout } from './callout/page';
import { check } from './check/page';
import { code } from './code/page';
import { sides } from './sides/page';
import { cards } from './cards/page';
import { panels } from './panels/page';
import { figures } from './figures/page';
import { divider } from './divider/page';
import { slot } from './slot/page';
import { embed } from './embed/page';
import { event } from './event/page';
import { reading } from './reading/page';
import { worked } from './worked/page';
import { heading } from './heading/page';
import { clip } from './clip/page';
import { diagram } from './diagram/page';
import { files } from './files/page';
import { gallery } from './gallery/page';
import { list } from './list/page';
import { picture } from './picture/page';
import { quote } from './quote/page';
import { steps } from './steps/page';
import { summary } from './summary/page';
import { survey } from './survey/page';
import { table } from './table/page';
import { terms } from './terms/page';
import { text } from './text/page';
import { rowsOf, type Block, type BlockBodies, type BlockKind } from './forms';
import type { BlockPage, PageView } from './page';

const PAGES: { [Kind in BlockKind]: BlockPage<BlockBodies[Kind]> } = {
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

/** The parts of a page as HTML, row by row. */
export function blocksHtml(blocks: readonly Block[], view: PageView): string {
  return rowsOf(blocks)
    .map((row) => row.map((block) => blockHtml(block, view)))
    .map((parts) => (parts.length > 1 ? `<div class="up-pair">${parts.join('')}</div>` : parts[0]))
    .join('\n');
}

/** A block as HTML. */
export function blockHtml(block: Block, view: PageView): string {
  return (PAGES[block.kind] as BlockPage<unknown>)(block.body, view, block.evidence ?? []);
}
