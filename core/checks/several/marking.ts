import type { Credit } from '../check';
import type { CheckMarking, Feedback } from '../marking';
import { byLetters, mixed, seenOption, toldOf, type Option } from '../options';
import { placeIn } from '../packing';
import type { ChoiceView } from '../choice/marking';
import type { SeveralCheck } from './form';

export interface SeveralSecret {
  keys: string[];
  credit: Credit;
  feedback: Record<string, Feedback>;
}

/**
 * The response is the ids of what was chosen. In parts, each right choice counts up and each wrong one down, by a share
 * of the right ones; never below nothing.
 */
export const several: CheckMarking<SeveralCheck, ChoiceView, SeveralSecret, string[]> = {
  view({ options, fixed }, mix) {
    const seen = options.map((option) => seenOption(option, mix));
    return fixed ? { options: seen, fixed } : { options: mixed(seen) };
  },
  reordered: (view, order) => (view.fixed ? view : { ...view, options: order(view.options) }),
  secret: severalSecret,
  read(response, { feedback }) {
    if (!Array.isArray(response) || response.length === 0 || new Set(response).size < response.length) return undefined;
    return response.every((id) => typeof id === 'string' && Object.hasOwn(feedback, id))
      ? (response as string[])
      : undefined;
  },
  mark({ keys, credit, feedback }, response) {
    const right = response.filter((id) => keys.includes(id)).length;
    const wrong = response.length - right;
    const isAll = right === keys.length && wrong === 0;
    const share = Math.max(0, right - wrong) / keys.length;
    // What is said to the first wrong choice; nothing of what is missing.
    const first = response.find((id) => !keys.includes(id));
    return {
      score: isAll ? 1 : credit === 'each' ? Math.min(share, 1) : 0,
      state: 'marked',
      feedback: isAll ? together(keys, feedback) : first ? feedback[first] : { code: 'some-missing', quotes: [] },
    };
  },
  solution: ({ keys, feedback }) => ({ response: keys, feedback: together(keys, feedback) }),
  pack({ options }, response, bits) {
    bits.put(1, 1);
    for (const { id } of options) bits.put(response.includes(id) ? 1 : 0, 1);
  },
  unpack({ options }, bits) {
    const isThere = bits(1) === 1;
    const chosen = isThere ? options.filter(() => bits(1) === 1) : [];
    return chosen.length > 0 ? chosen.map(({ id }) => id) : undefined;
  },
  interaction: ({ options }, response) => ({
    type: 'choice',
    response: response.flatMap((id) => placeIn(options, id) ?? []),
  }),
  said: ({ options }, response) => options.filter(({ id }) => response.includes(id)).map(({ text }) => text),
};

/** What is kept of answers of which several are right. */
export function severalSecret(
  { options, keys, credit }: { options: readonly Option[]; keys: readonly string[]; credit: Credit },
  mix: (id: string) => string,
): SeveralSecret {
  return {
    keys: keys.map(mix).sort(byLetters),
    credit,
    feedback: Object.fromEntries(options.map(({ id, feedback }) => [mix(id), toldOf(feedback)])),
  };
}

/** What is said to all right answers, each quote once. */
function together(keys: readonly string[], feedback: Readonly<Record<string, Feedback>>): Feedback {
  const own = keys.flatMap((key) => feedback[key]?.text ?? []);
  return {
    code: 'right',
    quotes: [...new Set(keys.flatMap((key) => feedback[key]?.quotes ?? []))],
    ...(own.length > 0 && { text: own.join(' ') }),
  };
}
