// Takes the pictures of docs/screenshots from the demo, on a server and a data folder of its own.
import { chromium } from '@playwright/test';
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { browserPath } from './browser.mjs';

/** An outline that a coordinator might have had before: some of it is in the course, some is not. */
const OWN_OUTLINE = `Before you lend
  Who may borrow
  How we talk to each other
At the desk
  The five-point look-over
  Tools with a red tag
Battery care
  Charging
  Swollen packs
`;

const PORT = '3418';
const url = `http://127.0.0.1:${PORT}`;
const folder = mkdtempSync(join(tmpdir(), 'uplift-pictures-'));
mkdirSync('docs/screenshots', { recursive: true });
spawnSync(process.execPath, ['dist/prepare.mjs', folder], { stdio: 'inherit' });
const server = spawn(process.execPath, ['.output/server/index.mjs'], {
  env: { ...process.env, PORT, HOST: '127.0.0.1', UPLIFT_DATA: folder },
  stdio: 'ignore',
});
const browser = await chromium.launch({
  executablePath: browserPath(),
  args: ['--no-sandbox', '--disable-dev-shm-usage'],
});
try {
  for (
    let tries = 0;
    tries < 100 &&
    !(await fetch(`${url}/api/start`).then(
      () => true,
      () => false,
    ));
    tries++
  )
    await new Promise((go) => setTimeout(go, 100));
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const shot = async (name) => {
    await page.waitForTimeout(900);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  };
  const lesson = async (title) => {
    await page.keyboard.press('Alt+4');
    await page.getByRole('row').getByRole('link', { name: title, exact: true }).click();
    await page.locator('.lesson-page .evidence').nth(2).click();
    await page.locator('.pane mark').first().waitFor();
  };
  await page.goto(`${url}/sign-in`);
  await page.getByRole('button', { name: 'Ines Marlow' }).click();
  await page.getByRole('row').getByRole('link', { name: 'Lending tools safely' }).waitFor();
  await shot('home');
  await page.getByRole('row').getByRole('link', { name: 'Lending tools safely' }).click();
  await page.locator('.unused').waitFor();
  await shot('outline');
  await page.keyboard.press('Alt+0');
  await page.getByRole('button', { name: /^Picture ladder/ }).click();
  await page.getByRole('complementary', { name: /About/ }).waitFor();
  await shot('media');
  await page.keyboard.press('Alt+3');
  await page.locator('.unused').waitFor();
  await page.keyboard.press('Alt+h');
  await page.getByRole('button', { name: 'Look through' }).click();
  await shot('holds');
  await lesson('Purpose and reach');
  await page.keyboard.press('Alt+Shift+R');
  await page
    .getByRole('group', { name: 'The whole lesson' })
    .getByRole('option', { name: /Less formal/ })
    .click();
  await page.getByRole('group', { name: 'Proposal: Less formal' }).first().waitFor();
  await shot('lesson');
  await lesson('Late returns');
  await page.keyboard.press('Alt+v');
  await page.frameLocator('iframe').locator('h1').waitFor();
  await shot('lesson-as-learner');
  await page.keyboard.press('Alt+v');
  await page.keyboard.press('Alt+4');
  await page.getByRole('row').getByRole('link', { name: 'Ready for the desk?', exact: true }).click();
  await page.getByRole('heading', { name: /A try asks/ }).waitFor();
  await shot('quiz');
  await page.keyboard.press('Alt+4');
  await page.getByRole('row').getByRole('link', { name: 'Before you stand alone', exact: true }).click();
  await page.getByRole('link', { name: 'Open the scenario' }).click();
  await page.getByLabel('Choice', { exact: true }).nth(1).click();
  await page.getByText('learners who chose it').waitFor();
  await shot('scenario');
  for (const [key, name] of [
    ['Alt+1', 'brief'],
    ['Alt+2', 'sources'],
    ['Alt+5', 'checks'],
    ['Alt+6', 'release'],
    ['Alt+7', 'results'],
  ]) {
    await page.keyboard.press(key);
    if (name === 'release') await page.locator('.packages').first().waitFor();
    await shot(name);
  }
  await page.keyboard.press('Alt+2');
  await page.getByRole('table').getByRole('link', { name: 'Lending Policy' }).click();
  await page.locator('.passage').nth(9).click();
  await shot('source');
  await page.getByRole('link', { name: 'What I know' }).click();
  await page
    .getByLabel('Which rules of thumb do you work by?')
    .fill('If somebody apologises twice, something is broken.\nNever lend the last charger.');
  await page.getByRole('button', { name: 'Put into the sources' }).click();
  await page.getByText('The sources hold your answers.').waitFor();
  await shot('interview');
  await page.keyboard.press('Alt+3');
  await page.getByRole('grid').first().waitFor();
  await page.keyboard.press('Alt+o');
  await page.getByLabel(/^Its lines/).fill(OWN_OUTLINE);
  await page.getByRole('button', { name: 'Lay it beside mine' }).click();
  await page.getByRole('grid', { name: /^Mine and/ }).waitFor();
  await page.keyboard.press('ArrowDown');
  await shot('outline-beside');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.keyboard.press('Alt+7');
  await page.getByRole('link', { name: 'Hand-ins' }).click();
  await page.getByText('suggested', { exact: true }).first().waitFor();
  await page.getByRole('form', { name: 'Marks' }).getByRole('radio').nth(3).focus();
  await shot('hand-ins');
  await page.getByRole('link', { name: 'Feedback', exact: true }).click();
  await page
    .getByRole('heading', { name: /How sure/ })
    .first()
    .waitFor();
  await shot('feedback');
  await page.keyboard.press('Alt+6');
  const address = await page.locator('.address code').textContent();
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 800 } })).newPage();
  await phone.goto(address);
  await phone.getByLabel('Your name').fill('Ivo Stark');
  await phone.getByRole('button', { name: 'Begin' }).click();
  await phone.getByRole('button', { name: 'Lessons', exact: true }).click();
  await phone.getByRole('link', { name: /^Red-tag tools/ }).click();
  const check = phone.locator('.up-check').first();
  await check.getByRole('radio').first().check();
  await check.getByRole('button', { name: 'Check my answer' }).click();
  await check.locator('.up-said strong').waitFor();
  await check.scrollIntoViewIfNeeded();
  await phone.screenshot({ path: 'docs/screenshots/learner-phone.png' });
} finally {
  await browser.close();
  server.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
}
