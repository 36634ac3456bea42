/** What can be chosen, from a table of words. */
export const itemsOf = <T extends string>(words: Readonly<Record<T, string>>): { value: T; label: string }[] =>
  (Object.entries(words) as [T, string][]).map(([value, label]) => ({ value, label }));
