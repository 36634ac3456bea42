import { expect, looksRight, openDemo, openLesson, saved, served, test } from './app';

const lesson = async (page: Parameters<typeof served>[0], title: string) =>
  (await served(page)).course.modules.flatMap((module) => module.lessons).find((each) => each.title === title)!;
const words = (value: unknown): string =>
  JSON.stringify(value).replace(/"text":"((?:[^"\\]|\\.)*)"|[^]/g, (_, text?: string) => text ?? '');

test('opening and closing lessons makes no operation', async ({ page, app }) => {
  await openDemo(page, app);
  const before = (await served(page)).revision;
  for (const title of ['Late returns', 'Damage', 'The five-point look-over', 'Charging']) {
    await openLesson(page, title);
    await page.locator('.lesson-page .evidence').first().click();
    await page.waitForTimeout(800);
  }
  await page.keyboard.press('Alt+3');
  expect((await served(page)).revision).toBe(before);
});

test("each sentence shows its passage; words typed are the author's own; undo takes them back", async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await openLesson(page, 'Damage');
  const sentence = page.locator('.lesson-page p .evidence').first();
  const said = (await sentence.textContent())!;
  await sentence.click();
  await expect(page.locator('.pane .passage mark')).toHaveText(said);
  const block = page.locator('.lesson-page .standing.source').first();
  await expect(block).toBeVisible();
  const before = words(await lesson(page, 'Damage'));
  await sentence.click();
  await page.keyboard.press('Home');
  await page.keyboard.type('Mind this. ');
  await expect(page.locator('.lesson-page .standing.changed').first()).toBeVisible();
  await saved(page);
  await expect.poll(async () => words(await lesson(page, 'Damage'))).toContain('Mind this. ');
  expect((await lesson(page, 'Damage')).state).toBe('in-work');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => words(await lesson(page, 'Damage'))).toBe(before);
  await expect(page.locator('.lesson-page')).not.toContainText('Mind this.');
});

test('parts are turned, moved, deleted, and come back from the bin', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Charging');
  const kinds = async () => (await lesson(page, 'Charging')).blocks.map((block) => block.kind);
  const before = await kinds();
  await page.locator('.lesson-page > .page > p.standing').first().click();
  await page.keyboard.press('Control+Alt+3');
  await expect
    .poll(async () => (await kinds()).filter((kind) => kind === 'list').length)
    .toBe(before.filter((kind) => kind === 'list').length + 1);
  await page.keyboard.press('Alt+ArrowDown');
  await page.keyboard.press('Control+Delete');
  await expect.poll(async () => (await kinds()).length).toBe(before.length - 1);
  await page.keyboard.press('Alt+8');
  await page.getByRole('button', { name: 'put back' }).first().click();
  await openLesson(page, 'Charging');
  await expect.poll(async () => (await kinds()).length).toBe(before.length);
});

test('an unused passage is pulled in by key, on its evidence', async ({ page, app }) => {
  await openDemo(page, app);
  // The demo uses all it has: a part that is taken out of one lesson is there for another.
  await openLesson(page, 'Returning');
  await page.locator('.lesson-page > .page > p.standing.source').first().click();
  const count = (await lesson(page, 'Returning')).blocks.length;
  await page.keyboard.press('Control+Delete');
  await expect.poll(async () => (await lesson(page, 'Returning')).blocks.length).toBe(count - 1);
  await saved(page);
  await openLesson(page, 'At the desk');
  await page.locator('.lesson-page .evidence').first().click();
  await page.keyboard.press('Alt+m');
  const choice = page.locator('.pane .choice').first();
  await expect(choice).toBeVisible();
  const passage = (await choice.locator('p').nth(2).textContent())!;
  await page.keyboard.press('Alt+Enter');
  await expect.poll(async () => words(await lesson(page, 'At the desk'))).toContain(passage.slice(0, 60));
  await page.keyboard.press('Alt+e');
  await expect(page.locator('.pane .passage')).toContainText(passage.slice(0, 60));
});

test('a part is reworded on a proposal under it: taken, kept beside, left; its evidence stays, and undo brings it back', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await openLesson(page, 'Purpose and reach');
  await page.locator('.lesson-page .evidence').first().click();
  await page.keyboard.press('Alt+Shift+R');
  await page.getByPlaceholder('What it should become').pressSequentially('friendly', { delay: 60 });
  const whole = page.getByRole('group', { name: 'The whole lesson' }).getByRole('option', { name: /Less formal/ });
  await whole.click();
  const proposals = page.getByRole('group', { name: 'Proposal: Less formal' });
  await expect(proposals.first()).toBeVisible();
  const count = await proposals.count();
  const now = (await proposals.first().locator('ins').first().textContent())!;
  const before = words(await lesson(page, 'Purpose and reach'));
  expect(before).not.toContain(now);
  await looksRight(page);
  // Left as it is, nothing is changed.
  await proposals.last().getByRole('button', { name: 'Leave mine' }).click();
  await expect(proposals).toHaveCount(count - 1);
  expect(words(await lesson(page, 'Purpose and reach'))).toBe(before);
  // Taken, it stands there on its source.
  await proposals.first().getByRole('button', { name: 'Take it' }).click();
  await expect.poll(async () => words(await lesson(page, 'Purpose and reach'))).toContain(now);
  await expect(page.locator('.lesson-page .standing.changed')).toHaveCount(0);
  await page.locator('.lesson-page .page').click();
  await page.keyboard.press('Control+z');
  await expect.poll(async () => words(await lesson(page, 'Purpose and reach'))).toBe(before);
  // Where nothing safe can be done, that is said.
  await page.keyboard.press('Alt+Shift+R');
  await page.getByPlaceholder('What it should become').pressSequentially('imperative', { delay: 60 });
  await page
    .getByRole('option', { name: /orders/ })
    .first()
    .click();
  await expect(page.getByText('“Should” stays what it is.')).toBeVisible();
});

