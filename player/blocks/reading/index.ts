import { h } from 'vue';
import type { ReadingBody } from '../../../core/blocks/reading/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

export const reading: BlockPart<ReadingBody> = ({ items }, { words }) =>
  h('div', { class: 'up-reading' }, [
    h('p', { class: 'up-label' }, words.reading),
    h(
      'ul',
      items.map(({ title, text }) =>
        h('li', [h('p', { class: 'up-side' }, [rich(title)]), ...(text.length > 0 ? [h('p', [rich(text)])] : [])]),
      ),
    ),
  ]);
