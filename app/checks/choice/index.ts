import type { ChoiceCheck } from '~~/core/checks/forms';
import type { CheckEditor } from '../editor';
import Answers from './Answers.vue';

export const choice: CheckEditor<ChoiceCheck> = {
  label: 'Question with one right answer',
  stem: 'Question',
  part: Answers,
  fresh(id) {
    const [right, wrong] = [id('a'), id('a')];
    return {
      kind: 'choice',
      stem: 'What do you ask?',
      key: right,
      options: [
        { id: right, text: 'The right answer', feedback: { code: 'right', quotes: [] } },
        { id: wrong, text: 'A wrong answer', feedback: { code: 'own', quotes: [] } },
      ],
    };
  },
};
