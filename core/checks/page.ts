import type { PageView } from '../blocks/page';
import type { CheckFrame } from './check';

/** What can be answered to a check of a kind, as HTML for its author: the right answer marked, and why it is. */
export type CheckPage<Kind extends CheckFrame> = (check: Kind, view: PageView) => string;
