import type { Page } from '@playwright/test';
import { hasQti } from '../../core/checks/qtis';
import { placedChecks, type Course } from '../../core/course/course';
import { askedIn, put } from './answering';
import { choose, expect, looksRight, openDemo, saved, test, type App } from './app';
import { aLearner, release } from './learning';

const courseOf = async (page: Page, app: App): Promise<Course> => {
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  return ((await (await page.request.get(`${app.url}/api/courses/${id}`)).json()) as { course: Course }).course;
};
const quizIn = async (page: Page, app: App, title: string) =>
  (await courseOf(page, app)).modules.flatMap(({ lessons }) => lessons).find((lesson) => lesson.title === title)!;

async function bring(page: Page, how: string) {
  await page.getByRole('button', { name: 'Bring questions' }).click();
  await page.getByRole('menuitem', { name: how }).click();
}

test('a quiz is made, filled, limited, sat on a phone, failed, granted another try and passed', async ({
  page,
  app,
  browser,
}) => {
  test.setTimeout(180_000);
  await openDemo(page, app);
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.keyboard.type('What did you take along?', { delay: 60 });
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('textbox', { name: 'Title of the lesson' })).toHaveValue('What did you take along?');
  await expect(page.getByText('Nothing stands here yet.')).toBeVisible();
  await page.getByRole('button', { name: /Take the best/ }).click();
  await expect(page.getByRole('heading', { name: /A try asks [5-9] questions/ })).toBeVisible();

  // Five of them are drawn; a click elsewhere while the number is typed takes nothing away.
  await choose(page, 'What a try asks', 'some, drawn from this page');
  const count = page.getByLabel('Questions of rule 1');
  await count.fill('');
  await expect(page.getByText('a number is needed')).toBeVisible();
  await count.pressSequentially('5', { delay: 90 });
  await page.getByRole('tab', { name: 'How it is taken' }).click();
  await page.getByLabel('Tries').pressSequentially('1', { delay: 90 });
  await page.getByLabel('Minutes for a try').pressSequentially('900', { delay: 90 });
  await expect(page.getByText('not above 600')).toBeVisible();
  await page.getByLabel('Minutes for a try').fill('30');
  await choose(page, 'Learners hear what was right', 'when nothing can be won by it any more');
  await saved(page);
  await looksRight(page);
  const { quiz } = await quizIn(page, app, 'What did you take along?');
  expect(quiz).toMatchObject({ tries: 1, minutes: 30, pass: 0.8, shows: 'end', draw: { rules: [{ count: 5 }] } });
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+Shift+z');
  await saved(page);
  await page.reload();
  await page.getByRole('tab', { name: 'How it is taken' }).click();
  await expect(page.getByLabel('Minutes for a try')).toHaveValue('30');

  const address = await release(page, /Anyone with the address/);
  const { checks } = await courseOf(page, app);
  const learner = await aLearner(browser, address, 'Ada Pell', { viewport: { width: 320, height: 700 } });
  await learner.getByRole('button', { name: 'Lessons', exact: true }).click();
  await learner.getByRole('link', { name: /What did you take along/ }).click();
  for (const fact of ['5 questions', 'Passed with 80 % of the points.', 'Tries left: 1'])
    await expect(learner.getByText(fact)).toBeVisible();
  await learner.getByRole('button', { name: 'Begin the quiz' }).click();
  await expect(learner.locator('.up-check')).toHaveCount(5);
  await expect(learner.getByText(/Time left: (30|29):/)).toBeVisible();
  await looksRight(learner);

  // Two answers, then the page is loaded again: they stand, and nothing says whether they are right.
  const part = (at: number) => learner.locator('.up-check').nth(at);
  for (const at of [0, 1]) await put(part(at), await askedIn(part(at), checks));
  const control = part(1).locator(':is(input, select, button, textarea):enabled').first();
  await control.focus();
  await expect(learner.getByText('2 of 5 answered')).toBeVisible();
  // What is kept of an answer takes nobody away from where they are.
  await expect(control).toBeFocused();
  await expect
    .poll(async () => learner.evaluate(() => Object.values({ ...localStorage }).join()))
    .not.toContain('answer');
  await learner.reload();
  await expect(learner.getByText('2 of 5 answered')).toBeVisible();
  await expect(learner.locator('.up-said')).toHaveCount(0);
  const body = await learner.evaluate(
    async (link) => (await fetch(`/api/learn/${link}/course`)).text(),
    address.split('/').at(-1)!,
  );
  expect(body).not.toMatch(/"(score|solution|feedback|key)":[^{]*"held"/);
  await learner.getByRole('button', { name: 'Hand in' }).click();
  await expect(learner.getByRole('alert')).toContainText('Not answered yet: 3, 4, 5.');
  await learner.getByRole('button', { name: 'Hand in' }).click();
  await expect(learner.getByText('40 % of the points')).toBeVisible();
  await expect(learner.getByText('Not passed.')).toBeVisible();
  await expect(learner.getByRole('button', { name: 'Another try' })).toHaveCount(0);
  await looksRight(learner);

  // The author sees the try and gives another one, which the learner passes.
  await page.keyboard.press('Alt+7');
  await page.getByRole('button', { name: 'Answers of Ada Pell' }).click();
  await expect(page.getByText('40 %, not passed')).toBeVisible();
  await page.getByRole('button', { name: 'Give Ada Pell one more try at What did you take along?' }).click();
  await expect(page.getByText('Granted: 1 try more.')).toBeVisible();
  await looksRight(page);
  await learner.reload();
  await learner.getByRole('button', { name: 'Another try' }).click();
  await expect(learner.locator('.up-check')).toHaveCount(5);
  await expect(learner.getByText('0 of 5 answered')).toBeVisible();
  for (const at of [0, 1, 2, 3, 4]) await put(part(at), await askedIn(part(at), checks));
  await learner.getByRole('button', { name: 'Hand in' }).click();
  await expect(learner.getByText('100 % of the points')).toBeVisible();
  await expect(learner.locator('.up-result')).toContainText('Passed.');
});

