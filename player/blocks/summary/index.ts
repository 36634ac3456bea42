import { h } from 'vue';
import { rich } from '../rich';
import type { SummaryBody } from '../../../core/blocks/summary/form';
import type { BlockPart } from '../part';

export const summary: BlockPart<SummaryBody> = ({ points }, { words }) =>
  h('div', { class: 'up-summary' }, [
    h('p', { class: 'up-label' }, words.summary),
    h(
      'ul',
      points.map((point) => h('li', [rich(point)])),
    ),
  ]);
