import type { MediaSort } from '~~/core/document/media';
import { MEDIA_TYPES, type MediaRef } from '~~/core/document/media';
import { sizeWords } from '~~/core/document/size';
import { timeOf } from '~~/core/blocks/clip/cues';
import type { ShelvedFile } from '~~/core/course/course';

/** What authors call sorts of media: one, and many. */
export const SORT_WORDS: Record<MediaSort, [one: string, many: string]> = {
  picture: ['Picture', 'Pictures'],
  sound: ['Sound', 'Sounds'],
  film: ['Video', 'Videos'],
  pages: ['PDF', 'PDFs'],
  other: ['File', 'Files'],
};

/** What a file is, in a line: kind, size, pixels or length. */
export function fileFacts({ type, bytes, width, height, seconds }: MediaRef & Partial<ShelvedFile>): string {
  return [
    MEDIA_TYPES[type]?.ends.toUpperCase(),
    seconds !== undefined ? timeOf(seconds) : '',
    width && height ? `${width} × ${height}` : '',
    bytes !== undefined ? sizeWords(bytes) : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** What files are chosen from a device by: their endings. */
export const acceptOf = (sorts?: readonly MediaSort[]): string =>
  Object.values(MEDIA_TYPES)
    .filter(({ sort }) => !sorts || sorts.includes(sort))
    .map(({ ends }) => `.${ends}`)
    .concat(!sorts || sorts.includes('picture') ? ['.jpeg'] : [])
    .join(',');
