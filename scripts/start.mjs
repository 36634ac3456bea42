// Installs and builds when needed, makes the data folder with the demo when there is none, and starts the desk.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, utimesSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { install } from './install.mjs';
import { isFresh } from './fresh.mjs';

process.chdir(join(import.meta.dirname, '..'));
install();
const built = '.output/server/index.mjs';
if (
  !isFresh(built, [
    'core',
    'server',
    'app',
    'player',
    'cli',
    'demo',
    'eval',
    'scripts/build.mjs',
    'scripts/player.mjs',
    'nuxt.config.ts',
    'package-lock.json',
  ]) ||
  !existsSync('dist/prepare.mjs')
) {
  console.log('Building, about a minute ...');
  const { status } = spawnSync(process.execPath, ['scripts/build.mjs', '--desk'], { stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
  utimesSync(built, new Date(), new Date());
}
const data = resolve(process.env.UPLIFT_DATA ?? 'data');
if (!process.argv.includes('--without-demo')) {
  const made = spawnSync(process.execPath, ['dist/prepare.mjs', data], { stdio: 'inherit' });
  if (made.status !== 0) process.exit(made.status ?? 1);
}
const port = process.env.PORT ?? '3000';
const host = process.env.HOST ?? '127.0.0.1';
const server = spawn(process.execPath, [built], {
  stdio: 'inherit',
  env: { ...process.env, PORT: port, HOST: host, UPLIFT_DATA: data },
});
const people = existsSync(join(data, 'demo'))
  ? '\nDemo: come in as Ines Marlow (author) or Tom Ashby (reviewer) by one click, or sign in as "ines" or "tom" with the password "fernhollow-desk".'
  : '';
console.log(
  `\nUplift Path ${JSON.parse(readFileSync('package.json', 'utf8')).version}: http://localhost:${port}${people}\nYour data: ${data}\nStop with Ctrl+C.\n`,
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
