import { richText, type RichText } from '../document/rich-text';
import { list, object } from '../document/shape';
import type { Entry } from './entry';

/** What stands under a title on a block that has a fixed number of such: what it is, and what is said of it. */
export interface Side {
  title: RichText;
  items: RichText[];
}

export const NO_SIDE: Side = { title: [], items: [] };

export const sideShape = object({ title: richText, items: list(richText) });

export const sideTexts = ({ title, items }: Side): RichText[] => [title, ...items];

export const mapSide = ({ title, items }: Side, change: (text: RichText) => RichText): Side => ({
  title: change(title),
  items: items.map(change),
});

/** A side as an entry, and back. */
export const sideEntry = ({ title, items }: Side): Entry => ({ lead: title, texts: items });
export const entrySide = ({ lead = [], texts }: Entry): Side => ({ title: lead, items: texts });
