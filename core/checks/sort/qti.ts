import { byLetters } from '../options';
import { readPairing, writePairing } from '../pairing-qti';
import type { CheckQti } from '../qti';
import type { SortCheck } from './form';

/** A matching of which one side takes any number. */
export const sort: CheckQti<SortCheck> = {
  write: ({ groups, items, credit }, points) =>
    writePairing(
      {
        from: [...items].sort((a, b) => byLetters(a.id, b.id)),
        to: groups,
        right: items.map(({ id, group }) => [id, group]),
        many: true,
      },
      credit,
      points,
    ),
  read(given, id) {
    const found = readPairing(given);
    if (!found?.many || found.to.length < 2) return undefined;
    const groups = new Map(found.to.map((each) => [each.id, { id: id('a'), text: each.text }]));
    const items = found.from.flatMap(({ id: own, text }) => {
      const group = groups.get(found.right.get(own) ?? '');
      return group ? [{ id: id('a'), text, group: group.id }] : [];
    });
    if (items.length < 2) return undefined;
    return { kind: 'sort', groups: [...groups.values()], items, credit: found.credit, quotes: [] };
  },
};