test('questions are pasted, looked over, taken, and saved for other programs', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+5');
  await bring(page, 'From text or a file');
  const box = page.getByLabel(/Questions as they stand/);
  await box.fill(
    '1. When does the desk close?\na) at five\n*b) at six\n\n2. Who may lend a tower?\na) you\nb) the lead',
  );
  await expect(page.getByText('Line 5: Who may lend a tower? It does not say what is right.')).toBeVisible();
  await looksRight(page);
  // What was pasted is there again after the dialog was left.
  await page.keyboard.press('Escape');
  await page.reload();
  await bring(page, 'From text or a file');
  await expect(box).toHaveValue(/When does the desk close/);
  await page.getByRole('button', { name: 'Take 1 question' }).click();
  await saved(page);
  const { checks } = await courseOf(page, app);
  expect(checks.at(-1)).toMatchObject({ kind: 'choice', stem: 'When does the desk close?' });

  const down = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as' }).click();
  await page.getByRole('menuitem', { name: 'QTI 3.0' }).click();
  const file = await (await down).path();
  await bring(page, 'From text or a file');
  await page
    .getByLabel('File with questions')
    .setInputFiles({ name: 'mine.zip', mimeType: 'application/zip', buffer: await bytesOf(file) });
  await expect(page.getByText('mine.zip')).toBeVisible();
  const asked = placedChecks(await courseOf(page, app)).filter(hasQti).length;
  await expect(page.getByRole('button', { name: `Take ${asked} questions` })).toBeVisible();
  await page
    .getByLabel('File with questions')
    .setInputFiles({ name: 'no.zip', mimeType: 'application/zip', buffer: Buffer.from('PK nothing') });
  await expect(page.getByRole('alert')).toContainText('no.zip');
});

test('a question is found among those of other courses, taken as a copy and tagged', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+5');
  const before = (await courseOf(page, app)).checks.length;
  await bring(page, 'From my other courses');
  await page.getByLabel('Words of the question').pressSequentially('ten days late', { delay: 70 });
  const found = page.getByRole('dialog').locator('.found li');
  await expect(found.first()).toContainText('asked in Late returns');
  await expect(found.first()).toContainText('ten days late');
  await looksRight(page);
  await found
    .first()
    .getByRole('button', { name: /^Take:/ })
    .click();
  await expect(found.first()).toContainText('taken');
  await page.keyboard.press('Escape');
  await saved(page);
  const { checks } = await courseOf(page, app);
  expect(checks).toHaveLength(before + 1);
  expect(checks.at(-1)!.stem).toContain('ten days late');

  const card = page.locator(`[data-card="${checks.at(-1)!.id}"]`);
  await card.getByRole('button', { name: 'Points, feedback, picture, tags' }).click();
  await card.getByPlaceholder('to find it again').pressSequentially('late returns', { delay: 60 });
  await page.keyboard.press('Enter');
  await saved(page);
  await expect.poll(async () => (await courseOf(page, app)).checks.at(-1)!.tags).toEqual(['late returns']);
});

const bytesOf = async (path: string) => (await import('node:fs')).readFileSync(path);
