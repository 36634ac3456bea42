import { list, object, oneOf, string } from '../../document/shape';
import { idShape, quoteShape, type CheckFrame, type Quote } from '../check';
import type { CheckForm } from '../form';

export interface Option {
  id: string;
  text: string;
  feedback: {
    /**
     * `right`, or why it is not: the rule is for another case, the term means something else, the figure is another's.
     */
    code: 'right' | 'other-case' | 'other-term' | 'other-figure' | 'not-said' | 'own';
    /** What the source says to it. */
    quotes: Quote[];
    /** The author's own words, instead of the standard ones. */
    text?: string;
  };
}

/** A question with one right answer. */
export interface ChoiceCheck extends CheckFrame {
  kind: 'choice';
  options: Option[];
  /** Id of the right option. */
  key: string;
}

const option = object({
  id: idShape,
  text: string({ min: 1 }),
  feedback: object(
    { code: oneOf('right', 'other-case', 'other-term', 'other-figure', 'not-said', 'own'), quotes: list(quoteShape) },
    { text: string() },
  ),
});

export const choice: CheckForm<ChoiceCheck> = {
  fields: { required: { options: list(option, { min: 2 }), key: idShape } },
  problems({ options, key }) {
    const ids = options.map((each) => each.id);
    return [...(ids.includes(key) ? [] : ['no-key']), ...(new Set(ids).size < ids.length ? ['id-twice'] : [])];
  },
  mended(check) {
    const seen = new Set<string>();
    const options = check.options.filter(({ id }) => !seen.has(id) && seen.add(id));
    return { ...check, options, key: seen.has(check.key) ? check.key : options[0].id };
  },
  reworded: ({ options }, change) => ({
    options: options.map(({ id, text, feedback }) => ({
      id,
      text: change(text),
      feedback: { ...feedback, ...(feedback.text && { text: change(feedback.text) }) },
    })),
  }),
  text: ({ stem, options, key }) =>
    [stem, ...options.map(({ id, text }) => `${id === key ? '\u2713' : '\u2013'} ${text}`)].join('\n'),
};
