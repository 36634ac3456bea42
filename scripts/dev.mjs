// For work on the desk: programs built once, then Nuxt's development server on a data folder with the demo.
import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { install } from './install.mjs';

install();
await import('./build.mjs');
const data = resolve(process.env.UPLIFT_DATA ?? 'data');
spawnSync(process.execPath, ['dist/prepare.mjs', data], { stdio: 'inherit' });
process.exitCode =
  spawnSync('node_modules/.bin/nuxt', ['dev', '--host', '127.0.0.1'], {
    stdio: 'inherit',
    env: { ...process.env, UPLIFT_DATA: data, NUXT_TELEMETRY_DISABLED: '1' },
  }).status ?? 1;
