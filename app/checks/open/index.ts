import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const open: CheckEditor = {
  label: 'Open answer',
  stem: 'Question',
  part: Answers,
};
