import type { Part } from '../lesson/parts';
import { code } from './code/draft';
import type { BlockDraft } from './draft';
import { list } from './list/draft';
import { quote } from './quote/draft';
import { steps } from './steps/draft';
import { table } from './table/draft';
import { terms } from './terms/draft';

/** What makes blocks of each kind of part; running text is made sentence by sentence, in `text/draft`. */
export const DRAFTS: Record<Exclude<Part['kind'], 'text'>, BlockDraft> = {
  list,
  steps,
  table,
  code,
  terms,
  quote,
};
