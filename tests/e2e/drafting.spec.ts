import { expect, newCourse, openLesson, saved, served, test } from './app';

test.describe('drafting', () => {
  test.setTimeout(120_000);
  test.use({ mayLog: /net::ERR_|status of 4\d\d/ });

  /** A course whose outline is drafted from two of the demo's sources, every lesson blank. */
  async function outlined(page: Parameters<typeof served>[0], app: Parameters<typeof newCourse>[1], title: string) {
    await newCourse(page, app, title);
    await page
      .getByLabel('Files to add')
      .setInputFiles(['demo/files/lending-policy.docx', 'demo/files/coordinators-notes.md']);
    await expect(page.getByRole('cell').getByRole('link')).toHaveCount(2);
    await page.keyboard.press('Alt+3');
    await page.getByRole('button', { name: 'Draft from the sources' }).first().click();
    await page.getByRole('button', { name: /^Take/ }).click();
    await saved(page);
    await page.keyboard.press('Alt+4');
    await expect(page.getByRole('button', { name: /^Draft all/ })).toBeVisible();
  }
  const lessons = async (page: Parameters<typeof served>[0]) =>
    (await served(page)).course.modules.flatMap((module) => module.lessons);

  test('goes on while it is left, shows each lesson as it comes, and survives a restart', async ({ page, app }) => {
    await outlined(page, app, 'Live');
    await page.keyboard.press('Alt+d');
    await expect(page.getByRole('status').filter({ hasText: /of \d+ drafted/ })).toBeVisible();
    // Left, and the server killed in the middle of it.
    await page.keyboard.press('Alt+1');
    await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
    await app.restart();
    await expect
      .poll(async () => (await lessons(page)).every((lesson) => lesson.blocks.length > 0), { timeout: 30_000 })
      .toBe(true);
    await page.keyboard.press('Alt+4');
    await expect(page.getByText('every lesson has text')).toBeVisible();
    await expect(page.getByText(/of \d+ drafted/)).toHaveCount(0);
  });

  test('never writes over a lesson that is written on meanwhile: its draft lies beside it, to be looked at and taken', async ({
    page,
    app,
  }) => {
    await outlined(page, app, 'Meanwhile');
    const all = await lessons(page);
    const last = all.at(-1)!;
    const course = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
    await openLesson(page, last.title);
    // Another window begins the drafting, and its author writes on the lesson that is drafted last before it comes to
    // that.
    await page.evaluate(
      async ([id, lessons, since]) => {
        const post = (path: string, body: object) =>
          fetch(`/api/courses/${id as string}/${path}`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(body),
          });
        await post('jobs', { lessons });
        const node = {
          id: 'bwrittenbyme2',
          kind: 'text',
          body: { text: [{ type: 'text', text: 'Written by hand.' }] },
        };
        await post('operations', {
          since,
          what: 'words',
          changes: [
            {
              id: 'xwrittenbyme2',
              group: 'gwrittenbyme2',
              operation: { type: 'insert', kind: 'block', parent: (lessons as string[]).at(-1), after: null, node },
            },
          ],
        });
      },
      [course, all.map((lesson) => lesson.id), (await served(page)).revision] as const,
    );
    await expect(page.getByText('1 take is kept beside this lesson.')).toBeVisible({ timeout: 30_000 });
    await expect(page.locator('.lesson-page')).toHaveText(/Written by hand\./);
    await expect(page.getByText(/holds your own work, so its draft lies beside it as a take/)).toBeVisible();
    await page.keyboard.press('Alt+k');
    await expect(page.locator('.takes .up-page')).toBeVisible();
    await page.getByRole('button', { name: 'Put it in place of this one' }).click();
    await expect(page.locator('.lesson-page')).not.toContainText('Written by hand.');
    await saved(page);
    await page.keyboard.press('Alt+k');
    await page.keyboard.press('Control+z');
    await expect(page.locator('.lesson-page')).toContainText('Written by hand.');
  });

  test('is stopped when asked, and another window sees what comes in', async ({ page, app, context }) => {
    await outlined(page, app, 'Two windows');
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(other.getByRole('heading', { name: 'Lessons', exact: true })).toBeVisible();
    await other.getByRole('button', { name: /^Draft all/ }).click();
    // The state itself: a lesson that is only "being drafted" has nothing in it yet.
    await expect(
      page
        .getByRole('row')
        .filter({ hasText: /Drafted/ })
        .first(),
    ).toBeVisible({ timeout: 20_000 });
    if (await page.getByRole('button', { name: 'Stop', exact: true }).isVisible()) await page.keyboard.press('Alt+s');
    await expect(page.getByText(/of \d+ drafted/)).toHaveCount(0, { timeout: 20_000 });
    await expect
      .poll(async () => (await lessons(page)).filter((lesson) => lesson.blocks.length > 0).length)
      .toBeGreaterThan(0);
  });
});
