import { choicesOf, feedbackFrom, qti, RESPONSE, saidTo, type CheckQti } from '../qti';
import type { ChoiceCheck } from './form';

export const choice: CheckQti<ChoiceCheck> = {
  write: ({ options, key, fixed }, points) => ({
    response: {
      cardinality: 'single',
      'base-type': 'identifier',
      correct: [key],
      mapping: { entries: [[key, points]] },
    },
    interaction: qti(
      'choice-interaction',
      { 'response-identifier': RESPONSE, shuffle: String(!fixed), 'max-choices': '1' },
      options.map(({ id, text }) => qti('simple-choice', { identifier: id }, [text])),
    ),
    scored: 'map',
    said: options.map(({ id, feedback }) => ({ id, text: saidTo(feedback) })).filter(({ text }) => text !== ''),
  }),
  read({ interaction, cardinality, correct, mapping, said }, id) {
    if (interaction.name !== 'choice-interaction' || cardinality !== 'single') return undefined;
    const ids = new Map(choicesOf(interaction).map((each) => [each.id, id('a')]));
    // What is worth most is right where nothing else says so.
    const best = correct[0] ?? [...mapping].sort(([, a], [, b]) => b - a)[0]?.[0];
    const key = ids.get(best ?? '');
    if (key === undefined || ids.size < 2) return undefined;
    return {
      kind: 'choice',
      key,
      options: choicesOf(interaction).map((each) => ({
        id: ids.get(each.id)!,
        text: each.text,
        feedback: feedbackFrom(ids.get(each.id) === key, said.get(each.id)),
      })),
      ...(interaction.attributes.shuffle !== 'true' && { fixed: true }),
    };
  },
};
