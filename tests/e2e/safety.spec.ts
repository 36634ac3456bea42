import { request } from 'node:http';
import { expect, looksRight, openDemo, saved, served, test, withOwnApp } from './app';
import { ROUTES } from '../../server/route-list';

/** A request with headers of one's own, past what a browser would let a page send. */
function ask(url: string, method: string, headers: Record<string, string> = {}): Promise<number> {
  return new Promise((done, failed) => {
    const sent = request(url, { method, headers }, (answer) => {
      answer.resume();
      done(answer.statusCode!);
    });
    sent.on('error', failed);
    sent.end(method === 'GET' || method === 'DELETE' ? undefined : '{}');
  });
}

test('every route without the right is refused', async ({ page, app }) => {
  await openDemo(page, app);
  const id = ((await served(page)).course as unknown as { id: string }).id;
  const fill = (pattern: string) =>
    pattern.replace(/:(\w+)/g, (_, name: string) => ({ course: id, hash: 'a'.repeat(64) })[name] ?? 'aabcdefghij2');
  for (const [key, right] of Object.entries(ROUTES)) {
    const [method, pattern] = key.split(' ');
    const status = await ask(`${app.url}${fill(pattern)}`, method, { 'content-type': 'application/json' });
    if (right === 'anyone') expect(status, `${method} ${pattern}`).not.toBe(401);
    else expect(status, `${method} ${pattern}`).toBe(401);
  }
  expect(await ask(`${app.url}/api/nothing`, 'GET')).toBe(403);
});

test.describe('a server with pages open', () => {
  // The pages stay, and go on asking for a server that is gone.
  test.use({ mayLog: /net::ERR_|Failed to fetch dynamically imported module/ });

  test('stops when it is told to, and not by being killed', async ({ page }) => {
    await withOwnApp('demo', async (app) => {
      await openDemo(page, app);
      await expect(page.locator('[data-row]').first()).toBeVisible();
      // The stream of news stands open; a server that waited for it would stand for half a minute.
      expect(await app.stop()).toBe(0);
    });
  });
});

test('other hosts and pages of others are refused', async ({ page, app }) => {
  await openDemo(page, app);
  const [cookie] = await page.context().cookies();
  const signed = { cookie: `${cookie.name}=${cookie.value}` };
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
  expect(await ask(`${app.url}/api/courses`, 'GET', signed)).toBe(200);
  expect(await ask(`${app.url}/api/courses`, 'GET', { ...signed, host: 'evil.example' })).toBe(403);
  expect(
    await ask(`${app.url}/api/courses`, 'POST', {
      ...signed,
      origin: 'http://evil.example',
      'content-type': 'application/json',
    }),
  ).toBe(403);
});

test('pages carry a strict policy, answers cannot be framed or sniffed', async ({ app }) => {
  const page = await fetch(`${app.url}/sign-in`);
  const policy = page.headers.get('content-security-policy')!;
  expect(policy).toMatch(/script-src 'nonce-[A-Za-z0-9+/=]+' 'strict-dynamic';/);
  expect(policy).toContain("default-src 'none'");
  const again = await fetch(`${app.url}/sign-in`);
  expect(again.headers.get('content-security-policy')).not.toBe(policy);
  const answer = await fetch(`${app.url}/api/start`);
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
  expect(answer.headers.get('cache-control')).toBe('no-store');
  expect(answer.headers.get('content-security-policy')).toContain('sandbox');
});

test('sign-in by password works, wrong ones are counted, and signing out ends it', async ({ page, app }) => {
  await page.goto(`${app.url}/sign-in`);
  await page.getByLabel('Sign-in name').fill('tom');
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('Name or password is wrong.');
  await page.getByLabel('Password').fill('fernhollow-desk');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Courses' })).toBeVisible();
  await page.getByRole('button', { name: 'Tom Ashby' }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  expect(await page.evaluate(async () => (await fetch('/api/courses')).status)).toBe(401);
  await page.getByRole('button', { name: 'Ines Marlow' }).click();
  await expect(page.getByRole('heading', { name: 'Courses' })).toBeVisible();
});

test('without a demo the first to come owns the installation, and nobody comes in by a click', async ({ page }) => {
  await withOwnApp('empty', async ({ url }) => {
    await page.goto(url);
    await expect(page.getByText('Nobody is here yet')).toBeVisible();
    await page.getByLabel('Your name').fill('Noor Abel');
    await page.getByLabel('Sign-in name').fill('noor');
    await page.getByLabel('Password').fill('ten letters or more');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Your courses stand here' })).toBeVisible();
    const again = await fetch(`${url}/api/first-owner`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'X', login: 'xx', password: 'ten letters or more' }),
    });
    expect(((await again.json()) as { data: { code: string } }).data.code).toBe('has-owner');
    const { demoPeople } = (await (await fetch(`${url}/api/start`)).json()) as { demoPeople: unknown[] };
    expect(demoPeople).toEqual([]);
  });
});

