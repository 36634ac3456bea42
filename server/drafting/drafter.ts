import { workerFor } from '../workers/asker';
import type { Tasks } from './tasks';

/** Asks the drafting worker of a data folder. */
export const drafterFor = (folder: string) => workerFor<Tasks>('drafter.mjs', folder);

export type Drafter = ReturnType<typeof drafterFor>;
