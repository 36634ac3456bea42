import { checkIn, type Block } from '../blocks/forms';
import { OWN_CHECK_FIELDS, type Check } from '../checks/forms';
import { mediaRefs, sortOf, type MediaRef, type MediaSort } from '../document/media';
import { allLessons, type Course, type Medium, type ShelvedFile } from './course';
import type { Operation } from './operations';

/** A place that shows a file: a part of a lesson, or a check and the lesson that asks it. */
export interface MediaUse {
  lesson?: string;
  block?: string;
  check?: string;
}

/** A file that a course has, with what is known of it and where it is shown. */
export interface OnShelf {
  file: MediaRef & Partial<ShelvedFile>;
  sort: MediaSort;
  /** What the shelf says of it; absent for one that only stands somewhere. */
  medium?: Medium;
  name: string;
  /**
   * What a picture shows: as the shelf says it, else as it is said where it stands first; '' where it shows nothing.
   */
  alt?: string;
  uses: MediaUse[];
  /** Takes that hold it, beside the places. */
  takes: number;
}

/**
 * Everything a course has of media: what lies on its shelf, in its order, then what stands on a page or in a check and
 * was never laid there.
 */
export function shelfOf(course: Course): OnShelf[] {
  const uses = mediaUses(course);
  const inTakes = new Map<string, number>();
  for (const take of course.takes)
    for (const { hash } of mediaRefs(take.value)) inTakes.set(hash, (inTakes.get(hash) ?? 0) + 1);
  const item = (file: OnShelf['file'], name: string, medium?: Medium): OnShelf => {
    const used = uses.get(file.hash);
    const alt = medium?.decorative ? '' : (medium?.alt ?? used?.alt);
    return {
      file,
      sort: sortOf(file),
      ...(medium && { medium }),
      name,
      ...(alt !== undefined && { alt }),
      uses: used?.places ?? [],
      takes: inTakes.get(file.hash) ?? 0,
    };
  };
  const media = course.media ?? [];
  const known = new Set(media.map(({ file }) => file.hash));
  return [
    ...media.map((medium) => item(medium.file, medium.name, medium)),
    ...[...uses].filter(([hash]) => !known.has(hash)).map(([, { file }]) => item(file, nameIn(file))),
  ];
}

const nameIn = (file: MediaRef): string => (file as MediaRef & { name?: string }).name ?? '';

/** A file as a course shows it: where, and what is said of what it shows. */
interface Used {
  file: MediaRef;
  alt?: string;
  places: MediaUse[];
}

/** Where a course shows which file, by hash. */
export function mediaUses(course: Course): Map<string, Used> {
  const uses = new Map<string, Used>();
  const note = (node: unknown, place: MediaUse) => {
    const said = saidOf(node);
    for (const file of mediaRefs(node)) {
      const alt = said.get(file.hash);
      const known: Used = uses.get(file.hash) ?? { file, places: [] };
      uses.set(file.hash, {
        ...known,
        ...(known.alt === undefined && alt !== undefined && { alt }),
        places: [...known.places, place],
      });
    }
  };
  const asked = new Map<string, string>();
  for (const lesson of allLessons(course))
    for (const block of lesson.blocks) {
      note(block.body, { lesson: lesson.id, block: block.id });
      const check = checkIn(block);
      if (check) asked.set(check, lesson.id);
    }
  for (const check of course.checks) {
    const lesson = asked.get(check.id);
    note(check, { check: check.id, ...(lesson && { lesson }) });
  }
  return uses;
}

/** What is said of what pictures show, by hash: the words beside each, '' for one that is only decorative. */
function saidOf(node: unknown, said = new Map<string, string>()): Map<string, string> {
  if (typeof node !== 'object' || node === null) return said;
  const { alt, decorative } = node as { alt?: unknown; decorative?: unknown };
  for (const part of Object.values(node)) {
    const [ref] = typeof alt === 'string' && typeof part === 'object' && !Array.isArray(part) ? mediaRefs(part) : [];
    if (ref && (decorative || String(alt).trim() !== '')) said.set(ref.hash, decorative ? '' : String(alt));
    saidOf(part, said);
  }
  return said;
}

/** The operation that lays a file on a course's shelf; none where it lies there. */
export function layOnShelf(course: Course, medium: Medium): Operation[] {
  const media = course.media ?? [];
  if (media.some(({ file }) => file.hash === medium.file.hash)) return [];
  return [{ type: 'insert', kind: 'medium', parent: course.id, after: media.at(-1)?.id ?? null, node: medium }];
}

/**
 * The operations that show another file of the same sort wherever one is shown, on pages and in checks; what is said of
 * it stays. Takes and the bin keep what they hold.
 */
export function replaceMedia(course: Course, hash: string, by: ShelvedFile): Operation[] {
  const change = (value: unknown): unknown => {
    if (typeof value !== 'object' || value === null) return value;
    if (Array.isArray(value)) return value.map(change);
    const ref = value as Partial<MediaRef>;
    if (ref.hash === hash && typeof ref.type === 'string') return replaced(value as MediaRef, by);
    return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, change(part)]));
  };
  const shows = (value: unknown) => mediaRefs(value).some((ref) => ref.hash === hash);
  const set = (id: string, field: string, was: unknown): Operation[] =>
    shows(was) ? [{ type: 'set', id, field, value: change(was), was }] : [];
  const fieldsOf = (check: Check) => check as unknown as Record<string, unknown>;
  return [
    ...allLessons(course).flatMap(({ blocks }) => blocks.flatMap((block: Block) => set(block.id, 'body', block.body))),
    ...course.checks.flatMap((check) =>
      [...new Set(['picture', ...OWN_CHECK_FIELDS])].flatMap((field) => set(check.id, field, fieldsOf(check)[field])),
    ),
  ];
}

/** A reference to one file as one to another: with what was said of the first, as far as the second says it, too. */
function replaced(was: MediaRef, by: ShelvedFile): MediaRef {
  const facts: Record<string, unknown> = { ...by };
  const kept = Object.entries(was).map(([key, value]) => [key, key in facts ? facts[key] : value]);
  return Object.fromEntries(kept) as unknown as MediaRef;
}

/** What learners read of whose a file is: name and licence, as far as they are given. */
export const creditWords = ({ credit, licence }: Pick<Medium, 'credit' | 'licence'>): string =>
  [credit, licence].filter(Boolean).join(', ');

/** Whose media are and what they allow, by hash, where learners are to read it. */
export function creditsOf({ media = [] }: Pick<Course, 'media'>): Record<string, string> {
  return Object.fromEntries(
    media.filter((each) => each.credited && creditWords(each)).map((each) => [each.file.hash, creditWords(each)]),
  );
}
