import { Node } from '@tiptap/core';
import { VueNodeViewRenderer } from '@tiptap/vue-3';
import { BLOCKS } from '~~/core/blocks/forms';
import type { SurveyBody } from '~~/core/blocks/survey/form';
import type { Problem } from '~~/core/document/problem';
import type { BlockNode } from '../node';
import SurveyForm from './SurveyForm.vue';

const EMPTY: SurveyBody = { title: 'Feedback', intro: '', named: false, items: [] };

/** A form as the clipboard has it; what is none by its form is an empty one. */
function parsed(element: HTMLElement): SurveyBody {
  try {
    const body: unknown = JSON.parse(element.dataset.survey ?? '');
    const problems: Problem[] = [];
    BLOCKS.survey.body.check(body, '', problems);
    return problems.length === 0 ? (body as SurveyBody) : EMPTY;
  } catch {
    return EMPTY;
  }
}

/** The whole body is one attribute: its questions are edited in fields of their own, not as running text. */
const Form = Node.create({
  name: 'survey',
  group: 'block',
  atom: true,
  draggable: true,
  isolating: true,
  addAttributes: () => ({
    body: {
      default: EMPTY,
      parseHTML: parsed,
      renderHTML: ({ body }) => ({ 'data-survey': JSON.stringify(body) }),
    },
  }),
  parseHTML: () => [{ tag: 'section[data-survey]' }],
  renderHTML: ({ HTMLAttributes }) => ['section', HTMLAttributes],
  addNodeView: () => VueNodeViewRenderer(SurveyForm),
});

export const survey: BlockNode<SurveyBody> = {
  label: 'Feedback form',
  nodes: ['survey'],
  to: (body) => ({ type: 'survey', attrs: { body } }),
  from: (node) => node.attrs!.body as SurveyBody,
  extensions: () => [Form],
  add: [{ label: 'Feedback form', body: () => EMPTY }],
};
