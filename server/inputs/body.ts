import type { ClassConstructor } from 'class-transformer';
import type { H3Event } from 'h3';
import { withinLimit, type BodyLimit } from '../rights/limits';
import { refuse } from '../utils/request';
import { checkInput } from './check';

/**
 * The body, checked against its class. Nothing is built of it before its size is known to be within the route's limit.
 */
export async function bodyAs<T extends object>(
  event: H3Event,
  kind: ClassConstructor<T>,
  limit: BodyLimit,
): Promise<T> {
  const text = await bodyText(event, limit.bytes);
  if (!withinLimit(text, limit)) refuse({ code: 'body-too-big', parameters: { limit: `${limit.values} values` } });
  const checked = checkInput(kind, parsed(text));
  return checked.ok ? checked.value : refuse(checked.problem);
}

function parsed(text: string): unknown {
  try {
    return text === '' ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return refuse({ code: 'bad-json' });
  }
}

/**
 * The body's text, up to so many bytes: beyond that nothing more is taken in, and the connection ends with the answer.
 */
async function bodyText({ node: { req, res } }: H3Event, most: number): Promise<string> {
  const chunks: Buffer[] = [];
  const whole = await new Promise<boolean>((done) => {
    let size = 0;
    req.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size <= most) return void chunks.push(chunk);
      req.pause();
      req.removeAllListeners('data');
      done(false);
    });
    req.on('end', () => done(true));
    // Whoever went away is answered nothing.
    req.on('error', () => done(true));
    req.on('close', () => done(true));
  });
  if (whole) return Buffer.concat(chunks).toString('utf8');
  res.setHeader('connection', 'close');
  return refuse({ code: 'body-too-big', parameters: { limit: `${Math.ceil(most / 1024)} KB` } });
}

/** Bytes, and milliseconds, that are read and thrown away so that whoever sends too much gets to hear it. */
const DRAINED = { bytes: 32 * 1048576, time: 3000 };

/** Reads a body that is too large to its end, within limits, and refuses it. */
export async function drained({ node: { req, res } }: H3Event, limit: number): Promise<never> {
  await new Promise<void>((done) => {
    let size = 0;
    const timer = setTimeout(done, DRAINED.time);
    req.on('data', (chunk: Buffer) => void ((size += chunk.length) > DRAINED.bytes && done()));
    for (const end of ['end', 'close', 'error'])
      req.on(end, () => {
        clearTimeout(timer);
        done();
      });
  });
  // What was not read would be taken for the next request on this connection.
  res.setHeader('connection', 'close');
  return refuse({
    code: 'body-too-big',
    parameters: { limit: limit < 1048576 ? `${Math.round(limit / 1024)} KB` : `${Math.round(limit / 1048576)} MB` },
  });
}
