import { imageSize } from 'image-size';
import { contentHash } from '../document/id';
import { PICTURE_TYPES, type MediaRef, type PictureType } from '../document/media';
import { fail } from '../document/problem';

/** What a picture may be at most, said before one is sent: bytes, and pixels once it is unpacked. */
export const PICTURE_LIMITS = { bytes: 20 * 1024 * 1024, pixels: 50_000_000 };

const TYPES: Record<string, PictureType> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
  avif: 'image/avif',
};

/**
 * What a picture is, by its bytes: whatever its name says. Sizes are read from the header, nothing is unpacked; a
 * picture that is turned when shown is as wide as it is shown. Throws `no-picture`, `picture-too-big`.
 */
export function inspectPicture(bytes: Uint8Array, name: string): MediaRef {
  if (bytes.length > PICTURE_LIMITS.bytes)
    fail(
      'file-too-big',
      {
        megabytes: Math.ceil(bytes.length / 1_048_576),
        limit: PICTURE_LIMITS.bytes / 1_048_576,
      },
      name,
    );
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

const kinds = () => ({
  kinds: [...new Set(Object.values(PICTURE_TYPES))].map((each) => each.toUpperCase()).join(', '),
});

function sizeOf(bytes: Uint8Array) {
  try {
    const { type, ...size } = imageSize(bytes);
    return type !== undefined && Object.hasOwn(TYPES, type) ? { type: TYPES[type], ...size } : undefined;
  } catch {
    // Whatever is wrong with it, it cannot be shown.
    return undefined;
  }
}
