import type { Page } from '@playwright/test';
import { choose, enter, expect, newCourse, openDemo, openLesson, saved, served, test } from './app';

// Everything here types as people do: a key every 60 to 120 ms, clicks elsewhere in between. What was typed is compared
// with what the server holds.
const type = (page: Page, text: string) => page.keyboard.type(text, { delay: 60 + ((text.length * 7) % 60) });

type Held = {
  course: {
    title: string;
    takes: { of: string; field: string; value: unknown; made: { why: string } }[];
    objectives: { id: string; text: string }[];
    answers?: { question: string; text: string }[];
    brief: { promise: string; audience: { who: string }; outcomes: string[] };
    modules: {
      id: string;
      title: string;
      purpose: string;
      lessons: {
        id: string;
        title: string;
        objectiveIds: string[];
        blocks: { id: string; kind: string; body: unknown }[];
      }[];
    }[];
    checks: { id: string; stem: string; options: { text: string; feedback: { text?: string } }[] }[];
  };
};
const held = async (page: Page) => (await served(page)) as unknown as Held;
const lessons = async (page: Page) => (await held(page)).course.modules.flatMap((module) => module.lessons);
const words = async (page: Page, title: string) =>
  JSON.stringify((await lessons(page)).find((lesson) => lesson.title === title)?.blocks ?? []);
const field = (page: Page, row: string, part: string) => page.locator(`[data-row="${row}"] [data-part=${part}]`);
/** The id of a row by its title. */
const rowOf = async (page: Page, title: string) => {
  const { course } = await held(page);
  return (course.modules.find((module) => module.title === title) ??
    course.modules.flatMap((module) => module.lessons).find((lesson) => lesson.title === title))!.id;
};
const can = async (page: Page, id: string) => {
  const { course } = await held(page);
  const lesson = course.modules.flatMap((module) => module.lessons).find((each) => each.id === id)!;
  return course.objectives.find((objective) => objective.id === lesson.objectiveIds[0])?.text;
};

test('in the outline every word stays: left by a click on another row, by Tab, by arrows, at once or after a pause', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  const [one, two, three] = [
    await rowOf(page, 'Late returns'),
    await rowOf(page, 'Damage'),
    await rowOf(page, 'Charging'),
  ];
  // Typed and left at once by a click on another row.
  await field(page, one, 'can').click();
  await page.keyboard.press('Control+a');
  await type(page, 'Say what a late return costs');
  await field(page, two, 'title').click();
  // Left after a pause, by the arrow.
  await field(page, two, 'can').click();
  await page.keyboard.press('Control+a');
  await type(page, 'Tell wear from damage');
  await page.waitForTimeout(900);
  await page.keyboard.press('ArrowDown');
  // Renamed, then on with Tab: the next field keeps its words, and goes on at their end.
  const before = (await can(page, three))!;
  await field(page, three, 'title').click();
  await page.keyboard.press('End');
  await type(page, ' with care');
  await page.keyboard.press('Tab');
  await type(page, ' and why');
  await saved(page);
  await expect.poll(() => can(page, one)).toBe('Say what a late return costs');
  expect(await can(page, two)).toBe('Tell wear from damage');
  expect((await lessons(page)).find((lesson) => lesson.id === three)!.title).toBe('Charging with care');
  expect(await can(page, three)).toBe(`${before} and why`);
  await page.reload();
  await expect(field(page, one, 'can')).toHaveValue('Say what a late return costs');
  await expect(field(page, three, 'can')).toHaveValue(`${before} and why`);
});

