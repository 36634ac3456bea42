import { h } from 'vue';
import { rich } from '../rich';
import type { TextBody } from '../../../core/blocks/text/form';
import type { BlockPart } from '../part';

export const text: BlockPart<TextBody> = ({ text }) => h('p', [rich(text)]);
