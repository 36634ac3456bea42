import type { Block } from '~~/core/blocks/forms';
import type { ShelvedFile } from '~~/core/course/course';
import { sortOf, type ClipRef, type FileRef, type PictureRef } from '~~/core/document/media';
import { freshId } from '~/composables/useApi';

/** A file of media with what is known of it, as it comes onto a page. */
export interface GivenMedia {
  file: ShelvedFile;
  name: string;
  alt?: string;
  decorative?: true;
  caption?: string;
  evidence?: Block['evidence'];
}

/** A picture as parts of pages name it. */
export const pictureRefOf = ({ hash, type, width = 1, height = 1 }: ShelvedFile): PictureRef =>
  ({ hash, type, width, height }) as PictureRef;

/** A sound or film as parts of pages name it. */
export const clipRefOf = ({ hash, type, seconds = 0, width, height }: ShelvedFile): ClipRef => ({
  hash,
  type,
  seconds,
  ...(width !== undefined && { width }),
  ...(height !== undefined && { height }),
});

/** A file to be taken along as parts of pages name it. */
export const fileRefOf = ({ hash, type, bytes }: ShelvedFile, name: string): FileRef => ({
  hash,
  type,
  name,
  ...(bytes !== undefined && { bytes }),
});

/** What a file is called, without its ending. */
export const bareName = (name: string): string => name.replace(/\.[A-Za-z0-9]{1,5}$/, '').trim() || name;

/** The part of a page that shows a file: a picture, a clip, or a file to be taken along. */
export function blockOfMedia(
  id: string,
  { file, name, alt = '', decorative, caption = '', evidence }: GivenMedia,
): Block {
  switch (sortOf(file)) {
    case 'picture':
      return {
        id,
        kind: 'picture',
        body: {
          picture: pictureRefOf(file),
          alt,
          ...(decorative && { decorative: true }),
          caption: caption ? [{ type: 'text', text: caption }] : [],
        },
        ...(evidence && { evidence }),
      };
    case 'sound':
    case 'film':
      return { id, kind: 'clip', body: { clip: clipRefOf(file), title: bareName(name), caption, cues: [] } };
    default:
      return { id, kind: 'files', body: { files: [{ id: freshId('f'), file: fileRefOf(file, name), text: caption }] } };
  }
}
