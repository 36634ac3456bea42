import { object } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';
import { entrySide, mapSide, NO_SIDE, sideEntry, sideShape, sideTexts, type Side } from '../side';

/** An example gone through with its figures: what is given, step by step, and what comes out. */
export interface WorkedBody {
  given: Side;
  working: Side;
  result: Side;
}

const partsOf = ({ given, working, result }: WorkedBody): Side[] => [given, working, result];
const SECONDS_A_STEP = 6;

export const worked: BlockForm<WorkedBody> = {
  body: object({ given: sideShape, working: sideShape, result: sideShape }),
  texts: (body) => partsOf(body).flatMap(sideTexts),
  mapTexts: ({ given, working, result }, change) => ({
    given: mapSide(given, change),
    working: mapSide(working, change),
    result: mapSide(result, change),
  }),
  study: { entries: ({ working }) => working.items.length, most: 40, minutes: SECONDS_A_STEP / 60 },
  framed: true,
  entries: (body) => partsOf(body).map(sideEntry),
  fromEntries: (entries) =>
    entries.length === 3
      ? [{ given: entrySide(entries[0]), working: entrySide(entries[1]), result: entrySide(entries[2]) }]
      : [{ given: NO_SIDE, working: { title: [], items: entries.flatMap(joinedTexts) }, result: NO_SIDE }],
};
