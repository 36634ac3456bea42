import { h } from 'vue';
import { rich } from '../rich';
import type { HeadingBody } from '../../../core/blocks/heading/form';
import type { BlockPart } from '../part';

export const heading: BlockPart<HeadingBody> = ({ level, text }) => h(`h${level}`, [rich(text)]);
