import { enter, expect, looksRight, openDemo, openLesson, test } from './app';

test.describe('every view is accessible and fits', () => {
  for (const scheme of ['light', 'dark'] as const) {
    test(`in ${scheme} colours`, async ({ page, app }) => {
      test.setTimeout(240_000);
      // What colours do not change was looked at in the light.
      const what = scheme === 'light' ? 'everything' : 'colours';
      await page.emulateMedia({ colorScheme: scheme });
      await page.goto(`${app.url}/sign-in`);
      await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
      await looksRight(page, what);
      await enter(page, app);
      await looksRight(page, what);
      await openDemo(page, app);
      await expect(page.getByText('On this topic, not used yet')).toBeVisible();
      await looksRight(page, what);
      await openLesson(page, 'Late returns');
      await page.locator('.lesson-page .evidence').first().click();
      await expect(page.locator('.pane mark')).toBeVisible();
      await looksRight(page, what);
      for (const [key, heading] of [
        ['Alt+1', 'Brief'],
        ['Alt+2', 'Sources'],
        ['Alt+4', 'Lessons'],
        ['Alt+5', 'Checks'],
        ['Alt+6', 'Release'],
        ['Alt+7', 'Results'],
        ['Alt+8', 'Bin'],
        ['Alt+9', 'People'],
      ] as const) {
        await page.keyboard.press(key);
        await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible();
        await looksRight(page, what);
      }
      await page.keyboard.press('Alt+2');
      await page.getByRole('table').getByRole('link', { name: 'Lending Policy' }).click();
      await expect(page.getByRole('button', { name: 'everything' })).toBeVisible();
      await looksRight(page, what);
    });
  }

  test('at twice the size', async ({ page, app }) => {
    await page.setViewportSize({ width: 640, height: 400 });
    await openDemo(page, app);
    await looksRight(page);
  });
});

test('the path is a way to go, by pointer and key, tall or as a table', async ({ page, app }) => {
  await openDemo(page, app);
  const places = page.locator('.profile .place');
  await expect(places).toHaveCount(26);
  await places.first().focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Ladders and towers');
  await page.keyboard.press('Alt+PageDown');
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Batteries');
  await page.keyboard.press('Alt+t');
  await expect(page.locator('.profile').getByRole('row')).toHaveCount(27);
});

test('the list of keys and the command bar reach what can be done', async ({ page, app }) => {
  await openDemo(page, app);
  await page.getByRole('heading', { name: 'Outline' }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Begin a module here');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A lesson, a source').fill('late returns');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Late returns');
});
