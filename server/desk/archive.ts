import { withIds } from '../../core/exchange/archive/copy';
import { archiveFiles } from '../../core/exchange/archive';
import { courseDocument, type CourseDocument } from '../../core/exchange/document';
import { packageName } from '../../core/exchange/package';
import { fleschKincaid } from '../../core/language/en/grade';
import type { LaidFile, ZipFiles } from '../../core/document/zip';
import type { Db } from '../database/open';
import type { CourseDesk } from './courses';
import type { Came, FileStore } from '../files';
import { freshId } from '../ids';
import type { MediaDesk } from './media';
import type { SourceDesk } from './sources';

interface Desks {
  db: Db;
  files: FileStore;
  courses: CourseDesk;
  sources: SourceDesk;
  media: MediaDesk;
}

/** A course with its media, its sources and their pictures, as archives hold them. */
function wholeOf(
  { files, courses, sources, media }: Omit<Desks, 'db'>,
  id: string,
): { document: CourseDocument; media: Map<string, LaidFile> } {
  const { course } = courses.load(id);
  const held = sources.keys(id).flatMap((key) => sources.read(key.id, key.version) ?? []);
  const document = courseDocument(
    course,
    held.map((each) => each.source),
    held.flatMap((each) => each.claims),
    course.language.startsWith('en') ? { grade: fleschKincaid } : {},
  );
  const pictures = new Set(held.flatMap((each) => each.source.pictures.map((picture) => picture.hash)));
  // A picture that was lost does not keep a course from being saved.
  const ofSources = [...pictures].flatMap((hash): [string, LaidFile][] => {
    const file = files.laid(hash);
    return file ? [[hash, file]] : [];
  });
  return { document, media: new Map([...ofSources, ...media.laidOf(id, course)]) };
}

/** A course with all that belongs to it as the files of an archive. */
export function exportArchive(desks: Omit<Desks, 'db'>, id: string): { name: string; files: ZipFiles } {
  const { document, media } = wholeOf(desks, id);
  return { name: packageName(document.course.title, 'archive'), files: archiveFiles(document, media) };
}

/**
 * Makes a course once more for `person`, under a title of its own: without releases and learners, on the sources they
 * may use and on copies of the others.
 */
export function duplicate(desks: Desks, id: string, title: string, person: string): { id: string } {
  const { document, media } = wholeOf(desks, id);
  const here = new Map([...media.keys()].map((hash) => [hash, { path: desks.files.pathOf(hash) }]));
  return importArchive(
    desks,
    { document: { ...document, course: { ...document.course, title } }, media: here },
    person,
  );
}

/**
 * Takes in an opened archive as a course of `person`, all of it or nothing. It comes under ids of its own, and so do
 * its sources: nothing that lies here already is opened or changed by it. `keepIds` is for our own demo alone.
 */
export function importArchive(
  { db, courses, sources, media: shelf }: Omit<Desks, 'files'>,
  { document, media }: { document: CourseDocument; media: ReadonlyMap<string, Came> },
  person: string,
  keepIds = false,
): { id: string } {
  const given = document.sources.map((source) => ({
    source,
    claims: document.claims.filter((claim) => claim.sourceId === source.id),
  }));
  const id = keepIds ? document.course.id : freshId('u');
  db.transaction(() => {
    // Sources come first, for the course is written with what their ids became.
    db.pragma('defer_foreign_keys = ON');
    const ids = sources.adopt(id, given, media, person, keepIds);
    courses.adopt(keepIds ? document.course : withIds(document.course, ids.set(document.course.id, id)), person);
    shelf.adopt(id, document.course, media, person);
  })();
  sources.hear();
  return { id };
}
