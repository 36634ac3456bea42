import { qti, RESPONSE, type CheckQti } from '../qti';
import { reach, type NumberCheck } from './form';

export const number: CheckQti<NumberCheck> = {
  write(check) {
    const far = String(reach(check));
    return {
      response: { cardinality: 'single', 'base-type': 'float', correct: [String(check.value)] },
      interaction: qti('text-entry-interaction', { 'response-identifier': RESPONSE, 'expected-length': '12' }),
      scored: qti('equal', { 'tolerance-mode': 'absolute', tolerance: `${far} ${far}` }, [
        qti('variable', { identifier: RESPONSE }),
        qti('correct', { identifier: RESPONSE }),
      ]),
    };
  },
  read({ interaction, baseType, correct, equal }) {
    const value = Number(correct[0]);
    const isOne = interaction.name === 'text-entry-interaction' && (baseType === 'float' || baseType === 'integer');
    if (!isOne || correct.length === 0 || !Number.isFinite(value)) return undefined;
    const [far] = (equal?.attributes.tolerance ?? '0').split(/\s+/).map(Number);
    const mode = equal?.attributes['tolerance-mode'];
    const tolerance = mode && mode !== 'exact' && Number.isFinite(far) && far > 0 ? far : 0;
    return {
      kind: 'number',
      value,
      tolerance,
      ...(mode === 'relative' && tolerance > 0 && { inPercent: true }),
      known: [],
      quotes: [],
    };
  },
};
