/**
 * How much a request's body may hold: bytes; values (names, words, numbers, lists and objects each count); how deep
 * they lie in each other.
 */
export interface BodyLimit {
  bytes: number;
  values: number;
  depth: number;
}

const KB = 1024;

/** Bodies by what they carry. A route that names none gets `form`: what a person fills in. */
export const BODY_LIMITS = {
  form: { bytes: 32 * KB, values: 400, depth: 6 },
  /** Ids of lessons or sources. */
  list: { bytes: 256 * KB, values: 6_000, depth: 6 },
  /** What learners do, up to 200 at a time. */
  events: { bytes: 256 * KB, values: 4_000, depth: 6 },
  /** Pasted text and transcripts, at four bytes a letter. */
  text: { bytes: 8_192 * KB, values: 40, depth: 4 },
  /** A gesture of an author: whole pages, drafted outlines. */
  operations: { bytes: 16_384 * KB, values: 600_000, depth: 40 },
  /** Files, which are passed on to the disk and counted there. */
  file: { bytes: 64 * KB * KB, values: 0, depth: 0 },
  /** Films, and archives of courses that have such. */
  media: { bytes: 300 * KB * KB, values: 0, depth: 0 },
  archive: { bytes: 700 * KB * KB, values: 0, depth: 0 },
} as const satisfies Record<string, BodyLimit>;

export type BodyKind = keyof typeof BODY_LIMITS;

/**
 * Whether JSON text is within a limit, by one pass over its signs: nothing is built from it before that is known.
 * Every comma, colon and opening bracket stands for a value.
 */
export function withinLimit(text: string, { values, depth }: BodyLimit): boolean {
  let open = 0;
  let count = 0;
  let inText = false;
  for (let at = 0; at < text.length; at++) {
    const sign = text.charCodeAt(at);
    if (inText) {
      if (sign === 0x5c) at++;
      else if (sign === 0x22) inText = false;
    } else if (sign === 0x22) inText = true;
    else if (sign === 0x7b || sign === 0x5b) {
      if (++open > depth) return false;
      count++;
    } else if (sign === 0x7d || sign === 0x5d) open--;
    else if (sign === 0x2c || sign === 0x3a) count++;
    if (count > values) return false;
  }
  return true;
}
