import { Node } from '@tiptap/core';
import type { StepsBody } from '~~/core/blocks/steps/form';
import { children, ofParagraphs, paragraphsOf, type BlockNode } from '../node';
import { box } from '../box';

const Step = Node.create({
  name: 'step',
  content: 'paragraph+',
  defining: true,
  addKeyboardShortcuts() {
    return {
      Enter: () => this.editor.commands.splitListItem('step'),
      'Shift-Tab': () => this.editor.commands.liftListItem('step'),
    };
  },
  parseHTML: () => [{ tag: 'li[data-step]', priority: 60 }],
  renderHTML: () => ['li', { 'data-step': '' }, 0],
});

export const steps: BlockNode<StepsBody> = {
  label: 'Steps',
  nodes: ['steps'],
  to: (body) => ({
    type: 'steps',
    attrs: { show: body.show ?? 'all' },
    content: body.steps.map(({ text, detail }) => ofParagraphs('step', [text, ...(detail ?? [])])),
  }),
  from: (node) => ({
    steps: children(node).map((step) => {
      const [text = [], ...detail] = paragraphsOf(step);
      return { text, ...(detail.length > 0 && { detail }) };
    }),
    ...(node.attrs?.show === 'one' && { show: 'one' as const }),
  }),
  extensions: () => [
    box('steps', 'step+', 'ol', { class: 'up-steps' }).extend({
      addAttributes: () => ({
        show: {
          default: 'all',
          parseHTML: (element: HTMLElement) => element.getAttribute('data-show') ?? 'all',
          renderHTML: ({ show }: { show?: string }) => ({ 'data-show': show }),
        },
      }),
    }),
    Step,
  ],
  add: [
    { label: 'Steps', body: () => ({ steps: [{ text: [] }] }) },
    { label: 'Steps, one at a time', body: () => ({ steps: [{ text: [] }], show: 'one' }) },
  ],
};
