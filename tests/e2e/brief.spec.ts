import { enter, expect, looksRight, newCourse, openDemo, saved, served, test } from './app';

const brief = async (page: Parameters<typeof served>[0]) =>
  (
    (await served(page)).course as unknown as {
      brief: {
        promise: string;
        audience: { who: string; knows: string[] };
        size: Record<string, number>;
        language: string;
        sourcesOnly: boolean;
        outcomes: string[];
      };
      language: string;
      direction: string;
    }
  ).brief;

test('the brief is saved as it is typed, says at once what it makes, and is undone by field', async ({ page, app }) => {
  await newCourse(page, app, 'Sharpening');
  await page.keyboard.press('Alt+1');
  const made = page.getByRole('complementary');
  await expect(made).toContainText('No length is asked');
  await page.getByLabel('What it promises').fill('Your chisels cut and nobody bleeds');
  await page.getByLabel('For whom').fill('Saturday volunteers');
  await page.getByLabel('What they know already').fill('whetstone, vice');
  await page.getByLabel('How long').fill('25');
  await expect(made).toContainText('About 25 minutes for Saturday volunteers');
  await expect(made).toContainText('whetstone, vice: recalled in a line, not taught');
  await page.getByLabel('What would count as success').fill('Fewer cuts\nFewer broken edges');
  await page.getByRole('switch').click();
  await expect(made).toContainText('Only sentences that stand in your sources');
  await saved(page);
  await expect
    .poll(() => brief(page))
    .toMatchObject({
      promise: 'Your chisels cut and nobody bleeds',
      audience: { who: 'Saturday volunteers', knows: ['whetstone', 'vice'] },
      size: { minutes: 25, questionsPerLesson: 3 },
      sourcesOnly: true,
      outcomes: ['Fewer cuts', 'Fewer broken edges'],
    });
  await page.reload();
  await expect(page.getByLabel('What they know already')).toHaveValue('whetstone, vice');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await brief(page)).sourcesOnly).toBe(false);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await brief(page)).outcomes).toEqual([]);
});

test('emptying the minutes takes the wish away; a title is never empty', async ({ page, app }) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+1');
  await page.getByLabel('How long').fill('');
  await saved(page);
  await expect.poll(async () => (await brief(page)).size).toEqual({ questionsPerLesson: 2 });
  await page.getByLabel('Title', { exact: true }).fill('');
  await page.getByLabel('Title', { exact: true }).fill('Lending with care');
  await saved(page);
  await expect.poll(async () => (await served(page)).course.title).toBe('Lending with care');
});

test('home finds, sorts and says what there is', async ({ page, app }) => {
  await enter(page, app);
  for (const title of ['Axes', 'Zinc buckets', 'Mowers']) {
    await page.evaluate(
      async (name) =>
        fetch('/api/courses', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ title: name }),
        }),
      title,
    );
  }
  await page.reload();
  const names = page.locator('.lines .name a');
  await expect(names.filter({ hasText: 'Axes' }).first()).toBeVisible();
  const order = async (column: string) => {
    await page.getByRole('columnheader', { name: column }).getByRole('button').click();
    return names.allTextContents();
  };
  const titles = await order('Course');
  expect(titles).toEqual(titles.toSorted((a, b) => a.localeCompare(b)));
  expect(await order('Course')).toEqual(titles.toReversed());
  await expect(page.getByRole('columnheader', { name: 'Course' })).toHaveAttribute('aria-sort', 'descending');
  expect((await order('Learners'))[0]).toMatch(/^Lending/);
  await expect(page.getByRole('row', { name: /^Lending/ }).first()).toContainText('Release 1');
  await expect(page.getByRole('row', { name: /Axes/ })).toContainText('not yet');
  await page.getByLabel('Find a course').fill('zinc');
  await expect(names).toHaveText(['Zinc buckets']);
  await expect(page.getByRole('row', { name: /Zinc buckets/ })).toContainText('No outline yet');
  await page.getByLabel('Find a course').fill('nothing of the kind');
  await expect(page.getByText('No course fits')).toBeVisible();
});

test('a course is renamed, made once more, saved and deleted from home, by key as well', async ({ page, app }) => {
  await enter(page, app);
  await page.evaluate(async () =>
    fetch('/api/courses', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ title: 'Winches' }),
    }),
  );
  await page.reload();
  const more = (title: string) => page.getByRole('button', { name: `More for ${title}`, exact: true });
  await more('Winches').focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('menuitem', { name: 'Rename' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Title')).toHaveValue('Winches');
  await page.keyboard.press('End');
  await page.keyboard.type(' and ropes', { delay: 70 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row').getByRole('link', { name: 'Winches and ropes', exact: true })).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Lately' }).getByRole('listitem').filter({ hasText: 'changed it: title' }).first(),
  ).toContainText('Winches and ropes');
  await more('Winches and ropes').click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByRole('row').getByRole('link', { name: 'Winches and ropes (copy)' })).toBeVisible();
  await looksRight(page);
  const saving = page.waitForEvent('download');
  await more('Winches and ropes (copy)').click();
  await page.getByRole('menuitem', { name: 'Save as an archive' }).click();
  expect((await saving).suggestedFilename()).toMatch(/\.zip$/);
  await more('Winches and ropes (copy)').click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('row').getByRole('link', { name: 'Winches and ropes (copy)' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('row').getByRole('link', { name: 'Winches and ropes', exact: true })).toBeVisible();
});

test('the brief says back what it is worth, offers who and what for out of the sources, and takes them by one click', async ({
  page,
  app,
}) => {
  await openDemo(page, app);
  await page.keyboard.press('Alt+1');
  await expect(page.getByText(/Your sources hold about \d+ minutes: it fits/)).toBeVisible();
  await page.getByLabel('How long').fill('15');
  await expect(page.getByText(/% of the \d+ minutes your sources hold/)).toBeVisible();
  await page.getByLabel('What it promises').fill('You know the lending policy');
  await expect(page.getByText('Nobody can see somebody “know”')).toBeVisible();
  await page.getByLabel('For whom').fill('');
  const actor = page.getByRole('button', { name: /Desk lead \d+ rules/ });
  await actor.click();
  await expect(page.getByLabel('For whom')).toHaveValue('Desk lead');
  await expect(actor).toHaveCount(0);
  const offers = page.getByRole('list').filter({ has: page.getByRole('button', { name: /^Add “/ }) });
  const first = offers.getByRole('button', { name: /^Add “/ }).first();
  const text = /^Add “(.*)”$/.exec((await first.getAttribute('aria-label'))!)![1]!;
  await offers.getByRole('group').first().click();
  await expect(offers.locator('blockquote').first()).not.toBeEmpty();
  await first.click();
  await saved(page);
  await expect.poll(async () => (await brief(page)).outcomes).toContain(text);
  await expect(page.getByRole('button', { name: `Add “${text}”` })).toHaveCount(0);
  await page.getByLabel('What goes wrong today').fill('Batteries are charged wet');
  await page.getByLabel('Not for').fill('Borrowers');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('What goes wrong today')).toHaveValue('Batteries are charged wet');
  await expect
    .poll(async () => (await brief(page)).audience)
    .toMatchObject({ who: 'Desk lead', notFor: 'Borrowers', wrong: 'Batteries are charged wet' });
  await looksRight(page);
});
