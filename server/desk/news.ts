/**
 * What watching windows are told; the matter itself comes through the normal routes, so that rights live in one place.
 */
export type News =
  { kind: 'course'; revision: number } | { kind: 'job'; job: string; step: number } | { kind: 'learners' };

/** Tells those who watch a course that something happened to it. */
export function newsDesk() {
  const watching = new Map<string, Set<(news: News) => void>>();
  return {
    /** Listens to a course; what comes back stops it. */
    watch(course: string, listener: (news: News) => void): () => void {
      const listeners = watching.get(course) ?? new Set();
      watching.set(course, listeners.add(listener));
      return () => {
        listeners.delete(listener);
        if (listeners.size === 0) watching.delete(course);
      };
    },
    tell(course: string, news: News): void {
      for (const listener of watching.get(course) ?? []) {
        try {
          listener(news);
        } catch (error) {
          // A window that cannot be told must not keep the work from going on.
          console.error(error);
        }
      }
    },
  };
}

export type NewsDesk = ReturnType<typeof newsDesk>;
