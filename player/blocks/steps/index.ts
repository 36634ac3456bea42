import { h } from 'vue';
import type { StepsBody } from '../../../core/blocks/steps/form';
import type { BlockPart } from '../part';
import { OneByOne, stepWords } from './OneByOne';

export const steps: BlockPart<StepsBody> = (body, { words }) =>
  body.show === 'one' && body.steps.length > 1
    ? h(OneByOne, { body, words })
    : h(
        'ol',
        { class: 'up-steps' },
        body.steps.map((step) => h('li', stepWords(step))),
      );
