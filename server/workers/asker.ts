import { fork, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ProblemError, type Problem } from '../../core/document/problem';
import { programFolder } from '../assets';

/** Megabytes a worker may hold: rubbish is put away before it grows beyond, and what needs more fails alone. */
const HEAP = 1536;

/** What a worker can be asked: by name, what it is given and what it makes of it. */
export type TaskTable<Tasks> = { [Name in keyof Tasks]: { given: unknown; made: unknown } };

export interface TaskMessage<Tasks extends TaskTable<Tasks>, Name extends keyof Tasks = keyof Tasks> {
  number: number;
  name: Name;
  given: Tasks[Name]['given'];
}
export type TaskAnswer =
  { number: number; ok: true; made: unknown } | { number: number; ok: false; problem?: Problem; fault?: string };

/**
 * Asks a worker that reads a data folder; starts it at the first question, and again when it broke. One task at a time,
 * in order. `script` is its program, as built.
 *
 * A worker is a process, not a thread. The server's bundle has a copy of the database library of its own, and two
 * copies in one process undo each other's locks on the file (POSIX locks belong to the process): what one writes, the
 * other reads half, and takes for damaged.
 */
export function workerFor<Tasks extends TaskTable<Tasks>>(script: string, folder: string) {
  let worker: ChildProcess | undefined;
  let count = 0;
  const waiting = new Map<number, { done: (made: unknown) => void; failed: (error: Error) => void }>();

  function start(): ChildProcess {
    const path = join(programFolder(), script);
    if (!existsSync(path)) throw new Error(`The program ${script} is not built: run "npm run build".`);
    const made = fork(path, [folder], {
      serialization: 'advanced',
      execArgv: [...process.execArgv, `--max-old-space-size=${HEAP}`],
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    made.on('message', (answer: TaskAnswer) => {
      const caller = waiting.get(answer.number);
      waiting.delete(answer.number);
      held();
      if (!caller) return;
      if (answer.ok) caller.done(answer.made);
      else caller.failed(answer.problem ? new ProblemError(answer.problem) : new Error(answer.fault));
    });
    const broke = (error: Error) => {
      if (worker !== made) return;
      worker = undefined;
      for (const caller of waiting.values()) caller.failed(error);
      waiting.clear();
    };
    made.on('error', broke);
    made.on('exit', (code, signal) => broke(new Error(`The program ${script} ended with ${code ?? signal}.`)));
    made.unref();
    return made;
  }

  /** Who asked is waited for; a worker without a question keeps nobody from ending. */
  function held(): void {
    if (waiting.size > 0) worker?.channel?.ref();
    else worker?.channel?.unref();
  }

  return {
    ask<Name extends keyof Tasks>(name: Name, given: Tasks[Name]['given']): Promise<Tasks[Name]['made']> {
      worker ??= start();
      const number = ++count;
      return new Promise((done, failed) => {
        waiting.set(number, { done: done as (made: unknown) => void, failed });
        held();
        worker!.send({ number, name, given });
      });
    },
    /** Ends the worker; whoever still waits for it hears that it ended. */
    async stop() {
      if (!worker) return;
      const gone = new Promise((ended) => worker!.once('exit', ended));
      worker.ref();
      worker.kill('SIGKILL');
      await gone;
    },
  };
}
