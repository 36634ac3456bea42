import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const task: CheckEditor = {
  label: 'Practice task',
  stem: 'Task: what is to be done',
  part: Answers,
};
