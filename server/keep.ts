// Keeping a data folder: `backup` copies it while the desk runs, `restore` puts a copy back while it does not.
import Database from 'better-sqlite3';
import { cpSync, existsSync, mkdirSync, readdirSync, renameSync } from 'node:fs';
import { createConnection } from 'node:net';
import { join, resolve } from 'node:path';
import { DATA_VERSION } from './database/open';

const [command, from, to] = process.argv.slice(2);
if ((command !== 'backup' && command !== 'restore') || !from || !to) {
  console.error('Use: node dist/keep.mjs backup DATA COPY | restore COPY DATA');
  process.exit(2);
}
try {
  await (command === 'backup' ? backup(resolve(from), resolve(to)) : restore(resolve(from), resolve(to)));
} catch (error) {
  console.error((error as Error).message);
  process.exit(1);
}

/** Copies the database page by page as it stands, then the files it names: they are never changed, only added. */
async function backup(data: string, copy: string): Promise<void> {
  if (!existsSync(join(data, 'uplift.sqlite'))) throw new Error(`${data} is no data folder.`);
  if (existsSync(copy) && readdirSync(copy).length > 0) throw new Error(`${copy} is not empty. Give a folder that is new; nothing was copied.`);
  mkdirSync(copy, { recursive: true });
  const db = new Database(join(data, 'uplift.sqlite'), { readonly: true });
  await db.backup(join(copy, 'uplift.sqlite'));
  db.close();
  cpSync(join(data, 'files'), join(copy, 'files'), { recursive: true, filter: (path) => !/upload\.|\.t[a-z2-7]{12}$/.test(path) });
  if (existsSync(join(data, 'demo'))) cpSync(join(data, 'demo'), join(copy, 'demo'));
  console.log(`Copied ${data} to ${copy}.`);
}

/** Puts a copy in place of a data folder; what was there is kept beside it. */
async function restore(copy: string, data: string): Promise<void> {
  const db = new Database(join(copy, 'uplift.sqlite'), { readonly: true, fileMustExist: true });
  const version = db.pragma('user_version', { simple: true }) as number;
  const sound = db.pragma('integrity_check', { simple: true });
  db.close();
  if (sound !== 'ok') throw new Error(`The copy is damaged (${String(sound)}); nothing was changed.`);
  if (version > DATA_VERSION) throw new Error('The copy was made by a newer version of Uplift Path; nothing was changed.');
  if (existsSync(join(data, 'uplift.sqlite')) && (await inUse(data))) throw new Error('The desk seems to be running on this data folder. Stop it first; nothing was changed.');
  if (existsSync(data)) {
    const aside = `${data}.before-restore-${Date.now()}`;
    renameSync(data, aside);
    console.log(`What was there is kept in ${aside}.`);
  }
  cpSync(copy, data, { recursive: true });
  console.log(`Restored ${data} from ${copy}.`);
}

/** A running desk holds its write-ahead log open; asked at its address too, where that is known. */
async function inUse(data: string): Promise<boolean> {
  const db = new Database(join(data, 'uplift.sqlite'));
  try {
    db.pragma('locking_mode = EXCLUSIVE');
    db.exec('begin exclusive; rollback');
    db.close();
  } catch {
    return true;
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
