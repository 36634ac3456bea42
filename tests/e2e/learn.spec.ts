import AxeBuilder from '@axe-core/playwright';
import { devices, type Page } from '@playwright/test';
import type { Course } from '../../core/course/course';
import { asChoice } from '../builders';
import { answerRightly, askedIn } from './answering';
import { aLearner, release } from './learning';
import { choose, expect, looksRight, openDemo, openLesson, saved, test, type App } from './app';

const onward = (page: Page) => page.locator('.up-onward button').last();
/** The first check of the page that asks for one of several answers. */
const choiceOn = (page: Page) => page.locator('.up-check:has(.up-option input[type=radio])').first();
/** Answers the first open check of the page with one of its options. */
async function answer(page: Page, option: number) {
  const check = choiceOn(page);
  await check.getByRole('radio').nth(option).check();
  await check.getByRole('button', { name: 'Check my answer' }).click();
  await expect(check.locator('.up-said strong')).toBeVisible();
  return check;
}
const courseId = (page: Page) => /\/course\/([a-z0-9]+)/.exec(page.url())![1];
const progress = async (page: Page, app: App) => {
  const course = courseId(page);
  return (await (await page.request.get(`${app.url}/api/courses/${course}/learners`)).json()) as {
    name: string;
    release: number;
    progress: { done: number; checks: { answered: number; right: number } };
  }[];
};

test('a course is made available, taken by name on a phone, left and gone on with on another device', async ({
  page,
  app,
  browser,
}) => {
  await openDemo(page, app);
  const address = await release(page, /Anyone with the address/);
  const learner = await aLearner(browser, address);
  await expect(learner.getByText(/26 lessons, \d+ checks/)).toBeVisible();
  await expect(learner.getByText('Tries at each check: 2.')).toBeVisible();
  await looksRight(learner);
  await learner.getByLabel('Your name').fill('Ada Pell');
  await learner.getByRole('button', { name: 'Begin' }).click();
  await expect(learner.getByRole('heading', { level: 1 })).toHaveText('Purpose and reach');
  await looksRight(learner);

  const check = await answer(learner, 0);
  const told = await check.locator('.up-said strong').textContent();
  expect(['That is right.', 'That is not right.']).toContain(told);
  await onward(learner).click();
  await expect(learner.getByRole('alert')).toContainText('checks to answer');
  await onward(learner).click();
  await expect(learner.getByRole('heading', { level: 1 })).toHaveText('Ladders and towers');
  await expect(learner.getByRole('heading', { level: 1 })).toBeFocused();
  await onward(learner).click();
  await learner.getByRole('button', { name: 'Lessons', exact: true }).click();
  await expect(learner.getByRole('link', { name: /^Ladders and towers\s*, done/ })).toBeVisible();
  await looksRight(learner);

  await learner.reload();
  await expect(learner.getByRole('heading', { level: 1 })).toHaveText('Batteries');
  await learner.getByText('Go on elsewhere').first().click();
  const place = (await learner.locator('details code').textContent())!;
  const elsewhere = await aLearner(browser, place);
  // Whose place it is is asked before it is taken: an address that went astray takes nobody's.
  await expect(elsewhere.getByText('This address is the place of Ada Pell in this course.')).toBeVisible();
  await looksRight(elsewhere);
  await elsewhere.getByRole('button', { name: 'No, I am somebody else' }).click();
  await expect(elsewhere.getByLabel('Your name')).toBeVisible();
  // The address alone, without its key, is the same page to the browser.
  await elsewhere.goto('about:blank');
  await elsewhere.goto(place);
  await elsewhere.getByRole('button', { name: 'Go on as Ada Pell' }).click();
  await expect(elsewhere.getByRole('heading', { level: 1 })).toBeVisible();
  expect(elsewhere.url()).not.toContain('key=');
  await elsewhere.getByRole('button', { name: 'Lessons', exact: true }).click();
  await expect(elsewhere.getByRole('link', { name: /^Ladders and towers\s*, done/ })).toBeVisible();

  await page.keyboard.press('Alt+7');
  await expect(page.getByRole('row', { name: /Ada Pell/ })).toContainText('1 of 26');
  await looksRight(page);
  // The list follows while it is open.
  await elsewhere.keyboard.press('Escape');
  await elsewhere.getByRole('link', { name: /^People at the desk/ }).click();
  await onward(elsewhere).click();
  await expect
    .poll(
      async () =>
        (await progress(page, app))[0].progress.done + (await progress(page, app))[0].progress.checks.answered,
    )
    .toBeGreaterThan(1);
  // A place can be left on one device, and come back to by its address.
  await elsewhere.getByText('Go on elsewhere').first().click();
  await elsewhere.getByRole('button', { name: 'Leave this place' }).click();
  await expect(elsewhere.getByLabel('Your name')).toBeVisible();
  expect((await progress(page, app)).map((line) => line.name)).toContain('Ada Pell');
});

