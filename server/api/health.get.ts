import { statfsSync } from 'node:fs';
import { setResponseStatus } from 'h3';
import { ProblemError } from '../../core/document/problem';
import { troubleOf } from '../database/trouble';
import { dataFolder, installation } from '../utils/installation';
import { route } from '../route';

/** Bytes below which the disk is called nearly full. */
const LITTLE = 256 * 1048576;

/** Whether the server can work: the state of data folder and disk, and the space left, for whoever watches over it. */
export default route({
  right: 'anyone',
  run({ event }) {
    const space = freeBytes();
    const state = stateNow();
    if (state !== 'well') setResponseStatus(event, 503);
    return {
      state: state === 'well' && space !== undefined && space < LITTLE ? 'little-space' : state,
      ...(space !== undefined && { megabytesFree: Math.floor(space / 1048576) }),
    };
  },
});

function stateNow(): string {
  try {
    const { db } = installation();
    db.prepare('select 1').get();
    return 'well';
  } catch (error) {
    return error instanceof ProblemError ? error.problem.code : (troubleOf(error)?.code ?? 'fault');
  }
}

function freeBytes(): number | undefined {
  try {
    const { bavail, bsize } = statfsSync(dataFolder());
    return bavail * bsize;
  } catch {
    return undefined;
  }
}
