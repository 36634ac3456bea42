import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, onTestFinished } from 'vitest';
import { briefFrom } from '../core/brief/given';
import type { Course } from '../core/course/course';
import type { Change, Operation } from '../core/course/operations';
import { openDatabase } from '../server/database/open';
import { peopleIn } from '../server/database/people';
import { courseDesk, OPERATION_VERSION } from '../server/desk/courses';
import { freshId } from '../server/ids';
import { zipStream } from '../core/document/zip';
import { exportArchive } from '../server/desk/archive';
import { openInstallation } from '../server/utils/installation';
import { aCourse } from './builders';

export const INES = 'pinesmarlowa';
export const TOM = 'ptomashbyaaa';

/** A data folder of the test's own, gone afterwards. */
export function aFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'uplift-'));
  onTestFinished(() => rmSync(folder, { recursive: true, force: true }));
  return folder;
}

/** A desk with two people and one course; `clock.at` is its time. */
export function aDesk(folder = aFolder(), course: Course = aCourse()) {
  const clock = { at: 1_000_000 };
  const db = openDatabase(folder);
  const people = peopleIn(db);
  if (people.all().length === 0) {
    people.add({ id: INES, name: 'Ines Marlow', login: 'ines', role: 'owner' }, 'x.y', clock.at);
    people.add({ id: TOM, name: 'Tom Ashby', login: 'tom', role: 'member' }, 'x.y', clock.at);
  }
  const desk = courseDesk(db, () => clock.at);
  const known = desk.list(INES)[0]?.id;
  const id = known ?? desk.adopt(course, INES);
  people.setRole(id, TOM, 'author');
  return { folder, db, desk, id, clock, people };
}

/** A change of a person; `group` joins it to others. */
export function aChange(operation: Operation, person = INES, group = freshId('g'), id = freshId('x')): Change {
  return { id, group, actor: { person }, version: OPERATION_VERSION, operation };
}

export const aBriefInput = () => briefFrom({}, 'en');

/** A whole installation for the tests of a file, with one person; closed and gone after the last of them. */
export function anInstallation() {
  const folder = mkdtempSync(join(tmpdir(), 'uplift-installation-'));
  const desk = openInstallation(folder);
  beforeAll(() => desk.people.add({ id: INES, name: 'Ines', login: 'ines', role: 'owner' }, 'x.y', 1));
  afterAll(async () => {
    await desk.search.close();
    await desk.drafter.stop();
    desk.db.close();
    rmSync(folder, { recursive: true, force: true });
  });
  return { folder, desk };
}

/** Where nobody hands anything in. */
export const NOTHING_HANDED = { has: () => true, clear: () => undefined };

/** A course as the bytes of its archive, as they are sent. */
export async function archiveOf(desk: Parameters<typeof exportArchive>[0], id: string): Promise<Uint8Array> {
  const pieces: Uint8Array[] = [];
  for await (const piece of zipStream(exportArchive(desk, id).files)) pieces.push(piece);
  return new Uint8Array(Buffer.concat(pieces));
}
