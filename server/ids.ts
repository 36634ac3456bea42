import { randomBytes } from 'node:crypto';

/** A random id for something a person makes. */
export function freshId(letter: string): string {
  const alphabet = 'abcdefghijklmnopqrstuvwxyz234567';
  return letter + [...randomBytes(12)].map((byte) => alphabet[byte & 31]).join('');
}
