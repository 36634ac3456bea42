import type { ChangeKind } from '../language/change';

/** What an author wants of words. */
export const AIMS = ['shorter', 'simpler', 'less-formal', 'more-formal', 'to-reader'] as const;

export type Aim = (typeof AIMS)[number];

/** The changes that lead towards an aim, the ones that go first before those that build on them. */
export const TOWARDS: Record<Aim, readonly ChangeKind[]> = {
  shorter: ['reference', 'brief'],
  simpler: ['plain', 'split'],
  'less-formal': ['contract'],
  'more-formal': ['expand'],
  'to-reader': ['order'],
};
