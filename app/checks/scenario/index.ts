import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const scenario: CheckEditor = {
  label: 'Scenario',
  stem: 'Question or title',
  part: Answers,
  saysFlaws: true,
};
