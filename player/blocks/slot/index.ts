import { h } from 'vue';
import { isOpenSlot, type SlotBody } from '../../../core/blocks/slot/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

export const slot: BlockPart<SlotBody> = (body, { words }) =>
  isOpenSlot(body)
    ? h('p', { class: 'up-slot up-open' }, `${words.slotOpen} ${body.asks}`)
    : h('p', { class: 'up-slot' }, [rich(body.text)]);
