import type { MediaRef } from '~~/core/document/media';
import { addressOf, api } from '~/client';

/** Where a file of media of a course is. */
export const mediaAddress = (course: string, { hash }: Pick<MediaRef, 'hash'>): string =>
  addressOf('GET /api/courses/:course/media/:hash', { course, hash });

/** Where the media of a course are, each under its hash: for the player, which knows no routes. */
export const mediaFolder = (course: string): string => mediaAddress(course, { hash: '' }).replace(/\/$/, '');

/** A file of media as the server took it in. */
export interface MediaAdded extends MediaRef {
  name: string;
}

/** Gives a file to the course; throws what the server says. */
export const giveMedia = (course: string, file: File): Promise<MediaAdded> =>
  api('POST /api/courses/:course/media', { course, query: { name: file.name || 'picture' }, body: file });
