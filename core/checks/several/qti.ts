import {
  choiceElement,
  choicesOf,
  feedbackFrom,
  pictureIn,
  qti,
  RESPONSE,
  severalResponse,
  type CheckQti,
} from '../qti';
import type { SeveralCheck } from './form';

export const several: CheckQti<SeveralCheck> = {
  write: ({ options, keys, credit, fixed }, points) => ({
    ...severalResponse({ options, keys, credit }, points),
    interaction: qti(
      'choice-interaction',
      { 'response-identifier': RESPONSE, shuffle: String(!fixed), 'max-choices': '0' },
      options.map(choiceElement),
    ),
  }),
  read({ interaction, cardinality, correct, mapping, said, pictures }, id) {
    if (interaction.name !== 'choice-interaction' || cardinality !== 'multiple') return undefined;
    const choices = choicesOf(interaction);
    const right = new Set(
      correct.length > 0 ? correct : choices.map((each) => each.id).filter((each) => (mapping.get(each) ?? 0) > 0),
    );
    const options = choices.map((each) => ({
      id: id('a'),
      text: each.text,
      feedback: feedbackFrom(right.has(each.id), said.get(each.id)),
      picture: pictureIn(each.node, pictures),
      isRight: right.has(each.id),
    }));
    const keys = options.filter(({ isRight }) => isRight).map((each) => each.id);
    if (keys.length === 0 || options.length < 2) return undefined;
    return {
      kind: 'several',
      options: options.map(({ id: own, text, picture, feedback }) => ({
        id: own,
        text,
        ...(picture && { picture }),
        feedback,
      })),
      keys,
      credit: mapping.size > 0 ? 'each' : 'all',
      ...(interaction.attributes.shuffle !== 'true' && { fixed: true }),
    };
  },
};
