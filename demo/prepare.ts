// Makes a data folder with the demo in it, unless there is one. Called by the start script and the tests of the
// screens.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { readArchive } from '../core/exchange/archive';
import { importArchive } from '../server/desk/archive';
import { demoNote } from '../server/demo';
import { hashPassword } from '../server/rights/password';
import { openInstallation } from '../server/utils/installation';
import { addLearners } from './learners';
import { DEMO_PASSWORD, DEMO_PEOPLE } from './people';

const folder = resolve(process.argv[2] ?? 'data');
if (!existsSync(join(folder, 'uplift.sqlite'))) {
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, 'demo'), demoNote(DEMO_PEOPLE.map((person) => person.id)));
  const installation = openInstallation(folder);
  const { db, people, drafter, search, sources, now } = installation;
  const password = await hashPassword(DEMO_PASSWORD);
  for (const { id, name, login, role } of DEMO_PEOPLE) people.add({ id, name, login, role }, password, now());
  const [owner, ...others] = DEMO_PEOPLE;
  const { id } = importArchive(
    installation,
    readArchive(new Uint8Array(readFileSync('demo/course/lending-tools-safely.uplift.zip'))),
    owner.id,
    true,
  );
  for (const { id: person, course } of others) people.setRole(id, person, course);
  await addLearners(installation, id, owner.id);
  // Understood and searchable at once, as a desk is that was in use.
  await Promise.all([search.filled(), sources.renewClaims()]);
  await search.close();
  await drafter.stop();
  db.close();
  console.log(`Made ${folder} with the demo.`);
}
