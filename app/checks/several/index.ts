import Options from '~/components/check/Options.vue';
import type { CheckEditor } from '../editor';

export const several: CheckEditor = {
  label: 'Question with several right answers',
  stem: 'Question',
  part: Options,
};
