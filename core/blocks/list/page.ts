import type { BlockPage } from '../page';
import type { ListBody } from './form';

export const list: BlockPage<ListBody> = (body, view) => {
  const tag = body.ordered ? 'ol' : 'ul';
  let html = `<${tag}>`;
  let depth = 0;
  body.items.forEach((item, index) => {
    const target = Math.min(item.depth, index === 0 ? 0 : depth + 1);
    if (index > 0) {
      if (target > depth) html += `<${tag}>`;
      else html += `</li>${`</${tag}></li>`.repeat(depth - target)}`;
    }
    depth = target;
    html += `<li>${view.rich(item.text)}`;
  });
  return `${html}</li>${`</${tag}></li>`.repeat(depth)}</${tag}>`;
};
