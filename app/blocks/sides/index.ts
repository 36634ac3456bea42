import type { SidesBody, Side } from '~~/core/blocks/sides/form';
import { plainRun } from '~~/core/document/rich-text';
import type { BlockNode } from '../node';
import { fromTitled, titledNodes, toTitled, type Titled, type TitledNames } from '../titled';

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

const toPart = ({ title, items }: Side): Titled => ({ title, texts: items });
/** A side that nothing is said of has no items; the editor shows a line to write one on. */
const toSide = ({ title, texts }: Titled): Side => ({
  title,
  items: texts.length === 1 && texts[0]!.length === 0 ? [] : texts,
});
const NONE: Side = { title: [], items: [] };
const fresh = (left: string, right: string) => (): SidesBody => ({
  left: { title: plainRun(left), items: [] },
  right: { title: plainRun(right), items: [] },
});

export const sides: BlockNode<SidesBody> = {
  label: 'Two sides',
  nodes: ['sides'],
  to: ({ left, right }) => toTitled(NAMES, [toPart(left), toPart(right)]),
  from: (node) => {
    const [left = NONE, right = NONE] = fromTitled(node).map(toSide);
    return { left, right };
  },
  extensions: () => titledNodes(NAMES),
  add: [
    { label: 'Do and do not', body: fresh('Do', 'Do not') },
    { label: 'Before and after', body: fresh('Before', 'After') },
  ],
};
