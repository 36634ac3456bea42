/** How much is kept: so many at most, and, where they differ much in size, no more than `weight` together. */
interface Limits<T> {
  most: number;
  weigh?: (each: T) => number;
  weight?: number;
}

/** Keeps the last few of what is costly to make, by key. The newest stays however heavy it is. */
export function remembered<T>({ most, weigh = () => 0, weight = Infinity }: Limits<T>) {
  const kept = new Map<string, T>();
  let heavy = 0;
  function forget(key: string): void {
    if (!kept.has(key)) return;
    heavy -= weigh(kept.get(key)!);
    kept.delete(key);
  }
  return {
    forget,
    of<Made extends T | undefined>(key: string, make: () => Made): Made | T {
      const found = kept.get(key) ?? make();
      if (found === undefined) return found;
      forget(key);
      kept.set(key, found);
      heavy += weigh(found);
      while (kept.size > 1 && (kept.size > most || heavy > weight)) forget(kept.keys().next().value!);
      return found;
    },
  };
}

/** Words of sources that are held understood, or read, at a time: some 15 MB of text. */
export const WORDS_HELD = 2_500_000;
