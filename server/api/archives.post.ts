import { defineEventHandler, readRawBody } from 'h3';
import { importArchive } from '../desk/archive';
import { installation } from '../utils/installation';
import { answering, personOf, refuse } from '../utils/request';

const MOST = 64 * 1048576;

/** Takes in a course archive as a new course. */
export default defineEventHandler((event) =>
  answering(async () => {
    const bytes = await readRawBody(event, false);
    if (!bytes || bytes.length === 0) refuse({ code: 'empty' });
    if (bytes.length > MOST) refuse({ code: 'file-too-big', parameters: { megabytes: Math.ceil(bytes.length / 1048576), limit: MOST / 1048576 } });
    const desks = installation();
    const made = importArchive(desks, new Uint8Array(bytes), personOf(event).id);
    desks.sources.renewClaims().catch((error: unknown) => console.error(error));
    return made;
  }));