test('keys and feedback reach the browser only when they may be seen', async ({ page, app, browser }) => {
  await openDemo(page, app);
  const address = await release(page, /Anyone with the address/);
  const { course } = (await (await page.request.get(`${app.url}/api/courses/${courseId(page)}`)).json()) as {
    course: Course;
  };
  const learner = await (await browser.newContext()).newPage();
  const bodies: Promise<string>[] = [];
  learner.on('response', (response) => {
    if (/\/learn\//.test(response.url())) bodies.push(response.text().catch(() => ''));
  });
  await learner.goto(address);
  await learner.getByLabel('Your name').fill('Curious');
  await learner.getByRole('button', { name: 'Begin' }).click();
  await expect(learner.locator('.up-check').first()).toBeVisible();
  // A right option's id; the learner's own key, by which they come back, is longer.
  const KEY = /"(?:key|solution)":"a[a-z2-7]{12}"/;
  const all = async () => (await Promise.all(bodies)).join('\n');
  expect(await all()).not.toMatch(/"key":"a[a-z2-7]{12}"|"solution"|"feedback"|"evidence"|"passages"/);
  const part = choiceOn(learner);
  const check = asChoice(await askedIn(part, course.checks));
  const right = check.options.find((option) => option.id === check.key)!.text;
  for (const option of check.options) expect(await all()).not.toContain(option.id);
  const wrong = check.options.find((option) => option.id !== check.key)!.text;
  await part.getByText(wrong, { exact: true }).click();
  await part.getByRole('button', { name: 'Check my answer' }).click();
  await expect(part.getByText('That is not right.')).toBeVisible();
  expect(await all()).not.toMatch(KEY);
  await expect(part.getByText('Tries left: 1')).toBeVisible();
  await part.getByRole('button', { name: 'Try again' }).click();
  await part.getByText(right, { exact: true }).click();
  await part.getByRole('button', { name: 'Check my answer' }).click();
  await expect(part.getByText('That is right.')).toBeVisible();
  await expect.poll(all).toMatch(KEY);
});

test('answers survive a lost connection and a reload', async ({ page, app, browser }) => {
  await openDemo(page, app);
  const address = await release(page, /Anyone with the address/);
  const learner = await aLearner(browser, address, 'On the train');
  await learner.route('**/api/learn/**/events', (route) => route.abort());
  const check = choiceOn(learner);
  await check.getByRole('radio').first().check();
  await check.getByRole('button', { name: 'Check my answer' }).click();
  await expect(check.getByText('Your answer is kept')).toBeVisible();
  await expect(learner.getByText('No connection.')).toBeVisible();
  await looksRight(learner);
  await learner.reload();
  await expect(check.getByText('Your answer is kept')).toBeVisible();
  await learner.unroute('**/api/learn/**/events');
  await expect(check.locator('.up-said strong')).toBeVisible();
  await expect.poll(async () => (await progress(page, app)).map((row) => row.progress.checks.answered)).toEqual([1]);
});

test('lessons one after another, passed only by right answers', async ({ page, app, browser }) => {
  await openDemo(page, app);
  const address = await release(page, /Anyone with the address/, async (desk) => {
    await choose(desk, 'A lesson is done when', 'read, and enough of its checks right');
    await desk.getByLabel('Enough is, in percent').fill('100');
    await choose(desk, 'Lessons are taken', 'one after another');
    await choose(desk, 'Tries at a check', 'as many as one likes');
  });
  const learner = await aLearner(browser, address, 'Bo');
  await onward(learner).click();
  await expect(learner.getByRole('alert')).toContainText('The next lesson opens then.');
  await expect(learner.getByRole('heading', { level: 1 })).toHaveText('Purpose and reach');
  const { course } = (await (await page.request.get(`${app.url}/api/courses/${courseId(page)}`)).json()) as {
    course: Course;
  };
  for (const part of await learner.locator('.up-check').all()) {
    await answerRightly(part, await askedIn(part, course.checks));
    await expect(part.getByText('That is right.')).toBeVisible();
  }
  await onward(learner).click();
  await expect(learner.getByRole('heading', { level: 1 })).toHaveText('Ladders and towers');
  await learner.goto(`${address}#nothing`);
  await learner.getByRole('button', { name: 'Lessons', exact: true }).click();
  await expect(learner.locator('.up-list a')).toHaveCount(2);
});

test('who may take it: people who sign in, nobody, and nobody any more', async ({ page, app, browser }) => {
  await openDemo(page, app);
  const address = await release(page, /People of this installation/);
  const stranger = await aLearner(browser, address);
  await stranger.getByRole('link', { name: 'Sign in to begin' }).click();
  await stranger.getByRole('button', { name: 'Tom Ashby' }).click();
  await stranger.getByRole('button', { name: 'Begin' }).click();
  await expect(stranger.getByRole('heading', { level: 1 })).toHaveText('Purpose and reach');
  await expect(stranger.getByText('Go on elsewhere')).toHaveCount(0);
  await page.getByRole('button', { name: 'Withdraw' }).click();
  await expect(page.getByText(/^withdrawn/)).toBeVisible();
  await stranger.reload();
  await expect(stranger.getByText('The author has withdrawn this course.')).toBeVisible();
  await page.getByRole('button', { name: 'Make available again' }).click();
  await expect(page.getByRole('button', { name: 'Withdraw' })).toBeVisible();
  await stranger.reload();
  await expect(stranger.getByRole('heading', { level: 1 })).toHaveText('Purpose and reach');
  const lost = await aLearner(browser, `${app.url}/learn/wnosuchcourse`);
  await expect(lost.getByRole('alert')).toContainText('no course at this address');
});

test('a newer release is told before it is made, and learners under way keep what did not change', async ({
  page,
  app,
  browser,
}) => {
  await openDemo(page, app);
  const address = await release(page, /Anyone with the address/);
  const learner = await aLearner(browser, address, 'Cleo');
  for (const title of ['Before you hand it over', 'Storing']) {
    await learner.getByRole('button', { name: 'Lessons', exact: true }).click();
    await learner.getByRole('link', { name: new RegExp(`^${title}`) }).click();
    await onward(learner).click();
    await onward(learner).click();
  }
  await openLesson(page, 'Before you hand it over');
  await page.locator('.lesson-page p').first().click();
  await page.keyboard.press('Control+Home');
  await page.keyboard.type('Take your time. ');
  await saved(page);
  await page.keyboard.press('Alt+6');
  await expect(page.getByText('1 changed: “Before you hand it over”')).toBeVisible();
  await expect(page.getByText('1 learner is under way.')).toBeVisible();
  await looksRight(page);
  await release(page, /Anyone with the address/, (desk) =>
    desk.getByRole('radio', { name: /They go on with this one/ }).check(),
  );
  await learner.reload();
  await learner.getByRole('button', { name: 'Lessons', exact: true }).click();
  await expect(learner.locator('.up-list a').filter({ hasText: 'Before you hand it over' })).not.toContainText('done');
  expect((await progress(page, app))[0].release).toBe(2);
});

test('an author sees a draft as a learner would, at three sizes, beside the editor', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Late returns');
  await page.keyboard.press('Alt+v');
  const frame = page.frameLocator('iframe');
  await expect(frame.getByRole('heading', { level: 1 })).toHaveText('Late returns');
  await looksRight(page);
  await page.locator('.lesson-page p').first().click();
  await page.keyboard.press('Control+Home');
  await page.keyboard.type('Seen at once. ');
  await expect(frame.getByText('Seen at once.')).toBeVisible();
  await frame.locator('.up-check').first().getByRole('radio').first().check();
  await frame.locator('.up-check').first().getByRole('button').click();
  await expect(frame.locator('.up-check').first().locator('.up-said strong')).toBeVisible();
  for (const [size, width] of [
    ['Tablet', 768],
    ['Desk', 1280],
    ['Phone', 390],
  ] as const) {
    await page.getByRole('button', { name: size, exact: true }).click();
    await expect.poll(() => frame.locator('body').evaluate(() => window.innerWidth)).toBe(width);
  }
});

test('the player fits from 320 px, by touch, dark, and from right to left', async ({ page, app, browser }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+1');
  const address = await release(page, /Anyone with the address/);
  const phone = await aLearner(browser, address, 'Dee', {
    ...devices['iPhone SE'],
    viewport: { width: 320, height: 560 },
    hasTouch: true,
    colorScheme: 'dark',
    defaultBrowserType: undefined,
  });
  await phone.getByRole('button', { name: 'Lessons', exact: true }).tap();
  await phone.getByRole('link', { name: /^When something goes wrong/ }).tap();
  await expect(phone.getByRole('heading', { level: 1 })).toHaveText('When something goes wrong');
  await looksRight(phone);
  await phone.locator('.up').evaluate((element) => element.setAttribute('dir', 'rtl'));
  expect((await new AxeBuilder({ page: phone }).analyze()).violations.map((each) => each.id)).toEqual([]);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});
