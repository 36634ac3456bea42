import { PANEL_SHOWS, type PanelsBody, type PanelShow } from '~~/core/blocks/panels/form';
import type { BlockNode } from '../node';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'panels',
  part: 'panel',
  title: 'panelTitle',
  blockClass: 'up-panels',
  titleTag: 'p',
  titleClass: 'up-front',
  hint: 'Title',
  attributes: { show: { default: 'folds', mark: 'data-show' } },
};

const SHOWS: Record<PanelShow, string> = { tabs: 'Tabs', folds: 'Folds' };

export const panels: BlockNode<PanelsBody> = {
  label: 'Folds',
  nodes: ['panels'],
  to: ({ show, panels: all }) => toTitled(NAMES, all, { show }),
  from: (node) => ({
    show: PANEL_SHOWS.find((show) => show === node.attrs?.show) ?? 'folds',
    panels: fromTitled(node),
  }),
  extensions: () => titledNodes(NAMES),
  add: PANEL_SHOWS.map((show) => ({
    label: SHOWS[show],
    body: () => ({ show, panels: [{ title: [], texts: [[]] }] }),
  })),
};
