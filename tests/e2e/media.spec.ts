import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { unzipSync } from 'fflate';
import { blockTexts } from '../../core/blocks/forms';
import { allLessons } from '../../core/course/course';
import { evidencedSentences } from '../../core/document/rich-text';
import { aPng } from '../pictures';
import { aWav } from '../sounds';
import { expect, looksRight, openDemo, openLesson, saved, served, test } from './app';

const FILM = 'tests/fixtures/media/turning.webm';
const png = (name: string, width: number) => ({ name, mimeType: 'image/png', buffer: Buffer.from(aPng(width, 240)) });

test('files of all sorts come onto the shelf, are described, thrown away and brought back', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+0');
  await expect(page.getByRole('heading', { name: 'Media', level: 1 })).toBeVisible();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Add files' }).click(),
  ]);
  await chooser.setFiles([FILM, 'tests/fixtures/media/tone.weba', 'demo/files/lending-policy.docx']);
  const film = page.getByRole('button', { name: 'Video turning' });
  // It is described while others are still on their way.
  await film.click();
  const about = page.getByRole('complementary', { name: /About/ });
  await about.getByLabel('Whose it is').click();
  await page.keyboard.type('Filmed by Tessa', { delay: 60 });
  // Elsewhere before it rests, and back: nothing typed is lost.
  await page.getByRole('button', { name: 'Sound tone' }).click();
  await film.click();
  await expect(about.getByLabel('Whose it is')).toHaveValue('Filmed by Tessa');
  await about.getByLabel('learners are shown both').click();
  await saved(page);
  await page.reload();
  await film.click();
  await expect(about.getByLabel('Whose it is')).toHaveValue('Filmed by Tessa');

  await page.getByRole('button', { name: 'File lending-policy' }).click();
  await about.getByRole('button', { name: 'Throw away' }).click();
  await expect(page.getByRole('button', { name: 'File lending-policy' })).toHaveCount(0);
  await page.getByRole('tab', { name: /Thrown away/ }).click();
  await page.getByRole('button', { name: 'bring back' }).click();
  await expect(page.getByRole('button', { name: 'File lending-policy' })).toBeVisible();

  // What is none of ours is said, with its name.
  const [again] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Add files' }).click(),
  ]);
  await again.setFiles({ name: 'page.pdf', mimeType: 'application/pdf', buffer: Buffer.from('<html><script>') });
  await expect(page.getByText(/page\.pdf: .*none of the kinds/)).toBeVisible();
});

