import type { Cue } from '~~/core/blocks/clip/cues';
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

/** A part of a recording in which somebody says a passage: from when to when, and the words as captions. */
export interface SaidPart {
  from: number;
  to: number;
  text: string;
}

/** Sentences as captions, each as long as its letters are of the whole. */
export function saidCues({ from, to, text }: SaidPart): Cue[] {
  const sentences = text.split(/(?<=[.!?…]["”’]?)\s+/).filter(Boolean);
  const letters = sentences.reduce((sum, sentence) => sum + sentence.length, 0);
  const place = (before: number) => Math.round((from + ((to - from) * before) / letters) * 100) / 100;
  let before = 0;
  return sentences.map((sentence) => {
    const begins = place(before);
    before += sentence.length;
    return { from: begins, to: place(before), text: sentence.slice(0, 1000) };
  });
}

/** The part of a page that plays where a passage is said. */
export const blockOfSaid = (id: string, { file, name }: Pick<GivenMedia, 'file' | 'name'>, part: SaidPart): Block => ({
  id,
  kind: 'clip',
  body: {
    clip: clipRefOf(file),
    title: bareName(name),
    caption: '',
    from: part.from,
    to: part.to,
    cues: saidCues(part),
  },
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
