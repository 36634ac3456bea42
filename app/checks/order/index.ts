import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const order: CheckEditor = {
  label: 'Put in order',
  stem: 'Task',
  part: Answers,
};
