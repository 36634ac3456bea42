import type { CheckEditor } from '../editor';
import Options from '~/components/check/Options.vue';

export const choice: CheckEditor = {
  label: 'Question with one right answer',
  stem: 'Question',
  part: Options,
};
