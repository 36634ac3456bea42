import { expect, newCourse, openDemo, saved, served, test } from './app';

const drawn = async (page: Parameters<typeof served>[0]) =>
  (await served(page)).course.modules.map(
    (module) => `${module.title}: ${module.lessons.map((lesson) => lesson.title).join(', ')}`,
  );

test.describe('a server that is killed on the way', () => {
  test.use({ mayLog: /net::ERR_|status of 4\d\d/ });

  test('an outline is written by keyboard alone, kept over a reload, and undone across a restart', async ({
    page,
    app,
  }) => {
    await newCourse(page, app, 'Sharpening chisels');
    await page.keyboard.press('Alt+3');
    await page.getByRole('button', { name: 'Write the first row' }).click();
    await page.keyboard.type('Why sharp is safe');
    await page.keyboard.press('Enter');
    await page.keyboard.type('The stoen');
    // A word taken away is no row taken away.
    await page.keyboard.press('Control+Backspace');
    await page.keyboard.type('stone');
    await page.keyboard.press('Enter');
    await page.keyboard.type('The angle');
    await page.keyboard.press('Control+[');
    await saved(page);
    expect(await drawn(page)).toEqual(['New module: Why sharp is safe, The stone', 'The angle: The angle']);
    await page.keyboard.press('Alt+ArrowUp');
    await saved(page);
    await expect
      .poll(() => drawn(page))
      .toEqual(['New module: Why sharp is safe, The stone, The angle', 'The angle: ']);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('Control+Delete');
    await saved(page);
    await expect.poll(() => drawn(page)).toEqual(['New module: Why sharp is safe', 'The angle: ']);
    await page.reload();
    await expect(page.locator('[data-row]')).toHaveCount(3);
    await app.restart();
    await page.keyboard.press('Control+z');
    await expect
      .poll(() => drawn(page))
      .toEqual(['New module: Why sharp is safe, The stone, The angle', 'The angle: ']);
    for (let time = 0; time < 12; time++) await page.keyboard.press('Control+z');
    await expect.poll(() => drawn(page), { timeout: 20_000 }).toEqual([]);
    await page.keyboard.press('Control+Shift+z');
    await expect.poll(async () => (await drawn(page)).length).toBe(1);
  });
});

test('rows are dragged over any distance', async ({ page, app }) => {
  await openDemo(page, app);
  const rowOf = async (title: string) => {
    const { course } = await served(page);
    const lesson = course.modules.flatMap((module) => module.lessons).find((each) => each.title === title)!;
    return page.locator(`[data-row="${lesson.id}"]`);
  };
  const [row, target] = [await rowOf('Batteries'), await rowOf('At the desk')];
  await row.hover();
  const grip = (await row.locator('.grip').boundingBox())!;
  const to = (await target.boundingBox())!;
  await page.mouse.move(grip.x + 3, grip.y + 6);
  await page.mouse.down();
  await page.mouse.move(to.x + 40, to.y + 10, { steps: 12 });
  await page.mouse.move(to.x + 40, to.y + to.height - 2, { steps: 4 });
  await page.mouse.up();
  await saved(page);
  await expect
    .poll(async () =>
      (await served(page)).course.modules
        .find((module) => module.title === 'Checking a tool in')!
        .lessons.map((lesson) => lesson.title),
    )
    .toContain('Batteries');
  await page.keyboard.press('Control+z');
});

test('a reviewer reads and changes nothing', async ({ page, app }) => {
  await openDemo(page, app, 'Tom Ashby');
  await expect(page.locator('[data-part=title]').first()).toHaveAttribute('readonly', '');
  await expect(page.getByRole('button', { name: 'Compare with' })).toHaveCount(0);
  const { course } = await served(page);
  const status = await page.evaluate(
    async (id) =>
      (
        await fetch(`/api/courses/${id}/operations`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ since: 0, changes: [] }),
        })
      ).status,
    (course as unknown as { id: string }).id,
  );
  expect(status).toBe(403);
});

test('what two windows change in one place is shown, and nothing is lost', async ({ page, app, context }) => {
  await openDemo(page, app);
  const other = await context.newPage();
  // A window that hears of nothing: what it changes meets what the first one changed.
  await other.route('**/events', (route) => route.abort());
  await other.goto(page.url());
  const field = (where: typeof page) => where.locator('[data-row] [data-part=purpose]').nth(5);
  await expect(field(other)).toBeVisible();
  await other.route('**/operations', (route) => setTimeout(() => void route.continue(), 600));
  await field(page).fill('As the first window says');
  await saved(page);
  await field(other).fill('As the second window says');
  await expect(other.getByText('Somebody changed the same place meanwhile')).toBeVisible();
  await expect(other.locator('.conflict')).toContainText('As the first window says');
  await other.getByRole('button', { name: 'Keep mine', exact: true }).click();
  await expect
    .poll(async () => JSON.stringify((await served(other)).course.modules))
    .toContain('As the second window says');
  await other.close();
});
