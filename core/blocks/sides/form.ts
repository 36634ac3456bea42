import { richText, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';

/** One of two sides: what it is, and what is said of it. */
export interface Side {
  title: RichText;
  items: RichText[];
}

/** What stands against each other: do and do not, before and after, ours and theirs. */
export interface SidesBody {
  left: Side;
  right: Side;
}

const side = object({ title: richText, items: list(richText) });
const textsOf = ({ title, items }: Side): RichText[] => [title, ...items];
const mapSide = ({ title, items }: Side, change: (text: RichText) => RichText): Side => ({
  title: change(title),
  items: items.map(change),
});

export const sides: BlockForm<SidesBody> = {
  body: object({ left: side, right: side }),
  texts: ({ left, right }) => [...textsOf(left), ...textsOf(right)],
  mapTexts: ({ left, right }, change) => ({ left: mapSide(left, change), right: mapSide(right, change) }),
  study: { entries: ({ left, right }) => left.items.length + right.items.length, most: 40 },
  framed: true,
  entries: ({ left, right }) => [left, right].map(({ title, items }) => ({ lead: title, texts: items })),
  // Two things stand against each other; of more, their author says which goes where.
  fromEntries: (entries) => {
    const [left, right] = entries;
    const none: Side = { title: [], items: [] };
    if (entries.length !== 2) return [{ left: { title: [], items: entries.flatMap(joinedTexts) }, right: none }];
    return [
      { left: { title: left.lead ?? [], items: left.texts }, right: { title: right.lead ?? [], items: right.texts } },
    ];
  },
};
