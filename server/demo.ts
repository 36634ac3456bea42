import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1']);

/** What the file "demo" of a demo folder says: for people, then the ids of those who can be taken on. */
export function demoNote(ids: readonly string[]): string {
  return `This folder holds the demo: its people can be taken on by one click.\npeople: ${ids.join(' ')}\n`;
}

/**
 * Whether a data folder is a demo, and whether its people may be taken on by one click: only while there is nobody else
 * in it, and the server can be reached from this machine alone.
 */
export function demoOf(folder: string, people: () => readonly { id: string }[]) {
  const path = join(folder, 'demo');
  const isFolder = existsSync(path);
  const known = new Set(isFolder ? (/^people: (.*)$/m.exec(readFileSync(path, 'utf8'))?.[1] ?? '').split(' ') : []);
  const here = LOOPBACK.has(process.env.NITRO_HOST ?? process.env.HOST ?? '127.0.0.1');
  return { isFolder, byOneClick: () => isFolder && here && people().every((person) => known.has(person.id)) };
}
