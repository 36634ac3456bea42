/** What Nuxt puts into every file of the desk; tests put a stand-in there. */
declare const $fetch: <T = unknown>(
  path: string,
  options?: { method?: string; body?: unknown; query?: Record<string, unknown>; headers?: Record<string, string> },
) => Promise<T>;