test('a title as long as documents make them is typed on, and so is the page below it', async ({ page, app }) => {
  await openDemo(page, app);
  const id = await rowOf(page, 'Damage');
  await field(page, id, 'title').click();
  await page.keyboard.press('Control+a');
  const title = 'When a tool comes back damaged and nobody at the desk saw how it happened';
  await page.keyboard.insertText(title);
  await type(page, ', what then');
  await page.keyboard.press('Tab');
  await saved(page);
  await openLesson(page, `${title}, what then`);
  await page.getByRole('textbox', { name: 'Page of the lesson' }).locator('p').first().click();
  await page.keyboard.press('End');
  await type(page, ' Ask first.');
  await page.getByRole('textbox', { name: 'Title of the lesson' }).click();
  await page.keyboard.press('End');
  await type(page, ' in any case');
  await page.keyboard.press('Tab');
  await saved(page);
  await expect.poll(() => words(page, `${title}, what then in any case`)).toContain('Ask first.');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Page of the lesson' })).toContainText('Ask first.');
  await expect(page.getByText('Both texts are kept')).toHaveCount(0);
});

test('a double click marks a word and stays; Escape goes back; an emptied title comes back', async ({ page, app }) => {
  await openDemo(page, app);
  const one = await rowOf(page, 'Late returns');
  await field(page, one, 'title').dblclick();
  await expect(page.getByRole('heading', { name: 'Outline', exact: true })).toBeVisible();
  await page.keyboard.press('Home');
  await type(page, 'Very ');
  await page.keyboard.press('Escape');
  await expect(field(page, one, 'title')).toHaveValue('Late returns');
  await page.keyboard.press('Control+a');
  await page.keyboard.press('x');
  await page.keyboard.press('Backspace');
  await field(page, await rowOf(page, 'Charging'), 'can').click();
  await expect(field(page, one, 'title')).not.toHaveValue('');
  await page.waitForTimeout(800);
  expect((await lessons(page)).every((lesson) => lesson.title.trim() !== '')).toBe(true);
});

test('rows are made and named one after another at typing speed, with moves in between', async ({ page, app }) => {
  await newCourse(page, app, 'Sharpening');
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Write the first row' }).click();
  for (const title of ['Why sharp is safe', 'The stone', 'The angle']) {
    await type(page, title);
    await page.keyboard.press('Enter');
  }
  await type(page, 'The strop');
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('Tab');
  await type(page, 'Strop a blade');
  await page.getByRole('heading', { name: 'Outline' }).click();
  await saved(page);
  await expect
    .poll(async () => (await lessons(page)).map((lesson) => lesson.title))
    .toEqual(['Why sharp is safe', 'The stone', 'The strop', 'The angle']);
  expect(await can(page, await rowOf(page, 'The strop'))).toBe('Strop a blade');
  await page.keyboard.press('Control+z');
  await expect.poll(() => rowOf(page, 'The strop').then((id) => can(page, id))).toBeUndefined();
});

test('in a lesson typing goes on in what was just made: parts, turned parts, aims, questions, answers, feedback', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await openLesson(page, 'Charging');
  // A part added by the menu.
  await page.locator('.lesson-page .evidence').first().click();
  await page.getByRole('button', { name: /^add/ }).click();
  await page.getByRole('option', { name: 'Warning' }).click();
  await type(page, 'Never leave a pack on amber over night.');
  await expect.poll(() => words(page, 'Charging')).toContain('Never leave a pack on amber over night.');
  // Turned, and written on, spaces and all.
  await page.getByRole('button', { name: /^show as/ }).click();
  await page.getByRole('option', { name: 'Paragraph' }).click();
  await type(page, ' So look twice.');
  await expect.poll(() => words(page, 'Charging')).toMatch(/So look twice\./);
  const blocks = (await lessons(page)).find((lesson) => lesson.title === 'Charging')!.blocks;
  expect(blocks.filter((block) => JSON.stringify(block.body).includes('amber over night'))).toHaveLength(1);
  // What the learner can do.
  await page.getByLabel('Afterwards the learner can').first().click();
  await page.keyboard.press('Control+a');
  await type(page, 'Charge a pack without watching it');
  await page.locator('.lesson-page .evidence').first().click();
  await expect
    .poll(async () => (await held(page)).course.objectives.map((objective) => objective.text))
    .toContain('Charge a pack without watching it');
  // A question of one's own: its stem is marked, its answers follow.
  await page.keyboard.press('Control+Alt+q');
  await expect(page.locator('.lesson-page textarea.stem').last()).toBeVisible();
  await page.waitForTimeout(200);
  await type(page, 'How long may a pack charge?');
  await expect
    .poll(async () => (await held(page)).course.checks.map((check) => check.stem))
    .toContain('How long may a pack charge?');
  const { id } = (await held(page)).course.checks.find((check) => check.stem === 'How long may a pack charge?')!;
  const card = page.locator(`.lesson-page [data-check="${id}"]`);
  await card.getByRole('button', { name: 'Another answer' }).click();
  await type(page, 'As long as it likes');
  await card.getByLabel('Feedback to As long as it likes').click();
  await type(page, 'No: after three hours it is broken.');
  await page.locator('.lesson-page .evidence').first().click();
  await expect
    .poll(async () => (await held(page)).course.checks.find((check) => check.id === id)!.options.at(-1))
    .toMatchObject({ text: 'As long as it likes', feedback: { text: 'No: after three hours it is broken.' } });
});

