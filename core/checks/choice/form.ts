import { boolean, list } from '../../document/shape';
import { idShape, type CheckFrame } from '../check';
import type { CheckForm } from '../form';
import { keyProblems, line, optionShape, rewordedOptions, type Option } from '../options';

/** A question with one right answer. */
export interface ChoiceCheck extends CheckFrame {
  kind: 'choice';
  options: Option[];
  /** Id of the right option. */
  key: string;
  /** The options stand for everybody as they stand here. */
  fixed?: boolean;
}

export const choice: CheckForm<ChoiceCheck> = {
  fields: { required: { options: list(optionShape, { min: 2 }), key: idShape }, optional: { fixed: boolean } },
  problems: ({ options, key }) =>
    keyProblems(
      options.map(({ id }) => id),
      [key],
    ),
  mended(check) {
    const seen = new Set<string>();
    const options = check.options.filter(({ id }) => !seen.has(id) && seen.add(id));
    return { ...check, options, key: seen.has(check.key) ? check.key : options[0].id };
  },
  reworded: ({ options }, change) => ({ options: rewordedOptions(options, change) }),
  text: ({ stem, options, key }) => [stem, ...options.map(({ id, text }) => line(id === key, text))].join('\n'),
};
