import type { Noise } from '../language/noise';

/**
 * How a unit is understood: a procedure with all its steps; a list or table with what introduces it; a run of
 * definitions; code with its lead-in; a question with its whole answer; a story; a warning; a paragraph that states
 * rules; any other paragraph.
 */
export type UnitKind =
  'procedure' | 'list' | 'table' | 'terms' | 'code' | 'question' | 'case' | 'warning' | 'rule' | 'paragraph';

/**
 * What a unit is to one before it: `continues` it, is an `example` of it, an `exception` to it, or what it
 * `introduces`.
 */
export interface Relation {
  kind: 'continues' | 'example' | 'exception' | 'introduces';
  to: string;
}

/**
 * What of a source stands or falls together: never cut inside. Every passage lies in exactly one unit, and the units in
 * order give the source back. Computed from what is understood, never stored.
 */
export interface Unit {
  id: string;
  kind: UnitKind;
  sourceId: string;
  /** Id of the section it stands in. */
  section: string;
  /** The passage that introduces it, first of `passages`. */
  lead?: string;
  passages: string[];
  claimIds: string[];
  words: number;
  /** It teaches nothing, and why. */
  noise?: Noise;
  relations: Relation[];
}
