import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

const ALPHABET = 'abcdefghijklmnopqrstuvwxyz234567';

/** Every id in a document: valid as XML id, URL part and file name. */
export const ID_PATTERN = /^[a-z][a-z0-9]{9,15}$/;

/**
 * A name of a person: without signs that cannot be seen or turn the writing around, by which it could pass for
 * another's. Joiners, which some scripts need, may stand in it.
 */
export const NAME_PATTERN =
  /^[^\p{Cc}\p{Co}\p{Cs}\u200b\u200e\u200f\u2028-\u202e\u2060-\u206f\ufeff]*[^\p{C}\s][^\p{Cc}\p{Co}\p{Cs}\u200b\u200e\u200f\u2028-\u202e\u2060-\u206f\ufeff]*$/u;

/** The SHA-256 of bytes or text, as lower-case hex. */
export function contentHash(content: Uint8Array | string): string {
  return bytesToHex(sha256(typeof content === 'string' ? utf8ToBytes(content) : content));
}

/** The first `length` base-32 letters of the SHA-256 of a text; equal texts give equal letters on every machine. */
export function shortHash(text: string, length: number): string {
  const bytes = sha256(utf8ToBytes(text));
  let letters = '';
  for (let bit = 0; letters.length < length; bit += 5) {
    const at = bit >> 3;
    const pair = (bytes[at] << 8) | (bytes[at + 1] ?? 0);
    letters += ALPHABET[(pair >> (11 - (bit & 7))) & 31];
  }
  return letters;
}

/**
 * An id for something the engine makes: the same letter and parts always give the same id.
 * `letter` says what it is (m module, l lesson, b block, k check, o objective, p passage, c claim, s source, t term).
 */
export function idFrom(letter: string, ...parts: (string | number)[]): string {
  return letter + shortHash(parts.join('\u0000'), 12);
}
