import { choose, expect, looksRight, openDemo, test, withOwnApp } from './app';

test('somebody is invited by a letter, chooses a password by its link, and is in; letters that fail say so', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  await withOwnApp('demo', async (app) => {
    await openDemo(page, app);
    const stands = async (mode: string) => {
      await page.goto(`${app.url}/services`);
      await choose(page, 'How the stand-in for Mail behaves', mode);
      // What stands there is what the server was told.
      await expect(page.getByLabel('How the stand-in for Mail behaves')).toContainText(mode);
    };
    const invite = async (name: string, login: string) => {
      await page.goto(`${app.url}/people`);
      await page.getByLabel('Name', { exact: true }).fill(name);
      await page.getByLabel('Signs in as').fill(login);
      await page.getByLabel('Mail address').fill(`${login}@example.org`);
      await page.getByRole('button', { name: 'Invite', exact: true }).click();
      return page.getByRole('row', { name: new RegExp(name) });
    };

    await stands('refuses');
    const priya = await invite('Priya Holt', 'priya');
    await expect(priya).toContainText('Not reached. The mail server refused it');
    await looksRight(page);
    // Invited, and without a password of their own, nobody signs in yet.
    expect(
      await page.evaluate(async () => {
        const body = JSON.stringify({ login: 'priya', password: 'a mower in the rain' });
        const headers = { 'content-type': 'application/json' };
        return (await fetch('/api/sign-in', { method: 'POST', headers, body })).status;
      }),
    ).toBe(401);
    // Nor does she count as an owner who could let others in.
    await page.goto(`${app.url}/people`);
    await choose(page, 'Standing of Priya Holt', 'owns this installation');
    await choose(page, 'Standing of Ines Marlow', 'member');
    await expect(page.getByRole('alert')).toContainText('owner');
    await choose(page, 'Standing of Priya Holt', 'member');
    await stands('takes letters, which come back');
    await page.goto(`${app.url}/people`);
    await priya.getByRole('button', { name: 'invite again' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Send' }).click();
    await expect(priya).toContainText('Not reached. It came back');
    await stands('works');
    await page.goto(`${app.url}/people`);
    await priya.getByRole('button', { name: 'invite again' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Send' }).click();
    await expect(priya).toContainText('not come yet');

    await page.goto(`${app.url}/services`);
    await expect(page.getByRole('row', { name: /came back/ })).toHaveCount(1);
    await looksRight(page);
    await page
      .getByRole('row', { name: /taken/ })
      .getByRole('button', { name: 'Ines Marlow invites you to Uplift Path' })
      .click();
    const link = await page
      .getByRole('dialog')
      .getByRole('link', { name: /welcome#/ })
      .getAttribute('href');
    const saving = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Save as .eml' }).click();
    expect((await saving).suggestedFilename()).toMatch(/\.eml$/);

    const hers = await (await browser.newContext()).newPage();
    await hers.goto(`${app.url}/welcome#not-the-right-one-at-all`);
    await expect(hers.getByRole('alert')).toContainText('this link works no more', { ignoreCase: true });
    await hers.goto('about:blank');
    await hers.goto(link!);
    await expect(hers.getByText('Welcome, Priya Holt')).toBeVisible();
    await looksRight(hers);
    await hers.getByLabel('Password, ten signs or more').pressSequentially('a mower in the rain', { delay: 60 });
    await hers.getByLabel('Once more').pressSequentially('a mower in the train', { delay: 60 });
    await expect(hers.getByText('The two differ.')).toBeVisible();
    await hers.getByLabel('Once more').fill('a mower in the rain');
    await hers.getByRole('button', { name: 'Come in' }).click();
    await expect(hers.getByRole('heading', { name: 'Your courses stand here' })).toBeVisible();
    await hers.goto(`${app.url}/people`);
    expect(await hers.evaluate(async () => (await fetch('/api/outbox')).status)).toBe(403);
    // Used once, it leads nowhere.
    await page.goto(link!);
    await expect(page.getByRole('alert')).toContainText('works no more');
    await page.goto(`${app.url}/people`);
    await expect(
      page.getByRole('row', { name: /Priya Holt/ }).getByRole('button', { name: 'send a link' }),
    ).toBeVisible();
  });
});
