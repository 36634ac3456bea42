#!/usr/bin/env node
import { run } from './run';

const stop = new AbortController();
process.on('SIGINT', () => stop.abort());
process.on('SIGTERM', () => stop.abort());

const code = await run(
  process.argv.slice(2),
  { print: (text) => process.stdout.write(text), tell: (line) => process.stderr.write(`${line}\n`) },
  stop.signal,
);
process.exitCode = code;
