import type { Rewording } from '../document/reworded';

/** What a change does to words. */
export type ChangeKind = 'reference' | 'plain' | 'brief' | 'contract' | 'expand' | 'order' | 'split';

/** A rewording, and what it does. */
export interface Change extends Rewording {
  kind: ChangeKind;
}
