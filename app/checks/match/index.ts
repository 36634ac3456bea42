import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const match: CheckEditor = {
  label: 'Match pairs',
  stem: 'Task',
  part: Answers,
};
