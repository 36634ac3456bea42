import { defineComponent, h, ref, type PropType } from 'vue';
import type { StepsBody } from '../../../core/blocks/steps/form';
import { say, type Words } from '../../../core/words';
import { rich } from '../rich';

/** What is said of a step. */
export const stepWords = ({ text, detail = [] }: StepsBody['steps'][number]) => [
  rich(text),
  ...detail.map((each) => h('div', { class: 'up-detail' }, [rich(each)])),
];

/** Steps that a learner goes through one at a time; all of them can be seen at once. */
export const OneByOne = defineComponent({
  props: {
    body: { type: Object as PropType<StepsBody>, required: true },
    words: { type: Object as PropType<Words>, required: true },
  },
  setup({ body: { steps }, words }) {
    const at = ref(0);
    const all = ref(false);
    const button = (label: string, off: boolean, press: () => void) =>
      h('button', { type: 'button', class: 'plain', disabled: off, onClick: press }, label);
    return () =>
      h('div', { class: 'up-one' }, [
        h(
          'ol',
          { class: 'up-steps' },
          steps.map((step, place) =>
            // Steps that are not shown do not count themselves.
            h(
              'li',
              { hidden: !all.value && place !== at.value, style: { counterSet: `step ${place + 1}` } },
              stepWords(step),
            ),
          ),
        ),
        all.value
          ? null
          : h('p', { class: 'up-turn' }, [
              button(words.stepBack, at.value === 0, () => void at.value--),
              h('span', { role: 'status' }, say(words.stepOf, { at: at.value + 1, of: steps.length })),
              button(words.stepNext, at.value === steps.length - 1, () => void at.value++),
              button(words.stepsAll, false, () => void (all.value = true)),
            ]),
      ]);
  },
});
