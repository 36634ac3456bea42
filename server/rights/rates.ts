/** How often something may be done: so many times within so many milliseconds. */
export interface Rate {
  most: number;
  within: number;
}

/** Keys remembered at a time; beyond that the longest unused go. */
const KEPT = 20_000;

/**
 * Counts what is done by key, over a window that glides. Says how many milliseconds to wait; 0: it may be done, and is
 * counted.
 */
export function rateLimit(now: () => number, { most, within }: Rate) {
  const done = new Map<string, number[]>();
  return (key: string): number => {
    const recent = (done.get(key) ?? []).filter((at) => now() - at < within);
    const wait = recent.length < most ? 0 : recent[0] + within - now();
    if (wait === 0) recent.push(now());
    done.delete(key);
    done.set(key, recent);
    if (done.size > KEPT) done.delete(done.keys().next().value!);
    return wait;
  };
}

const MINUTE = 60_000;

/** What people outside of the installation may do how often. */
export const RATES = {
  /** New learners from one address, and at one link: a class may begin at once, a script may not go on. */
  beginAddress: { most: 60, within: 10 * MINUTE },
  beginLink: { most: 600, within: 60 * MINUTE },
  /** Tries at somebody's place in a course. */
  returnAddress: { most: 20, within: 10 * MINUTE },
  /** Tries at the link of a letter. */
  linkAddress: { most: 30, within: 10 * MINUTE },
  /** Files that one learner hands in. */
  handed: { most: 60, within: 10 * MINUTE },
  /** Feedback forms filled in by who is no learner: a room full of people at once, a script not for long. */
  formAddress: { most: 200, within: 10 * MINUTE },
  form: { most: 600, within: 60 * MINUTE },
  /** What one learner sends. */
  learner: { most: 1_500, within: MINUTE },
} as const satisfies Record<string, Rate>;
