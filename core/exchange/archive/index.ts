import { strToU8 } from 'fflate';
import { canonicalJson } from '../../document/canonical';
import { contentHash } from '../../document/id';
import { mediaName, mediaRefs } from '../../document/media';
import type { Course } from '../../course/course';
import { fail, ProblemError } from '../../document/problem';
import { mended, upgradeCourse } from '../../course/upgrade';
import { validateCourse } from '../../course/validate';
import { textOf, unpack, type Entries } from '../../reading/zip';
import type { Source } from '../../source/source';
import { validateSource } from '../../source/validate';
import { writeZip } from '../../document/zip';
import { FORMAT, FORMAT_VERSION, type CourseDocument } from '../document';

/**
 * Writes a course archive (docs/archive.md): a zip of JSON files and media, entries sorted, times fixed, so that
 * the same course gives the same bytes everywhere. Media are under their SHA-256.
 */
export const writeArchive = (document: CourseDocument, media: ReadonlyMap<string, Uint8Array>): Uint8Array =>
  writeZip(archiveFiles(document, media));

/** The files of an archive; `media` by hash, wherever they lie. */
export function archiveFiles<File>(
  document: CourseDocument,
  media: ReadonlyMap<string, File>,
): Map<string, Uint8Array | File> {
  const { course, sources, claims, computed } = document;
  const files = new Map<string, Uint8Array | File>();
  const json = (name: string, value: unknown) => files.set(name, strToU8(`${canonicalJson(value, 1)}\n`));
  json('manifest.json', {
    format: FORMAT,
    version: FORMAT_VERSION,
    course: course.id,
    sources: sources.map((source) => source.id),
  });
  json('course.json', course);
  json('computed.json', computed);
  for (const source of sources) {
    json(`sources/${source.id}.json`, source);
    json(
      `claims/${source.id}.json`,
      claims.filter((claim) => claim.sourceId === source.id),
    );
  }
  for (const ref of mediaRefs([course, sources.map((source) => source.pictures)])) {
    const bytes = media.get(ref.hash);
    if (bytes) files.set(`media/${mediaName(ref)}`, bytes);
  }
  return files;
}

/** What an archive holds at most, unpacked: more than a course may have of media. */
export const ARCHIVE_BYTES = 800 * 1024 * 1024;

/**
 * Reads a course archive back, of this version or an older one. Nothing is believed: sizes are counted, course and
 * sources are checked as a whole, media against their names. Throws `zip-broken`, `zip-too-big`, `not-an-archive`,
 * `newer-archive`, `bad-document`.
 */
export function readArchive(bytes: Uint8Array): { document: CourseDocument; media: Map<string, Uint8Array> } {
  const entries = unpack(bytes, undefined, ARCHIVE_BYTES);
  const manifest = parsed(entries, 'manifest.json') as
    { format?: unknown; version?: unknown; sources?: unknown } | undefined;
  if (manifest?.format !== FORMAT || typeof manifest.version !== 'number' || !Array.isArray(manifest.sources))
    fail('not-an-archive');
  if (manifest.version > FORMAT_VERSION) fail('newer-archive', { version: manifest.version, known: FORMAT_VERSION });
  const course = courseIn(entries, manifest.version);
  const ids = manifest.sources as unknown[];
  if (new Set(ids).size < ids.length) fail('bad-document', { reason: 'id-twice' }, 'manifest.json');
  const document = {
    format: FORMAT,
    version: FORMAT_VERSION,
    course,
    sources: ids.map((id) => sourceIn(entries, String(id))),
    claims: ids.flatMap((id) => (parsed(entries, `claims/${String(id)}.json`) as unknown[] | undefined) ?? []),
    computed: parsed(entries, 'computed.json') ?? { minutes: 0, lessons: {} },
  } as CourseDocument;
  return { document, media: mediaIn(entries) };
}

function courseIn(entries: Entries, version: number): Course {
  const read = parsed(entries, 'course.json');
  const good = (course: unknown) => {
    const [problem] = validateCourse(course);
    if (problem) fail('bad-document', { reason: problem.code }, problem.place);
    return course as Course;
  };
  if (version >= FORMAT_VERSION) return good(read);
  try {
    return good(mended(upgradeCourse(read, version)));
  } catch (error) {
    // A document too damaged to be brought up to date is told like any other.
    if (error instanceof ProblemError) throw error;
    return fail('bad-document', { reason: 'not-an-object' }, 'course.json', error);
  }
}

function sourceIn(entries: Entries, id: string): Source {
  const source =
    parsed(entries, `sources/${id}.json`) ?? fail('bad-document', { reason: 'missing' }, `sources/${id}.json`);
  const [problem] = validateSource(source);
  if (problem) fail('bad-document', { reason: problem.code }, `sources/${id}.json ${problem.place ?? ''}`);
  if ((source as Source).id !== id) fail('bad-document', { reason: 'id-differs' }, `sources/${id}.json`);
  return source as Source;
}

function mediaIn(entries: Entries): Map<string, Uint8Array> {
  const media = new Map<string, Uint8Array>();
  for (const [name, content] of entries) {
    const hash = /^media\/([0-9a-f]{64})\.[a-z]+$/.exec(name)?.[1];
    if (!hash) continue;
    if (contentHash(content) !== hash) fail('bad-document', { reason: 'picture-changed' }, name);
    media.set(hash, content);
  }
  return media;
}

function parsed(entries: Entries, name: string): unknown {
  const text = textOf(entries, name);
  if (text === undefined) return undefined;
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    return fail('bad-document', { reason: 'not-json' }, name, error);
  }
}
