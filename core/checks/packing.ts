import type { BitReader, BitWriter } from './marking';

/** A place among few is packed into so many bits; 0 is none, and what stands behind the 15th cannot be packed. */
export const PLACE_BITS = 4;
const MOST = 2 ** PLACE_BITS - 1;
const LETTERS = 'abcdefghijklmnopqrstuvwxyz';
/** Typed words are kept up to so many bytes of UTF-8; longer ones are not kept. */
const LENGTH_BITS = 8;

type Named = readonly { id: string }[];

/** Writes which of some things is meant. */
export function putPlace(things: Named, id: string | undefined, bits: BitWriter): void {
  const place = things.findIndex((each) => each.id === id) + 1;
  bits.put(place <= MOST ? place : 0, PLACE_BITS);
}

/** The letter of a thing by its place, as reports name it. */
export function placeIn(things: Named, id: string): string | undefined {
  return LETTERS[things.findIndex((each) => each.id === id)];
}

/**
 * Writes which thing of `to` belongs to each of `from`, in order, and reads it back; undefined where one is missing.
 */
export function putPairs(from: Named, to: Named, pairs: Readonly<Record<string, string>>, bits: BitWriter): void {
  for (const { id } of from) putPlace(to, pairs[id], bits);
}
export function takePairs(from: Named, to: Named, bits: BitReader): Record<string, string> | undefined {
  const pairs = from.map(({ id }) => [id, to[bits(PLACE_BITS) - 1]?.id] as const);
  return pairs.every(([, place]) => place !== undefined)
    ? (Object.fromEntries(pairs) as Record<string, string>)
    : undefined;
}

/** Writes a number to seven digits behind a bit that says there is one. */
export function putNumber(value: number, bits: BitWriter): void {
  const view = new DataView(new ArrayBuffer(4));
  view.setFloat32(0, value);
  bits.put(1, 1);
  for (const at of [0, 2]) bits.put(view.getUint16(at), 16);
}
export function takeNumber(bits: BitReader): number | undefined {
  const isThere = bits(1) === 1;
  const view = new DataView(new ArrayBuffer(4));
  if (isThere) for (const at of [0, 2]) view.setUint16(at, bits(16));
  return isThere ? Number(view.getFloat32(0).toPrecision(7)) : undefined;
}

/** Writes typed words with their length in front; none where they are too long. */
export function putText(text: string, bits: BitWriter): void {
  const bytes = new TextEncoder().encode(text);
  const kept = bytes.length < 2 ** LENGTH_BITS ? bytes : bytes.subarray(0, 0);
  bits.put(kept.length, LENGTH_BITS);
  for (const byte of kept) bits.put(byte, 8);
}
export function takeText(bits: BitReader): string | undefined {
  const bytes = Uint8Array.from({ length: bits(LENGTH_BITS) }, () => bits(8));
  return bytes.length > 0 ? new TextDecoder().decode(bytes) : undefined;
}
