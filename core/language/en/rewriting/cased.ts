/** Words in the case of those they stand for: a capital stays one. */
export function casedLike(was: string, now: string): string {
  return /^\p{Lu}/u.test(was) ? now.charAt(0).toUpperCase() + now.slice(1) : now;
}
