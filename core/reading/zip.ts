import { Unzip, UnzipInflate, zipSync } from 'fflate';
import { fail, ProblemError, type Problem } from '../document/problem';
import { LIMITS } from './limits';

/** A zip's entries by name, unpacked. */
export type Entries = Map<string, Uint8Array>;

const SLICE = 64 * 1024;

/**
 * Unpacks a zip in memory, counting real bytes while they come out, so a directory that lies changes nothing.
 * `most`: bytes of all together. Entries whose name climbs out of the folder, and those that `wanted` refuses, are
 * left out. Throws `zip-broken`, `zip-too-many`, `zip-too-big`.
 */
export function unpack(
  bytes: Uint8Array,
  wanted: (name: string) => boolean = () => true,
  most: number = LIMITS.zipBytes,
): Entries {
  const entries: Entries = new Map();
  let total = 0;
  let seen = 0;
  // The library turns what a callback throws into a broken entry, so the first problem is kept here.
  let problem: Problem | undefined;
  const refuse = (code: string, parameters: Problem['parameters'], place?: string) => {
    problem ??= { code, ...(parameters && { parameters }), ...(place && { place }) };
    throw new ProblemError(problem);
  };
  const unzip = new Unzip((file) => {
    if (++seen > LIMITS.zipEntries) refuse('zip-too-many', { limit: LIMITS.zipEntries });
    const name = file.name;
    if (!safeName(name) || name.endsWith('/') || !wanted(name)) return;
    const chunks: Uint8Array[] = [];
    let size = 0;
    const limit = /\.(xml|rels|x?html?|opf|ncx)$/i.test(name) ? LIMITS.zipTextBytes : most;
    file.ondata = (error, chunk, final) => {
      if (error) refuse('zip-broken', undefined, name);
      size += chunk.length;
      total += chunk.length;
      if (size > limit || total > most)
        refuse('zip-too-big', { megabytes: Math.round((size > limit ? limit : most) / 1048576) }, name);
      chunks.push(chunk);
      if (final) entries.set(name, joined(chunks, size));
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  if (!hasDirectory(bytes)) fail('zip-broken');
  for (let at = 0; at < bytes.length; at += SLICE) {
    try {
      unzip.push(bytes.subarray(at, Math.min(at + SLICE, bytes.length)), at + SLICE >= bytes.length);
    } catch (error) {
      throw new ProblemError(problem ?? { code: 'zip-broken' }, error);
    }
    if (problem) throw new ProblemError(problem);
  }
  return entries;
}

/** The same entries as a plain, stored zip, for a library that wants a zip of its own. */
export function repack(entries: Entries): Uint8Array {
  const fixed = new Date(1990, 0, 1); // eslint-disable-line uplift/sameness -- a fixed local date, as zip wants
  return zipSync(Object.fromEntries(entries), { level: 0, mtime: fixed });
}

/** The text of an entry; XML that declares entities of its own is refused (`xml-entities`). */
export function textOf(entries: Entries, name: string): string | undefined {
  const bytes = entries.get(name);
  if (!bytes) return undefined;
  const text = new TextDecoder(bytes[0] === 0xff ? 'utf-16le' : bytes[0] === 0xfe ? 'utf-16be' : 'utf-8').decode(bytes);
  if (/<!ENTITY/i.test(text.slice(0, 100_000))) fail('xml-entities', undefined, name);
  return text;
}

/** Resolves "../media/a.png" as seen from an entry. */
export function relativeTo(entry: string, target: string): string {
  if (target.startsWith('/')) return target.slice(1);
  const parts = entry.split('/').slice(0, -1);
  for (const part of target.split('/')) {
    if (part === '..') parts.pop();
    else if (part !== '.' && part !== '') parts.push(part);
  }
  return parts.join('/');
}

function safeName(name: string): boolean {
  return (
    !name.includes('\\') &&
    !name.startsWith('/') &&
    !/^[a-z]:/i.test(name) &&
    !name.split('/').includes('..') &&
    !name.includes('\u0000')
  );
}

function hasDirectory(bytes: Uint8Array): boolean {
  for (let at = bytes.length - 22; at >= 0 && at > bytes.length - 65_600; at--) {
    if (bytes[at] === 0x50 && bytes[at + 1] === 0x4b && bytes[at + 2] === 5 && bytes[at + 3] === 6) return true;
  }
  return false;
}

function joined(chunks: Uint8Array[], size: number): Uint8Array {
  if (chunks.length === 1) return chunks[0];
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}
