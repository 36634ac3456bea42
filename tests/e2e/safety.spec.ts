import { request } from 'node:http';
import { expect, openDemo, saved, served, test, withEmptyApp } from './app';
import { RIGHTS } from '../../server/rights/table';

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
  const fill = (pattern: string) => pattern.replace(/:(\w+)/g, (_, name: string) => (name === 'course' ? id : 'aabcdefghij2'));
  for (const [method, pattern, right] of RIGHTS) {
    const status = await ask(`${app.url}${fill(pattern)}`, method, { 'content-type': 'application/json' });
    if (right === 'anyone') expect(status, `${method} ${pattern}`).not.toBe(401);
    else expect(status, `${method} ${pattern}`).toBe(401);
  }
  expect(await ask(`${app.url}/api/nothing`, 'GET')).toBe(403);
});

test('other hosts and pages of others are refused', async ({ page, app }) => {
  await openDemo(page, app);
  const [cookie] = await page.context().cookies();
  const signed = { cookie: `${cookie.name}=${cookie.value}` };
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
  expect(await ask(`${app.url}/api/courses`, 'GET', signed)).toBe(200);
  expect(await ask(`${app.url}/api/courses`, 'GET', { ...signed, host: 'evil.example' })).toBe(403);
  expect(await ask(`${app.url}/api/courses`, 'POST', { ...signed, origin: 'http://evil.example', 'content-type': 'application/json' })).toBe(403);
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
});

test('without a demo the first to come owns the installation, and nobody comes in by a click', async ({ page }) => {
  await withEmptyApp(async (url) => {
    await page.goto(url);
    await expect(page.getByText('Nobody is here yet')).toBeVisible();
    await page.getByLabel('Your name').fill('Noor Abel');
    await page.getByLabel('Sign-in name').fill('noor');
    await page.getByLabel('Password').fill('ten letters or more');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Your courses stand here' })).toBeVisible();
    const again = await fetch(`${url}/api/first-owner`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ name: 'X', login: 'xx', password: 'ten letters or more' }) });
    expect(((await again.json()) as { data: { code: string } }).data.code).toBe('has-owner');
    const { demoPeople } = (await (await fetch(`${url}/api/start`)).json()) as { demoPeople: unknown[] };
    expect(demoPeople).toEqual([]);
  });
});

test.describe('a server that is gone', () => {
  test.use({ mayLog: /ERR_FAILED|status of [45]\d\d/ });

  test('catches up with what it heard of but could not fetch, and when it was not let in to hear', async ({ page, app, context }) => {
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
    await expect.poll(async () => JSON.stringify((await served(page)).course.modules)).toContain('Typed while the server was away');
  });
});

test('people are added by the owner, and given a part in a course by its author', async ({ page, app, browser }) => {
  await openDemo(page, app);
  const address = page.url();
  await page.goto(`${app.url}/people`);
  await page.getByLabel('Name', { exact: true }).fill('Priya Holt');
  await page.getByLabel('Signs in as').fill('priya');
  await page.getByLabel('First password').fill('long enough it is');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('cell', { name: 'Priya Holt' })).toBeVisible();

  const context = await browser.newContext();
  const hers = await context.newPage();
  await hers.goto(`${app.url}/sign-in`);
  await hers.getByLabel('Sign-in name').fill('priya');
  await hers.getByLabel('Password').fill('long enough it is');
  await hers.getByRole('button', { name: 'Sign in' }).click();
  await expect(hers.getByRole('heading', { name: 'Your courses stand here' })).toBeVisible();
  await hers.goto(address);
  await expect(hers.getByText('no such course, or you have no part in it')).toBeVisible();

  await page.goto(address);
  await expect(page.getByRole('heading', { name: 'Outline' })).toBeVisible();
  await page.keyboard.press('Alt+9');
  await page.getByLabel('Part of Priya Holt').click();
  const given = page.waitForResponse((answer) => answer.url().endsWith('/members') && answer.request().method() === 'PUT');
  await page.getByRole('option', { name: 'reviews' }).click();
  await given;
  await hers.goto(address);
  await expect(hers.getByRole('heading', { name: 'Outline' })).toBeVisible();
  expect(await hers.evaluate(async () => (await fetch('/api/people')).status)).toBe(403);

  await page.getByLabel('Part of Ines Marlow').click();
  await page.getByRole('option', { name: 'reviews' }).click();
  await expect(page.getByRole('alert')).toContainText('A course needs an author');
  await context.close();
});
