import { fileTypeFromBuffer } from 'file-type';
import { ALL_FORMATS, BufferSource, Input } from 'mediabunny';
import { contentHash } from '../document/id';
import { MEDIA_TYPES, sortOf, type MediaRef, type MediaSort } from '../document/media';
import { fail } from '../document/problem';
import { inspectPicture, isPicture, mediaKinds, PICTURE_LIMITS, tooBig } from './inspect';
import { withoutMetadata } from './strip';

const MB = 1024 * 1024;

/** What a file may have at most, in bytes, by what it is; said before one is sent. */
export const MEDIA_LIMITS: Record<MediaSort, number> = {
  picture: PICTURE_LIMITS.bytes,
  sound: 200 * MB,
  film: 300 * MB,
  pages: 100 * MB,
  other: 100 * MB,
};

/** What a file of media is, by its bytes: pixels of what is seen, seconds of what goes on. */
export interface MediaFacts extends MediaRef {
  bytes: number;
  width?: number;
  height?: number;
  seconds?: number;
}

/** Names that files of one kind go by elsewhere. */
const ALIASES: Record<string, string> = {
  'audio/x-m4a': 'audio/mp4',
  'audio/vnd.wave': 'audio/wav',
  'audio/x-wav': 'audio/wav',
  'audio/x-flac': 'audio/flac',
  'application/ogg': 'audio/ogg',
  'audio/opus': 'audio/ogg',
  'audio/ogg; codecs=opus': 'audio/ogg',
  'video/x-m4v': 'video/mp4',
};

/**
 * What a file is, whatever it is called, and its bytes as they are kept: pictures without what was written beside
 * them. Throws `media-kind` for what is none of ours or not gone on as it began, `file-too-big`, `picture-too-big`,
 * `empty`.
 */
export async function inspectFile(bytes: Uint8Array, name: string): Promise<{ facts: MediaFacts; kept: Uint8Array }> {
  if (bytes.length === 0) fail('empty', undefined, name);
  if (isPicture(bytes)) {
    const kept = withoutMetadata(bytes, inspectPicture(bytes, name).type);
    return { facts: { ...inspectPicture(kept, name), bytes: kept.length }, kept };
  }
  const type = (await typeOf(bytes, name)) ?? fail('media-kind', mediaKinds(), name);
  const sort = sortOf({ type });
  tooBig(bytes.length, MEDIA_LIMITS[sort], name);
  const isClip = sort === 'sound' || sort === 'film';
  const found = isClip ? await clipIn(bytes, type, name) : { type };
  return { facts: { hash: contentHash(bytes), bytes: bytes.length, ...found }, kept: bytes };
}

/** The type of a file by its bytes; undefined for one that no course takes. Words are told by their name from rows. */
async function typeOf(bytes: Uint8Array, name: string): Promise<string | undefined> {
  let found: string | undefined;
  try {
    found = (await fileTypeFromBuffer(bytes))?.mime;
  } catch {
    return undefined;
  }
  if (found === undefined) return plainType(bytes, name);
  const type = ALIASES[found] ?? found;
  // What could be a picture was asked for that before.
  return Object.hasOwn(MEDIA_TYPES, type) && MEDIA_TYPES[type].sort !== 'picture' ? type : undefined;
}

/** Words without control signs, that no browser takes for a page. */
function plainType(bytes: Uint8Array, name: string): string | undefined {
  try {
    const words = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    if (/\p{Cc}/u.test(words.replace(/[\t\n\v\f\r]/g, ''))) return undefined;
    return /\.csv$/i.test(name) ? 'text/csv' : /\.(?:txt|md|text)$/i.test(name) ? 'text/plain' : undefined;
  } catch {
    return undefined;
  }
}

/** Length, size and true kind of a sound or film: a file of a film's kind with nothing to see is a sound. */
async function clipIn(
  bytes: Uint8Array,
  type: string,
  name: string,
): Promise<Pick<MediaFacts, 'type' | 'seconds' | 'width' | 'height'>> {
  const input = new Input({ source: new BufferSource(bytes), formats: ALL_FORMATS });
  try {
    const [film, sound] = [await input.getPrimaryVideoTrack(), await input.getPrimaryAudioTrack()];
    if (!film && !sound) return fail('media-kind', mediaKinds(), name);
    const seconds = Math.round((await input.computeDuration()) * 1000) / 1000;
    if (!Number.isFinite(seconds) || seconds < 0) return fail('media-kind', mediaKinds(), name);
    if (!film) return { type: type.replace(/^video\//, 'audio/'), seconds };
    return {
      type: type.replace(/^audio\/(?=mp4|webm)/, 'video/'),
      seconds,
      width: await film.getDisplayWidth(),
      height: await film.getDisplayHeight(),
    };
  } catch (error) {
    return fail('media-kind', mediaKinds(), name, error);
  } finally {
    input.dispose();
  }
}
