import { mediaRefs, type MediaRef } from '../../core/document/media';
import { fail } from '../../core/document/problem';
import { inspectPicture } from '../../core/media/inspect';
import { mediaIn, type MediaRow } from '../database/media';
import type { Db } from '../database/open';
import type { FileStore } from '../files';

/** What a course may have of media at most, in bytes. */
const COURSE_BYTES = 1024 ** 3;

/** Media of courses: taken in, looked up, carried along with archives. */
export function mediaDesk(db: Db, files: FileStore, now: () => number) {
  const media = mediaIn(db);

  /** Notes that a course has a file whose bytes are here. */
  function note(
    course: string,
    bytes: Uint8Array,
    { name, origin }: Pick<MediaRow, 'name' | 'origin'>,
    person: string,
  ) {
    const ref = inspectPicture(bytes, name);
    const known = media.get(course, ref.hash);
    if (known) return known;
    if (media.bytesOf(course) + bytes.length > COURSE_BYTES)
      fail('too-much-media', { limit: COURSE_BYTES / 1024 ** 3 }, name);
    files.keep(bytes);
    const row: MediaRow = { ...ref, bytes: bytes.length, name, origin };
    media.add(course, row, person, now());
    return row;
  }

  return {
    /**
     * Takes in a picture for a course; the same one again is the one there is. Throws `no-picture`, `picture-too-big`,
     * `file-too-big`, `too-much-media`.
     */
    add: (course: string, bytes: Uint8Array, name: string, person: string): MediaRow =>
      note(course, bytes, { name, origin: 'file' }, person),
    /** Takes a picture of a source in, whose bytes came with it. Throws `no-such-media`, and as `add`. */
    addOfSource(course: string, source: { id: string; title: string }, hash: string, person: string): MediaRow {
      const bytes = files.read(hash) ?? fail('no-such-media', undefined, hash);
      return note(course, bytes, { name: source.title, origin: source.id }, person);
    },
    /** A file that a course has, and where it lies. Throws `no-such-media`. */
    get(course: string, hash: string): MediaRow & { path: string } {
      const row = media.get(course, hash);
      return row && files.has(hash) ? { ...row, path: files.pathOf(hash) } : fail('no-such-media', undefined, hash);
    },
    ofCourse: (course: string) => media.ofCourse(course),
    /** The bytes of what a piece of a course's document names; what was lost is left out. */
    bytesOf(course: string, document: unknown): Map<string, Uint8Array> {
      const used = mediaRefs(document).filter(({ hash }) => media.get(course, hash));
      return new Map(used.flatMap(({ hash }) => pair(hash, files.read(hash))));
    },
    /** Takes in what came with a document: only what it names, and only pictures. */
    adopt(course: string, document: unknown, came: ReadonlyMap<string, Uint8Array>, person: string): void {
      for (const { hash } of mediaRefs(document)) {
        const bytes = came.get(hash);
        if (bytes) note(course, bytes, { name: hash.slice(0, 12), origin: 'file' }, person);
      }
    },
  };
}

const pair = (hash: string, bytes: Uint8Array | undefined): [string, Uint8Array][] => (bytes ? [[hash, bytes]] : []);

export type MediaDesk = ReturnType<typeof mediaDesk>;
export type { MediaRef };