test('a proposal does not write over what was typed a moment ago', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Purpose and reach');
  await page.keyboard.press('Alt+Shift+R');
  await page
    .getByRole('group', { name: 'The whole lesson' })
    .getByRole('option', { name: /Less formal/ })
    .click();
  const proposal = page.getByRole('group', { name: 'Proposal: Less formal' }).first();
  await expect(proposal).toBeVisible();
  await page.locator('.lesson-page').getByText('It does not apply to the workshop benches').first().click();
  await page.keyboard.type('Mind', { delay: 30 });
  await proposal.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('That part was changed meanwhile')).toBeVisible();
  await expect.poll(async () => words(await lesson(page, 'Purpose and reach'))).toContain('Mind');
  expect(words(await lesson(page, 'Purpose and reach'))).toContain('does not');
});

test('cards, sides and folds are typed through by Enter, and shown as one another with nothing lost', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await openLesson(page, 'Storing');
  await page.locator('.lesson-page .evidence').first().click();
  const add = async (name: string) => {
    await page.keyboard.press('Alt+a');
    await page.getByPlaceholder('What to add').pressSequentially(name, { delay: 60 });
    await page.keyboard.press('Enter');
    await expect(page.getByPlaceholder('What to add')).toBeHidden();
  };
  const type = async (...lines: string[]) => {
    for (const [at, line] of lines.entries()) {
      if (at > 0) await page.keyboard.press('Enter');
      await page.keyboard.type(line, { delay: 30 });
    }
  };
  await add('Cards');
  await type('Shelf', 'For packs that are used.', '', 'Tin', 'For packs that are not.', '', '', 'Behind the cards.');
  const blocks = async () => (await lesson(page, 'Storing')).blocks;
  await expect.poll(async () => words(await lesson(page, 'Storing'))).toContain('Behind the cards.');
  const [cards] = (await blocks()).filter(({ kind }) => kind === 'cards');
  expect(cards!.body).toEqual({
    cards: [
      { front: [{ type: 'text', text: 'Shelf' }], back: [[{ type: 'text', text: 'For packs that are used.' }]] },
      { front: [{ type: 'text', text: 'Tin' }], back: [[{ type: 'text', text: 'For packs that are not.' }]] },
    ],
  });
  // The cards as folds, and as a list, and as cards again.
  for (const [as, kind] of [
    ['Folds', 'panels'],
    ['List', 'list'],
    ['Cards', 'cards'],
  ] as const) {
    await page.locator('.lesson-page').getByText('For packs that are not.').click();
    await page.keyboard.press('Alt+w');
    await page.getByPlaceholder('Show this part as').pressSequentially(as, { delay: 60 });
    await page.keyboard.press('Enter');
    await expect
      .poll(async () => (await blocks()).filter((each) => each.id === cards!.id).map((each) => each.kind))
      .toEqual([kind]);
  }
  expect((await blocks()).find(({ id }) => id === cards!.id)!.body).toEqual(cards!.body);
  await looksRight(page);
});

test('a question is written by hand where the cursor is', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Red-tag tools');
  await page.locator('.lesson-page .evidence').first().click();
  await page.keyboard.press('Control+Alt+q');
  await expect
    .poll(async () => (await served(page)).course.checks.map((check) => check.stem))
    .toContain('What do you ask?');
  const stems = page.locator('.lesson-page .stem');
  const at = (await stems.evaluateAll((all) => all.map((each) => (each as HTMLTextAreaElement).value))).indexOf(
    'What do you ask?',
  );
  await stems.nth(at).fill('May a red-tag tool go out?');
  await expect
    .poll(async () => (await served(page)).course.checks.map((check) => check.stem))
    .toContain('May a red-tag tool go out?');
});

test.describe('hostile content', () => {
  test.use({ mayLog: /Content Security Policy|status of 4\d\d/ });

  test('pasted and stored content cannot run script', async ({ page, app }) => {
    await openDemo(page, app);
    await openLesson(page, 'Your first shift');
    await page.locator('.lesson-page .page').click();
    await page.evaluate(() => {
      const data = new DataTransfer();
      data.setData(
        'text/html',
        '<p>Fine <img src=x onerror="window.ran=1"><a href="javascript:window.ran=1">link</a><script>window.ran=1</' +
          'script></p><iframe srcdoc="<script>parent.ran=1</script>"></iframe>',
      );
      document
        .querySelector('.lesson-page .page')!
        .dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    });
    await expect(page.locator('.lesson-page')).toContainText('Fine');
    await saved(page);
    const text = JSON.stringify(await lesson(page, 'Your first shift'));
    expect(text).not.toMatch(/javascript:|onerror|<script|iframe/);
    expect(await page.evaluate(() => (window as unknown as { ran?: number }).ran)).toBeUndefined();
  });
});