test('brief and answers keep every letter, also when one leaves the room in the middle of a word', async ({
  page,
  app,
}) => {
  await newCourse(page, app, 'Mowers');
  await page.keyboard.press('Alt+1');
  await page.getByLabel('What it promises').click();
  await type(page, 'You mow and keep your toes');
  await page.keyboard.press('Tab');
  await type(page, 'Saturday volunteers');
  // Straight to another room, with nothing given away yet.
  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('heading', { name: 'Outline', exact: true })).toBeVisible();
  await expect
    .poll(async () => (await held(page)).course.brief)
    .toMatchObject({ promise: 'You mow and keep your toes', audience: { who: 'Saturday volunteers' } });
  await page.keyboard.press('Alt+2');
  await page.getByRole('link', { name: 'What I know' }).click();
  const box = page.locator('.answer textarea').first();
  await box.click();
  await type(page, 'Never reach under a mower.');
  // Home, from the middle of it.
  await page.getByRole('link', { name: 'Uplift Path, all courses' }).click();
  await expect(page.getByRole('heading', { name: 'Courses', exact: true })).toBeVisible();
  await page.goBack();
  await expect
    .poll(async () => (await held(page)).course.answers?.map((answer) => answer.text))
    .toEqual(['Never reach under a mower.']);
});

