import { readFileSync, statSync } from 'node:fs';
import { mediaRefs } from '../../core/document/media';
import { fail } from '../../core/document/problem';
import type { LaidFile } from '../../core/document/zip';
import { inspectPicture, isPicture, PICTURE_LIMITS } from '../../core/media/inspect';
import type { MediaFacts } from '../../core/media/file';
import { withoutMetadata } from '../../core/media/strip';
import { mediaIn, type MediaRow } from '../database/media';
import type { Db } from '../database/open';
import type { Came, FileStore } from '../files';
import { inspectInChild } from '../reading';

const MB = 1024 * 1024;
/** What a course may have of media at most, in bytes: as much as its archive can bring in again. */
const COURSE_BYTES = 600 * MB;

/** Lets somebody's work have its turn among what is read in processes of their own. */
type InTurn = <T>(person: string, work: () => Promise<T>) => Promise<T>;

/** Media of courses: taken in, looked up, carried along with archives. */
export function mediaDesk(db: Db, files: FileStore, now: () => number, inTurn: InTurn) {
  const media = mediaIn(db);

  /** Notes that a course has a file, and keeps it. */
  function note(
    course: string,
    facts: MediaFacts,
    came: Came,
    { name, origin }: Pick<MediaRow, 'name' | 'origin'>,
    person: string,
  ): MediaRow {
    const known = media.get(course, facts.hash);
    if (known) return known;
    if (media.bytesOf(course) + facts.bytes > COURSE_BYTES) fail('too-much-media', { limit: COURSE_BYTES / MB }, name);
    files.take(facts.hash, came);
    const row: MediaRow = { ...facts, name, origin };
    media.add(course, row, person, now());
    return row;
  }

  /** Takes a picture in, without what its camera wrote beside it. */
  function picture(course: string, bytes: Uint8Array, of: Pick<MediaRow, 'name' | 'origin'>, person: string): MediaRow {
    const kept = withoutMetadata(bytes, inspectPicture(bytes, of.name).type);
    return note(course, { ...inspectPicture(kept, of.name), bytes: kept.length }, kept, of, person);
  }

  return {
    /**
     * Takes in a picture for a course; the same one again is the one there is. Throws `no-picture`, `picture-too-big`,
     * `file-too-big`, `too-much-media`.
     */
    add: (course: string, bytes: Uint8Array, name: string, person: string): MediaRow =>
      picture(course, bytes, { name, origin: 'file' }, person),
    /**
     * Takes in a file of any sort that lies at `path`; what is no picture is looked at in a process of its own. Throws
     * `media-kind`, and as `add`.
     */
    async take(course: string, path: string, name: string, person: string): Promise<MediaRow> {
      const of = { name, origin: 'file' };
      if (statSync(path).size <= PICTURE_LIMITS.bytes) {
        const bytes = new Uint8Array(readFileSync(path));
        if (isPicture(bytes)) return picture(course, bytes, of, person);
      }
      return note(course, await inTurn(person, () => inspectInChild(path, name)), { path }, of, person);
    },
    /** Takes a picture of a source in, whose bytes came with it. Throws `no-such-media`, and as `add`. */
    addOfSource(course: string, source: { id: string; title: string }, hash: string, person: string): MediaRow {
      const bytes = files.read(hash) ?? fail('no-such-media', undefined, hash);
      return picture(course, bytes, { name: source.title, origin: source.id }, person);
    },
    /** Lets a course have what another one has, under the name it has there. Throws `no-such-media`. */
    share(from: string, course: string, hash: string, person: string): MediaRow {
      const row = media.get(from, hash) ?? fail('no-such-media', undefined, hash);
      return note(course, row, { path: files.pathOf(hash) }, { name: row.name, origin: 'file' }, person);
    },
    /** A file that a course has, and where it lies. Throws `no-such-media`. */
    get(course: string, hash: string): MediaRow & { path: string } {
      const row = media.get(course, hash);
      return row && files.has(hash) ? { ...row, path: files.pathOf(hash) } : fail('no-such-media', undefined, hash);
    },
    ofCourse: (course: string) => media.ofCourse(course),
    /** The bytes of a file that a course has; undefined for what it has not, or was lost. */
    bytesOf: (course: string, hash: string): Uint8Array | undefined =>
      media.get(course, hash) ? files.read(hash) : undefined,
    /** The files that a piece of a course's document names, as they go into a zip; what was lost is left out. */
    laidOf(course: string, document: unknown): Map<string, LaidFile> {
      const used = mediaRefs(document).filter(({ hash }) => media.get(course, hash));
      return new Map(
        used.flatMap(({ hash }): [string, LaidFile][] => {
          const file = files.laid(hash);
          return file ? [[hash, file]] : [];
        }),
      );
    },
    /**
     * Takes in what came with a document: only what it names, letter by letter, for it is named by its bytes. What is
     * no picture is served as the type it is said to be, and as nothing else.
     */
    adopt(course: string, document: unknown, came: ReadonlyMap<string, Came>, person: string): void {
      const shelf = shelved(document);
      for (const ref of mediaRefs(document)) {
        const file = came.get(ref.hash);
        if (!file) continue;
        const known = shelf.get(ref.hash);
        const of = { name: known?.name ?? ref.hash.slice(0, 12), origin: 'file' };
        const facts = ref.type.startsWith('image/')
          ? inspectPicture(bytesOf(file), of.name)
          : { ...known?.file, ...ref };
        note(course, { ...facts, bytes: sizeOf(file) }, file, of, person);
      }
    },
  };
}

/** What a document's shelf says of its files, by hash. */
function shelved(document: unknown) {
  const { media = [] } = (document ?? {}) as { media?: { file: MediaFacts; name: string }[] };
  return new Map(media.map((each) => [each.file.hash, each]));
}

const sizeOf = (came: Came): number => (came instanceof Uint8Array ? came.length : statSync(came.path).size);
const bytesOf = (came: Came): Uint8Array =>
  came instanceof Uint8Array ? came : new Uint8Array(readFileSync(came.path));

export type MediaDesk = ReturnType<typeof mediaDesk>;
