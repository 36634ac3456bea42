import { h } from 'vue';
import type { PanelsBody } from '../../../core/blocks/panels/form';
import { panelGroup, panelLabel } from '../../../core/blocks/panels/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

/** Disclosures; as tabs they shut each other, and a wide page shows their titles side by side. */
export const panels: BlockPart<PanelsBody> = (body) =>
  h(
    'div',
    { class: ['up-panels', `up-${body.show}`] },
    body.panels.map(({ title, texts }, at) =>
      h('details', body.show === 'tabs' ? { name: panelGroup(body), open: at === 0 } : {}, [
        h('summary', [panelLabel(title, at) || rich(title)]),
        ...texts.map((text) => h('p', [rich(text)])),
      ]),
    ),
  );
