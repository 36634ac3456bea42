import { Readable } from 'node:stream';
import { sendStream, setResponseHeaders, type H3Event } from 'h3';
import { zipStream, type ZipFiles } from '../../core/document/zip';

/** Sends files as a zip, made while it is sent, so that its size does not matter. */
export function sendZip(event: H3Event, name: string, files: ZipFiles): Promise<void> {
  setResponseHeaders(event, {
    'content-type': 'application/zip',
    'content-disposition': `attachment; filename="${name}"`,
  });
  return sendStream(event, Readable.from(zipStream(files), { objectMode: false }));
}