test.describe('connections that are slow or cut', () => {
  test.use({ mayLog: /net::ERR_|status of [45]\d\d/ });

  test('two windows in one paragraph: both texts are in the course, after a reload and on another device', async ({
    page,
    app,
    context,
  }) => {
    await openDemo(page, app);
    await openLesson(page, 'Damage');
    const other = await context.newPage();
    await other.route('**/events', (route) => route.abort());
    await other.goto(page.url());
    await expect(other.locator('.lesson-page .evidence').first()).toBeVisible();
    const first = (where: Page) => where.locator('.lesson-page > .page > p.standing').first();
    await first(page).click();
    await page.keyboard.press('Home');
    await type(page, 'Theirs first. ');
    await saved(page);
    await first(other).click();
    await other.keyboard.press('Home');
    await type(other, 'Mine later. ');
    await expect(other.locator('.conflict')).toContainText('Mine later.');
    await expect(other.locator('.conflict')).toContainText('Theirs first.');
    await saved(other);
    await other.reload();
    await expect(other.locator('.conflict')).toContainText('Mine later.');
    expect(await words(page, 'Damage')).toContain('Theirs first.');
    expect(JSON.stringify((await held(page)).course.takes)).toContain('Mine later.');
    await other.locator('.conflict').getByRole('button', { name: 'Keep mine', exact: true }).click();
    await expect.poll(() => words(page, 'Damage')).toContain('Mine later.');
    expect(JSON.stringify((await held(page)).course.takes)).toContain('Theirs first.');
    await other.close();
  });

  test('typed without a connection into a lesson that was deleted meanwhile: kept, and put back with it', async ({
    page,
    app,
    browser,
  }) => {
    await openDemo(page, app);
    await openLesson(page, 'Charging');
    await page.route('**/api/courses/*/operations', (route) => route.abort());
    await page.route('**/changes?*', (route) => route.abort());
    await page.route('**/events', (route) => route.abort());
    await page.locator('.lesson-page > .page > p.standing').first().click();
    await page.keyboard.press('End');
    await type(page, ' Typed on the train.');
    await expect(page.locator('header [role=status]')).toHaveText(/Not saved yet, kept in this browser/);
    // Another device: a window of this browser would have sent what waits here.
    const other = await (await browser.newContext()).newPage();
    await enter(other, app);
    await other.goto(page.url().replace(/lessons.*/, 'outline'));
    await other.locator(`[data-row="${await rowOf(other, 'Charging')}"] [data-part=title]`).click();
    await other.keyboard.press('Control+Delete');
    await saved(other);
    await page.unroute('**/api/courses/*/operations');
    await page.unroute('**/changes?*');
    await expect(page.locator('.conflict')).toContainText('Typed on the train.', { timeout: 20_000 });
    // It is shown at once, and on its way to the server.
    await expect.poll(async () => JSON.stringify((await held(page)).course.takes)).toContain('Typed on the train.');
    await page.locator('.conflict').getByRole('button', { name: 'Put it back with its place' }).click();
    await expect.poll(() => words(page, 'Charging')).toContain('Typed on the train.');
    await other.close();
  });

  test('every answer is slow, some are lost: what is typed in three rooms is there once', async ({ page, app }) => {
    await openDemo(page, app);
    let count = 0;
    await page.route('**/operations', async (route) => {
      count++;
      await new Promise((go) => setTimeout(go, 500));
      // Every third is made, but its answer does not come back.
      if (count % 3 === 0) {
        await route.fetch();
        return route.abort();
      }
      return route.continue();
    });
    const one = await rowOf(page, 'Late returns');
    await field(page, one, 'can').click();
    await page.keyboard.press('Control+a');
    await type(page, 'Settle a late return');
    await openLesson(page, 'Damage');
    await page.locator('.lesson-page > .page > p.standing').first().click();
    await page.keyboard.press('End');
    await type(page, ' Slowly typed.');
    await page.keyboard.press('Alt+1');
    await page.getByLabel('For whom').click();
    await page.keyboard.press('End');
    await type(page, ' and friends');
    await saved(page);
    await expect.poll(() => can(page, one), { timeout: 30_000 }).toBe('Settle a late return');
    await expect.poll(() => words(page, 'Damage'), { timeout: 30_000 }).toContain('Slowly typed.');
    expect((await words(page, 'Damage')).split('Slowly typed.')).toHaveLength(2);
    await expect
      .poll(async () => (await held(page)).course.brief.audience.who, { timeout: 30_000 })
      .toMatch(/ and friends$/);
    expect((await held(page)).course.takes.filter((take) => take.made.why === 'conflict')).toEqual([]);
  });

  test('another window and undo at work: typing is not disturbed', async ({ page, app, context }) => {
    await openDemo(page, app);
    await openLesson(page, 'Damage');
    const other = await context.newPage();
    await other.goto(page.url().replace(/lessons.*/, 'outline'));
    const [late, reach] = [await rowOf(other, 'Late returns'), await rowOf(other, 'Red-tag tools')];
    await page.locator('.lesson-page > .page > p.standing').first().click();
    await page.keyboard.press('End');
    const mine = type(page, ' One two three four five six seven eight nine ten eleven twelve.');
    for (const row of [late, reach]) {
      await field(other, row, 'can').click();
      await other.keyboard.press('Control+End');
      await type(other, ' soon');
      await other.keyboard.press('Tab');
    }
    await mine;
    await saved(page);
    await saved(other);
    await expect
      .poll(() => words(page, 'Damage'))
      .toContain('One two three four five six seven eight nine ten eleven twelve.');
    expect(await can(page, late)).toMatch(/ soon$/);
    expect(await can(page, reach)).toMatch(/ soon$/);
    // Undo is each author's own, whichever window they use: the last gesture first.
    for (let time = 0; time < 12 && (await words(page, 'Damage')).includes('One two'); time++)
      await other.keyboard.press('Control+z');
    await expect(page.locator('.lesson-page')).not.toContainText('eleven twelve.');
    await other.close();
  });
});

