// Keeping a data folder: `backup` copies it while the desk runs, `restore` puts a copy back while it does not, `check`
// looks it through, `repair` mends what can be.
import Database from 'better-sqlite3';
import { chmodSync, cpSync, existsSync, mkdirSync, readdirSync, renameSync } from 'node:fs';
import { createConnection } from 'node:net';
import { join, resolve } from 'node:path';
import { ProblemError } from '../core/document/problem';
import { checkFolder, type Finding } from './check/check';
import { repairFolder } from './check/repair';
import { DATA_VERSION } from './database/open';
import { troubleOf } from './database/trouble';
import { say } from './words/problems';

const COMMANDS: Record<string, { given: number; run: (...folders: string[]) => Promise<number> }> = {
  backup: { given: 2, run: backup },
  restore: { given: 2, run: restore },
  check: { given: 1, run: check },
  repair: { given: 1, run: repair },
};
const [name, ...folders] = process.argv.slice(2);
const command = name && Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
if (!command || folders.length !== command.given) {
  console.error('Use: node dist/keep.mjs backup DATA COPY | restore COPY DATA | check DATA | repair DATA');
  process.exit(2);
}
// Copies are their user's alone, as the folder is.
process.umask(0o077);
try {
  process.exitCode = await command.run(...folders.map((folder) => resolve(folder)));
} catch (error) {
  const trouble = error instanceof ProblemError ? error.problem : troubleOf(error);
  console.error(trouble ? say(trouble) : (error as Error).message);
  process.exitCode = 1;
}

/** Copies the database page by page as it stands, then the files it names: they are never changed, only added. */
async function backup(data: string, copy: string): Promise<number> {
  if (!existsSync(join(data, 'uplift.sqlite'))) throw new Error(`${data} is no data folder.`);
  if (existsSync(copy) && readdirSync(copy).length > 0)
    throw new Error(`${copy} is not empty. Give a folder that is new; nothing was copied.`);
  mkdirSync(copy, { recursive: true });
  const db = new Database(join(data, 'uplift.sqlite'), { readonly: true });
  await db.backup(join(copy, 'uplift.sqlite'));
  db.close();
  chmodSync(join(copy, 'uplift.sqlite'), 0o600);
  cpSync(join(data, 'files'), join(copy, 'files'), {
    recursive: true,
    filter: (path) => !/upload\.|\.t[a-z2-7]{12}$/.test(path),
  });
  if (existsSync(join(data, 'demo'))) cpSync(join(data, 'demo'), join(copy, 'demo'));
  console.log(`Copied ${data} to ${copy}.`);
  return 0;
}

/** Puts a copy in place of a data folder; what was there is kept beside it. */
async function restore(copy: string, data: string): Promise<number> {
  const db = new Database(join(copy, 'uplift.sqlite'), { readonly: true, fileMustExist: true });
  const version = db.pragma('user_version', { simple: true }) as number;
  const sound = db.pragma('integrity_check', { simple: true });
  db.close();
  if (sound !== 'ok') throw new Error(`The copy is damaged (${String(sound)}); nothing was changed.`);
  if (version > DATA_VERSION)
    throw new Error('The copy was made by a newer version of Uplift Path; nothing was changed.');
  await mustStand(data);
  if (existsSync(data)) {
    const aside = `${data}.before-restore-${Date.now()}`;
    renameSync(data, aside);
    console.log(`What was there is kept in ${aside}.`);
  }
  cpSync(copy, data, { recursive: true });
  console.log(`Restored ${data} from ${copy}.`);
  return 0;
}

/** Says everything that is wrong with a data folder; 1 when there is anything. It may run while the desk does. */
async function check(data: string): Promise<number> {
  const findings = checkFolder(data);
  tell(findings);
  if (findings.length === 0) console.log(`${data} is sound.`);
  else
    console.log(
      `${findings.length} found. “npm run repair -- ${data}” mends what can be; a copy put back with “npm run restore” mends the rest.`,
    );
  return findings.length === 0 ? 0 : 1;
}

/** Mends what can be mended, after a copy of the database was laid beside it; 1 when something is left. */
async function repair(data: string): Promise<number> {
  await mustStand(data);
  const { copy, mended, left } = await repairFolder(data);
  console.log(`The database as it was is kept in ${copy}.`);
  for (const line of mended) console.log(`mended: ${line}`);
  tell(left);
  console.log(left.length === 0 ? `${data} is sound.` : `${left.length} could not be mended.`);
  return left.length === 0 ? 0 : 1;
}

function tell(findings: readonly Finding[]): void {
  for (const { about, what } of findings) console.log(`${about}: ${what}`);
}

/** Refuses while a desk runs on a data folder. */
async function mustStand(data: string): Promise<void> {
  if (existsSync(join(data, 'uplift.sqlite')) && (await inUse(data)))
    throw new Error('The desk seems to be running on this data folder. Stop it first; nothing was changed.');
}

/** A running desk holds its write-ahead log open; asked at its address too, where that is known. */
async function inUse(data: string): Promise<boolean> {
  try {
    const db = new Database(join(data, 'uplift.sqlite'));
    db.pragma('locking_mode = EXCLUSIVE');
    db.exec('begin exclusive; rollback');
    db.close();
  } catch (error) {
    // A damaged one is nobody's work at the moment.
    if (troubleOf(error)?.code !== 'data-damaged') return true;
  }
  const port = Number(process.env.PORT ?? 3000);
  return new Promise((done) => {
    const probe = createConnection({ port, host: '127.0.0.1' }, () => {
      probe.end();
      done(process.env.UPLIFT_DATA !== undefined && resolve(process.env.UPLIFT_DATA) === data);
    });
    probe.on('error', () => done(false));
  });
}
