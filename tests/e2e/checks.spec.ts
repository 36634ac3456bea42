import type { Page } from '@playwright/test';
import type { Check, CheckKind } from '../../core/checks/forms';
import { CHECK_KINDS } from '../../core/checks/forms';
import { checksOn } from '../../core/blocks/forms';
import { allLessons, type Course } from '../../core/course/course';
import { expect, looksRight, openDemo, openLesson, saved, test, withOwnApp, type App } from './app';
import { answerRightly, askedIn } from './answering';

const LABELS: Record<CheckKind, string> = {
  choice: 'Question with one right answer',
  several: 'Question with several right answers',
  truth: 'Statement: true or false',
  order: 'Put in order',
  match: 'Match pairs',
  sort: 'Sort into groups',
  number: 'Number, typed in',
  short: 'Short answer, typed in',
  open: 'Open answer',
  area: 'Areas of a picture',
  scenario: 'Scenario',
  task: 'Practice task',
};

const courseOf = async (page: Page, app: App): Promise<Course> => {
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  return ((await (await page.request.get(`${app.url}/api/courses/${id}`)).json()) as { course: Course }).course;
};

test('a check of every kind is written by hand, by keys and at a person’s speed', async ({ page, app }) => {
  test.setTimeout(120_000);
  await openDemo(page, app);
  await openLesson(page, 'Your first shift');
  const before = (await courseOf(page, app)).checks.length;
  for (const kind of CHECK_KINDS) {
    await page.locator('.lesson-page p').first().click();
    await page.keyboard.press('Alt+a');
    await page.getByPlaceholder('What to add').pressSequentially(LABELS[kind], { delay: 10 });
    await page.keyboard.press('Enter');
    const stem = page.locator(':focus');
    await expect(stem).toHaveAttribute('aria-label', /Question|Statement|Task/);
    await page.keyboard.type(`Of ${kind}?`, { delay: 60 });
  }
  await saved(page);
  const { checks } = await courseOf(page, app);
  const made = checks.slice(before);
  expect(made.map(({ kind }) => kind).sort()).toEqual([...CHECK_KINDS].sort());
  expect(made.map(({ stem }) => stem).sort()).toEqual(CHECK_KINDS.map((kind) => `Of ${kind}?`).sort());
  await looksRight(page);

  // A number out of bounds is said, and neither taken nor changed.
  const card = page.locator('.lesson-page [data-check]').first();
  await card.getByRole('button', { name: 'Points, feedback, picture, tags' }).click();
  const points = card.getByLabel('Points').last();
  await points.pressSequentially('150', { delay: 80 });
  await expect(card.getByText('not above 100')).toBeVisible();
  await page.locator('.lesson-page p').first().click();
  await expect(points).toHaveValue('150');
  await expect(card.getByText('not above 100')).toBeVisible();
  await points.fill('5');
  await card.getByLabel('Said to every other answer').pressSequentially('Look at the shelf again.', { delay: 60 });
  await saved(page);
  await page.reload();
  await expect(page.locator('.lesson-page [data-check]').first()).toContainText('5 points, general feedback');
});

test('answers of a kind are moved, added, taken out and undone', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Before you stand alone');
  const order = page.locator('.lesson-page [data-check]', { hasText: 'Another step' });
  const steps = order.getByLabel('Step', { exact: true });
  const words = () => steps.evaluateAll((fields) => fields.map((field) => (field as HTMLTextAreaElement).value));
  const first = (await words())[0]!;
  await order.getByRole('button', { name: `Down: ${first}` }).press('Enter');
  await expect.poll(async () => (await words())[1]).toBe(first);
  await expect(order.getByRole('button', { name: `Down: ${first}` })).toBeFocused();
  await order.getByRole('button', { name: 'Another step' }).click();
  await page.keyboard.type('Put the kettle on', { delay: 60 });
  await saved(page);
  expect(await words()).toHaveLength(5);
  await order.getByRole('button', { name: 'Delete step Put the kettle on' }).click();
  await expect.poll(words).toHaveLength(4);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await words()).at(-1)).toBe('Put the kettle on');

  // Of several right answers one is left over at least.
  const several = page.locator('.lesson-page [data-check]').first();
  const keys = several.getByRole('checkbox', { name: /^Right answer/ });
  for (const at of [0, 1]) await keys.nth(at).click();
  await expect
    .poll(async () => (await courseOf(page, app)).checks.find(({ kind }) => kind === 'several'))
    .toMatchObject({
      keys: [expect.any(String)],
    });
  await keys.nth(2).click();
  await saved(page);
  await expect(keys.nth(2)).toBeChecked();
});

