import { expect, looksRight, newCourse, openDemo, openLesson, saved, served, test } from './app';

const drawn = async (page: Parameters<typeof served>[0]) =>
  (await served(page)).course.modules.map(
    (module) => `${module.title}: ${module.lessons.map((lesson) => lesson.title).join(', ')}`,
  );

test('an own outline is laid beside the course, pulled from row by row, and undone', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+3');
  const before = await drawn(page);
  await page.keyboard.press('Alt+o');
  const dialog = page.getByRole('dialog', { name: 'An outline of your own' });
  await dialog
    .getByLabel(/^Its lines/)
    .fill(
      'Checking a tool out\n  Before you hand it over\n  Feeding the parrot\nThe parrot\n  What it eats\n  Where it sleeps\n',
    );
  await expect(dialog.getByText('2 modules, 4 lessons')).toBeVisible();
  await dialog.getByRole('button', { name: 'Lay it beside mine' }).click();
  const grid = page.getByRole('grid', { name: 'Mine and Pasted outline' });
  await expect(grid).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('3 not in mine')).toBeVisible();
  // The hand stays on the row; what is pulled stands where it stands there.
  const row = (title: string) => grid.getByRole('row', { name: new RegExp(title) });
  await row('Feeding the parrot').click();
  await expect(page.getByText('Goes behind Before you hand it over.')).toBeVisible();
  await page.keyboard.press('p');
  await saved(page);
  await expect
    .poll(() => drawn(page))
    .toContainEqual(expect.stringContaining('Before you hand it over, Feeding the parrot, The five-point look-over'));
  await expect(row('Feeding the parrot')).toBeFocused();
  await row('Where it sleeps').click();
  await page.keyboard.press('m');
  await saved(page);
  await expect.poll(() => drawn(page)).toContainEqual('The parrot: What it eats, Where it sleeps');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('grid', { name: 'Outline' })).toBeVisible();
  // The rows are back, to be typed in.
  await expect(page.getByRole('textbox', { name: 'Module 2' })).toBeEditable();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(() => drawn(page)).toEqual(before);
});

test('titles and objectives stand in full, and several pasted lines become rows with their levels', async ({
  page,
  app,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await newCourse(page, app, 'Baking bread');
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Write the first row' }).click();
  const long = 'What to look at, smell and listen to before anybody may say that a loaf of rye is done';
  await page.keyboard.type(long);
  await saved(page);
  const title = page.getByRole('textbox', { name: 'Lesson' });
  expect(await title.evaluate((field) => field.scrollHeight <= field.clientHeight + 2)).toBe(true);
  await page.evaluate(
    (text) => navigator.clipboard.writeText(text),
    'The oven\n\tLighting it\n\tCleaning it\n\t\tAsh\nThe shop\n\tPrices',
  );
  await page.keyboard.press('Control+v');
  await expect
    .poll(() => drawn(page))
    .toEqual([`New module: ${long}`, 'The oven: Lighting it, Cleaning it', 'The shop: Prices']);
  // A point below a lesson waits as a question.
  await expect(page.getByPlaceholder('1 question open')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect.poll(() => drawn(page)).toEqual([`New module: ${long}`]);
  // One line is words of the field, as ever.
  await page.evaluate(() => navigator.clipboard.writeText(' and cooled'));
  await title.click();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Control+v');
  await saved(page);
  await expect.poll(() => drawn(page)).toEqual([`New module: ${long} and cooled`]);
});

test('notes stand beside their rows and are mended by key; what is left stays away', async ({ page, app }) => {
  await newCourse(page, app, 'Baking bread');
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Write the first row' }).click();
  await page.keyboard.type('Lighting the wood oven');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Lighting the wood ovens');
  await saved(page);
  // Two lessons called nearly alike, both without words on what they are for, both empty.
  await expect(page.getByRole('button', { name: '3 notes on Lighting the wood ovens' })).toBeVisible();
  await page.keyboard.press('Alt+n');
  const notes = page.locator('[data-keys=notes]');
  await expect(notes.getByText('It is called nearly like “Lighting the wood oven”.')).toBeVisible();
  await looksRight(page);
  await expect(notes.locator('article').first()).toBeFocused();
  await page.keyboard.press('m');
  await expect.poll(() => drawn(page)).toEqual(['New module: Lighting the wood oven']);
  await page.keyboard.press('Control+z');
  await expect.poll(() => drawn(page)).toEqual(['New module: Lighting the wood oven, Lighting the wood ovens']);
  await page.keyboard.press('Alt+n');
  const left = notes.locator('article', { hasText: 'It is called nearly like' });
  await left.focus();
  await page.keyboard.press('l');
  await expect(left).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('button', { name: '2 notes on Lighting the wood ovens' })).toBeVisible();
  // Its words change: it comes again.
  await page.getByRole('textbox', { name: 'Lesson' }).nth(1).fill('Lighting the wood ovenss');
  await expect(page.getByRole('button', { name: '3 notes on Lighting the wood ovenss' })).toBeVisible();
});

test('a lesson is split in two and joined again by key', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+3');
  const before = await drawn(page);
  await page.getByRole('textbox', { name: 'Lesson', exact: true }).nth(3).click();
  await page.keyboard.press('Alt+Shift+S');
  await expect.poll(async () => (await served(page)).course.modules[1]!.lessons.length).toBe(2);
  await saved(page);
  const parts = (await served(page)).course.modules[1]!.lessons.map((lesson) => lesson.blocks.length);
  expect(parts.every((count) => count > 0)).toBe(true);
  await page.keyboard.press('Alt+Shift+J');
  await expect.poll(() => drawn(page)).toEqual(before);
  expect((await served(page)).course.modules[1]!.lessons[0]!.blocks).toHaveLength(parts[0]! + parts[1]!);
});

