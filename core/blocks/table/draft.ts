import { idFrom } from '../../document/id';
import { tableOf } from '../../source/on-page';
import type { BlockDraft } from '../draft';

export const table: BlockDraft = (part, place) => [
  tableOf(
    part.items.map(({ passage }) => passage),
    idFrom('b', place),
  ),
];
