import { qti, RESPONSE, type CheckQti } from '../qti';
import { LONGEST_OPEN, type OpenCheck } from './form';

/** A person marks it: there is no score that a program could give. What a good answer is stands in the rubric. */
export const open: CheckQti<OpenCheck> = {
  write: ({ model, looksFor }) => ({
    response: { cardinality: 'single', 'base-type': 'string', correct: [] },
    interaction: qti('extended-text-interaction', { 'response-identifier': RESPONSE, 'expected-lines': '6' }),
    rubric: [model, ...looksFor].filter(Boolean),
  }),
  read({ interaction, correct, rubric }) {
    if (interaction.name !== 'extended-text-interaction') return undefined;
    const [model = '', ...looksFor] = rubric.length > 0 ? rubric : correct;
    return {
      kind: 'open',
      by: 'person',
      model: model.slice(0, LONGEST_OPEN),
      looksFor: looksFor.map((each) => each.slice(0, 500)),
      quotes: [],
    };
  },
};
