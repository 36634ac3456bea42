import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { tmpdir } from 'node:os';
import { fail, type Problem } from '../../core/document/problem';
import type { ReadResult } from '../../core/reading';
import type { Source } from '../../core/source/source';
import type { PageService } from '../services/pages';
import { addressOf } from '../services/pages/fetch';
import { fetchSite } from '../services/pages/section';
import { readInChild, readTextInChild } from '../reading';
import { freshId } from '../ids';
import type { Added, Newer, SourceDesk } from './sources';

/** Sources that are fetched: a page, or a contents page with what hangs below it; and fetched again on wish. */
export function linkDesk(sources: SourceDesk, web: PageService) {
  /** Fetches and reads an address; the bytes of a single file come with it, to be kept. */
  async function read(
    address: string,
    below: boolean,
    id: string,
    person: string,
  ): Promise<{ result: ReadResult; bytes?: Uint8Array; left: number }> {
    const first = await web.fetch(address);
    const folder = mkdtempSync(join(tmpdir(), 'uplift-link-'));
    try {
      if (!below || first.ending !== 'html') {
        const path = join(folder, `page.${first.ending}`);
        writeFileSync(path, first.bytes);
        return {
          result: await sources.inTurn(person, () =>
            readInChild(path, id, undefined, `${nameOf(first.address)}.${first.ending}`, first.address),
          ),
          bytes: first.bytes,
          left: 0,
        };
      }
      const { pages, left } = await fetchSite(first, web);
      for (const page of pages) {
        const path = join(folder, 'site', page.name);
        mkdirSync(dirname(path), { recursive: true });
        writeFileSync(path, page.bytes);
      }
      return {
        result: await sources.inTurn(person, () =>
          readInChild(join(folder, 'site'), id, undefined, nameOf(first.address), first.address),
        ),
        left,
      };
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }

  return {
    /** Takes in what lies at an address. Problems of fetching and reading come back as such. */
    async add(courseId: string, address: string, below: boolean, person: string): Promise<Added & { left?: number }> {
      const { result, bytes, left } = await read(address, below, freshId('s'), person);
      if (!result.ok) return result;
      const added = await sources.keepRead(
        courseId,
        result.source,
        result.media,
        bytes,
        addressOf(address).href,
        person,
      );
      return added.ok ? { ...added, ...(left > 0 && { left }) } : added;
    },
    /** Takes in what is said in a video, with the link to it, which lessons keep. The video itself is not fetched. */
    async addVideo(
      courseId: string,
      { address, title, transcript }: { address: string; title: string; transcript: string },
      person: string,
    ): Promise<Added> {
      const { href } = addressOf(address);
      const bytes = new TextEncoder().encode(transcript);
      const ending = /^\uFEFF?WEBVTT/.test(transcript) ? 'vtt' : /-->/.test(transcript) ? 'srt' : 'txt';
      const result = await sources.inTurn(person, () => readTextInChild(transcript, freshId('s'), `talk.${ending}`));
      if (!result.ok) return { ok: false, problem: { ...result.problem, place: title } };
      return sources.keepRead(
        courseId,
        { ...result.source, title, address: href },
        new Map(),
        bytes,
        `${title}.${ending}`,
        person,
      );
    },
    /**
     * Fetches a source of a course again; the course uses the newer version from then on. Throws `no-such-source`,
     * `not-yours-to-change`, `not-a-link`.
     */
    async again(courseId: string, sourceId: string, person: string): Promise<Newer | { problem: Problem }> {
      const held = sources.inCourse(courseId, sourceId) ?? fail('no-such-source', undefined, sourceId);
      sources.mustMayChange(sourceId, person);
      const { address } = held.source;
      if (!address || isTalk(held.source)) fail('not-a-link');
      const below = held.source.passages.some((passage) => passage.locator.file !== undefined);
      const { result, bytes } = await read(address, below, sourceId, person);
      return result.ok
        ? sources.keepVersion(courseId, held.source, result.source, bytes, address, person)
        : { problem: result.problem };
    },
  };
}

/** The link of a talk leads to where it can be watched; its words were given. */
const isTalk = ({ kind }: Pick<Source, 'kind'>): boolean => kind === 'vtt' || kind === 'srt';

/** A name for what lies at an address: its last part, or its host. */
function nameOf(address: string): string {
  const url = new URL(address);
  const last = url.pathname.split('/').filter(Boolean).pop() ?? url.hostname;
  return fileName(decoded(last).replace(/\.x?html?$/i, '')) || url.hostname;
}

/** A part of an address as it was meant; as it stands where it is no proper writing ("100%"). */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

/** A name that any file system takes: no separators, no control signs, at most 120 bytes. */
function fileName(name: string): string {
  let safe = name.replace(/[\p{Cc}/\\:*?"<>|]+/gu, ' ').trim();
  while (Buffer.byteLength(safe) > 120) safe = safe.slice(0, -1);
  return safe;
}

export type LinkDesk = ReturnType<typeof linkDesk>;
