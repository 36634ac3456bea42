import { h } from 'vue';
import type { Side } from '../../../core/blocks/side';
import type { WorkedBody } from '../../../core/blocks/worked/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

const partOf = ({ title, items }: Side, tag: 'ul' | 'ol') =>
  h('div', [
    h('p', { class: 'up-side' }, [rich(title)]),
    h(
      tag,
      items.map((item) => h('li', [rich(item)])),
    ),
  ]);

export const worked: BlockPart<WorkedBody> = ({ given, working, result }) =>
  h('div', { class: 'up-worked' }, [partOf(given, 'ul'), partOf(working, 'ol'), partOf(result, 'ul')]);
