import type { TaskCheck } from '../../core/checks/task/form';
import { enter, expect, looksRight, openDemo, openLesson, saved, served, test, withOwnApp } from './app';

test('a task is written by keys; what is handed in outlasts a reload and a cut connection, files and all', async ({
  browser,
}) => {
  test.setTimeout(120_000);
  await withOwnApp('demo', async (app) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await openDemo(page, app);
    const type = (words: string) => page.keyboard.type(words, { delay: 60 });
    await openLesson(page, 'Your first shift');
    await page.locator('.lesson-page p').first().click();
    await page.keyboard.press('Alt+a');
    await page.getByPlaceholder('What to add').pressSequentially('Practice task', { delay: 10 });
    await page.keyboard.press('Enter');
    await type('Draw the way');
    const card = page.locator('.lesson-page [data-check]', { hasText: 'Held against' });
    await card.getByLabel('The situation').click();
    await type('A new volunteer asks where the ladders are.');
    await card.getByLabel('Criterion', { exact: true }).fill('Name the shelf behind the door.');
    await card.getByRole('button', { name: 'Another criterion' }).click();
    await type('Say how many ladders there are.');
    await card.locator('summary').first().click();
    await card.getByRole('button', { name: 'Another level' }).first().click();
    await card.getByText('files', { exact: true }).click();
    await card.getByText('sound', { exact: true }).click();
    await card.getByText('documents', { exact: true }).click();
    await card.getByLabel('Words at least').fill('2.5');
    await expect(card.getByText('a whole number')).toBeVisible();
    await card.getByLabel('Words at least').fill('3');
    await saved(page);
    await looksRight(page);
    const task = (await served(page)).course.checks.find(({ stem }) => stem === 'Draw the way') as TaskCheck;
    expect(task.criteria.map(({ text, levels }) => [text, levels.length])).toEqual([
      ['Name the shelf behind the door.', 4],
      ['Say how many ladders there are.', 3],
    ]);
    expect(task.handIn).toEqual({ words: { least: 3, most: 300 }, files: { most: 1, kinds: ['pictures', 'sound'] } });

    await page.keyboard.press('Alt+6');
    await page.getByRole('radio', { name: /Anyone with the address/ }).check();
    await page.keyboard.press('Control+Enter');
    const address = (await page.locator('.address code').textContent())!;
    const context = await browser.newContext({ viewport: { width: 320, height: 640 } });
    const learner = await context.newPage();
    await learner.goto(address);
    await learner.getByLabel('Your name').fill('Nia');
    await learner.getByRole('button', { name: 'Begin' }).click();
    await learner.getByRole('button', { name: 'Lessons' }).click();
    await learner.getByRole('link', { name: /Your first shift/ }).click();
    const part = learner.locator('.up-check', { hasText: 'Draw the way' });
    await part.getByRole('textbox').pressSequentially('They are on', { delay: 70 });
    await learner.reload();
    await expect(part.getByRole('textbox')).toHaveValue('They are on');
    await part.getByRole('textbox').press('End');
    await part.getByRole('textbox').pressSequentially(' the shelf behind the door.', { delay: 70 });
    // A file of another kind, one that is not what it is called, and one that does not get through.
    const choose = part.locator('input[type=file]');
    const file = (name: string, bytes: Buffer | string) => ({ name, mimeType: '', buffer: Buffer.from(bytes) });
    await choose.setInputFiles(file('map.html', '<p>'));
    await expect(part.getByText(/map\.html did not arrive\. .*Taken are: png/)).toBeVisible();
    await part.getByRole('button', { name: 'Take map.html out' }).click();
    await choose.setInputFiles(file('map.png', 'no picture'));
    await expect(part.getByText(/map\.png did not arrive\. .*contents/)).toBeVisible();
    await part.getByRole('button', { name: 'Take map.png out' }).click();
    await context.setOffline(true);
    await choose.setInputFiles('demo/files/workshop.png');
    await expect(part.getByText(/workshop\.png did not arrive/)).toBeVisible();
    await context.setOffline(false);
    await part.getByRole('button', { name: 'Send it again' }).click();
    await expect(part.getByRole('link', { name: 'workshop.png' })).toBeVisible();
    await looksRight(learner);
    // Handed in without a connection it is kept, and sent when there is one again.
    await context.setOffline(true);
    await part.getByRole('button', { name: 'Hand in' }).click();
    await expect(part.getByText(/is kept and will be checked/)).toBeVisible();
    await expect(part.getByText('They are on the shelf behind the door.')).toBeVisible();
    await context.setOffline(false);
    await expect(part.getByText('A person will mark it.')).toBeVisible({ timeout: 15_000 });
    expect(await learner.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);

    // Only who may mark gets it, and then as something to save.
    await page.keyboard.press('Alt+7');
    await page.getByRole('link', { name: 'Hand-ins' }).click();
    await page.getByRole('button', { name: /^Nia/ }).click();
    const link = page.getByRole('link', { name: 'workshop.png' });
    const path = (await link.getAttribute('href'))!;
    const answer = await page.request.get(`${app.url}${path}`);
    expect(answer.headers()).toMatchObject({
      'content-type': 'application/octet-stream',
      'content-disposition': expect.stringContaining('attachment') as unknown,
      'x-content-type-options': 'nosniff',
    });
    const stranger = await browser.newContext();
    expect((await stranger.request.get(`${app.url}${path}`)).status()).toBe(401);
    const course = /course\/([a-z0-9]+)/.exec(page.url())![1];
    const tom = await (await browser.newContext()).newPage();
    await enter(tom, app, 'Tom Ashby');
    const members = `${app.url}/api/courses/${course}/members`;
    const people = (await (await page.request.get(members)).json()) as { id: string; name: string }[];
    const give = (role: string) =>
      page.request.put(members, { data: { person: people.find(({ name }) => name === 'Tom Ashby')!.id, role } });
    const asks = async () => [
      (await tom.request.get(`${app.url}${path}`)).status(),
      (await tom.request.get(`${app.url}/api/courses/${course}/hand-ins`)).status(),
      (await tom.request.get(`${app.url}/api/courses/${course}/hand-ins/together`)).status(),
    ];
    expect(await asks()).toEqual([404, 404, 404]);
    expect((await give('reviewer')).ok()).toBe(true);
    expect((await tom.request.post(`${app.url}/api/invitations/${course}`, { data: { accept: true } })).ok()).toBe(
      true,
    );
    expect(await asks()).toEqual([403, 403, 403]);
    expect((await give('marker')).ok()).toBe(true);
    expect(await asks()).toEqual([200, 200, 200]);
    await tom.goto(`${app.url}/course/${course}/results`);
    await tom.getByRole('link', { name: 'Hand-ins' }).click();
    await expect(tom.getByRole('button', { name: /^Nia/ })).toBeVisible();
  });
});
