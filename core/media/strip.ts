import type { PictureType } from '../document/media';

/**
 * A picture without what its camera or program wrote beside it: places, names, times, previews. What decides how it
 * is shown stays: colours, and which way up. Pixels are not touched; bytes that are not as their format wants come
 * back as they are, for whoever shows them to refuse. Formats: JPEG (ITU T.81, Exif 2.32), PNG (W3C, third edition),
 * WebP (RFC 9649).
 */
export function withoutMetadata(bytes: Uint8Array, type: PictureType): Uint8Array {
  try {
    return STRIPS[type]?.(bytes) ?? bytes;
  } catch {
    // Cut off in the middle of a length.
    return bytes;
  }
}

const STRIPS: Partial<Record<PictureType, (bytes: Uint8Array) => Uint8Array>> = {
  'image/jpeg': stripJpeg,
  'image/png': stripPng,
  'image/webp': stripWebp,
};

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
const letters = (bytes: Uint8Array, from: number, count: number) =>
  String.fromCharCode(...bytes.subarray(from, from + count));

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/** Segments of a JPEG file that say how it is shown: its size, JFIF, colour profile, the colour transform. */
const START_OF_SCAN = 0xda;
const APP = { first: 0xe0, exif: 0xe1, icc: 0xe2, adobe: 0xee, last: 0xef };
const COMMENT = 0xfe;

function stripJpeg(bytes: Uint8Array): Uint8Array {
  const view = viewOf(bytes);
  const parts = [bytes.subarray(0, 2)];
  let at = 2;
  while (view.getUint8(at) === 0xff) {
    const marker = view.getUint8(at + 1);
    if (marker === START_OF_SCAN) return joined([...parts, bytes.subarray(at)]);
    const end = at + 2 + view.getUint16(at + 2);
    if (end > bytes.length) return bytes;
    const isProfile = marker === APP.icc && letters(bytes, at + 4, 11) === 'ICC_PROFILE';
    const isBeside = (marker >= APP.first && marker <= APP.last) || marker === COMMENT;
    if (!isBeside || marker === APP.first || marker === APP.adobe || isProfile) parts.push(bytes.subarray(at, end));
    else if (marker === APP.exif && letters(bytes, at + 4, 4) === 'Exif') {
      const turn = orientationIn(bytes.subarray(at + 10, end));
      if (turn > 1) parts.push(exifOf(turn));
    }
    at = end;
  }
  return bytes;
}

const ORIENTATION = 0x0112;

/** Which way up an Exif block (TIFF 6.0) says that a picture is, 1 to 8; 1 where it says nothing. */
function orientationIn(tiff: Uint8Array): number {
  if (tiff.length < 14) return 1;
  const view = viewOf(tiff);
  const little = letters(tiff, 0, 2) === 'II';
  const directory = view.getUint32(4, little);
  if (directory + 2 > tiff.length) return 1;
  const entries = view.getUint16(directory, little);
  for (let entry = 0; entry < entries && directory + 14 + entry * 12 <= tiff.length; entry++) {
    const at = directory + 2 + entry * 12;
    if (view.getUint16(at, little) === ORIENTATION) {
      const value = view.getUint16(at + 8, little);
      return value >= 1 && value <= 8 ? value : 1;
    }
  }
  return 1;
}

/** An Exif segment that says which way up a picture is, and nothing else. */
const exifOf = (turn: number): Uint8Array =>
  // prettier-ignore
  Uint8Array.from([
    0xff, APP.exif, 0, 34, 0x45, 0x78, 0x69, 0x66, 0, 0,
    0x4d, 0x4d, 0, 42, 0, 0, 0, 8, 0, 1,
    ORIENTATION >> 8, ORIENTATION & 0xff, 0, 3, 0, 0, 0, 1, 0, turn, 0, 0, 0, 0, 0, 0,
  ]);

const PNG_BESIDE = new Set(['tEXt', 'zTXt', 'iTXt', 'tIME', 'eXIf']);

function stripPng(bytes: Uint8Array): Uint8Array {
  const view = viewOf(bytes);
  const parts = [bytes.subarray(0, 8)];
  let at = 8;
  while (at + 12 <= bytes.length) {
    const name = letters(bytes, at + 4, 4);
    const end = at + 12 + view.getUint32(at);
    if (end > bytes.length) return bytes;
    if (!PNG_BESIDE.has(name)) parts.push(bytes.subarray(at, end));
    at = end;
    // What is hung behind the end is no part of the picture.
    if (name === 'IEND') return joined(parts);
  }
  return bytes;
}

const WEBP_BESIDE = new Set(['EXIF', 'XMP ']);
/** Bits of the extended header that say that those are there. */
const WEBP_FLAGS = 0b1100;

function stripWebp(bytes: Uint8Array): Uint8Array {
  const view = viewOf(bytes);
  const parts: Uint8Array[] = [];
  const whole = Math.min(bytes.length, 8 + view.getUint32(4, true));
  for (let at = 12; at + 8 <= whole;) {
    const name = letters(bytes, at, 4);
    const size = view.getUint32(at + 4, true);
    const end = at + 8 + size + (size % 2);
    if (end > bytes.length) return bytes;
    if (!WEBP_BESIDE.has(name)) {
      const chunk = bytes.slice(at, end);
      if (name === 'VP8X') chunk[8] &= ~WEBP_FLAGS;
      parts.push(chunk);
    }
    at = end;
  }
  const body = joined(parts);
  const head = bytes.slice(0, 12);
  viewOf(head).setUint32(4, 4 + body.length, true);
  return joined([head, body]);
}
