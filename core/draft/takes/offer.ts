import type { Take } from '../../course/course';

/** Another take of a row that the engine offers, and what differs in it. */
export interface RowOffer extends Pick<Take, 'of' | 'field' | 'value'> {
  says: { kind: RowTakeKind; passages?: number; minutes?: number; title?: string };
}

/**
 * title, objective: other words; narrow: without background and examples; wide: with what nothing uses and is about it;
 * source: only what the source that says most says; in-sources-order: as the sources go; in-two, joined: a module in
 * two, with the next; terms-first: what a term means before it is used; promise-first: what the promise speaks of.
 */
export type RowTakeKind =
  | 'title'
  | 'objective'
  | 'narrow'
  | 'wide'
  | 'source'
  | 'in-sources-order'
  | 'in-two'
  | 'joined'
  | 'terms-first'
  | 'promise-first';
