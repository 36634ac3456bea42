import type { SlotBody } from '~~/core/blocks/slot/form';
import { plainRun } from '~~/core/document/rich-text';
import { fromInline } from '~/editor/rich';
import { children, lettersOf, type BlockNode } from '../node';
import { titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'slot',
  part: 'slotPart',
  title: 'slotAsks',
  blockClass: 'up-slot',
  titleTag: 'p',
  titleClass: 'up-asks',
  hint: 'What belongs here',
  single: true,
  parts: 1,
  plainTitle: true,
};

export const slot: BlockNode<SlotBody> = {
  label: 'Open place',
  nodes: ['slot'],
  to: ({ asks, text }) => toTitled(NAMES, [{ title: plainRun(asks), texts: [text] }]),
  from: (node) => {
    const [asks, text] = children(children(node)[0]);
    return { asks: lettersOf(asks).trim() || '…', text: fromInline(children(text)) };
  },
  extensions: () => titledNodes(NAMES),
  add: [{ label: 'Open place for what holds locally', body: () => ({ asks: 'Who to ask here', text: [] }) }],
};
