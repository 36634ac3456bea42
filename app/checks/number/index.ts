import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const number: CheckEditor = {
  label: 'Number, typed in',
  stem: 'Question',
  part: Answers,
};
