import { shortHash } from '../../document/id';
import { richText, textOf, type RichText } from '../../document/rich-text';
import { list, object, oneOf } from '../../document/shape';
import type { BlockForm } from '../form';

/** How panels are shown: one of them at a time under their titles, or each opened by its title. */
export const PANEL_SHOWS = ['tabs', 'folds'] as const;

export type PanelShow = (typeof PANEL_SHOWS)[number];

/** Variants of one thing, questions with their answers, detail for who wants it: a title and what is under it. */
export interface PanelsBody {
  show: PanelShow;
  panels: { title: RichText; texts: RichText[] }[];
}

/** Panels of one name shut each other: it is made of their titles, so that it is the same wherever they are shown. */
export const panelGroup = ({ panels }: PanelsBody): string =>
  `panels-${shortHash(panels.map(({ title }) => textOf(title)).join('|'), 8)}`;

/** What calls a panel without a title: its number. */
export const panelLabel = (title: PanelsBody['panels'][number]['title'], at: number): string =>
  textOf(title).trim() === '' ? String(at + 1) : '';

export const panels: BlockForm<PanelsBody> = {
  body: object({
    show: oneOf(...PANEL_SHOWS),
    panels: list(object({ title: richText, texts: list(richText, { min: 1 }) }), { min: 1 }),
  }),
  texts: (body) => body.panels.flatMap(({ title, texts }) => [title, ...texts]),
  mapTexts: (body, change) => ({
    ...body,
    panels: body.panels.map(({ title, texts }) => ({ title: change(title), texts: texts.map(change) })),
  }),
  framed: true,
  prose: true,
  entries: (body) => body.panels.map(({ title, texts }) => ({ lead: title, texts })),
  fromEntries: (entries) => [
    {
      show: 'folds',
      panels: entries.map(({ lead = [], texts }) => ({ title: lead, texts: texts.length > 0 ? texts : [[]] })),
    },
  ],
};
