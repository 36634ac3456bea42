import { h } from 'vue';
import { rich } from '../rich';
import type { StepsBody } from '../../../core/blocks/steps/form';
import type { BlockPart } from '../part';

export const steps: BlockPart<StepsBody> = ({ steps }) =>
  h(
    'ol',
    { class: 'up-steps' },
    steps.map(({ text, detail }) =>
      h('li', [rich(text), ...(detail ?? []).map((each) => h('div', { class: 'up-detail' }, [rich(each)]))]),
    ),
  );
