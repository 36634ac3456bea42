import type { SurveyBody } from '~~/core/blocks/survey/form';
import { fieldedNode } from '../fielded';
import type { BlockNode } from '../node';
import SurveyForm from './SurveyForm.vue';

const EMPTY: SurveyBody = { title: 'Feedback', intro: '', named: false, items: [] };

export const survey: BlockNode<SurveyBody> = {
  label: 'Feedback form',
  ...fieldedNode('survey', EMPTY, SurveyForm),
  add: [{ label: 'Feedback form', body: () => EMPTY }],
};
