import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const truth: CheckEditor = {
  label: 'Statement: true or false',
  stem: 'Statement',
  part: Answers,
};
