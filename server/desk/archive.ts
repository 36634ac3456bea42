import { allIds } from '../../core/course/tree';
import { canonicalJson } from '../../core/course/canonical';
import { readArchive, writeArchive } from '../../core/exchange/archive';
import { courseDocument } from '../../core/exchange/document';
import { packageName } from '../../core/exchange/package';
import { fleschKincaid } from '../../core/language/en/grade';
import type { CourseDesk } from './courses';
import { freshId } from './courses';
import type { SourceDesk } from './sources';

interface Desks {
  courses: CourseDesk;
  sources: SourceDesk;
}

/** A course with its sources as an archive. */
export function exportArchive({ courses, sources }: Desks, id: string): { name: string; bytes: Uint8Array } {
  const { course } = courses.load(id);
  const held = sources.keys(id).flatMap((key) => sources.read(key.id, key.version) ?? []);
  const document = courseDocument(course, held.map((each) => each.source), held.flatMap((each) => each.claims), course.language.startsWith('en') ? { grade: fleschKincaid } : {});
  return { name: packageName(course.title, 'archive'), bytes: writeArchive(document, new Map()) };
}

/**
 * Takes in an archive as a course of `person`. A course that is here already comes in as a copy: under an id of its own,
 * with the same sources. Throws what reading an archive throws.
 */
export function importArchive({ courses, sources }: Desks, bytes: Uint8Array, person: string, keepId = false): { id: string } {
  const { document } = readArchive(bytes);
  const fresh = keepId ? document.course.id : freshId('u');
  // Only the course's own id is exchanged: all others are unique within a course, not across courses.
  const course = JSON.parse(canonicalJson(document.course).replaceAll(`"${document.course.id}"`, `"${fresh}"`)) as typeof document.course;
  if (new Set(allIds(course)).size === 0) throw new Error('empty course');
  const id = courses.adopt(course, person);
  sources.adopt(id, document.sources.map((source) => ({ source, claims: document.claims.filter((claim) => claim.sourceId === source.id) })), person);
  return { id };
}
