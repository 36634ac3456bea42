/** JSON with sorted keys and without absent values: equal data, equal text. */
export function canonicalJson(value: unknown, indent?: number): string {
  return JSON.stringify(sorted(value), undefined, indent);
}

/** Whether two pieces of plain data are equal, whatever the order of their keys. */
export function sameData(a: unknown, b: unknown): boolean {
  return a === b || canonicalJson(a ?? null) === canonicalJson(b ?? null);
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, part]) => part !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, part]) => [key, sorted(part)]),
  );
}
