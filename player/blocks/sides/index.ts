import { h } from 'vue';
import type { Side } from '../../../core/blocks/side';
import type { SidesBody } from '../../../core/blocks/sides/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

const sideOf = ({ title, items }: Side) =>
  h('div', [
    h('p', { class: 'up-side' }, [rich(title)]),
    h(
      'ul',
      items.map((item) => h('li', [rich(item)])),
    ),
  ]);

export const sides: BlockPart<SidesBody> = ({ left, right }) =>
  h('div', { class: 'up-sides' }, [sideOf(left), sideOf(right)]);
