import type { TruthCheck } from '~~/core/checks/truth/form';
import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const truth: CheckEditor<TruthCheck> = {
  label: 'Statement: true or false',
  stem: 'Statement',
  part: Answers,
  fresh: () => ({ kind: 'truth', stem: 'What is said to be so?', answer: true, quotes: [] }),
};
