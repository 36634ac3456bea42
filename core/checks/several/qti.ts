import { choicesOf, feedbackFrom, qti, RESPONSE, type CheckQti } from '../qti';
import type { SeveralCheck } from './form';

export const several: CheckQti<SeveralCheck> = {
  write({ options, keys, credit, fixed }, points) {
    const each = points / keys.length;
    return {
      response: {
        cardinality: 'multiple',
        'base-type': 'identifier',
        correct: keys,
        ...(credit === 'each' && {
          mapping: {
            entries: options.map(({ id }) => [id, keys.includes(id) ? each : -each]),
            bounds: { lower: 0, upper: points },
          },
        }),
      },
      interaction: qti(
        'choice-interaction',
        { 'response-identifier': RESPONSE, shuffle: String(!fixed), 'max-choices': '0' },
        options.map(({ id, text }) => qti('simple-choice', { identifier: id }, [text])),
      ),
      scored: credit === 'each' ? 'map' : 'match',
    };
  },
  read({ interaction, cardinality, correct, mapping, said }, id) {
    if (interaction.name !== 'choice-interaction' || cardinality !== 'multiple') return undefined;
    const choices = choicesOf(interaction);
    const right = new Set(
      correct.length > 0 ? correct : choices.map((each) => each.id).filter((each) => (mapping.get(each) ?? 0) > 0),
    );
    const options = choices.map((each) => ({
      id: id('a'),
      text: each.text,
      feedback: feedbackFrom(right.has(each.id), said.get(each.id)),
      isRight: right.has(each.id),
    }));
    const keys = options.filter(({ isRight }) => isRight).map((each) => each.id);
    if (keys.length === 0 || options.length < 2) return undefined;
    return {
      kind: 'several',
      options: options.map(({ id: own, text, feedback }) => ({ id: own, text, feedback })),
      keys,
      credit: mapping.size > 0 ? 'each' : 'all',
      ...(interaction.attributes.shuffle !== 'true' && { fixed: true }),
    };
  },
};
