import type { Browser, Page } from '@playwright/test';
import { expect } from './app';

/** Makes the course at hand available; gives the learners' address. */
export async function release(
  page: Page,
  access: RegExp,
  choose: (page: Page) => Promise<void> = async () => undefined,
): Promise<string> {
  await page.keyboard.press('Alt+6');
  await expect(page.getByRole('heading', { name: 'Release', exact: true })).toBeVisible();
  await page.getByRole('radio', { name: access }).check();
  await choose(page);
  const before = await page.locator('tbody tr').count();
  await page.keyboard.press('Control+Enter');
  await expect(page.locator('tbody tr')).toHaveCount(before + 1);
  return (await page.locator('.address code').textContent())!;
}
/** A learner on a device of their own. */
export async function aLearner(browser: Browser, address: string, name?: string, options = {}): Promise<Page> {
  const page = await (await browser.newContext({ viewport: { width: 390, height: 800 }, ...options })).newPage();
  await page.goto(address);
  if (name) {
    await page.getByLabel('Your name').fill(name);
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }
  return page;
}
