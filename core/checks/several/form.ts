import { boolean, list, oneOf } from '../../document/shape';
import { CREDITS, idShape, type CheckFrame, type Credit } from '../check';
import type { CheckForm } from '../form';
import { keyProblems, line, optionShape, rewordedOptions, type Option } from '../options';

/** A question with several right answers, which are to be chosen together. */
export interface SeveralCheck extends CheckFrame {
  kind: 'several';
  options: Option[];
  /** Ids of the right options. */
  keys: string[];
  credit: Credit;
  /** The options stand for everybody as they stand here. */
  fixed?: boolean;
}

export const several: CheckForm<SeveralCheck> = {
  fields: {
    required: { options: list(optionShape, { min: 2 }), keys: list(idShape, { min: 1 }), credit: oneOf(...CREDITS) },
    optional: { fixed: boolean },
  },
  problems: ({ options, keys }) =>
    keyProblems(
      options.map(({ id }) => id),
      keys,
    ),
  reworded: ({ options }, change) => ({ options: rewordedOptions(options, change) }),
  text: ({ stem, options, keys }) => [stem, ...options.map(({ id, text }) => line(keys.includes(id), text))].join('\n'),
};
