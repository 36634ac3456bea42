import { createReadStream, statSync } from 'node:fs';
import {
  getRequestHeader,
  getRouterParam,
  send,
  sendStream,
  setResponseHeaders,
  setResponseStatus,
  type H3Event,
} from 'h3';
import parseRange from 'range-parser';
import { MEDIA_HASH, sortOf } from '../../core/document/media';
import { refuse } from './request';

/** The hash an address names. */
export function mediaHash(event: H3Event): string {
  const hash = getRouterParam(event, 'hash') ?? '';
  return MEDIA_HASH.test(hash) ? hash : refuse({ code: 'no-such-media', place: hash.slice(0, 80) });
}

/** To be saved under a name, which is told apart from the header's own signs (RFC 6266). */
function attachment(name: string): string {
  const plain = name.replace(/[^\w.-]+/g, '_');
  const whole = encodeURIComponent(name).replace(/['()*]/g, (sign) => `%${sign.charCodeAt(0).toString(16)}`);
  return `attachment; filename="${plain}"; filename*=UTF-8''${whole}`;
}

/**
 * Sends a file that somebody else handed in: to be saved, never shown, whatever it is.
 */
export function saveFile(event: H3Event, { path, name }: { path: string; name: string }): Promise<void> {
  setResponseHeaders(event, {
    'content-type': 'application/octet-stream',
    'content-disposition': attachment(name),
    'x-content-type-options': 'nosniff',
    'content-security-policy': "sandbox; default-src 'none'",
    'cache-control': 'private, no-store',
    'content-length': String(statSync(path).size),
  } as Record<string, string>);
  return sendStream(event, createReadStream(path));
}

/**
 * Sends a file of media under the type its bytes were found to be of, whole or the part that was asked for (RFC 9110,
 * 14). It never changes, so whoever may have it keeps it; opened by itself it can do nothing.
 */
export function sendMedia(
  event: H3Event,
  { path, type, name }: { path: string; type: string; name: string },
): Promise<void> {
  const { size } = statSync(path);
  const asked = getRequestHeader(event, 'range');
  const ranges = asked ? parseRange(size, asked) : undefined;
  const part = Array.isArray(ranges) && ranges.type === 'bytes' && ranges.length === 1 ? ranges[0] : undefined;
  setResponseHeaders(event, {
    'content-type': type,
    'content-disposition': sortOf({ type }) === 'other' ? attachment(name) : 'inline',
    // Pages of a document are shown in a frame of ours, by the browser's own viewer.
    ...(sortOf({ type }) === 'pages' && {
      'x-frame-options': 'SAMEORIGIN',
      'content-security-policy':
        "default-src 'none'; style-src 'unsafe-inline'; object-src 'self'; frame-ancestors 'self'",
    }),
    'accept-ranges': 'bytes',
    'cache-control': 'private, max-age=31536000, immutable',
  });
  if (ranges === -1) {
    setResponseStatus(event, 416);
    setResponseHeaders(event, { 'content-range': `bytes */${size}`, 'cache-control': 'no-store' });
    return send(event, '');
  }
  if (part) {
    setResponseStatus(event, 206);
    setResponseHeaders(event, {
      'content-range': `bytes ${part.start}-${part.end}/${size}`,
      'content-length': String(part.end - part.start + 1),
    } as Record<string, string>);
    return sendStream(event, createReadStream(path, part));
  }
  setResponseHeaders(event, { 'content-length': String(size) } as Record<string, string>);
  return sendStream(event, createReadStream(path));
}
