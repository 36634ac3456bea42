import { lookup } from 'node:dns/promises';
import { request as plain, type IncomingMessage } from 'node:http';
import { request as secure } from 'node:https';
import { isIP } from 'node:net';
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib';
import { MEDIA_TYPES } from '../../../core/document/media';
import { fail, ProblemError } from '../../../core/document/problem';
import { isPublic } from './address';

/** How much a fetch may take. */
export const FETCHING = {
  redirects: 5,
  bytes: 16 * 1024 * 1024,
  milliseconds: 20_000,
  siteSeconds: 120,
  pages: 40,
  allBytes: 32 * 1024 * 1024,
} as const;

/** What is fetched: kinds of answers that are taken, with the ending their file gets, and what is asked for. */
export interface Wanted {
  types: Record<string, string>;
  accept: string;
}

/** What can be read as a source. */
const READABLE: Wanted = {
  accept: 'text/html, application/xhtml+xml, application/pdf, text/*;q=0.8',
  types: {
    'text/html': 'html',
    'application/xhtml+xml': 'html',
    'text/plain': 'txt',
    'text/markdown': 'md',
    'text/csv': 'csv',
    'text/vtt': 'vtt',
    'application/pdf': 'pdf',
    'application/epub+zip': 'epub',
    'application/vnd.openxmlformats-officedocument.wordprocessingml.document': 'docx',
    'application/vnd.openxmlformats-officedocument.presentationml.presentation': 'pptx',
  },
};

/** What a course's shelf takes: what it truly is, its bytes say later. */
export const MEDIA_WANTED: Wanted = {
  accept: 'image/*, audio/*, video/*, application/*;q=0.8',
  types: {
    ...Object.fromEntries(Object.entries(MEDIA_TYPES).map(([type, { ends }]) => [type, ends])),
    'application/octet-stream': 'bin',
  },
};

/** What was found at an address, after redirects. */
export interface Fetched {
  address: string;
  ending: string;
  bytes: Uint8Array;
}

/** Hosts with ports that may be asked though they are not in the open network. */
export type Allowed = ReadonlySet<string>;

/**
 * Fetches what lies at an address. Only http and https; the name is looked up once, every address it stands for must
 * lie in the open network (or the host be allowed), and the connection goes to just that address, so that a name cannot
 * mean something else a moment later; the same holds for every redirect. Size, time and kind are limited. Throws the
 * problems `bad-address`, `address-private`, `not-reached`, `page-answered`, `too-many-redirects`, `page-too-big`,
 * `page-too-slow`, `page-kind`.
 */
export async function fetchPage(
  address: string,
  allowed: Allowed,
  signal?: AbortSignal,
  wanted = READABLE,
): Promise<Fetched> {
  const slow = AbortSignal.timeout(FETCHING.milliseconds);
  const stop = signal ? AbortSignal.any([signal, slow]) : slow;
  let url = addressOf(address);
  for (let turn = 0; turn <= FETCHING.redirects; turn++) {
    const answer = await ask(url, allowed, stop, wanted.accept).catch((error: unknown) =>
      problemOf(error, slow, address),
    );
    const status = answer.statusCode ?? 0;
    if (status >= 300 && status < 400 && answer.headers.location) {
      answer.destroy();
      url = addressOf(answer.headers.location, url);
      continue;
    }
    if (status !== 200) {
      answer.destroy();
      fail('page-answered', { status }, address);
    }
    const ending = wanted.types[(answer.headers['content-type'] ?? '').split(';')[0].trim().toLowerCase()];
    if (!ending) {
      answer.destroy();
      fail('page-kind', { type: (answer.headers['content-type'] ?? '-').split(';')[0] }, address);
    }
    const bytes = await bodyOf(answer, address).catch((error: unknown) => problemOf(error, slow, address));
    return { address: url.href, ending, bytes };
  }
  return fail('too-many-redirects', { limit: FETCHING.redirects }, address);
}

/** An address that may be fetched: http or https, with a host and no name or password in it. */
export function addressOf(text: string, from?: URL): URL {
  let url: URL;
  try {
    url = new URL(text.trim(), from);
  } catch (error) {
    return fail('bad-address', undefined, text, error);
  }
  if ((url.protocol !== 'http:' && url.protocol !== 'https:') || url.username || url.password || !url.hostname)
    fail('bad-address', undefined, text);
  url.hash = '';
  return url;
}

async function ask(url: URL, allowed: Allowed, signal: AbortSignal, accept: string): Promise<IncomingMessage> {
  const host = url.hostname.replace(/^\[|\]$/g, '');
  const port = url.port || (url.protocol === 'https:' ? '443' : '80');
  const found = isIP(host) ? [{ address: host, family: isIP(host) }] : await lookup(host, { all: true });
  if (found.length === 0) fail('not-reached', undefined, url.host);
  if (!allowed.has(`${host}:${port}`) && found.some(({ address }) => !isPublic(address)))
    fail('address-private', undefined, url.host);
  const [{ address, family }] = found;
  return new Promise((done, failed) => {
    const request = (url.protocol === 'https:' ? secure : plain)(
      url,
      {
        signal,
        headers: {
          accept,
          'accept-encoding': 'gzip, br, deflate',
          'user-agent': 'UpliftPath/0.1',
        },
        // The address that was checked, and no other.
        lookup: (_name, options, answer) =>
          options.all
            ? (answer as unknown as (error: null, all: object[]) => void)(null, [{ address, family }])
            : answer(null, address, family),
      },
      done,
    );
    request.on('error', failed);
    request.end();
  });
}

/** The body, unpacked, never more than the limit whatever its length says. */
async function bodyOf(answer: IncomingMessage, place: string): Promise<Uint8Array> {
  const packed = { gzip: createGunzip, br: createBrotliDecompress, deflate: createInflate }[
    answer.headers['content-encoding'] ?? ''
  ];
  const stream = packed ? answer.pipe(packed()) : answer;
  if (packed) answer.on('error', (error) => stream.destroy(error));
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    size += chunk.length;
    if (size > FETCHING.bytes) {
      answer.destroy();
      fail('page-too-big', { limit: FETCHING.bytes / 1048576 }, place);
    }
    chunks.push(chunk);
  }
  return new Uint8Array(Buffer.concat(chunks));
}

function problemOf(error: unknown, slow: AbortSignal, place: string): never {
  if (error instanceof ProblemError) throw error;
  if (slow.aborted) fail('page-too-slow', { seconds: FETCHING.milliseconds / 1000 }, place, error);
  if ((error as Error).name === 'AbortError') throw error;
  return fail('not-reached', undefined, place, error);
}
