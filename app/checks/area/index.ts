import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';
import Areas from './Areas.vue';

export const area: CheckEditor = {
  label: 'Areas of a picture',
  stem: 'Question',
  part: Answers,
  over: Areas,
};
