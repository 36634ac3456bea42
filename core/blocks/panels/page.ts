import type { BlockPage } from '../page';
import { panelGroup, panelLabel, type PanelsBody } from './form';

export const panels: BlockPage<PanelsBody> = (body, view) => {
  const group = body.show === 'tabs' ? ` name="${panelGroup(body)}"` : '';
  const panels = body.panels.map(({ title, texts }, at) => {
    const label = panelLabel(title, at) || view.rich(title);
    const open = body.show === 'tabs' && at === 0 ? ' open' : '';
    const inside = texts.map((text) => `<p>${view.rich(text)}</p>`).join('');
    return `<details${group}${open}><summary>${label}</summary>${inside}</details>`;
  });
  return `<div class="up-panels up-${body.show}">${panels.join('')}</div>`;
};
