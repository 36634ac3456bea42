import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { enter, expect, looksRight, newCourse, openDemo, saved, served, test } from './app';

test('from documents to a drafted lesson: the whole way once', async ({ page, app }) => {
  test.setTimeout(120_000);
  await newCourse(page, app, 'Carrying samples');
  const broken = join(app.folder, 'broken.docx');
  writeFileSync(broken, 'PK\u0003\u0004 not a document');
  await page.getByLabel('Files to add').setInputFiles(['eval/documents/sample-courier.md', 'eval/documents/lone-working.txt', broken]);
  await expect(page.getByRole('link', { name: /Carrying samples between/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Lone working and home visits/ })).toBeVisible();
  await expect(page.locator('.uploads .refused')).toContainText('damaged');
  // The same once more is noticed.
  await page.getByLabel('Files to add').setInputFiles(['eval/documents/sample-courier.md']);
  await expect(page.getByText('holds the same as')).toBeVisible();
  await page.getByRole('button', { name: 'Paste or type text' }).click();
  await page.getByLabel('Title').fill('What the drivers say');
  await page.getByLabel('Text', { exact: true }).fill('# Notes\n\nDrivers must ring before noon if a van is full, because the second van leaves at one o\'clock.\n');
  await page.getByRole('button', { name: 'Add as a source' }).click();
  await expect(page.getByRole('link', { name: 'What the drivers say' })).toBeVisible();
  await page.getByRole('link', { name: /Carrying samples between/ }).click();
  await page.getByRole('button', { name: /terms$/ }).click();
  await expect(page.locator('.passage').first()).toBeVisible();

  await page.keyboard.press('Alt+1');
  await page.getByLabel('How long').fill('18');
  await page.getByLabel('For whom').fill('Drivers');
  await saved(page);
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Draft from the sources' }).first().click();
  await expect(page.getByRole('complementary', { name: 'Drafted outline' })).toBeVisible();
  expect((await served(page)).course.modules).toEqual([]);
  await page.keyboard.press('Alt+Enter');
  await saved(page);
  await expect.poll(async () => (await served(page)).course.modules.length).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Keep as a version' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('1 version kept')).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await page.keyboard.press('Alt+4');
  await page.getByRole('button', { name: /Draft all/ }).click();
  await expect(page.getByText('every lesson has text')).toBeVisible({ timeout: 60_000 });
  const { course } = await served(page);
  const lessons = course.modules.flatMap((module) => module.lessons);
  expect(lessons.every((lesson) => lesson.state === 'drafted' && lesson.blocks.length > 0)).toBe(true);
  expect(course.checks.length).toBeGreaterThan(3);
  const blank = async () => (await served(page)).course.modules.flatMap((module) => module.lessons).filter((lesson) => lesson.blocks.length === 0).length;
  await page.keyboard.press('Control+z');
  await expect.poll(blank).toBe(1);
  // Back to the outline as it was kept, and forward again.
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: '1 version kept' }).click();
  await page.getByRole('menuitem', { name: /Outline accepted/ }).click();
  await expect.poll(blank).toBe(lessons.length);
  await page.keyboard.press('Control+z');
  await expect.poll(blank).toBe(1);
});

test('a source taken off leaves the text, and says so where its evidence is', async ({ page, app }) => {
  await newCourse(page, app, 'Off and on');
  await page.getByLabel('Files to add').setInputFiles(['eval/documents/allergen-guide.md']);
  await expect(page.getByRole('link', { name: /food allergies/ })).toBeVisible();
  await page.getByRole('button', { name: /^Take .* off this course$/ }).click();
  await expect(page.getByRole('heading', { name: 'What do you have?' })).toBeVisible();
});

test('offers are taken and refused by key', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+5');
  const offers = page.locator('[data-card]');
  await expect(offers.first()).toBeVisible();
  const count = await offers.count();
  const first = (await offers.first().getAttribute('data-card'))!;
  await offers.first().focus();
  await page.keyboard.press('t');
  await expect(offers).toHaveCount(count - 1);
  await expect.poll(async () => JSON.stringify((await served(page)).course.modules)).toContain(first);
  await offers.first().focus();
  await page.keyboard.press('r');
  await expect(offers).toHaveCount(count - 2);
  await page.keyboard.press('Control+z');
  await expect(offers).toHaveCount(count - 1);
});

test('a course goes out as an archive and comes in again', async ({ page, app }) => {
  await openDemo(page, app);
  const before = (await served(page)).course;
  const bytes = await page.evaluate(async (id) => Array.from(new Uint8Array(await (await fetch(`/api/courses/${id}/archive`)).arrayBuffer())), (before as unknown as { id: string }).id);
  const path = join(app.folder, 'copy.uplift.zip');
  writeFileSync(path, Uint8Array.from(bytes));
  await enter(page, app);
  await page.getByLabel('Course archive').setInputFiles(path);
  await expect(page.getByRole('heading', { name: 'Outline' })).toBeVisible();
  const copy = (await served(page)).course;
  expect(copy.modules).toEqual(before.modules);
  expect(copy.title).toBe(before.title);
});

test('sources that contradict each other are shown side by side, settled by their author, and taken back', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+2');
  const place = page.getByRole('region', { name: 'Where the sources contradict each other' });
  await expect(place).toContainText('within two opening days');
  await expect(place).toContainText('within three opening days');
  await expect(place).toContainText('1 to decide');
  await looksRight(page);
  await place.getByRole('button', { name: 'This holds' }).first().click();
  await expect(place.getByText('does not hold', { exact: true })).toBeVisible();
  await expect(place).toContainText('all decided');
  await saved(page);
  expect((await served(page)).course).toMatchObject({ settled: [{ holds: 'first' }] });
  await looksRight(page);
  await page.keyboard.press('Control+z');
  await expect(place).toContainText('1 to decide');
});

test('a link is fetched, cleaned, and fetched again', async ({ page, app }) => {
  await newCourse(page, app, 'Linked');
  await page.keyboard.press('Alt+l');
  await page.getByRole('button', { name: /opening-hours/ }).click();
  await looksRight(page);
  await page.getByRole('button', { name: 'Fetch it' }).click();
  await expect(page.getByRole('link', { name: 'Opening hours and holidays' })).toBeVisible();
  await page.getByRole('button', { name: 'Fetch Opening hours and holidays again' }).click();
  await expect(page.getByText('nothing changed.')).toBeVisible();
  await page.keyboard.press('Alt+l');
  await page.getByLabel('Address').fill('http://127.0.0.1:9/private');
  await page.getByRole('button', { name: 'Fetch it' }).click();
  await expect(page.getByRole('alert')).toContainText('closed network');
});

test('a newer version of a source says what changed, and what of the course stood on it', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+2');
  const path = join(app.folder, 'coordinators-notes.md');
  const text = readFileSync('demo/files/coordinators-notes.md', 'utf8');
  const changing = text.split('\n\n').find((each) => each.startsWith('When there is a queue'))!;
  writeFileSync(path, text.replace(changing, `${changing} From now on the desk lead counts them.`) + '\n\nThe return box is emptied before the desk opens.\n');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^A newer version of Coordinator/ }).click();
  await (await chooser).setFiles(path);
  const place = page.getByRole('region', { name: /newer version/ });
  await expect(place).toContainText('1 changed, 0 gone, 1 new');
  await expect(place).toContainText('of the course stood on what changed or is gone');
  await expect(place.getByRole('row', { name: /^changed/ }).getByRole('link').first()).toBeVisible();
  await looksRight(page);
  await place.getByRole('button', { name: 'Close' }).click();
  await expect(place).toHaveCount(0);
});
