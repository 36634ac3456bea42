import type { PassageRange } from '../document/rich-text';
import type { Strength } from '../language/pack';

export type ClaimKind =
  'rule' | 'definition' | 'step' | 'figure' | 'warning' | 'reason' | 'example' | 'tip' | 'comparison' | 'role';

/** A typed thing that one or several passages say. */
export interface Claim {
  id: string;
  kind: ClaimKind;
  sourceId: string;
  /** The words it stands on. */
  ranges: PassageRange[];
  /** Those words as one sentence. */
  text: string;
  /** Rules and steps: who (absent: the reader), how strongly, what, under which condition. */
  rule?: {
    strength: Strength;
    negative: boolean;
    subject?: string;
    person: boolean;
    modal?: string;
    action: string;
    condition?: { text: string; word: string; leading: boolean };
    /** Where it does not hold. */
    exception?: string;
    /** By when: the time it names as a limit ("within two days"). */
    deadline?: string;
  };
  /** Definitions. */
  term?: string;
  meaning?: string;
  plural?: boolean;
  /** A definition in the true sense, or one that the source marks as such. */
  proper?: boolean;
  /** Figures: the number with its unit, and its place in `text`. */
  quantity?: {
    value: number;
    unit: string;
    dimension: string;
    text: string;
    from: number;
    to: number;
    worded: boolean;
  };
  /** Why it cannot be read without its neighbours; absent when it can. */
  leaning?: string;
}
