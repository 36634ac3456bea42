import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import { isOpenSlot, type SlotBody } from './form';

export const slot: BlockPage<SlotBody> = (body, view) =>
  isOpenSlot(body)
    ? `<p class="up-slot up-open">${escape(`${view.words.slotOpen} ${body.asks}`)}</p>`
    : `<p class="up-slot">${view.rich(body.text)}</p>`;
