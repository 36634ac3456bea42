import { contentHash } from '../course/id';
import type { ReadPicture } from '../source/blocks';
import { folded } from '../source/inline';

const TYPES: [RegExp, string][] = [
  [/^\u0089PNG\r\n/, 'image/png'], [/^\u00ff\u00d8\u00ff/, 'image/jpeg'], [/^GIF8[79]a/, 'image/gif'], [/^RIFF[\s\S]{4}WEBP/, 'image/webp'],
];

/** Smaller pictures are bullets and rules. */
const SMALLEST = 600;

/** Takes in a picture under the hash of its bytes; undefined for kinds that a browser cannot show safely. */
export function takePicture(media: Map<string, Uint8Array>, bytes: Uint8Array | undefined, alt: string): ReadPicture | undefined {
  if (!bytes || bytes.length < SMALLEST) return undefined;
  const head = String.fromCharCode(...bytes.subarray(0, 16));
  const type = TYPES.find(([pattern]) => pattern.test(head))?.[1];
  if (!type) return undefined;
  const hash = contentHash(bytes);
  media.set(hash, bytes);
  return { kind: 'picture', picture: { hash, type, alt: folded(alt) } };
}
