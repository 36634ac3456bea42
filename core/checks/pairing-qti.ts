import { choicesOf, qti, RESPONSE, within, type QtiGiven, type QtiItem } from './qti';

interface Side {
  id: string;
  text: string;
}

/** Things on one side, each with its one place on the other; places may be taken by many, or by one. */
export function writePairing(
  { from, to, right, many }: { from: readonly Side[]; to: readonly Side[]; right: [string, string][]; many: boolean },
  credit: 'each' | 'all',
  points: number,
): QtiItem {
  const pairs = right.map((pair) => pair.join(' '));
  const set = (side: readonly Side[], max: string) =>
    qti(
      'simple-match-set',
      {},
      side.map(({ id, text }) => qti('simple-associable-choice', { identifier: id, 'match-max': max }, [text])),
    );
  return {
    response: {
      cardinality: 'multiple',
      'base-type': 'directedPair',
      correct: pairs,
      ...(credit === 'each' && {
        mapping: {
          entries: pairs.map((pair) => [pair, points / pairs.length]),
          bounds: { lower: 0, upper: points },
        },
      }),
    },
    interaction: qti(
      'match-interaction',
      { 'response-identifier': RESPONSE, shuffle: 'true', 'max-associations': '0' },
      [set(from, '1'), set(to, many ? '0' : '1')],
    ),
    scored: credit === 'each' ? 'map' : 'match',
  };
}

/** Both sides of a matching as it was read, with what belongs together; undefined for another interaction. */
export function readPairing({
  interaction,
  correct,
  mapping,
}: QtiGiven):
  { from: Side[]; to: Side[]; right: Map<string, string>; many: boolean; credit: 'each' | 'all' } | undefined {
  const [first, second] = within(interaction, 'simple-match-set');
  if (interaction.name !== 'match-interaction' || !first || !second) return undefined;
  const [from, to] = [first, second].map((set) => choicesOf(set, 'simple-associable-choice'));
  const right = new Map(correct.map((pair) => pair.trim().split(/\s+/) as [string, string]));
  const most = to.map(({ node }) => Number(node.attributes['match-max'] ?? 1));
  return {
    from,
    to,
    right,
    many: most.some((each) => each !== 1),
    credit: mapping.size > 0 ? 'each' : 'all',
  };
}
