import { contentHash } from '../document/id';
import type { ReadPicture } from '../source/blocks';
import { folded } from '../source/inline';

const TYPES: [RegExp, string][] = [
  [/^\u0089PNG\r\n/, 'image/png'],
  [/^\u00ff\u00d8\u00ff/, 'image/jpeg'],
  [/^GIF8[79]a/, 'image/gif'],
  [/^RIFF[\s\S]{4}WEBP/, 'image/webp'],
];

/** What programs put where a description belongs: the picture's file. It tells nobody what is shown. */
const FILE_NAME = /\.(?:png|jpe?g|gif|webp|avif|bmp|svg|tiff?|emf|wmf)$/i;

/** Smaller pictures are bullets and rules. */
const SMALLEST = 600;

/**
 * Takes in the pictures of a page: those it holds itself (`data:` addresses) and those that `bytesAt` finds; nothing is
 * fetched.
 */
export function pictureFrom(
  media: Map<string, Uint8Array>,
  bytesAt: (address: string) => Uint8Array | undefined = () => undefined,
): (image: Element) => ReadPicture | undefined {
  return (image) => {
    const address = image.getAttribute('src') ?? '';
    return takePicture(media, within(address) ?? bytesAt(/^[^#?]*/.exec(address)![0]), image.getAttribute('alt') ?? '');
  };
}

/** The bytes that an address holds itself. */
export function within(address: string): Uint8Array | undefined {
  const [, data] = /^data:image\/[a-z0-9.+-]+;base64,([A-Za-z0-9+/=\s]*)$/i.exec(address) ?? [];
  if (data === undefined) return undefined;
  try {
    return Uint8Array.from(atob(data.replace(/\s+/g, '')), (character) => character.charCodeAt(0));
  } catch {
    return undefined;
  }
}

/** Takes in a picture under the hash of its bytes; undefined for kinds that a browser cannot show safely. */
export function takePicture(
  media: Map<string, Uint8Array>,
  bytes: Uint8Array | undefined,
  alt: string,
): ReadPicture | undefined {
  if (!bytes || bytes.length < SMALLEST) return undefined;
  const head = String.fromCharCode(...bytes.subarray(0, 16));
  const type = TYPES.find(([pattern]) => pattern.test(head))?.[1];
  if (!type) return undefined;
  const hash = contentHash(bytes);
  media.set(hash, bytes);
  const words = folded(alt);
  return { kind: 'picture', picture: { hash, type, alt: FILE_NAME.test(words) ? '' : words } };
}
