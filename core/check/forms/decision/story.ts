import { idFrom } from '../../../document/id';
import type { DecisionWording } from '../../../language/pack';
import type { Candidate, Said, Turn } from '../form';
import { allOf } from '../rows';

/** A story of fewer decisions is a question, and of more than these nobody decides with care. */
export const TURNS = { fewest: 2, most: 4 };
/** Beside what is right, so many can be chosen. */
export const WRONG = { fewest: 2, most: 3 };

/** "Call me": only who hears it said knows whom. */
export const OF_AUTHOR = /\b(?:I|me|my|us|our)\b/;

/** Turns as a candidate, called after its lesson or what happens in it; `about`: all that they stand on. */
export function storyOf(
  { title, who = '' }: { title: string; who?: string },
  wording: DecisionWording,
  turns: Turn[],
  about: readonly Said[],
  score: number,
): Candidate {
  return {
    form: 'decision',
    about: allOf(idFrom('c', 'decision', ...about.map(({ id }) => id)), about),
    stem: wording.stem(title),
    asks: { kind: 'scenario', role: wording.role(who.trim()), turns },
    quotes: [],
    level: 'decide',
    difficulty: 0.5,
    score,
    reasons: [`turns:${turns.length}`],
  };
}
