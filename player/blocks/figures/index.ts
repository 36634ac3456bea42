import { h } from 'vue';
import type { FiguresBody } from '../../../core/blocks/figures/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

export const figures: BlockPart<FiguresBody> = (body) =>
  h(
    'dl',
    { class: 'up-figures' },
    body.figures.map(({ value, text }) => h('div', [h('dt', [rich(value)]), h('dd', [rich(text)])])),
  );