test.describe('a server that is gone', () => {
  test.use({ mayLog: /ERR_FAILED|status of [45]\d\d/ });

  test('catches up with what it heard of but could not fetch, and when it was not let in to hear', async ({
    page,
    app,
    context,
  }) => {
    await openDemo(page, app);
    const other = await context.newPage();
    const field = (where: typeof page) => where.locator('[data-row] [data-part=purpose]').first();
    // First what a proxy says of a server just starting, then an answer that never comes.
    await page.route('**/events', (route) => route.fulfill({ status: 502, body: 'starting' }), { times: 1 });
    await page.reload();
    await other.goto(page.url());
    await expect(field(other)).toBeVisible();
    await field(other).fill('Said before anybody listened');
    await saved(other);
    await expect(field(page)).toHaveValue('Said before anybody listened');
    await page.route('**/changes?*', (route) => route.abort(), { times: 1 });
    await field(other).fill('Heard of, and asked for in vain');
    await saved(other);
    await expect(field(page)).toHaveValue('Heard of, and asked for in vain');
    await other.close();
  });

  test('loses nothing: what was typed is kept and sent when it is back', async ({ page, app }) => {
    await openDemo(page, app);
    await page.route('**/operations', (route) => route.abort());
    await page.locator('[data-row] [data-part=purpose]').first().fill('Typed while the server was away');
    await expect(page.locator('header [role=status]')).toHaveText(/Not saved yet/);
    await page.unroute('**/operations');
    await page.reload();
    await expect
      .poll(async () => JSON.stringify((await served(page)).course.modules))
      .toContain('Typed while the server was away');
  });
});

