import { fail } from '../../core/document/problem';
import type { Db } from '../database/open';
import { attemptsIn } from '../database/attempts';
import { fairTurns } from '../reading/turns';

const WINDOW = 600_000;
/**
 * Tries within the window: for one name from one address, and from one address for whatever names; then it is locked.
 */
const MOST = { pair: 10, address: 100 };
/**
 * Tries at one name, from wherever: beyond that every further one waits longer, so that nobody can shut its owner out.
 */
const FREE = 10;
const SLOWEST = 5_000;
/** Passwords that are checked at a time: each takes a core and 16 MB. */
const CHECKED = 4;
/** Tries at one name that may wait at a time. */
const WAITING = 10;

/**
 * Lets people try to sign in: a try is counted, in the database, before anything is checked. A name from an address
 * that tried too often is locked there (`too-many-tries`, with the seconds to wait); the name itself only gets slower.
 */
export function signInTries(
  db: Db,
  now: () => number,
  wait: (milliseconds: number) => Promise<void> = (time) => new Promise((go) => setTimeout(go, time)),
) {
  const attempts = attemptsIn(db);
  const turn = fairTurns(CHECKED);
  const waiting = new Map<string, number>();

  return async function trying<T>(
    login: string,
    address: string,
    check: () => Promise<T | undefined>,
  ): Promise<T | undefined> {
    const since = now() - WINDOW;
    attempts.forget(since);
    for (const [most, of] of [
      [MOST.pair, attempts.ofPair(login, address, since)],
      [MOST.address, attempts.ofAddress(address, since)],
    ] as const) {
      if (of.length >= most)
        fail('too-many-tries', { seconds: Math.max(1, Math.ceil((of[of.length - most] + WINDOW - now()) / 1000)) });
    }
    const before = attempts.ofLogin(login, since).length;
    if ((waiting.get(login) ?? 0) >= WAITING) fail('too-many-tries', { seconds: Math.ceil(SLOWEST / 1000) });
    attempts.add(login, address, now());
    waiting.set(login, (waiting.get(login) ?? 0) + 1);
    try {
      if (before >= FREE) await wait(Math.min(SLOWEST, (before - FREE + 1) * 500));
      const found = await turn(address, check);
      if (found !== undefined) attempts.clear(login, address);
      return found;
    } finally {
      const left = waiting.get(login)! - 1;
      if (left > 0) waiting.set(login, left);
      else waiting.delete(login);
    }
  };
}

export type SignInTries = ReturnType<typeof signInTries>;
