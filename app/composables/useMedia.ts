import type { MediaRef } from '~~/core/document/media';

/** Where the media of a course are, each under its hash. */
export const mediaAt = (course: string): string => `/api/courses/${course}/media`;

/** A file of media as the server took it in. */
export interface MediaAdded extends MediaRef {
  name: string;
}

/** Gives a file to the course; throws what the server says. */
export function giveMedia(course: string, file: File): Promise<MediaAdded> {
  return $fetch<MediaAdded>(`${mediaAt(course)}?name=${encodeURIComponent(file.name || 'picture')}`, {
    method: 'POST',
    body: file,
    headers: { 'content-type': 'application/octet-stream' },
  });
}