test.describe('people of an installation', () => {
  test.use({ mayLog: /status of 4\d\d/ });

  test('are added, choose a password, are offered a part and accept it, leave it, and are taken out; the audit says so', async ({
    page,
    browser,
  }) => {
    test.setTimeout(120_000);
    await withOwnApp('demo', async (app) => {
      await openDemo(page, app);
      const address = page.url();
      await page.goto(`${app.url}/people`);
      await expect(page.getByText('nobody comes in by one click any more')).toBeVisible();
      await page.getByLabel('Name', { exact: true }).fill('Priya Holt');
      await page.getByLabel('Signs in as').fill('prіya');
      await page.getByRole('radio', { name: 'You give them a first password' }).click();
      await page.getByRole('textbox', { name: 'First password' }).fill('long enough it is');
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await expect(page.getByRole('alert')).toContainText('mixes letters of several writings');
      await page.getByLabel('Signs in as').fill('1nes');
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await expect(page.getByRole('alert')).toContainText('looks like “ines”');
      await page.getByLabel('Signs in as').fill('priya');
      await page.getByRole('textbox', { name: 'First password' }).fill('aaaaaaaaaaaa');
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await expect(page.getByRole('alert')).toContainText('easily guessed');
      await page.getByRole('textbox', { name: 'First password' }).fill('long enough it is');
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await expect(page.getByRole('cell', { name: 'Priya Holt' })).toBeVisible();
      await looksRight(page);

      const hers = await (await browser.newContext()).newPage();
      await hers.goto(`${app.url}/sign-in`);
      await expect(hers.getByRole('button', { name: 'Ines Marlow' })).toHaveCount(0);
      await hers.getByLabel('Sign-in name').fill('priya');
      await hers.getByLabel('Password').fill('long enough it is');
      await hers.getByRole('button', { name: 'Sign in' }).click();
      await expect(hers.getByText('Choose one of your own to go on.')).toBeVisible();
      expect(await hers.evaluate(async () => (await fetch('/api/courses')).status)).toBe(403);
      await hers.getByLabel('The one you have').fill('long enough it is');
      await hers.getByLabel('A new one, ten signs or more').fill('a mower in the rain');
      await hers.getByLabel('Once more').fill('a mower in the rain');
      await hers.getByRole('button', { name: 'Change it' }).click();
      await expect(hers.getByRole('heading', { name: 'Your courses stand here' })).toBeVisible();
      await hers.goto(address);
      await expect(hers.getByText('no such course, or you have no part in it')).toBeVisible();

      await page.goto(address);
      await expect(page.getByRole('heading', { name: 'Outline' })).toBeVisible();
      await page.keyboard.press('Alt+9');
      await page.getByLabel('Part of Priya Holt').click();
      await page.getByRole('option', { name: 'reviews', exact: true }).click();
      await expect(page.getByText('offered, not accepted yet')).toBeVisible();
      await hers.reload();
      await expect(hers.getByText('no such course, or you have no part in it')).toBeVisible();
      await hers.goto(app.url);
      await expect(hers.getByText('Ines Marlow offers you a part in')).toBeVisible();
      await looksRight(hers);
      await hers.getByRole('button', { name: 'Accept' }).click();
      // Going on at once would cut the answer off.
      await expect(hers.getByRole('row', { name: /Lending tools safely/ })).toBeVisible();
      await hers.goto(address);
      await expect(hers.getByRole('heading', { name: 'Outline' })).toBeVisible();
      expect(await hers.evaluate(async () => (await fetch('/api/people')).status)).toBe(403);
      await page.getByLabel('Part of Ines Marlow').click();
      await page.getByRole('option', { name: 'reviews', exact: true }).click();
      await expect(page.getByRole('alert')).toContainText('A course needs an author');
      // She leaves by the command bar.
      await hers.keyboard.press('Control+k');
      await hers.getByPlaceholder('A lesson, a source').fill('leave this course');
      await hers.keyboard.press('Enter');
      await expect(hers.getByRole('heading', { name: 'Courses', exact: true })).toBeVisible();
      expect(
        await hers.evaluate(
          async (path) => (await fetch(path)).status,
          `/api/courses/${/course\/([a-z0-9]+)/.exec(address)![1]}`,
        ),
      ).toBe(404);

      // Two devices; one ends the other.
      const phone = await (await browser.newContext()).newPage();
      await phone.goto(`${app.url}/sign-in`);
      await phone.getByLabel('Sign-in name').fill('priya');
      await phone.getByLabel('Password').fill('a mower in the rain');
      await phone.getByRole('button', { name: 'Sign in' }).click();
      await expect(phone.getByRole('heading', { name: 'Courses', exact: true })).toBeVisible();
      await hers.goto(`${app.url}/account`);
      await looksRight(hers);
      await hers.getByRole('button', { name: 'Sign out on 1 other device' }).click();
      await expect(hers.getByRole('button', { name: /Sign out on/ })).toHaveCount(0);
      expect(await phone.evaluate(async () => (await fetch('/api/courses')).status)).toBe(401);

      await page.goto(`${app.url}/people`);
      await page
        .getByRole('row', { name: /Priya Holt/ })
        .getByRole('button', { name: 'take out' })
        .click();
      await page.getByRole('button', { name: 'Take out without the name' }).click();
      // While a dialog stands open nothing behind it has a role.
      await expect(page.getByRole('dialog')).toHaveCount(0);
      await expect(page.getByRole('cell', { name: 'Priya Holt' })).toHaveCount(0);
      expect(await hers.evaluate(async () => (await fetch('/api/courses')).status)).toBe(401);

      await page.goto(`${app.url}/audit`);
      for (const what of [
        'added a person',
        'offered a part in',
        'accepted a part in',
        'left or declined',
        'changed their password',
        'took a person out',
      ])
        await expect(page.getByRole('cell', { name: what, exact: true }).first()).toBeVisible();
      expect(await page.locator('tbody').textContent()).not.toContain('Priya');
      await page.getByLabel('What happened').click();
      await page.getByRole('option', { name: 'Deletions' }).click();
      await expect(page.locator('tbody tr')).toHaveCount(1);
      await looksRight(page);
      const saving = page.waitForEvent('download');
      await page.getByRole('button', { name: 'Save as CSV' }).click();
      expect((await saving).suggestedFilename()).toBe('audit.csv');
    });
  });

  test("a deleted course lies in its author's bin with its learners, and comes back; an orphaned one is taken on by the owner", async ({
    page,
    browser,
  }) => {
    test.setTimeout(90_000);
    await withOwnApp('demo', async (app) => {
      await openDemo(page, app, 'Ines Marlow');
      const id = /course\/([a-z0-9]+)/.exec(page.url())![1];
      await page.goto(app.url);
      await page.getByRole('button', { name: 'More for Lending tools safely' }).click();
      await page.getByRole('menuitem', { name: 'Delete' }).click();
      await page.getByRole('button', { name: 'Delete it' }).click();
      await page.getByRole('button', { name: '1 deleted' }).click();
      await expect(page.getByRole('row', { name: /Lending tools safely/ })).toContainText('5');
      await looksRight(page);
      await page.getByRole('button', { name: 'bring it back' }).click();
      await page.goto(`${app.url}/course/${id}/results`);
      await expect(page.getByRole('row', { name: /Rosa Finch/ })).toBeVisible();
      await page.getByRole('button', { name: 'Take Gus Ottley out' }).click();
      await page.getByRole('button', { name: 'Only the name; their results stay' }).click();
      await expect(page.getByText('name taken out')).toBeVisible();
      await page.getByRole('button', { name: 'Take Wren Calloway out' }).click();
      await page.getByRole('button', { name: 'Take out with all they did' }).click();
      await expect(page.locator('tbody tr')).toHaveCount(4);

      const toms = await (await browser.newContext()).newPage();
      await toms.goto(`${app.url}/sign-in`);
      await toms.getByRole('button', { name: 'Tom Ashby' }).click();
      await expect(toms.getByRole('heading', { name: 'Courses' })).toBeVisible();
      await toms.evaluate(async () =>
        fetch('/api/courses', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ title: 'Toms own' }),
        }),
      );
      await page.goto(`${app.url}/people`);
      await page
        .getByRole('row', { name: /Tom Ashby/ })
        .getByRole('button', { name: 'take out' })
        .click();
      await page.getByRole('button', { name: 'Take out, what they did keeps their name' }).click();
      await page.getByRole('button', { name: 'take it on' }).click();
      await page.goto(app.url);
      await expect(page.getByRole('link', { name: 'Toms own' })).toBeVisible();
    });
  });
});
