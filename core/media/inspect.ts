import { imageSize } from 'image-size';
import { contentHash } from '../document/id';
import { MEDIA_TYPES, PICTURE_TYPES, type PictureRef, type PictureType } from '../document/media';
import { fail } from '../document/problem';

const MB = 1024 * 1024;

/** What a picture may be at most, said before one is sent: bytes, and pixels once it is unpacked. */
export const PICTURE_LIMITS = { bytes: 20 * MB, pixels: 50_000_000 };

const TYPES: Record<string, PictureType> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
  avif: 'image/avif',
};

/**
 * What a picture is, by its bytes: whatever its name says. Sizes are read from the header, nothing is unpacked; a
 * picture that is turned when shown is as wide as it is shown. Throws `no-picture`, `picture-too-big`,
 * `media-too-big`.
 */
export function inspectPicture(bytes: Uint8Array, name: string): PictureRef {
  tooBig(bytes.length, PICTURE_LIMITS.bytes, name);
  const { type, width, height, orientation } = sizeOf(bytes) ?? fail('no-picture', kinds(), name);
  if (!(width > 0 && height > 0)) fail('no-picture', kinds(), name);
  if (width * height > PICTURE_LIMITS.pixels)
    fail(
      'picture-too-big',
      {
        megapixels: Math.ceil((width * height) / 1_000_000),
        limit: PICTURE_LIMITS.pixels / 1_000_000,
      },
      name,
    );
  const turned = (orientation ?? 1) >= 5;
  return { hash: contentHash(bytes), type, width: turned ? height : width, height: turned ? width : height };
}

/** Whether bytes begin as a picture does; what of it is wrong is told by `inspectPicture`. */
export const isPicture = (bytes: Uint8Array): boolean => sizeOf(bytes) !== undefined;

/** Throws `file-too-big` for more bytes than a file of its kind may have. */
export function tooBig(bytes: number, limit: number, name: string): void {
  if (bytes > limit) fail('file-too-big', { megabytes: Math.ceil(bytes / MB), limit: limit / MB }, name);
}

/** The endings of what is taken in, as a message lists them. */
export const mediaKinds = (types: readonly string[] = Object.keys(MEDIA_TYPES)) => ({
  kinds: [...new Set(types.map((type) => MEDIA_TYPES[type].ends.toUpperCase()))].join(', '),
});

const kinds = () => mediaKinds(Object.keys(PICTURE_TYPES));

function sizeOf(bytes: Uint8Array) {
  try {
    const { type, ...size } = imageSize(bytes);
    return type !== undefined && Object.hasOwn(TYPES, type) ? { type: TYPES[type], ...size } : undefined;
  } catch {
    // Whatever is wrong with it, it cannot be shown.
    return undefined;
  }
}
