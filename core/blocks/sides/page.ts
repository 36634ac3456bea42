import type { BlockPage } from '../page';
import type { Side } from '../side';
import type { SidesBody } from './form';

export const sides: BlockPage<SidesBody> = ({ left, right }, view) => {
  const side = ({ title, items }: Side) => {
    const list = items.map((item) => `<li>${view.rich(item)}</li>`).join('');
    return `<div><p class="up-side">${view.rich(title)}</p><ul>${list}</ul></div>`;
  };
  return `<div class="up-sides">${side(left)}${side(right)}</div>`;
};
