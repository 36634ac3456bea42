import { object } from '../../document/shape';
import type { BlockForm } from '../form';

/** A pause on the page. */
export type DividerBody = Record<string, never>;

export const divider: BlockForm<DividerBody> = {
  body: object({}),
  texts: () => [],
  mapTexts: (body) => body,
  text: () => '\u2013',
  evidence: 'none',
};
