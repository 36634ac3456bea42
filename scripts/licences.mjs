// Every package that ships must carry a licence that lets us ship it.
import { execSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const FINE = /^(MIT|MIT-0|ISC|BSD|BSD-2-Clause|BSD-3-Clause|0BSD|Apache-2\.0|MPL-2\.0|CC0-1\.0|Unlicense|BlueOak-1\.0\.0|Python-2\.0|Zlib)$/;
const good = (licence) => licence.replace(/[()]/g, '').split(/\s+OR\s+/).some((each) => each.split(/\s+AND\s+/).every((part) => FINE.test(part.trim())));

const folders = execSync('npm ls --omit=dev --all --parseable', { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }).trim().split('\n').slice(1);
const bad = folders.flatMap((folder) => {
  const { name, version, license, licenses } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
  const said = typeof license === 'string' ? license : (license?.type ?? licenses?.map?.((each) => each.type).join(' OR ') ?? 'none');
  return good(said) ? [] : [`${name} ${version}: ${said}`];
});
if (bad.length > 0) {
  console.error(`Licences that do not let us ship:\n${bad.join('\n')}`);
  process.exit(1);
}
console.log(`${folders.length} packages, all with a licence that lets us ship them`);
