import { browserPath } from '../../scripts/browser.mjs';
import { allLessons } from '../../core/course/course';
import { expect, openDemo, openLesson, saved, served, test } from './app';

// A microphone and a camera that the browser makes up.
test.use({
  launchOptions: {
    executablePath: browserPath(),
    args: [
      '--no-sandbox',
      '--disable-dev-shm-usage',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
    ],
  },
});

test('a voice is recorded, cut off by a reload, found again, kept and put on its page', async ({ page, app }) => {
  await openDemo(page, app);
  await openLesson(page, 'Late returns');
  await page.locator('.lesson-page .evidence').first().click();
  const dialog = page.getByRole('dialog', { name: 'Record' });
  await page.keyboard.press('Control+Alt+r');
  await dialog.getByRole('button', { name: /^Voice/ }).click();
  await expect(dialog.getByText('Ready. Nothing is recorded yet.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(dialog.getByText(/Recording 0:0[3-9]/)).toBeVisible();
  await page.reload();

  await expect(page.getByRole('textbox', { name: 'Page of the lesson' })).toBeVisible();
  await page.locator('.lesson-page .evidence').first().click();
  await page.keyboard.press('Control+Alt+r');
  await dialog.getByRole('button', { name: 'look at it' }).click();
  await dialog.getByLabel('What it is called').fill('What the lead says');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.locator('.lesson-page audio')).toBeVisible();
  await saved(page);
  const { course } = await served(page);
  const { body } = allLessons(course)
    .find(({ title }) => title === 'Late returns')!
    .blocks.find(({ kind }) => kind === 'clip') as { body: { title: string; clip: { seconds: number } } };
  expect(body.title).toBe('What the lead says');
  // A recorder does not say how long it is; what is kept does.
  expect(body.clip.seconds).toBeGreaterThan(1);

  await page.keyboard.press('Control+Alt+r');
  await expect(dialog.getByRole('button', { name: 'look at it' })).toHaveCount(0);
});

test('a speaker is recorded with a pause, and thrown away', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+0');
  await page.getByRole('button', { name: 'Record' }).click();
  const dialog = page.getByRole('dialog', { name: 'Record' });
  await dialog.getByRole('button', { name: /^Speaker/ }).click();
  await dialog.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(dialog.getByText(/Recording 0:01/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Pause' }).click();
  await expect(dialog.getByText(/Paused at/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await expect(dialog.locator('video')).toBeVisible();
  await dialog.getByRole('button', { name: 'throw away, record again' }).click();
  await expect(dialog.getByRole('button', { name: /^Voice/ })).toBeVisible();
});
