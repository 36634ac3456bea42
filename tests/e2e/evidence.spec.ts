import { expect, openDemo, openLesson, saved, served, test } from './app';

const lesson = async (page: Parameters<typeof served>[0], title: string) =>
  (await served(page)).course.modules.flatMap((module) => module.lessons).find((each) => each.title === title)!;
const words = (value: unknown): string =>
  JSON.stringify(value).replace(/"text":"((?:[^"\\]|\\.)*)"|[^]/g, (_, text?: string) => text ?? '');

test("a passage is put behind the author's own words, and taken away again", async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Your first shift');
  const own = page.locator('.lesson-page p.standing.own').first();
  await own.click();
  await page.keyboard.press('Alt+Shift+E');
  const pane = page.locator('.pane');
  await expect(pane.getByLabel('Find a passage in the sources')).toBeFocused();
  await page.keyboard.type('experienced volunteer', { delay: 60 });
  await pane.getByRole('button', { name: 'attach' }).first().click();
  await expect(page.locator('.lesson-page p .evidence').first()).toBeVisible();
  await page.keyboard.press('Alt+e');
  await expect(pane).toContainText('Put behind these words by hand');
  await expect
    .poll(async () => JSON.stringify((await lesson(page, 'Your first shift')).blocks))
    .toContain('"hand":true');
  await pane.getByRole('button', { name: 'detach' }).click();
  await expect
    .poll(async () => JSON.stringify((await lesson(page, 'Your first shift')).blocks))
    .not.toContain('"hand"');
  await page.keyboard.press('Control+z');
  await expect
    .poll(async () => JSON.stringify((await lesson(page, 'Your first shift')).blocks))
    .toContain('"hand":true');
});

test('copied words keep what they stand on in another lesson; from elsewhere nothing comes along', async ({
  page,
  app,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page, app);
  await openLesson(page, 'Charging');
  const sentence = page.locator('.lesson-page p.standing.source').first();
  const said = (await sentence.textContent())!;
  await sentence.click({ clickCount: 3 });
  await expect.poll(() => page.evaluate(() => window.getSelection()!.toString().trim())).toBe(said.trim());
  await page.keyboard.press('Control+c');
  await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toContain(said.slice(0, 40));
  await openLesson(page, 'Your first shift');
  await page.locator('.lesson-page p').first().click();
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+v');
  await expect(page.locator('.lesson-page p.standing.source')).toContainText([said.slice(0, 40)]);
  await saved(page);
  const blocks = (await lesson(page, 'Your first shift')).blocks;
  expect(words(blocks)).toContain(said.slice(0, 40));
  // A whole page: each part anew, under an id of its own; its checks stay where they are.
  await openLesson(page, 'Charging');
  await page.locator('.lesson-page p.standing.source').first().click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+c');
  await expect
    .poll(() => page.evaluate(() => navigator.clipboard.readText().then((text) => text.length)))
    .toBeGreaterThan(400);
  await openLesson(page, 'Your first shift');
  await page.locator('.lesson-page p').last().click();
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+v');
  await expect.poll(async () => (await lesson(page, 'Your first shift')).blocks.length).toBeGreaterThan(8);
  const { course } = await served(page);
  const lessons = course.modules.flatMap((module) => module.lessons);
  const ids = lessons.flatMap(({ blocks: parts }) => parts.map(({ id }) => id));
  expect(new Set(ids).size).toBe(ids.length);
  const kinds = (title: string) => lessons.find((each) => each.title === title)!.blocks.map(({ kind }) => kind);
  expect(kinds('Your first shift')).not.toContain('check');
  expect(kinds('Charging')).toContain('check');
});

test('parts are moved any distance by key, and given to another lesson', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Storing');
  const ids = async (title = 'Storing') => (await lesson(page, title)).blocks.map(({ id }) => id);
  const before = await ids();
  await page.keyboard.press('Alt+Shift+O');
  const rows = page.locator('.pane [data-part]');
  await expect(rows).toHaveCount(before.length);
  await rows.first().locator('.name').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect.poll(async () => (await ids())[1]).toBe(before[0]);
  await expect(page.locator(`.pane [data-part="${before[0]}"] .name`)).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect.poll(ids).toEqual(before);
  await rows.nth(0).getByRole('checkbox').check();
  await page.getByLabel('Lesson to give the chosen parts to').click();
  await page.getByRole('option', { name: /^Charging/ }).click();
  await page.getByRole('button', { name: 'Move 1' }).click();
  await expect.poll(async () => (await ids('Charging')).at(-1)).toBe(before[0]);
  await expect(page.locator(`.lesson-page [data-node="${before[0]}"]`)).toHaveCount(0);
});

