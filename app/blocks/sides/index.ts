import { NO_SIDE } from '~~/core/blocks/side';
import type { SidesBody } from '~~/core/blocks/sides/form';
import { plainRun } from '~~/core/document/rich-text';
import type { BlockNode } from '../node';
import { toPart, toSide } from '../sided';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'sides',
  part: 'side',
  title: 'sideTitle',
  blockClass: 'up-sides',
  titleTag: 'p',
  titleClass: 'up-side',
  hint: 'Which side',
  parts: 2,
};

const fresh = (left: string, right: string) => (): SidesBody => ({
  left: { title: plainRun(left), items: [] },
  right: { title: plainRun(right), items: [] },
});

export const sides: BlockNode<SidesBody> = {
  label: 'Two sides',
  nodes: ['sides'],
  to: ({ left, right }) => toTitled(NAMES, [left, right].map(toPart)),
  from: (node) => {
    const [left = NO_SIDE, right = NO_SIDE] = fromTitled(node).map(toSide);
    return { left, right };
  },
  extensions: () => titledNodes(NAMES),
  add: [
    { label: 'Do and do not', body: fresh('Do', 'Do not') },
    { label: 'Before and after', body: fresh('Before', 'After') },
  ],
};
