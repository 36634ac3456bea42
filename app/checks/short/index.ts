import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const short: CheckEditor = {
  label: 'Short answer, typed in',
  stem: 'Question',
  part: Answers,
};
