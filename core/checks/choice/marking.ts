import type { CheckMarking, Feedback } from '../marking';
import type { ChoiceCheck } from './form';

/** A choice as a learner gets it: its options in an order that says nothing. */
export interface ChoiceView {
  options: { id: string; text: string }[];
}

export interface ChoiceSecret {
  key: string;
  feedback: Record<string, Feedback>;
}

/** Options behind the 15th cannot be packed. */
const BITS = 4;

/** The response is the id of an option. */
export const choice: CheckMarking<ChoiceCheck, ChoiceView, ChoiceSecret, string> = {
  view: ({ options }, mix) => ({
    options: options.map(({ id, text }) => ({ id: mix(id), text })).sort((a, b) => (a.id < b.id ? -1 : 1)),
  }),
  secret: ({ options, key }, mix) => ({
    key: mix(key),
    feedback: Object.fromEntries(
      options.map(({ id, feedback: { code, quotes, text } }) => [
        mix(id),
        { code, quotes: quotes.map((quote) => quote.text), ...(text && { text }) },
      ]),
    ),
  }),
  read: (response, { feedback }) =>
    typeof response === 'string' && Object.hasOwn(feedback, response) ? response : undefined,
  mark: ({ key, feedback }, response) => ({
    score: response === key ? 1 : 0,
    state: 'marked',
    feedback: feedback[response],
  }),
  solution: ({ key, feedback }) => ({ response: key, feedback: feedback[key] }),
  pack({ options }, response, bits) {
    const place = options.findIndex((each) => each.id === response) + 1;
    bits.put(place < 2 ** BITS ? place : 0, BITS);
  },
  unpack: ({ options }, bits) => options[bits(BITS) - 1]?.id,
  // By the letter of the option, as it stands on the page.
  interaction({ options }, response) {
    const letter = 'abcdefghijklmnopqrstuvwxyz'[options.findIndex((each) => each.id === response)];
    return letter ? { type: 'choice', response: letter } : undefined;
  },
};
