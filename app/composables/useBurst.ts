import { freshId } from './useApi';

/** Keys typed without so long a rest, in milliseconds, are one gesture: undone together. */
const REST = 3000;

/** Gives the gesture that a change of a field belongs to: the running one while somebody types, otherwise a new one. */
export function useBurst(): (field: string) => string {
  const groups = new Map<string, { group: string; at: number }>();
  return (field) => {
    const last = groups.get(field);
    const group = last && Date.now() - last.at < REST ? last.group : freshId('g');
    groups.set(field, { group, at: Date.now() });
    return group;
  };
}
