// Builds, then runs one of the built programs with the arguments behind its name.
import { spawnSync } from 'node:child_process';
import { install } from './install.mjs';

install();
await import('./build.mjs');
const [name, ...rest] = process.argv.slice(2);
process.exitCode = spawnSync(process.execPath, [`dist/${name}.mjs`, ...rest], { stdio: 'inherit' }).status ?? 1;