test('a video is cut, captioned and played by who learns; a gallery is leafed through; files are given', async ({
  page,
  app,
  browser,
}) => {
  await openDemo(page, app);
  await openLesson(page, 'Late returns');
  await page.locator('.lesson-page .evidence').first().click();
  await page.locator('input[type=file][hidden]').setInputFiles([FILM, 'demo/files/lending-policy.docx']);
  // While they come its author goes on writing elsewhere: the cursor stays, and every letter.
  await page.locator('.lesson-page .evidence').last().click();
  await page.keyboard.press('End');
  await page.keyboard.type(' Written while files were coming.', { delay: 70 });
  const clip = page.locator('.lesson-page .fielded').filter({ hasText: 'Video' });
  await expect(clip.locator('video')).toBeVisible();
  await expect(page.locator('.lesson-page')).toContainText(' Written while files were coming.');
  await clip.getByRole('button', { name: 'write' }).click();
  await clip.locator('video').evaluate((video: HTMLVideoElement) => void (video.currentTime = 1));
  await clip.getByRole('button', { name: '+ caption where it stands now' }).click();
  await clip.getByLabel('What is said at 0:01').fill('Tighten it by hand first.');
  await clip.locator('video').evaluate((video: HTMLVideoElement) => void (video.currentTime = 0.5));
  await clip.getByRole('button', { name: 'begin here' }).click();
  await expect(clip.getByRole('button', { name: 'play all of it' })).toBeVisible();

  await page.keyboard.press('Alt+a');
  await page.getByPlaceholder('What to add').pressSequentially('Slides', { delay: 60 });
  await page.keyboard.press('Enter');
  const gallery = page.locator('.lesson-page .fielded').filter({ hasText: 'Gallery' });
  for (const width of [700, 710]) {
    await gallery.getByRole('button', { name: 'Another picture' }).click();
    const dialog = page.getByRole('dialog');
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      dialog.getByRole('button', { name: 'From this device' }).click(),
    ]);
    await chooser.setFiles(png(`bench ${width}.png`, width));
    await expect(dialog).toBeHidden();
  }
  await gallery.getByLabel('Caption').nth(1).fill('The second bench');
  await expect(gallery.getByLabel('Caption')).toHaveCount(2);
  await saved(page);

  const { course } = await served(page);
  const blocks = allLessons(course).find(({ title }) => title === 'Late returns')!.blocks;
  const body = blocks.find(({ kind }) => kind === 'clip')!.body;
  expect(body).toMatchObject({ from: 0.5, cues: [{ from: 1, text: 'Tighten it by hand first.' }] });

  await page.keyboard.press('Alt+6');
  await page.getByRole('radio', { name: /Anyone with the address/ }).check();
  await page.keyboard.press('Control+Enter');
  const link = (await page.locator('.address code').textContent())!;
  const learner = await (await browser.newContext({ viewport: { width: 320, height: 700 } })).newPage();
  await learner.goto(link);
  await learner.getByLabel('Your name').fill('Ada');
  await learner.getByRole('button', { name: 'Begin' }).click();
  await learner.getByRole('button', { name: 'Lessons' }).click();
  await learner.getByRole('link', { name: /^Late returns/ }).click();
  const video = learner.locator('.up-clip video');
  await expect.poll(() => video.evaluate((each: HTMLVideoElement) => each.readyState)).toBeGreaterThan(0);
  expect(await video.evaluate((each: HTMLVideoElement) => each.textTracks[0]?.cues?.length)).toBe(1);
  await learner.getByText('What is said').click();
  await learner.getByRole('button', { name: '0:01' }).click();
  await expect.poll(() => video.evaluate((each: HTMLVideoElement) => each.currentTime)).toBeGreaterThanOrEqual(0.99);
  const slides = learner.locator('.up-slides');
  await slides.getByRole('button', { name: 'Next picture' }).click();
  await expect(slides.getByText('The second bench')).toBeVisible();
  await slides.getByRole('button', { name: /Show larger/ }).press('Enter');
  await expect(learner.getByRole('dialog')).toBeVisible();
  await learner.keyboard.press('Escape');
  await expect(learner.getByRole('dialog')).toBeHidden();
  const [download] = await Promise.all([
    learner.waitForEvent('download'),
    learner.getByRole('link', { name: 'Save' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('lending-policy.docx');
  expect(readFileSync(await download.path())).toEqual(readFileSync('demo/files/lending-policy.docx'));
  await expect(learner.evaluate(() => document.documentElement.scrollWidth)).resolves.toBeLessThanOrEqual(320);
  await learner.close();
});

test('a part of a film is sent where only a part is asked for', async ({ page, app }) => {
  await openDemo(page, app);
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  const given = await page.request.post(`${app.url}/api/courses/${id}/media?name=turning.webm`, {
    headers: { 'content-type': 'application/octet-stream' },
    data: readFileSync(FILM),
  });
  const { hash } = (await given.json()) as { hash: string };
  const part = await page.request.get(`${app.url}/api/courses/${id}/media/${hash}`, {
    headers: { range: 'bytes=4-9' },
  });
  expect(part.status()).toBe(206);
  expect(await part.body()).toEqual(readFileSync(FILM).subarray(4, 10));
  expect(part.headers()).toMatchObject({ 'content-type': 'video/webm', 'x-content-type-options': 'nosniff' });
});

test('a recorded talk is played on a page from where a sentence of it stands', async ({ page, app }) => {
  await openDemo(page, app);
  // A lesson that stands on what somebody says in a talk.
  const { course } = await served(page);
  const stands = allLessons(course).flatMap(({ title, blocks }) =>
    blocks
      .flatMap(blockTexts)
      .flatMap(evidencedSentences)
      .map(({ mark, text }) => ({ title, text, passage: mark.attrs.passages[0].id })),
  );
  const ids = stands.map(({ passage }) => passage).join(',');
  const views = (await (await page.request.get(`${app.url}/api/courses/${course.id}/passages?ids=${ids}`)).json()) as {
    source: { title: string };
    passage: { id: string; locator: { seconds?: number } };
  }[];
  const said = views.find(({ passage }) => (passage.locator.seconds ?? 0) > 10)!;
  const { title, text } = stands.find(({ passage }) => passage === said.passage.id)!;

  await page.keyboard.press('Alt+0');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Add files' }).click(),
  ]);
  await chooser.setFiles({ name: 'the talk.wav', mimeType: 'audio/wav', buffer: Buffer.from(aWav(900)) });
  await page.getByRole('button', { name: 'Sound the talk' }).click();
  await page.getByRole('combobox', { name: 'The source with what is said in it' }).click();
  await page.getByRole('option', { name: said.source.title }).click();

  await openLesson(page, title);
  await page.locator('.lesson-page').getByText(text.slice(0, 40)).first().click();
  await page.getByRole('button', { name: 'play it on the page' }).first().click();
  await expect(page.locator('.lesson-page audio')).toBeVisible();
  await saved(page);
  const now = (await served(page)).course;
  const { body } = allLessons(now)
    .flatMap(({ blocks }) => blocks)
    .find((block) => block.kind === 'clip' && block.body.clip?.type === 'audio/wav') as {
    body: { from: number; cues: { text: string }[] };
  };
  expect(body.from).toBe(said.passage.locator.seconds);
  expect(body.cues.length).toBeGreaterThan(0);
});

