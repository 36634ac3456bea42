/** JSON with sorted keys and without absent values: equal data, equal text. */
export function canonicalJson(value: unknown, indent?: number): string {
  return JSON.stringify(sorted(value), undefined, indent);
}

/** Whether two pieces of plain data are equal, whatever the order of their keys. */
export function sameData(a: unknown, b: unknown): boolean {
  const [left, right] = [a ?? null, b ?? null];
  if (left === right) return true;
  if (typeof left !== 'object' || typeof right !== 'object' || left === null || right === null) return false;
  if (Array.isArray(left) || Array.isArray(right))
    return (
      Array.isArray(left) &&
      Array.isArray(right) &&
      left.length === right.length &&
      left.every((part, at) => sameData(part, right[at]))
    );
  const [mine, theirs] = [left as Record<string, unknown>, right as Record<string, unknown>];
  const keys = Object.keys(mine).filter((key) => mine[key] !== undefined);
  return (
    keys.length === Object.keys(theirs).filter((key) => theirs[key] !== undefined).length &&
    keys.every((key) => theirs[key] !== undefined && sameData(mine[key], theirs[key]))
  );
}

function sorted(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value)) return value.map(sorted);
  const own = value as Record<string, unknown>;
  const result: Record<string, unknown> = {};
  for (const key of Object.keys(own).sort((a, b) => (a < b ? -1 : 1)))
    if (own[key] !== undefined) result[key] = sorted(own[key]);
  return result;
}
