import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { ProblemError } from '../../core/course/problem';
import { programFolder } from '../assets';
import type { TaskAnswer, TaskName, Tasks } from './tasks';

/** Asks the drafting worker; starts it at the first question, and again when it broke. One task at a time, in order. */
export function drafterFor(folder: string) {
  let worker: Worker | undefined;
  let count = 0;
  const waiting = new Map<number, { done: (made: unknown) => void; failed: (error: Error) => void }>();

  function start(): Worker {
    const script = join(programFolder(), 'drafter.mjs');
    if (!existsSync(script)) throw new Error('The drafting worker is not built: run "npm run build".');
    const made = new Worker(script, { workerData: { folder } });
    made.on('message', (answer: TaskAnswer) => {
      const caller = waiting.get(answer.number);
      waiting.delete(answer.number);
      if (!caller) return;
      if (answer.ok) caller.done(answer.made);
      else caller.failed(answer.problem ? new ProblemError(answer.problem) : new Error(answer.fault));
    });
    const broke = (error: Error) => {
      if (worker === made) worker = undefined;
      for (const caller of waiting.values()) caller.failed(error);
      waiting.clear();
    };
    made.on('error', broke);
    made.on('exit', (code) => code !== 0 && broke(new Error(`The drafting worker ended with ${code}.`)));
    made.unref();
    return made;
  }

  return {
    ask<Name extends TaskName>(name: Name, given: Tasks[Name]['given']): Promise<Tasks[Name]['made']> {
      worker ??= start();
      const number = ++count;
      return new Promise((done, failed) => {
        waiting.set(number, { done: done as (made: unknown) => void, failed });
        worker!.postMessage({ number, name, given });
      });
    },
    async stop() {
      await worker?.terminate();
      worker = undefined;
    },
  };
}

export type Drafter = ReturnType<typeof drafterFor>;