test('the sources are ordered by a course plan, and a course begins like another', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Compare with' }).click();
  await page.getByRole('menuitem', { name: 'A course plan' }).click();
  await page.getByRole('radio', { name: 'They keep to rules and know why' }).click();
  await page.getByRole('button', { name: 'Order my sources by it' }).click();
  const drafted = page.getByText('By the plan').first();
  await expect(drafted).toBeVisible({ timeout: 30_000 });
  await expect(page.locator('.outlining')).toContainText('Cases that are not clear');
  await page.keyboard.press('Escape');
  // The same rows in a course of its own, without a word of their text.
  await page.goto(app.url);
  await page.getByRole('button', { name: 'Start from sources' }).click();
  await page.getByLabel('Title', { exact: true }).fill('Like the other');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'What do you have?' })).toBeVisible();
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Begin from a plan' }).click();
  await page.getByRole('radio', { name: 'As in a course of mine' }).click();
  await page.getByRole('combobox', { name: 'The course whose outline is the plan' }).click();
  await page.getByRole('option', { name: 'Lending tools safely' }).first().click();
  await expect(page.getByRole('dialog')).toContainText('Checking a tool out');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await saved(page);
  const after = (await served(page)).course;
  expect(after.modules.map(({ title }) => title)).toContain('Checking a tool out');
  expect(after.modules.flatMap(({ lessons }) => lessons).every(({ blocks }) => blocks.length === 0)).toBe(true);
});

test('a page is split where the cursor stands, and undone', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Late returns');
  const before = (await served(page)).course;
  const blocks = before.modules.flatMap(({ lessons }) => lessons).find(({ title }) => title === 'Late returns')!.blocks;
  const second = page.locator('.lesson-page > .page > *').nth(1);
  const words = (await second.textContent())!;
  await second.click();
  await page.keyboard.press('Alt+Shift+S');
  const now = async () => {
    const lessons = (await served(page)).course.modules.flatMap((module) => module.lessons);
    const at = lessons.findIndex(({ title }) => title === 'Late returns');
    return [lessons[at]!.blocks.length, lessons[at + 1]!.blocks.map(({ id }) => id)];
  };
  await expect.poll(now).toEqual([1, blocks.slice(1).map(({ id }) => id)]);
  await expect(page.locator('.lesson-page')).not.toContainText(words);
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect
    .poll(async () => (await served(page)).course.modules.map(({ lessons }) => lessons.length))
    .toEqual(before.modules.map(({ lessons }) => lessons.length));
});
