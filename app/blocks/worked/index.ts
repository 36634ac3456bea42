import { NO_SIDE } from '~~/core/blocks/side';
import type { WorkedBody } from '~~/core/blocks/worked/form';
import { plainRun } from '~~/core/document/rich-text';
import type { BlockNode } from '../node';
import { toPart, toSide } from '../sided';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'worked',
  part: 'workedPart',
  title: 'workedTitle',
  blockClass: 'up-worked',
  titleTag: 'p',
  titleClass: 'up-side',
  hint: 'What this is',
  parts: 3,
};

export const worked: BlockNode<WorkedBody> = {
  label: 'Worked example',
  nodes: ['worked'],
  to: ({ given, working, result }) => toTitled(NAMES, [given, working, result].map(toPart)),
  from: (node) => {
    const [given = NO_SIDE, working = NO_SIDE, result = NO_SIDE] = fromTitled(node).map(toSide);
    return { given, working, result };
  },
  extensions: () => titledNodes(NAMES),
  add: [
    {
      label: 'Worked example',
      body: () => ({
        given: { title: plainRun('Given'), items: [] },
        working: { title: plainRun('Step by step'), items: [] },
        result: { title: plainRun('Result'), items: [] },
      }),
    },
  ],
};
