import { choicesOf, qti, RESPONSE, type CheckQti } from '../qti';
import type { TruthCheck } from './form';

const IDS = ['true', 'false'];

/** A choice of two whose identifiers say what they are. */
export const truth: CheckQti<TruthCheck> = {
  write: ({ answer, why, quotes }, points, { isTrue, isFalse }) => {
    const text = why ?? quotes.map((quote) => quote.text).join(' ');
    return {
      response: {
        cardinality: 'single',
        'base-type': 'identifier',
        correct: [String(answer)],
        mapping: { entries: [[String(answer), points]] },
      },
      interaction: qti(
        'choice-interaction',
        { 'response-identifier': RESPONSE, shuffle: 'false', 'max-choices': '1' },
        IDS.map((id) => qti('simple-choice', { identifier: id }, [id === 'true' ? isTrue : isFalse])),
      ),
      scored: 'map',
      said: text ? IDS.map((id) => ({ id, text })) : [],
    };
  },
  read({ interaction, cardinality, correct, said }) {
    const ids = choicesOf(interaction).map(({ id }) => id.toLowerCase());
    const isOne = interaction.name === 'choice-interaction' && cardinality === 'single' && ids.length === 2;
    if (!isOne || !IDS.every((id) => ids.includes(id)) || correct.length !== 1) return undefined;
    const why = [...said.values()][0];
    return { kind: 'truth', answer: correct[0].toLowerCase() === 'true', quotes: [], ...(why && { why }) };
  },
};