/** Goes through lessons until each kind of check was met, and answers those rightly. */
async function meetAll(learner: Page, checks: readonly Check[], seen: (kind: CheckKind) => Promise<void>) {
  const met = new Set<CheckKind>();
  for (let lesson = 0; lesson < 30 && met.size < CHECK_KINDS.length; lesson++) {
    for (const part of await learner.locator('.up-check').all()) {
      const check = await askedIn(part, checks);
      if (met.has(check.kind)) continue;
      met.add(check.kind);
      await answerRightly(part, check);
      await expect(part.locator('.up-said')).toBeVisible();
      await seen(check.kind);
    }
    await learner.keyboard.press('Alt+PageDown');
  }
  return met;
}

test('every kind is taken by keys on a small phone, its key never sent before; what is written and handed in is marked', async ({
  browser,
}) => {
  test.setTimeout(180_000);
  await withOwnApp('demo', async (app) => {
    const page = await (await browser.newContext()).newPage();
    await openDemo(page, app);
    const course = await courseOf(page, app);
    const { checks } = course;
    await page.keyboard.press('Alt+6');
    await page.getByRole('radio', { name: /Anyone with the address/ }).check();
    await page.keyboard.press('Control+Enter');
    await expect(page.locator('.address code')).toBeVisible();
    const address = (await page.locator('.address code').textContent())!;

    const learner = await (await browser.newContext({ viewport: { width: 320, height: 640 } })).newPage();
    const bodies: Promise<string>[] = [];
    learner.on('response', (response) => {
      if (response.url().includes('/api/learn/')) bodies.push(response.text().catch(() => ''));
    });
    await learner.goto(address);
    await learner.getByLabel('Your name').fill('Nia');
    await learner.getByRole('button', { name: 'Begin' }).click();
    await expect(learner.locator('.up-check').first()).toBeVisible();
    // What is right stands in nothing that came before the answer.
    const told = (await Promise.all(bodies)).find((body) => body.startsWith('{"course":'))!;
    const sent = (JSON.parse(told) as { course: { checks: object[] } }).course.checks;
    expect(sent.length).toBe(checksOn({ blocks: allLessons(course).flatMap(({ blocks }) => blocks) }).length);
    expect(JSON.stringify(sent)).not.toMatch(
      /"(?:key|keys|pairs|accepted|value|answer|model|solution|quotes|feedback|score|follows)":|"order":\[/,
    );
    const met = await meetAll(learner, checks, async (kind) => {
      const wide = await learner.evaluate(() => document.documentElement.scrollWidth);
      expect(wide, kind).toBeLessThanOrEqual(320);
    });
    expect([...met].sort()).toEqual([...CHECK_KINDS].sort());
    await looksRight(learner);

    // What waits is marked by the author, who sees every try.
    await page.keyboard.press('Alt+7');
    await page.getByRole('button', { name: 'Mark 2 of Nia' }).click();
    const answers = page.getByRole('dialog', { name: 'Answers of Nia' });
    await expect(answers.getByText('I would tell the queue first.')).toBeVisible();
    await answers.getByRole('button', { name: /^Mark the answer to/ }).click();
    await answers.getByRole('button', { name: '50 %' }).click();
    await answers.getByLabel('What you say to it').fill('And the borrower?');
    await looksRight(page);
    await answers.getByRole('button', { name: 'Give this mark' }).click();
    await expect(answers.getByText('And the borrower?')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: 'Mark 1 of Nia' })).toBeVisible();
    // What was handed in has its own room: its criteria beside it, levels suggested, one key gives the mark.
    await page.getByRole('link', { name: 'Hand-ins' }).click();
    await page.getByRole('button', { name: /^Nia/ }).click();
    const marks = page.getByRole('form', { name: 'Marks' });
    await expect(page.getByRole('article', { name: 'What was handed in' })).toContainText('I thank her for telling me');
    await expect(marks.getByText('suggested', { exact: true })).toHaveCount(5);
    await looksRight(page);
    const [thanks] = await marks.getByRole('radio').all();
    await thanks!.press('ArrowDown');
    const note = marks.getByLabel('What you say to: Thank the member');
    await note.fill('');
    await note.pressSequentially('Sooner.', { delay: 60 });
    // What is begun outlasts a look elsewhere.
    await page.keyboard.press('Alt+5');
    await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();
    await page.goBack();
    await expect(note).toHaveValue('Sooner.');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('button', { name: /^Nia/ })).toContainText('%');
    await learner.reload();
    // Behind the last lesson stands the quiz.
    await expect(learner.getByRole('heading', { name: 'Ready for the desk?' })).toBeVisible();
    await learner.getByRole('button', { name: 'Lesson before' }).click();
    await expect(learner.getByText('And the borrower?')).toBeVisible();
    await expect(learner.getByText('Partly right: 50 %.')).toBeVisible();
    await expect(learner.getByText('Sooner.')).toBeVisible();
    await looksRight(learner);
  });
});
