import type { CheckMarking, Feedback } from '../marking';
import { mixed, seenOption, toldOf, type SeenOption } from '../options';
import { placeIn, PLACE_BITS, putPlace } from '../packing';
import type { ChoiceCheck } from './form';

/** A choice as a learner gets it: its options in an order that says nothing, unless their order is fixed. */
export interface ChoiceView {
  options: SeenOption[];
  /** Their order is their author's. */
  fixed?: true;
}

export interface ChoiceSecret {
  key: string;
  feedback: Record<string, Feedback>;
}

/** The response is the id of an option. */
export const choice: CheckMarking<ChoiceCheck, ChoiceView, ChoiceSecret, string> = {
  view({ options, fixed }, mix) {
    const seen = options.map((option) => seenOption(option, mix));
    return fixed ? { options: seen, fixed } : { options: mixed(seen) };
  },
  reordered: (view, order) => (view.fixed ? view : { ...view, options: order(view.options) }),
  secret: ({ options, key }, mix) => ({
    key: mix(key),
    feedback: Object.fromEntries(options.map(({ id, feedback }) => [mix(id), toldOf(feedback)])),
  }),
  read: (response, { feedback }) =>
    typeof response === 'string' && Object.hasOwn(feedback, response) ? response : undefined,
  mark: ({ key, feedback }, response) => ({
    score: response === key ? 1 : 0,
    state: 'marked',
    feedback: feedback[response],
  }),
  solution: ({ key, feedback }) => ({ response: key, feedback: feedback[key] }),
  pack: ({ options }, response, bits) => putPlace(options, response, bits),
  unpack: ({ options }, bits) => options[bits(PLACE_BITS) - 1]?.id,
  // By the letter of the option, as it stands on the page.
  interaction({ options }, response) {
    const letter = placeIn(options, response);
    return letter ? { type: 'choice', response: [letter] } : undefined;
  },
  said: ({ options }, response) => options.filter(({ id }) => id === response).map(({ text }) => text),
};
