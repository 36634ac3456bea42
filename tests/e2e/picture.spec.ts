import { expect, openDemo, openLesson, saved, served, test } from './app';
import { aPng } from '../pictures';

const picture = (name: string, width: number) => ({
  name,
  mimeType: 'image/png',
  buffer: Buffer.from(aPng(width, 240)),
});

test('a picture is chosen and pasted, described, kept over a reload, and shown to who learns', async ({
  page,
  app,
  browser,
}) => {
  await openDemo(page, app);
  await openLesson(page, 'Late returns');
  const shown = page.locator('.lesson-page .up-picture');
  await page.locator('.lesson-page .evidence').first().click();
  await page.locator('input[type=file]').setInputFiles([picture('a.png', 320), picture('b.png', 330)]);
  await expect(shown).toHaveCount(2);
  await expect
    .poll(() =>
      shown
        .first()
        .locator('img')
        .evaluate((image: HTMLImageElement) => image.naturalWidth),
    )
    .toBe(320);
  await shown.first().locator('figcaption').click();
  await page.keyboard.type('The shed in spring', { delay: 60 });
  await shown.first().getByLabel('What it shows').fill('A shed');
  await page.locator('.lesson-page .evidence').first().click();
  // Out of the clipboard, as a file.
  await page.locator('.lesson-page .page').evaluate(
    async (element, bytes) => {
      const data = new DataTransfer();
      data.items.add(new File([new Uint8Array(bytes)], 'pasted.png', { type: 'image/png' }));
      element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    },
    [...picture('c', 340).buffer],
  );
  await expect(shown).toHaveCount(3);
  await saved(page);
  await page.reload();
  await expect(shown).toHaveCount(3);
  await expect(page.locator('.lesson-page figcaption').filter({ hasText: 'The shed in spring' })).toHaveCount(1);

  // What is no picture is refused with a word, and nothing is lost.
  await page.locator('input[type=file]').setInputFiles({
    name: 'drawing.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>'),
  });
  await expect(page.getByText(/none of the kinds of files a course takes/)).toBeVisible();
  await expect(shown).toHaveCount(3);

  const { course } = await served(page);
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  const block = course.modules
    .flatMap((module) => module.lessons.flatMap((lesson) => lesson.blocks))
    .find((each) => each.kind === 'picture' && (each.body as { alt: string }).alt === 'A shed')!;
  const { hash } = (block.body as { picture: { hash: string } }).picture;
  const address = `${app.url}/api/courses/${id}/media/${hash}`;
  const whole = await page.request.get(address);
  expect(whole.headers()).toMatchObject({ 'content-type': 'image/png', 'x-content-type-options': 'nosniff' });
  expect(whole.headers()['content-security-policy']).toContain('sandbox');
  const part = await page.request.get(address, { headers: { range: 'bytes=1-3' } });
  expect([part.status(), await part.text(), part.headers()['content-range']]).toEqual([
    206,
    'PNG',
    `bytes 1-3/${(await whole.body()).length}`,
  ]);
  expect((await page.request.get(address, { headers: { range: 'bytes=9999999-' } })).status()).toBe(416);
  const stranger = await browser.newContext();
  expect((await stranger.request.get(address)).status()).toBe(401);
  expect((await page.request.get(`${app.url}/api/courses/${id}/media/${'0'.repeat(64)}`)).status()).toBe(404);

  // A learner gets what their release shows, and nothing else.
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
  const seen = learner.getByRole('img', { name: 'A shed' });
  await seen.scrollIntoViewIfNeeded();
  await expect.poll(() => seen.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(320);
  expect((await seen.boundingBox())!.width).toBeLessThanOrEqual(320);
  await expect(learner.getByText('The shed in spring')).toBeVisible();
  const path = new URL(link).pathname.split('/').pop();
  expect((await learner.request.get(`${app.url}/api/learn/${path}/media/${'0'.repeat(64)}`)).status()).toBe(404);
});
