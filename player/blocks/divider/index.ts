import { h } from 'vue';
import type { DividerBody } from '../../../core/blocks/divider/form';
import type { BlockPart } from '../part';

export const divider: BlockPart<DividerBody> = () => h('hr', { class: 'up-divider' });
