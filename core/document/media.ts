import { number, object, oneOf, string } from './shape';

/** Kinds of pictures that a browser shows without running anything in them, with what their files end in. */
export const PICTURE_TYPES = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/gif': 'gif',
  'image/webp': 'webp',
  'image/avif': 'avif',
} as const;

export type PictureType = keyof typeof PICTURE_TYPES;

/** A file of media as a document names it: by the SHA-256 of its bytes, with what must be known to lay it out. */
export interface MediaRef {
  hash: string;
  type: PictureType;
  /** In pixels. */
  width: number;
  height: number;
}

export const MEDIA_HASH = /^[0-9a-f]{64}$/;

export const mediaRef = object({
  hash: string({ pattern: MEDIA_HASH }),
  type: oneOf(...Object.keys(PICTURE_TYPES)),
  width: number({ min: 1, max: 100_000, whole: true }),
  height: number({ min: 1, max: 100_000, whole: true }),
});

/** The name of a media file in archives and packages. */
export const mediaName = ({ hash, type }: Pick<MediaRef, 'hash' | 'type'>): string => `${hash}.${PICTURE_TYPES[type]}`;

/**
 * The media that a piece of a document names, each once, wherever it stands: on pages, in takes, in the bin. Kinds of
 * blocks name media by a `MediaRef` and nothing else, so none has to be asked.
 */
export function mediaRefs(value: unknown): MediaRef[] {
  const found = new Map<string, MediaRef>();
  const walk = (part: unknown): void => {
    if (typeof part !== 'object' || part === null) return;
    const { hash, type } = part as Partial<MediaRef>;
    if (typeof hash === 'string' && MEDIA_HASH.test(hash) && type !== undefined && Object.hasOwn(PICTURE_TYPES, type))
      found.set(hash, part as MediaRef);
    else for (const each of Object.values(part)) walk(each);
  };
  walk(value);
  return [...found.values()];
}
