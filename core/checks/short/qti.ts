import { qti, RESPONSE, type CheckQti } from '../qti';
import { LONGEST_SHORT, type ShortCheck } from './form';

/** Case counts nowhere; slips are forgiven here only, QTI knows none. */
export const short: CheckQti<ShortCheck> = {
  write: ({ accepted }, points) => ({
    response: {
      cardinality: 'single',
      'base-type': 'string',
      correct: accepted.slice(0, 1),
      mapping: { entries: accepted.map((each) => [each, points]) },
    },
    interaction: qti('text-entry-interaction', {
      'response-identifier': RESPONSE,
      'expected-length': String(Math.max(...accepted.map((each) => each.length)) + 5),
    }),
    scored: 'map',
  }),
  read({ interaction, baseType, correct, mapping }) {
    if (interaction.name !== 'text-entry-interaction' || baseType !== 'string') return undefined;
    const best = Math.max(0, ...mapping.values());
    const mapped = [...mapping].filter(([, value]) => value > 0 && value === best).map(([key]) => key);
    const accepted = [...new Set([...correct, ...mapped])].map((each) => each.trim());
    const good = accepted.filter((each) => each !== '' && each.length <= LONGEST_SHORT);
    return good.length === 0 ? undefined : { kind: 'short', accepted: good, spelling: 'exact', quotes: [] };
  },
};
