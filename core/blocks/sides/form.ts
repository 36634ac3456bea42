import { object } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';
import { entrySide, mapSide, NO_SIDE, sideEntry, sideShape, sideTexts, type Side } from '../side';

/** What stands against each other: do and do not, before and after, ours and theirs. */
export interface SidesBody {
  left: Side;
  right: Side;
}

export const sides: BlockForm<SidesBody> = {
  body: object({ left: sideShape, right: sideShape }),
  texts: ({ left, right }) => [...sideTexts(left), ...sideTexts(right)],
  mapTexts: ({ left, right }, change) => ({ left: mapSide(left, change), right: mapSide(right, change) }),
  study: { entries: ({ left, right }) => left.items.length + right.items.length, most: 40 },
  framed: true,
  entries: ({ left, right }) => [left, right].map(sideEntry),
  // Two things stand against each other; of more, their author says which goes where.
  fromEntries: (entries) =>
    entries.length === 2
      ? [{ left: entrySide(entries[0]), right: entrySide(entries[1]) }]
      : [{ left: { title: [], items: entries.flatMap(joinedTexts) }, right: NO_SIDE }],
};
