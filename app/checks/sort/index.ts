import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const sort: CheckEditor = {
  label: 'Sort into groups',
  stem: 'Task',
  part: Answers,
};
