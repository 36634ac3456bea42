import { expect, looksRight, openDemoArchive, saved, served, test } from './app';

test('what the course holds is counted, and a part that was left out is brought back by key, undone like anything', async ({
  page,
  app,
}) => {
  await openDemoArchive(page, app);
  await page.keyboard.press('Alt+h');
  await expect(page.getByRole('heading', { name: 'What it holds', exact: true })).toBeVisible();
  await expect(page.getByText('Nothing that the sources say is missing')).toBeVisible();
  await expect(page.getByRole('row', { name: /^Lending Policy/ })).toContainText('%');
  await looksRight(page);
  await page.getByRole('button', { name: 'Look through' }).click();
  const part = page.locator('[data-left-out]', { hasText: 'but they do not help anybody at the desk' });
  await expect(part).toContainText('about the document');
  const before = await page.locator('[data-left-out]').count();
  await part.focus();
  await page.keyboard.press('b');
  await expect(page.locator('[data-left-out]')).toHaveCount(before - 1);
  await saved(page);
  const given = async () =>
    (await served(page)).course.modules
      .flatMap((module) => module.lessons)
      .flatMap((lesson) => (lesson as { given?: string[] }).given ?? []);
  await expect.poll(async () => (await given()).length).toBe(1);
  await expect(page.getByText('Brought back and not on the page yet')).toBeVisible();
  await looksRight(page);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await given()).length).toBe(0);
  // Undo shows the lesson it was given to; the part is in the list again.
  await expect(page).toHaveURL(/\/outline$/);
  await page.keyboard.press('Alt+h');
  await page.getByRole('button', { name: 'Look through' }).click();
  await expect(page.locator('[data-left-out]')).toHaveCount(before);
});

test('a drafted outline says what it leaves out for want of room, and the source says it beside each passage', async ({
  page,
  app,
}) => {
  await openDemoArchive(page, app);
  await page.keyboard.press('Alt+1');
  await page.locator('#b-minutes').fill('20');
  await page.locator('#b-minutes').press('Tab');
  await saved(page);
  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('grid', { name: 'Outline' })).toBeVisible();
  await page.keyboard.press('Alt+d');
  const drafted = page.getByRole('complementary', { name: 'About the row' });
  await expect(drafted.getByRole('heading', { name: 'Left out' })).toBeVisible();
  await expect(drafted).toContainText(/limits?/);
  await drafted.getByRole('button', { name: /^Take it/ }).click();
  await saved(page);
  const { course } = (await served(page)) as unknown as {
    course: { leftOut: { reason: string; passages: { id: string }[] }[]; id: string };
  };
  expect(course.leftOut.some((left) => left.reason === 'size')).toBe(true);
  await page.keyboard.press('Alt+2');
  await page.getByRole('link', { name: 'Lending Policy', exact: true }).first().click();
  await expect(page.getByText('left out: no room at this length').first()).toBeVisible();
});
