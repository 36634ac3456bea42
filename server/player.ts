import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PlayerFiles } from '../core/exchange/package';
import { programFolder } from './assets';

let read: PlayerFiles | undefined;

/** How a page of a lesson looks, for pages without a script. */
export const pageStyles = (): string => readFileSync(join(programFolder(), 'player', 'page.css'), 'utf8');

/** The built player that goes into packages. */
export function playerFiles(): PlayerFiles {
  if (read) return read;
  const folder = join(programFolder(), 'player');
  if (!existsSync(join(folder, 'player.js'))) throw new Error('The player is not built: run "npm run build".');
  const bytes = (...path: string[]) => new Uint8Array(readFileSync(join(folder, ...path)));
  read = {
    script: bytes('player.js'),
    style: bytes('player.css'),
    notices: readFileSync(join(folder, 'NOTICES.txt'), 'utf8'),
    faces: new Map(
      readdirSync(join(folder, 'fonts'))
        .sort()
        .map((name) => [name, bytes('fonts', name)]),
    ),
  };
  return read;
}
