// Writes server/route-list.ts: every route of the server, for the guard, for the desk's client and for tests. With
// --check it only says whether the file is up to date.
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';

const root = join(import.meta.dirname, '..', 'server');
const target = join(root, 'route-list.ts');

/** Every route there is a file for, by its method and pattern, with the right its definition names. */
function routesIn(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return routesIn(path);
    const file = relative(root, path);
    const [, name, method] = /^(.*)\.(get|post|put|delete)\.ts$/.exec(file) ?? [];
    if (!method) throw new Error(`${file} is no route: its name ends with no method.`);
    const right = /^ {2}right: '([a-z-]+)',$/m.exec(readFileSync(path, 'utf8'))?.[1];
    if (!right) throw new Error(`${file} names no right.`);
    const pattern = `/${name.replace(/\/?index$/, '').replace(/\[(\w+)\]/g, ':$1')}`;
    return [{ key: `${method.toUpperCase()} ${pattern}`, file: `./${file.replace(/\.ts$/, '')}`, right }];
  });
}

const routes = routesIn(join(root, 'api')).sort((a, b) => (a.key < b.key ? -1 : 1));
const text = `// Written by "npm run routes" from the files in server/api; a test holds it to them.
/* eslint-disable @typescript-eslint/consistent-type-imports */
import type { Right } from './rights/right';

/** Every route by method and pattern, with its definition: what the desk's client is typed by. */
export interface Routes {
${routes.map(({ key, file }) => `  '${key}': typeof import('${file}').default;`).join('\n')}
}

/** Every route with the right it asks for. */
export const ROUTES: Readonly<Record<keyof Routes, Right>> = {
${routes.map(({ key, right }) => `  '${key}': '${right}',`).join('\n')}
};
`;
if (!process.argv.includes('--check')) writeFileSync(target, text);
else if (readFileSync(target, 'utf8') !== text) {
  console.error('server/route-list.ts is not up to date: run "npm run routes".');
  process.exit(1);
}
