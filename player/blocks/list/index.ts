import { h, type VNode, type VNodeChild } from 'vue';
import { rich } from '../rich';
import type { ListBody } from '../../../core/blocks/list/form';
import type { BlockPart } from '../part';

/** Items with depths as lists in lists. */
function nested(items: ListBody['items'], tag: 'ol' | 'ul'): VNode {
  const level = (at: number, depth: number): [VNode, number] => {
    const children: VNodeChild[] = [];
    while (at < items.length && items[at].depth >= depth) {
      const own: VNodeChild[] = [rich(items[at].text)];
      at++;
      if (at < items.length && items[at].depth > depth) {
        const [inner, next] = level(at, depth + 1);
        own.push(inner);
        at = next;
      }
      children.push(h('li', own));
    }
    return [h(tag, children), at];
  };
  return level(0, 0)[0];
}

export const list: BlockPart<ListBody> = ({ ordered, items }) => nested(items, ordered ? 'ol' : 'ul');
