// Every package that ships must carry a licence that lets us ship it. Which ones ship is what the lock file says is not
// for development only.
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const FINE =
  /^(MIT|MIT-0|ISC|BSD|BSD-2-Clause|BSD-3-Clause|0BSD|Apache-2\.0|MPL-2\.0|CC0-1\.0|CC-BY-4\.0|Unlicense|BlueOak-1\.0\.0|Python-2\.0|Zlib|OFL-1\.1)$/;
/**
 * Comes with the interface kit and states no licence in its package: no page of ours uses it, and a test keeps it out
 * of what is built.
 */
const LEFT_OUT = new Set(['vaul-vue']);
const good = (licence) =>
  licence
    .replace(/[()]/g, '')
    .split(/\s+OR\s+/)
    .some((each) => each.split(/\s+AND\s+/).every((part) => FINE.test(part.trim())));

const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const shipped = Object.entries(packages).filter(
  ([path, entry]) => path.startsWith('node_modules/') && !entry.dev && existsSync(join(path, 'package.json')),
);
const bad = shipped.flatMap(([path]) => {
  const { name, version, license, licenses } = JSON.parse(readFileSync(join(path, 'package.json'), 'utf8'));
  const said =
    typeof license === 'string'
      ? license
      : (license?.type ?? licenses?.map?.((each) => each.type).join(' OR ') ?? 'none');
  return good(said) || LEFT_OUT.has(name) ? [] : [`${name} ${version}: ${said}`];
});
if (bad.length > 0) {
  console.error(`Licences that do not let us ship:\n${bad.join('\n')}`);
  process.exit(1);
}
console.log(`${shipped.length} packages, all with a licence that lets us ship them`);
