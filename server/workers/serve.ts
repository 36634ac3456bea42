import { ProblemError } from '../../core/document/problem';
import { openForReading, type Db } from '../database/open';
import type { TaskAnswer, TaskMessage, TaskTable } from './asker';

/** Answers the tasks a worker is asked, one after another; problems and faults go back as such. */
export function serveTasks<Tasks extends TaskTable<Tasks>>(run: {
  [Name in keyof Tasks]: (given: Tasks[Name]['given']) => Tasks[Name]['made'];
}): void {
  process.on('message', ({ number, name, given }: TaskMessage<Tasks>) => {
    let answer: TaskAnswer;
    try {
      answer = { number, ok: true, made: run[name](given) };
    } catch (error) {
      answer =
        error instanceof ProblemError
          ? { number, ok: false, problem: error.problem }
          : { number, ok: false, fault: (error as Error).stack ?? String(error) };
    }
    // Whoever asked may be gone: then nobody waits for it, and the worker goes as well.
    process.send!(answer, undefined, undefined, (lost) => lost && process.exit());
  });
  // A server that was killed leaves no worker behind.
  process.on('disconnect', () => process.exit());
}

let db: Db | undefined;

/** The worker's own connection to the data folder, for reading only. */
export function database(): Db {
  return (db ??= openForReading(process.argv[2]));
}