test('undo says what it took back, and shows it where it is', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Damage');
  await page.locator('.lesson-page > .page > p.standing').first().click();
  await page.keyboard.press('End');
  await type(page, ' To be undone.');
  await saved(page);
  await page.keyboard.press('Alt+1');
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('textbox', { name: 'Page of the lesson' })).toBeVisible();
  await expect(page.locator('header [role=status]')).toContainText('Undone: words in “Damage”');
  await expect(page.locator('.just-shown')).toBeVisible();
  await expect(page.locator('.lesson-page')).not.toContainText('To be undone.');
});

test('a version is looked at, lesson by lesson, before going back to it', async ({ page, app }) => {
  await openDemo(page, app);
  await page.getByRole('button', { name: 'Keep as a version' }).click();
  await page.getByLabel('Name of the version').fill('Before the change');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await openLesson(page, 'Damage');
  await page.locator('.lesson-page > .page > p.standing').first().click();
  await page.keyboard.press('End');
  await type(page, ' Changed since.');
  await saved(page);
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: '1 version kept' }).click();
  const dialog = page.getByRole('dialog', { name: 'Versions' });
  await expect(dialog).toContainText('Since “Before the change”: 1 lesson differs.');
  await dialog.getByRole('button', { name: 'Damage' }).click();
  await expect(dialog.locator('ins').filter({ hasText: 'Changed' }).first()).toBeVisible();
  await dialog.getByRole('button', { name: 'Go back to it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect.poll(() => words(page, 'Damage')).not.toContain('Changed since.');
  await page.keyboard.press('Control+z');
  await expect.poll(() => words(page, 'Damage')).toContain('Changed since.');
});

test('a page that was worked on keeps its words when it is drafted again; the draft lies beside it, with name, time and what differs', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await openLesson(page, 'Charging');
  await page.locator('.lesson-page > .page > p.standing').first().click();
  await page.keyboard.press('End');
  await type(page, ' Mine stays.');
  await saved(page);
  await page.getByRole('button', { name: 'Draft beside it' }).click();
  await expect(page.getByText('1 take is kept beside this lesson.')).toBeVisible({ timeout: 30_000 });
  expect(await words(page, 'Charging')).toContain('Mine stays.');
  await page.keyboard.press('Alt+k');
  const take = page.locator('.takes article').first();
  await expect(take).toContainText(/Ines Marlow, \d+ \w+ \d{4}/);
  await take.getByLabel('Name of the take').click();
  await type(page, 'Fresh draft');
  await take.getByRole('button', { name: 'What differs' }).click();
  await expect(take.locator('del').filter({ hasText: 'Mine' }).first()).toBeVisible();
  await expect.poll(async () => JSON.stringify((await held(page)).course.takes)).toContain('Fresh draft');
});

test('what is set and typed for a release stays: away in the middle of a word, after a reload, with another window at work', async ({
  page,
  app,
  context,
}) => {
  await openDemo(page, app);
  const other = await context.newPage();
  await openDemo(other, app);
  await page.keyboard.press('Alt+6');
  const note = page.getByLabel('What is new in it, for you');
  await note.click();
  await type(page, 'Late fees are cle');
  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('heading', { name: 'Outline', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+6');
  await expect(note).toHaveValue('Late fees are cle');
  await note.click();
  await page.keyboard.press('End');
  // Another window changes the course meanwhile; the room goes on.
  const row = await rowOf(other, 'Late returns');
  await field(other, row, 'can').click();
  await other.keyboard.press('Control+a');
  await type(other, 'Settle a late return');
  await saved(other);
  await type(page, 'arer');
  await page.getByLabel('Enough is, in percent').click();
  await page.keyboard.press('Control+a');
  await type(page, '65');
  await choose(page, 'Lessons are taken', 'one after another');
  await page.reload();
  await expect(note).toHaveValue('Late fees are clearer');
  await expect(page.getByLabel('Enough is, in percent')).toHaveValue('65');
  await expect(page.getByLabel('Lessons are taken')).toContainText('one after another');
});
