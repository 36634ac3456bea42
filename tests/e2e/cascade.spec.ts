import type { Page } from '@playwright/test';
import { expect, openDemo, saved, served, test } from './app';

const type = (page: Page, words: string) => page.keyboard.type(words, { delay: 35 });
const course = async (page: Page) => (await served(page)).course;
const lessonNamed = async (page: Page, title: string) =>
  (await course(page)).modules.flatMap(({ lessons }) => lessons).find((lesson) => lesson.title === title)!;
const row = async (page: Page, title: string) => page.locator(`[data-row="${(await lessonNamed(page, title)).id}"]`);
async function outline(page: Page) {
  await page.keyboard.press('Alt+3');
  await page.getByRole('grid', { name: 'Outline' }).waitFor();
}

test('a promise reworded marks what below speaks as before; all is reworded at once, and undone', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+1');
  const before = await course(page);
  const promise = page.getByLabel('What it promises');
  await promise.click();
  await page.keyboard.press('Control+A');
  await type(page, before.brief.promise.replace('tools', 'machines'));
  // Elsewhere in between, and back.
  await page.getByLabel('For whom').click();
  await saved(page);
  expect((await course(page)).modules).toEqual(before.modules);
  await outline(page);
  await page.keyboard.press('Alt+N');
  const notes = page.locator('[data-keys=notes]');
  await expect(notes).toContainText('It speaks of “tool”; the promise does not any more.');
  await expect(notes).toContainText('It could say: “');
  const all = notes.getByRole('button', { name: /^Reword all \d+$/ });
  const count = Number(/\d+/.exec((await all.textContent())!)![0]);
  expect(count).toBeGreaterThan(3);
  await page.locator('[data-note]').first().press('A');
  await expect(all).toHaveCount(0);
  await saved(page);
  const after = await course(page);
  const said = ({ modules, objectives }: typeof after) =>
    [
      ...modules.flatMap(({ title, purpose, lessons }) => [title, purpose, ...lessons.map((each) => each.title)]),
      ...objectives.map(({ text }) => text),
    ].join('\n');
  expect(said(after).match(/\bmachines?\b/gi)!.length).toBeGreaterThanOrEqual(count);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => said(await course(page))).toBe(said(before));
});

test('a module says what it is for by itself: typed, taken from the sources, held against its lessons', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await outline(page);
  await (await row(page, 'Late returns')).locator('[data-part=title]').click();
  await page.keyboard.press('Alt+Shift+M');
  const side = page.locator('.module-brief');
  await side.getByLabel('What people ask').click();
  await type(page, 'Who pays for a helicopter?');
  await side.getByLabel('What goes wrong today').click();
  await type(page, 'Tags are forgotten');
  await side
    .getByText(/from your sources$/)
    .first()
    .click();
  await side
    .getByRole('button', { name: /^Add “/ })
    .first()
    .click();
  await saved(page);
  const { brief } = (await course(page)).modules.find(({ lessons }) =>
    lessons.some((each) => each.title === 'Late returns'),
  )!;
  expect(brief).toMatchObject({ asked: ['Who pays for a helicopter?'], wrong: 'Tags are forgotten' });
  expect(brief!.result).toMatch(/\.$/);
  await page.keyboard.press('Alt+N');
  const note = page.locator('[data-note]').filter({ hasText: 'Nothing in it answers “Who pays for a helicopter?”' });
  await note.getByRole('button', { name: 'Add a lesson' }).click();
  await expect.poll(async () => (await lessonNamed(page, 'Who pays for a helicopter?'))?.state).toBe('blank');
});

test('kinds, pinned minutes, and several lessons at once', async ({ page, app }) => {
  await openDemo(page, app);
  await outline(page);
  const late = await row(page, 'Late returns');
  await late.locator('[data-part=title]').click();
  await page.keyboard.press('Alt+K');
  await page.getByRole('menuitemcheckbox', { name: 'Practice' }).click();
  await expect.poll(async () => (await lessonNamed(page, 'Late returns')).lessonKind).toBe('practice');
  await page.keyboard.press('Alt+M');
  await type(page, '4,5');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await lessonNamed(page, 'Late returns')).minutesFixed).toBe(4.5);
  // What is no number changes nothing; empty, it is counted again.
  const minutes = late.locator('[data-part=minutes]');
  await minutes.fill('soon');
  await page.keyboard.press('Tab');
  await saved(page);
  expect((await lessonNamed(page, 'Late returns')).minutesFixed).toBe(4.5);
  await late.locator('[data-part=title]').click();
  await page.keyboard.press('Alt+M');
  await minutes.fill('');
  await page.keyboard.press('Tab');
  await expect.poll(async () => (await lessonNamed(page, 'Late returns')).minutesFixed).toBeUndefined();
  // A module is approved as a whole.
  const { modules } = await course(page);
  const module = modules.find(({ lessons }) => lessons.some((each) => each.title === 'Late returns'))!;
  await page.locator(`[data-row="${module.id}"] [data-part=title]`).click();
  await page.getByRole('button', { name: `Set ${module.lessons.length} lessons` }).click();
  await page.getByRole('menuitem', { name: 'Approved' }).click();
  await expect
    .poll(async () =>
      (await course(page)).modules
        .find(({ id }) => id === module.id)!
        .lessons.every(({ state }) => state === 'approved'),
    )
    .toBe(true);
});

test('words are found and replaced over the outline, one by one and all, and undone', async ({ page, app }) => {
  await openDemo(page, app);
  await outline(page);
  await page.keyboard.press('Alt+Shift+F');
  const bar = page.getByRole('search', { name: 'Find and replace' });
  await type(page, 'late returns');
  await expect(bar.getByRole('status')).toHaveText(/^\d+ places in \d+ parts$/);
  await bar.getByLabel('Same capitals').check();
  const many = Number(/^\d+/.exec((await bar.getByRole('status').textContent())!)![0]);
  await bar.getByLabel('Replace by').fill('overdue tools');
  await bar.getByRole('button', { name: 'Replace', exact: true }).click();
  await expect(bar.getByRole('status')).toHaveText(many === 1 ? 'Nowhere' : new RegExp(`^${many - 1} place`));
  await bar.getByLabel('Same capitals').uncheck();
  await bar.getByRole('button', { name: 'Replace all' }).click();
  await expect(bar.getByRole('status')).toHaveText('Nowhere');
  await saved(page);
  const texts = async () => JSON.stringify((await course(page)).objectives.map(({ text }) => text));
  expect(await texts()).toContain('overdue tools');
  await bar.getByLabel('Find').press('Escape');
  await expect(bar).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(texts).not.toContain('overdue tools');
});

test('the brief is one page to print, and says how the course is announced', async ({ page, app, context }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+1');
  await page.getByLabel('Description').click();
  await type(page, 'How tools are lent and taken back.');
  await page.getByLabel('Tags').click();
  await type(page, 'tools, desk');
  const opened = context.waitForEvent('page');
  await page.keyboard.press('Alt+Shift+P');
  const sheet = await opened;
  await expect(sheet.getByRole('heading', { level: 1 })).toHaveText('Lending tools safely');
  await expect(sheet.locator('main')).toContainText('How tools are lent and taken back.');
  await expect(sheet.locator('main')).toContainText('tools, desk');
  await saved(page);
  expect((await course(page)).about).toEqual({
    description: 'How tools are lent and taken back.',
    tags: ['tools', 'desk'],
  });
});