test('a lesson is brought back to how it stood, and forward again by undo', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Late returns');
  const before = words((await lesson(page, 'Late returns')).blocks);
  await page.locator('.lesson-page p.standing').first().click();
  await page.keyboard.press('End');
  await page.keyboard.type(' Something else.', { delay: 30 });
  await saved(page);
  await page.locator('.lesson-page p.standing').nth(1).click();
  await page.keyboard.press('Control+Delete');
  await saved(page);
  await page.keyboard.press('Alt+Shift+H');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('listitem').first()).toContainText('as it is now');
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  // Words found and replaced are one gesture, on this page and everywhere.
  await page.keyboard.press('Alt+Shift+F');
  const bar = page.getByRole('search', { name: 'Find and replace' });
  await bar.getByLabel('Find', { exact: false }).first().fill('Something else');
  await expect(bar.getByRole('status')).toHaveText('1 place in 1 part');
  await bar.getByLabel('Replace by').fill('Another thing');
  await bar.getByRole('button', { name: 'Replace all' }).click();
  await expect(page.locator('.lesson-page')).toContainText('Another thing.');
  await bar.getByLabel('Find', { exact: false }).first().press('Escape');
  await saved(page);
  await page.getByRole('button', { name: 'History' }).click();
  await dialog.getByRole('listitem').last().getByRole('button').click();
  await dialog.getByRole('button', { name: 'Bring this page back' }).click();
  await expect.poll(async () => words((await lesson(page, 'Late returns')).blocks)).toBe(before);
  await page.keyboard.press('Control+z');
  await expect(page.locator('.lesson-page')).toContainText('Another thing.');
});

test.describe('pages of the web', () => {
  test.use({ mayAsk: /^https:\/\/maps\.fernhollow\.example\// });

  test('a web page within a lesson is loaded when asked, shut off, and only of sites that are allowed', async ({
    page,
    app,
  }) => {
    await openDemo(page, app);
    await openLesson(page, 'Your first shift');
    await page.locator('.lesson-page p').first().click();
    await page.keyboard.press('End');
    await page.keyboard.press('Alt+a');
    await page.keyboard.type('Web page', { delay: 50 });
    await page.keyboard.press('Enter');
    const address = page.getByLabel('Address or embed code');
    await address.fill(`<iframe src="https://maps.fernhollow.example/yard" title="The yard"></iframe>`);
    await address.press('Tab');
    const part = page.locator('.lesson-page .up-embed');
    await expect(part).toContainText('Pages of maps.fernhollow.example are not allowed here');
    await saved(page);
    const put = (hosts: string[]) => page.request.put(`${app.url}/api/embeds`, { data: { hosts } });
    expect((await put(['not a host'])).status()).toBe(422);
    expect((await put(['fernhollow.example'])).ok()).toBe(true);
    await page.reload();
    await expect(part).toContainText('Learners load it with one press');
    await page.keyboard.press('Alt+v');
    const preview = page.frameLocator('iframe[title="The lesson as a learner sees it"]');
    await page.route('https://maps.fernhollow.example/**', (route) =>
      route.fulfill({
        contentType: 'text/html',
        body: '<script>try { parent.document.title = "taken"; } catch {}</script>The yard',
      }),
    );
    const load = preview.getByRole('button', { name: 'Show “The yard” from maps.fernhollow.example' });
    await expect(load).toBeVisible();
    await expect(preview.locator('.up-embed iframe')).toHaveCount(0);
    await load.press('Enter');
    const frame = preview.locator('.up-embed iframe');
    await expect(frame).toHaveAttribute('sandbox', /allow-scripts/);
    expect(await frame.getAttribute('sandbox')).not.toContain('same-origin');
    await expect(preview.frameLocator('.up-embed iframe').getByText('The yard')).toBeVisible();
    expect(await page.title()).not.toContain('taken');
    const policy = (await page.request.get(`${app.url}/preview`)).headers()['content-security-policy'];
    expect(policy).toContain("frame-src 'self' https://fernhollow.example https://*.fernhollow.example;");
    await put([]);
  });
});
