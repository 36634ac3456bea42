import { number, object, oneOf, string } from './shape';

/**
 * What a file of media is to a course: a picture, a sound, a film, pages of a document that a browser can show, or
 * something that is only taken along.
 */
export type MediaSort = 'picture' | 'sound' | 'film' | 'pages' | 'other';

const OFFICE = 'application/vnd.openxmlformats-officedocument';
const OPEN = 'application/vnd.oasis.opendocument';

/** Types of media by sort, with what their files end in: none of them runs anything when a browser opens it. */
const ENDINGS = {
  picture: {
    'image/png': 'png',
    'image/jpeg': 'jpg',
    'image/gif': 'gif',
    'image/webp': 'webp',
    'image/avif': 'avif',
  },
  sound: {
    'audio/mpeg': 'mp3',
    'audio/mp4': 'm4a',
    'audio/ogg': 'ogg',
    'audio/wav': 'wav',
    'audio/webm': 'weba',
    'audio/flac': 'flac',
  },
  film: { 'video/mp4': 'mp4', 'video/webm': 'webm' },
  pages: { 'application/pdf': 'pdf' },
  other: {
    [`${OFFICE}.wordprocessingml.document`]: 'docx',
    [`${OFFICE}.spreadsheetml.sheet`]: 'xlsx',
    [`${OFFICE}.presentationml.presentation`]: 'pptx',
    [`${OPEN}.text`]: 'odt',
    [`${OPEN}.spreadsheet`]: 'ods',
    [`${OPEN}.presentation`]: 'odp',
    'application/epub+zip': 'epub',
    'application/zip': 'zip',
    'text/plain': 'txt',
    'text/csv': 'csv',
  },
} as const;

export const MEDIA_SORTS = Object.keys(ENDINGS) as MediaSort[];

/** What files of a type end in, and what they are. */
export const MEDIA_TYPES: Record<string, { ends: string; sort: MediaSort }> = Object.fromEntries(
  MEDIA_SORTS.flatMap((sort) => Object.entries(ENDINGS[sort]).map(([type, ends]) => [type, { ends, sort }])),
);

/** Kinds of pictures that a browser shows without running anything in them, with what their files end in. */
export const PICTURE_TYPES = ENDINGS.picture;

export type PictureType = keyof typeof ENDINGS.picture;

/** A file of media as a document names it: by the SHA-256 of its bytes, and the type found in them. */
export interface MediaRef {
  hash: string;
  type: string;
}

/** A picture, with what must be known to lay it out, in pixels as it is shown. */
export interface PictureRef extends MediaRef {
  type: PictureType;
  width: number;
  height: number;
}

/** A sound or a film: its length in seconds; a film's size in pixels. */
export interface ClipRef extends MediaRef {
  seconds: number;
  width?: number;
  height?: number;
}

/** A file to be opened or taken along: the name it is saved under, its size in bytes where it is known. */
export interface FileRef extends MediaRef {
  name: string;
  bytes?: number;
}

export const MEDIA_HASH = /^[0-9a-f]{64}$/;

const hash = string({ pattern: MEDIA_HASH });
const pixels = number({ min: 1, max: 100_000, whole: true });
const typed = (...sorts: MediaSort[]) => oneOf(...sorts.flatMap((sort) => Object.keys(ENDINGS[sort])));

export const pictureRef = object({ hash, type: typed('picture'), width: pixels, height: pixels });
/** Of a sound, or of a film. */
export const clipRef = object(
  { hash, type: typed('sound', 'film'), seconds: number({ min: 0, max: 360_000 }) },
  { width: pixels, height: pixels },
);
/** A file as a shelf has it: whatever its kind, with what must be known to show it. */
export const shelvedFile = object(
  { hash, type: typed(...MEDIA_SORTS) },
  {
    bytes: number({ min: 1, max: 4 * 1024 ** 3, whole: true }),
    width: pixels,
    height: pixels,
    seconds: number({ min: 0, max: 360_000 }),
  },
);
const name = string({ min: 1, max: 200 });
const bytes = number({ min: 1, max: 4 * 1024 ** 3, whole: true });
export const fileRef = object({ hash, type: typed(...MEDIA_SORTS), name }, { bytes });

/** What a type of media is. */
export const sortOf = ({ type }: Pick<MediaRef, 'type'>): MediaSort => MEDIA_TYPES[type]?.sort ?? 'other';

/** The name of a media file in archives and packages. */
export const mediaName = ({ hash, type }: MediaRef): string => `${hash}.${MEDIA_TYPES[type].ends}`;

/**
 * The media that a piece of a document names, each once, wherever it stands: on pages, in takes, in the bin. Kinds of
 * blocks name media by a `MediaRef` and nothing else, so none has to be asked.
 */
export function mediaRefs(value: unknown): MediaRef[] {
  const found = new Map<string, MediaRef>();
  const walk = (part: unknown): void => {
    if (typeof part !== 'object' || part === null) return;
    const { hash, type } = part as Partial<MediaRef>;
    if (
      typeof hash === 'string' &&
      MEDIA_HASH.test(hash) &&
      typeof type === 'string' &&
      Object.hasOwn(MEDIA_TYPES, type)
    )
      found.set(hash, part as MediaRef);
    else for (const each of Object.values(part)) walk(each);
  };
  walk(value);
  return [...found.values()];
}
