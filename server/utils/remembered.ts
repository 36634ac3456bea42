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
  /** Keeps something as the newest, in place of what was kept under its key. */
  function keep<Made extends T>(key: string, made: Made): Made {
    forget(key);
    kept.set(key, made);
    heavy += weigh(made);
    while (kept.size > 1 && (kept.size > most || heavy > weight)) forget(kept.keys().next().value!);
    return made;
  }
  return {
    forget,
    /** Forgets everything under keys of a kind. */
    forgetWhere: (fits: (key: string) => boolean) => [...kept.keys()].filter(fits).forEach(forget),
    keep,
    /** What is kept under a key, or made now; what is made as nothing is not kept. */
    of<Made extends T | undefined>(key: string, make: () => Made): Made | T {
      const found = kept.get(key) ?? make();
      return found === undefined ? found : keep(key, found);
    },
  };
}

/** Words of sources that are held understood, or read, at a time: some 15 MB of text. */
export const WORDS_HELD = 2_500_000;
