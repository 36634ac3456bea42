import { list, object, oneOf, string } from '../../document/shape';
import { CREDITS, idShape, quoteShape, type CheckFrame, type Credit, type Quote } from '../check';
import type { CheckForm } from '../form';
import { keyProblems } from '../options';

/** Things to be sorted into groups. */
export interface SortCheck extends CheckFrame {
  kind: 'sort';
  groups: { id: string; text: string }[];
  /** `group` is the id of the one it belongs to. */
  items: { id: string; text: string; group: string }[];
  credit: Credit;
  /** What the source says to it. */
  quotes: Quote[];
}

const group = object({ id: idShape, text: string({ min: 1 }) });
const item = object({ id: idShape, text: string({ min: 1 }), group: idShape });

export const sort: CheckForm<SortCheck> = {
  fields: {
    required: {
      groups: list(group, { min: 2 }),
      items: list(item, { min: 2 }),
      credit: oneOf(...CREDITS),
      quotes: list(quoteShape),
    },
  },
  problems({ groups, items }) {
    const ids = groups.map(({ id }) => id);
    const homeless = items.some((each) => !ids.includes(each.group));
    const all = [...ids, ...items.map(({ id }) => id)];
    return [...keyProblems(all, all), ...(homeless ? ['no-key'] : [])];
  },
  reworded: ({ groups, items }, change) => ({
    groups: groups.map(({ id, text }) => ({ id, text: change(text) })),
    items: items.map(({ text, ...rest }) => ({ ...rest, text: change(text) })),
  }),
  text: ({ stem, groups, items }) =>
    [
      stem,
      ...groups.map(
        ({ id, text }) =>
          `\u2713 ${text}: ${items
            .filter((each) => each.group === id)
            .map((each) => each.text)
            .join('; ')}`,
      ),
    ].join('\n'),
};
