import { h } from 'vue';
import { rich } from '../rich';
import type { CalloutBody } from '../../../core/blocks/callout/form';
import type { BlockPart } from '../part';

export const callout: BlockPart<CalloutBody> = ({ tone, paragraphs }, { words }) =>
  h('div', { class: ['up-callout', `up-${tone}`], role: 'note' }, [
    h('p', { class: 'up-label' }, words.callout[tone]),
    ...paragraphs.map((text) => h('p', [rich(text)])),
  ]);
