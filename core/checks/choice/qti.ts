import { choiceElement, choicesOf, feedbackFrom, pictureIn, qti, RESPONSE, saidTo, type CheckQti } from '../qti';
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
      options.map(choiceElement),
    ),
    scored: 'map',
    said: options.map(({ id, feedback }) => ({ id, text: saidTo(feedback) })).filter(({ text }) => text !== ''),
  }),
  read({ interaction, cardinality, correct, mapping, said, pictures }, id) {
    if (interaction.name !== 'choice-interaction' || cardinality !== 'single') return undefined;
    const ids = new Map(choicesOf(interaction).map((each) => [each.id, id('a')]));
    // What is worth most is right where nothing else says so.
    const best = correct[0] ?? [...mapping].sort(([, a], [, b]) => b - a)[0]?.[0];
    const key = ids.get(best ?? '');
    if (key === undefined || ids.size < 2) return undefined;
    return {
      kind: 'choice',
      key,
      options: choicesOf(interaction).map((each) => {
        const picture = pictureIn(each.node, pictures);
        return {
          id: ids.get(each.id)!,
          text: each.text || picture?.alt || each.id,
          ...(picture && { picture }),
          feedback: feedbackFrom(ids.get(each.id) === key, said.get(each.id)),
        };
      }),
      ...(interaction.attributes.shuffle !== 'true' && { fixed: true }),
    };
  },
};
