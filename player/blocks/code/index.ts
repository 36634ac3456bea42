import { h } from 'vue';
import type { CodeBody } from '../../../core/blocks/code/form';
import type { BlockPart } from '../part';

export const code: BlockPart<CodeBody> = ({ code: text }) => h('pre', { tabindex: 0 }, text);
