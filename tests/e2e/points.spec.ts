import { expect, looksRight, openDemo, saved, served, test } from './app';

const TITLE = 'Red-tag tools';
const lessonOf = async (page: Parameters<typeof served>[0]) =>
  (await served(page)).course.modules.flatMap(({ lessons }) => lessons).find(({ title }) => title === TITLE)!;
const points = async (page: Parameters<typeof served>[0]) =>
  ((await lessonOf(page)).points ?? []).map(({ text, does }) => `${does}: ${text}`);

test('points are proposed, typed, moved and said otherwise by hand and key, and nothing typed is lost', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+3');
  const row = page.getByRole('row', { name: new RegExp(TITLE) });
  await row.getByRole('textbox', { name: 'Lesson' }).click();
  await page.keyboard.press('Alt+Shift+P');
  await page.getByRole('button', { name: /^Propose \d+ from its sources/ }).click();
  await saved(page);
  const proposed = await points(page);
  expect(proposed.length).toBeGreaterThan(1);
  const planned = (await lessonOf(page)).plannedPassages.length;
  // Typed at once, with a click elsewhere in the middle of it.
  await page.getByRole('button', { name: 'New point' }).press('Enter');
  await page.keyboard.type('What to tell the next borrower', { delay: 25 });
  await row.getByRole('textbox', { name: /^After/ }).click();
  await saved(page);
  await expect.poll(() => points(page)).toEqual([...proposed, 'explain: What to tell the next borrower']);
  await expect(page.getByText('The sources say nothing of it.')).toBeVisible();
  await page.getByRole('button', { name: 'Ask me for it' }).click();
  await expect(page.getByText('You are asked for it.')).toBeVisible();
  // By key: up by one place, a new one below, and away again.
  await page.getByRole('textbox', { name: `Point ${proposed.length + 1}` }).click();
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(async () => (await points(page)).at(-2)).toBe('explain: What to tell the next borrower');
  await page.getByRole('button', { name: `Point ${proposed.length}: explain` }).click();
  await page.getByRole('menuitemcheckbox', { name: /^try/ }).click();
  await expect.poll(async () => (await points(page)).at(-2)).toBe('try: What to tell the next borrower');
  await page.getByRole('textbox', { name: 'Point 1', exact: true }).click();
  await page.keyboard.press('Control+Delete');
  await expect.poll(() => points(page)).toHaveLength(proposed.length);
  expect((await lessonOf(page)).plannedPassages.length).toBeLessThan(planned);
  await page.keyboard.press('Control+z');
  await expect.poll(() => points(page)).toHaveLength(proposed.length + 1);
  expect((await lessonOf(page)).plannedPassages).toHaveLength(planned);
  await page.reload();
  await expect(page.getByRole('row', { name: new RegExp(TITLE) })).toBeVisible();
  expect(await points(page)).toHaveLength(proposed.length + 1);
});

test('what a point stands on is shown beside it, and a text is drafted by the points', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+3');
  await page
    .getByRole('row', { name: new RegExp(TITLE) })
    .getByRole('textbox', { name: 'Lesson' })
    .click();
  await page.keyboard.press('Alt+Shift+P');
  await page.getByRole('button', { name: /^Propose/ }).click();
  await saved(page);
  await page.getByRole('button', { name: 'What point 1 stands on' }).click();
  const first = page.getByRole('listitem').filter({ has: page.getByRole('textbox', { name: 'Point 1', exact: true }) });
  await expect(first.locator('.passages p').first()).not.toBeEmpty();
  await looksRight(page);
  await page.getByRole('textbox', { name: 'Point 1', exact: true }).fill('How to know one');
  await saved(page);
  await page.getByRole('button', { name: 'Draft again by these points' }).click();
  // The page was worked on: its draft is laid beside it.
  await expect
    .poll(async () => JSON.stringify((await served(page)).course.takes), { timeout: 30_000 })
    .toContain('How to know one');
  expect(JSON.stringify((await lessonOf(page)).blocks)).not.toContain('How to know one');
});

test('other takes of a row lie below it until they are thrown away; what is taken changes places', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+3');
  const title = async () => (await served(page)).course.modules[3]!.lessons.map((lesson) => lesson.title);
  const before = await title();
  await page.getByRole('textbox', { name: 'Module 4' }).click();
  await page.keyboard.press('Alt+Shift+T');
  const take = page.getByRole('group', { name: 'As the sources go' });
  await expect(take).toBeVisible();
  await looksRight(page);
  await take.focus();
  await page.keyboard.press('t');
  await saved(page);
  await expect.poll(title).not.toEqual(before);
  const kept = page.getByRole('group', { name: 'Stood here before' });
  await expect(kept).toBeVisible();
  // In two, by hand; and back again by undo.
  const modules = (await served(page)).course.modules.length;
  await page
    .getByRole('group', { name: /^In two/ })
    .getByRole('button', { name: 'take it' })
    .click();
  await saved(page);
  await expect.poll(async () => (await served(page)).course.modules.length).toBe(modules + 1);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await served(page)).course.modules.length).toBe(modules);
  await kept.focus();
  await page.keyboard.press('t');
  await expect.poll(title).toEqual(before);
  // Thrown away, it is not offered again.
  const gone = page.getByRole('group', { name: 'What a term means before it is used' });
  await gone.focus();
  await page.keyboard.press('Delete');
  await expect(gone).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('textbox', { name: 'Module 4' })).toBeFocused();
  await page.keyboard.press('Alt+Shift+T');
  await expect(page.getByRole('group', { name: /^In two/ })).toBeVisible();
  await expect(gone).toHaveCount(0);
});

test('two windows at the points of one lesson keep what each typed', async ({ page, app, context }) => {
  await openDemo(page, app);
  const other = await context.newPage();
  await other.goto(page.url());
  for (const window of [page, other]) {
    await window.keyboard.press('Alt+3');
    await window
      .getByRole('row', { name: new RegExp(TITLE) })
      .getByRole('textbox', { name: 'Lesson' })
      .click();
    await window.keyboard.press('Alt+Shift+P');
  }
  await page.getByRole('button', { name: /^Propose/ }).click();
  await saved(page);
  const count = (await points(page)).length;
  await expect(other.getByRole('textbox', { name: 'Point 2' })).toBeVisible();
  await other.getByRole('textbox', { name: 'Point 2' }).fill('Said in the second window');
  await page.getByRole('textbox', { name: 'Point 1', exact: true }).click();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Put between in the first', { delay: 30 });
  await saved(page);
  await saved(other);
  await expect
    .poll(() => points(page))
    .toEqual(expect.arrayContaining(['explain: Put between in the first', expect.stringMatching(/second window$/)]));
  expect(await points(page)).toHaveLength(count + 1);
  await expect(other.getByRole('textbox', { name: 'Point 2' })).toHaveValue('Put between in the first');
  await other.close();
});