test('diagrams of a course’s own words are looked through, put in, undone and changed', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+0');
  await page.getByRole('link', { name: /To put in/ }).click();
  await page.getByRole('button', { name: 'Put in the diagram Damage' }).click();
  await expect(page.getByRole('button', { name: 'Put in the diagram Damage' })).toHaveCount(0);
  await openLesson(page, 'Damage');
  const drawn = page.locator('.lesson-page .up-strip');
  await expect(drawn.locator('li')).toHaveCount(5);
  await page.getByRole('button', { name: 'change its words' }).click();
  const stage = page.getByLabel('stage', { exact: true }).first();
  await stage.click();
  await page.keyboard.press('End');
  await page.keyboard.type(' at once', { delay: 70 });
  await page.getByRole('button', { name: 'shut' }).click();
  await expect(drawn.locator('li').first()).toContainText('at once');
  await saved(page);
  await page.reload();
  await expect(drawn.locator('li').first()).toContainText('at once');
  await page.keyboard.press('Control+z');
  await expect(drawn.locator('li').first()).not.toContainText('at once');
});

test('a picture is cut, turned and made unreadable, step by step; the first one stays', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+0');
  await page.getByRole('button', { name: 'Picture tag' }).click();
  await page.getByRole('button', { name: 'Work on it' }).click();
  const dialog = page.getByRole('dialog', { name: 'Work on the picture' });
  await expect(dialog.getByText('800 × 500')).toBeVisible();
  await dialog.getByLabel('From the left, in hundredths').fill('0');
  await dialog.getByLabel('Wide, in hundredths').fill('50');
  await dialog.getByRole('button', { name: 'Make it unreadable' }).click();
  await dialog.getByRole('button', { name: 'Keep this part' }).click();
  await expect(dialog.getByText('400 × 300')).toBeVisible();
  await dialog.getByRole('button', { name: 'Turn right' }).click();
  await expect(dialog.getByText('300 × 400')).toBeVisible();
  await dialog.getByRole('button', { name: 'one step back' }).click();
  await expect(dialog.getByText('400 × 300')).toBeVisible();
  await dialog.getByRole('button', { name: 'Keep, and show it everywhere' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('button', { name: 'Picture tag changed' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: 'Picture tag', exact: true })).toBeVisible();
  await saved(page);
  const gallery = async () => {
    const { course } = await served(page);
    const found = allLessons(course).flatMap(({ blocks }) => blocks.filter(({ kind }) => kind === 'gallery'));
    return (found[0].body as { pictures: { picture: { width: number }; alt: string }[] }).pictures[1];
  };
  expect(await gallery()).toMatchObject({ picture: { width: 400, height: 300 } });
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await gallery()).picture.width).toBe(800);
});

test('shelf, dialogs and pages with media are read by everybody, on a desk and on a phone', async ({
  page,
  app,
  browser,
}) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+0');
  await page.getByRole('button', { name: 'Picture ladder' }).click();
  await looksRight(page);
  await page.getByRole('button', { name: 'Work on it' }).click();
  await expect(page.getByText('800 × 500', { exact: true })).toBeVisible();
  await looksRight(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Record' }).click();
  await looksRight(page);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /To put in/ }).click();
  await expect(page.getByRole('button', { name: /Put in the diagram/ }).first()).toBeVisible();
  await looksRight(page);
  await openLesson(page, 'Ladders and towers');
  await page.keyboard.press('Control+Alt+m');
  await expect(page.getByRole('button', { name: 'Take ladder.png' })).toBeVisible();
  await looksRight(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);

  // The same pages as a site out of a package, opened from a file.
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  await page.keyboard.press('Alt+6');
  await page.getByRole('radio', { name: /Anyone with the address/ }).check();
  await page.keyboard.press('Control+Enter');
  await expect(page.locator('.address code')).toBeVisible();
  const { releases } = (await (await page.request.get(`${app.url}/api/courses/${id}/releases`)).json()) as {
    releases: { id: string }[];
  };
  const given = await page.request.get(`${app.url}/api/courses/${id}/releases/${releases[0].id}/package?format=html`);
  const folder = mkdtempSync(join(tmpdir(), 'uplift-site-'));
  for (const [name, bytes] of Object.entries(unzipSync(new Uint8Array(await given.body())))) {
    mkdirSync(dirname(join(folder, name)), { recursive: true });
    writeFileSync(join(folder, name), bytes);
  }
  const phone = await (await browser.newContext({ viewport: { width: 320, height: 640 } })).newPage();
  await phone.goto(pathToFileURL(join(folder, 'index.html')).href);
  await phone.getByRole('button', { name: 'Lessons' }).click();
  await phone.getByRole('link', { name: /^Ladders and towers/ }).click();
  const video = phone.locator('.up-clip video');
  await video.scrollIntoViewIfNeeded();
  await expect.poll(() => video.evaluate((each: HTMLVideoElement) => each.readyState)).toBeGreaterThan(0);
  await expect(phone.getByText('Drawn by Tessa Brand, CC BY 4.0').first()).toBeVisible();
  await looksRight(phone);
  await phone.getByRole('button', { name: 'Lessons' }).click();
  await phone.getByRole('link', { name: /^Opening the desk/ }).click();
  await expect(phone.locator('.up-strip li')).toHaveCount(5);
  await looksRight(phone);
  await phone.close();
  rmSync(folder, { recursive: true });
});
