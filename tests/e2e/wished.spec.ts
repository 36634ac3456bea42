import type { Page } from '@playwright/test';
import { checksOn } from '../../core/blocks/forms';
import { allLessons, type Course } from '../../core/course/course';
import type { ChoiceCheck } from '../../core/checks/forms';
import { choose, expect, looksRight, openDemo, openLesson, saved, test, type App } from './app';

const courseOf = async (page: Page, app: App): Promise<Course> => {
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  return ((await (await page.request.get(`${app.url}/api/courses/${id}`)).json()) as { course: Course }).course;
};

test('more questions are wished for, kept, refused with a reason that is remembered, and offered again', async ({
  page,
  app,
}) => {
  test.setTimeout(120_000);
  await openDemo(page, app);
  await page.keyboard.press('Alt+5');
  await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();
  const before = (await courseOf(page, app)).checks;
  await page.keyboard.press('Alt+Shift+W');
  const dialog = page.getByRole('dialog', { name: 'More questions' });
  await expect(dialog.getByRole('status')).toContainText(/questions? besides the \d+ there are already/);
  await looksRight(page);
  // What is typed narrows it, whatever was typed before is found again when it is emptied.
  const words = dialog.getByLabel('What about');
  await words.pressSequentially('a submarine', { delay: 60 });
  await expect(dialog.getByRole('status')).toContainText('No other question');
  await words.fill('');
  await expect(dialog.getByRole('checkbox').first()).toBeVisible();
  await dialog.getByRole('checkbox').nth(0).press('Space');
  await dialog.getByRole('checkbox').nth(1).press('Space');
  await dialog.getByRole('button', { name: 'Keep 2 as offers' }).click();
  await expect(dialog).toBeHidden();
  await saved(page);
  const kept = (await courseOf(page, app)).checks.filter(({ id }) => !before.some((check) => check.id === id));
  expect(kept).toHaveLength(2);

  // The first offer is refused by keys; why is said in words, at a person's speed, with a click elsewhere between.
  const first = page.locator('article').first();
  const id = (await first.getAttribute('data-card'))!;
  await first.focus();
  await page.keyboard.press('r');
  await page.getByRole('menuitem', { name: 'too easy' }).press('Enter');
  await expect(page.locator(`[data-card="${id}"]`)).toHaveCount(0);
  await page.getByRole('tab', { name: 'Refused 1' }).click();
  const why = page.getByLabel('Why, in your words');
  await why.pressSequentially('everybody knows', { delay: 80 });
  await page.getByRole('tab', { name: /In lessons/ }).click();
  await page.getByRole('tab', { name: 'Refused 1' }).click();
  await expect(why).toHaveValue('everybody knows');
  await saved(page);
  await page.reload();
  await page.getByRole('tab', { name: 'Refused 1' }).click();
  await expect(why).toHaveValue('everybody knows');
  await choose(page, 'Why it is refused', 'asked already');
  await saved(page);
  await looksRight(page);
  const refused = (await courseOf(page, app)).checks.find((check) => check.id === id)!;
  expect(refused.refused).toEqual({ because: 'twice', words: 'everybody knows' });
  await page.keyboard.press('Alt+Shift+W');
  await expect(dialog.getByRole('status')).toContainText('besides the');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Offer it again' }).click();
  await expect(page.getByRole('tab', { name: 'Refused 0' })).toBeVisible();
  await saved(page);
  expect((await courseOf(page, app)).checks.find((check) => check.id === id)!.refused).toBeUndefined();
});

test('a wrong answer is exchanged, and the questions of a page by others in one go; undo brings both back', async ({
  page,
  app,
}) => {
  test.setTimeout(120_000);
  await openDemo(page, app);
  await page.keyboard.press('Alt+5');
  await page.getByRole('tab', { name: /In lessons/ }).click();
  const another = page.getByRole('button', { name: /^exchange / }).first();
  const card = page.locator('article', { has: another }).first();
  const id = (await card.getAttribute('data-card'))!;
  const options = async () =>
    ((await courseOf(page, app)).checks.find((check) => check.id === id) as ChoiceCheck).options.map(
      ({ text }) => text,
    );
  const was = await options();
  await another.click();
  const other = card.getByRole('button', { name: /^Take: / }).first();
  await expect(other).toBeFocused();
  const text = (await other.textContent())!.trim();
  await page.keyboard.press('Enter');
  await expect(page.locator(':focus')).toHaveValue(text);
  await saved(page);
  const now = await options();
  expect(now).toContain(text);
  expect(now.filter((each) => !was.includes(each))).toEqual([text]);
  await page.locator('h1').click();
  await page.keyboard.press('Control+z');
  await expect.poll(options).toEqual(was);

  await openLesson(page, 'Members and borrowing rights');
  const lesson = async () =>
    allLessons(await courseOf(page, app)).find(({ title }) => title === 'Members and borrowing rights')!;
  const stood = checksOn(await lesson());
  expect(stood.length).toBeGreaterThan(0);
  await page.keyboard.press('Alt+Shift+W');
  const dialog = page.getByRole('dialog', { name: 'More questions' });
  await expect(dialog.getByRole('checkbox').nth(2)).toBeVisible();
  const part = dialog.getByRole('checkbox', { name: 'Only of the part at the cursor' });
  if (await part.count()) await part.uncheck();
  await dialog.locator('.found').getByRole('checkbox').first().press('Space');
  await dialog.getByRole('checkbox', { name: /^Take the/ }).check();
  await dialog.getByRole('button', { name: 'Put 1 into the lessons' }).click();
  await saved(page);
  const stands = checksOn(await lesson());
  expect(stands).toHaveLength(1);
  expect(stood).not.toContain(stands[0]);
  await page.locator('h1 textarea, h1 input').first().click();
  await page.keyboard.press('Control+z');
  await saved(page);
  await expect.poll(async () => checksOn(await lesson())).toEqual(stood);
});

test('a question written by hand gets the passage behind it that says it', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Your first shift');
  await page.locator('.lesson-page p').first().click();
  await page.keyboard.press('Control+Alt+q');
  await expect(page.locator(':focus')).toHaveAttribute('aria-label', 'Question');
  await page.keyboard.type('What does the borrower pay when a tool was stolen?', { delay: 40 });
  const card = page.locator('.lesson-page [data-check]', {
    has: page.getByText('No passage of your sources stands behind it.'),
  });
  await card.getByRole('button', { name: 'find it' }).click();
  const passage = card.getByRole('button', { name: /^It stands on: / }).first();
  await expect(passage).toBeFocused();
  await looksRight(page);
  await page.keyboard.press('Enter');
  await expect(card).toHaveCount(0);
  await saved(page);
  const { checks } = await courseOf(page, app);
  expect(checks.find(({ stem }) => stem.startsWith('What does the borrower pay'))!.evidence).toHaveLength(1);
});
