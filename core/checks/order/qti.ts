import { byLetters } from '../options';
import { choicesOf, qti, RESPONSE, type CheckQti } from '../qti';
import type { OrderCheck } from './form';

/** All or nothing: neighbours that stand as they should cannot be counted by a mapping. */
export const order: CheckQti<OrderCheck> = {
  write: ({ items }) => ({
    response: { cardinality: 'ordered', 'base-type': 'identifier', correct: items.map(({ id }) => id) },
    interaction: qti(
      'order-interaction',
      { 'response-identifier': RESPONSE, shuffle: 'true' },
      // As they are written they must not be right.
      [...items]
        .sort((a, b) => byLetters(a.id, b.id))
        .map(({ id, text }) => qti('simple-choice', { identifier: id }, [text])),
    ),
    scored: 'match',
  }),
  read({ interaction, correct }, id) {
    if (interaction.name !== 'order-interaction') return undefined;
    const texts = new Map(choicesOf(interaction).map((each) => [each.id, each.text]));
    const items = correct.flatMap((each) => (texts.has(each) ? [{ id: id('a'), text: texts.get(each)! }] : []));
    return items.length < 2 ? undefined : { kind: 'order', items, credit: 'all', quotes: [] };
  },
};
