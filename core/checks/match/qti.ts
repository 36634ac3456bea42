import { idFrom } from '../../document/id';
import { readPairing, writePairing } from '../pairing-qti';
import type { CheckQti } from '../qti';
import type { MatchCheck } from './form';

const side = (text: string) => idFrom('a', 'side', text);

export const match: CheckQti<MatchCheck> = {
  write: ({ pairs, others, credit }, points) => {
    const texts = [...new Set([...pairs.map(({ right }) => right), ...others.map(({ text }) => text)])];
    return writePairing(
      {
        from: pairs.map(({ id, left }) => ({ id, text: left })),
        // Among the right ones the wrong ones stand by their ids, which say nothing.
        to: texts.map((text) => ({ id: side(text), text })).sort((a, b) => (a.id < b.id ? -1 : 1)),
        right: pairs.map(({ id, right }) => [id, side(right)]),
        many: new Set(pairs.map(({ right }) => right)).size < pairs.length,
      },
      credit,
      points,
    );
  },
  read(given, id) {
    const found = readPairing(given);
    if (!found) return undefined;
    const { from, to, right, credit } = found;
    const texts = new Map(to.map((each) => [each.id, each.text]));
    const pairs = from.flatMap((each) => {
      const text = texts.get(right.get(each.id) ?? '');
      return text === undefined ? [] : [{ id: id('a'), left: each.text, right: text }];
    });
    const used = new Set(right.values());
    const others = to.filter((each) => !used.has(each.id)).map(({ text }) => ({ id: id('a'), text }));
    return pairs.length < 2 ? undefined : { kind: 'match', pairs, others, credit, quotes: [] };
  },
};
