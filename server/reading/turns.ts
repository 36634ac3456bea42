/** Work that waits for a place: whose it is, and what to do once it has one. */
interface Waiting {
  who: string;
  go: () => void;
}

/**
 * Gives out a few places fairly: whoever has none is served before whoever has one, and nobody takes the last place
 * beside their own, so that one person's slow files leave the others theirs.
 */
export function fairTurns(places: number) {
  const running = new Map<string, number>();
  const waiting: Waiting[] = [];
  const busy = () => [...running.values()].reduce((sum, each) => sum + each, 0);
  const mayGo = (who: string) => busy() < places && (running.get(who) ?? 0) < Math.max(1, places - 1);

  function next(): void {
    for (;;) {
      const fewest = Math.min(...waiting.map(({ who }) => running.get(who) ?? 0));
      const at = waiting.findIndex(({ who }) => (running.get(who) ?? 0) === fewest && mayGo(who));
      if (at < 0) return;
      const [{ who, go }] = waiting.splice(at, 1);
      running.set(who, (running.get(who) ?? 0) + 1);
      go();
    }
  }

  /** Runs work for somebody as soon as there is a place for them. */
  return async function inTurn<T>(who: string, work: () => Promise<T>): Promise<T> {
    await new Promise<void>((go) => {
      waiting.push({ who, go });
      next();
    });
    try {
      return await work();
    } finally {
      const left = running.get(who)! - 1;
      if (left > 0) running.set(who, left);
      else running.delete(who);
      next();
    }
  };
}
