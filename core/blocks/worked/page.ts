import type { BlockPage } from '../page';
import type { Side } from '../side';
import type { WorkedBody } from './form';

export const worked: BlockPage<WorkedBody> = ({ given, working, result }, view) => {
  const part = ({ title, items }: Side, tag: 'ul' | 'ol') => {
    const list = items.map((item) => `<li>${view.rich(item)}</li>`).join('');
    return `<div><p class="up-side">${view.rich(title)}</p><${tag}>${list}</${tag}></div>`;
  };
  return `<div class="up-worked">${part(given, 'ul')}${part(working, 'ol')}${part(result, 'ul')}</div>`;
};
