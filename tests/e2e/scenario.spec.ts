import type { ScenarioCheck } from '../../core/checks/scenario/form';
import { expect, looksRight, openDemo, openLesson, saved, served, test, withOwnApp } from './app';

test('a scenario is written by keys in a room of its own, seen as a trail, walked, undone, and taken on a phone', async ({
  browser,
}) => {
  test.setTimeout(120_000);
  await withOwnApp('demo', async (app) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await openDemo(page, app);
    const type = (words: string) => page.keyboard.type(words, { delay: 60 });
    const story = async (): Promise<ScenarioCheck> =>
      (await served(page)).course.checks.find(({ stem }) => stem === 'Rain') as ScenarioCheck;

    await openLesson(page, 'Your first shift');
    await page.locator('.lesson-page p').first().click();
    await page.keyboard.press('Alt+a');
    await page.getByPlaceholder('What to add').pressSequentially('Scenario', { delay: 10 });
    await page.keyboard.press('Enter');
    await expect(page.locator(':focus')).toHaveAttribute('aria-label', 'Question or title');
    await type('Rain');
    await page.locator('.lesson-page [data-check]', { hasText: 'Open the scenario' }).getByRole('link').click();
    await expect(page.getByLabel('Title of the scenario')).toHaveValue('Rain');
    const toMend = page.getByRole('heading', { name: /to mend$/ });
    await expect(toMend).toBeVisible();

    // Scenes and choices by keys: Enter for the next choice, Ctrl+Enter for a scene that it leads to.
    await page.getByLabel('Name of scene 1').click();
    await type('At the door');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await type('It rains, and she wants the tower.');
    const choices = page.getByLabel('Choice', { exact: true });
    await choices.nth(1).fill('Lend it: she is in a hurry');
    await choices.nth(1).press('Enter');
    await expect(page.locator(':focus')).toHaveValue('What else can be done');
    await type('Ask the desk lead');
    await page.keyboard.press('Control+Enter');
    await expect(page.locator(':focus')).toHaveAttribute('aria-label', 'Name of scene 2');
    await type('She comes');
    await saved(page);
    let made = await story();
    expect(made.scenes.map(({ title }) => title)).toEqual(['At the door', 'She comes', '', '']);
    expect(made.scenes[0]).toMatchObject({ text: 'It rains, and she wants the tower.' });
    expect(made.scenes[0]!.choices.map(({ text }) => text)).toEqual([
      'What you should do',
      'Lend it: she is in a hurry',
      'Ask the desk lead',
    ]);
    expect(made.scenes[0]!.choices[2]!.to).toBe(made.scenes[1]!.id);
    await expect(page.getByRole('group', { name: 'The ways through the scenario' })).toContainText('She comes');
    await page.getByLabel('Points: Ask the desk lead').fill('3');
    await page.getByLabel('What follows: Ask the desk lead').pressSequentially('She looks outside.', { delay: 60 });
    await saved(page);

    // A scene that goes takes nothing else with it, and comes back with what led to it.
    await page.getByRole('button', { name: 'Delete scene 2' }).click();
    await expect.poll(async () => (await story()).scenes.length).toBe(3);
    expect((await story()).scenes[0]!.choices[2]).not.toHaveProperty('to');
    await page
      .locator('header h1')
      .first()
      .click({ position: { x: 300, y: 2 } });
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await story()).scenes.length).toBe(4);
    made = await story();
    expect(made.scenes[0]!.choices[2]).toMatchObject({
      to: made.scenes[1]!.id,
      score: 3,
      follows: 'She looks outside.',
    });
    await page.reload();
    await expect(page.getByLabel('What follows: Ask the desk lead')).toHaveValue('She looks outside.');
    await looksRight(page);

    // Walked by its author, as a learner takes it.
    await page.keyboard.press('Alt+Shift+L');
    const walk = page.getByRole('dialog', { name: 'Rain' });
    await walk.getByRole('button', { name: 'Ask the desk lead' }).press('Enter');
    await expect(walk.getByText('She looks outside.')).toBeVisible();
    await walk.getByRole('button', { name: 'Look back on it' }).press('Enter');
    await expect(walk.getByText('3 of 3 points')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(walk).toBeHidden();

    // Taken by a learner, who is where they were after a reload; the author reads the way.
    await page.keyboard.press('Alt+6');
    await page.getByRole('radio', { name: /Anyone with the address/ }).check();
    await page.keyboard.press('Control+Enter');
    const address = (await page.locator('.address code').textContent())!;
    const learner = await (await browser.newContext({ viewport: { width: 320, height: 640 } })).newPage();
    await learner.goto(address);
    await learner.getByLabel('Your name').fill('Nia');
    await learner.getByRole('button', { name: 'Begin' }).click();
    await learner.getByRole('button', { name: 'Lessons', exact: true }).click();
    await learner.getByRole('link', { name: /Before you stand alone/ }).click();
    const part = learner.locator('.up-check', { hasText: 'The sander comes back late' });
    await part.getByRole('button', { name: /^Take him aside/ }).press('Enter');
    await expect(part.getByText('He breathes out and tells you.')).toBeVisible();
    expect(await learner.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
    await looksRight(learner);
    await learner.reload();
    await expect(part.getByText('His wife was in hospital.')).toBeVisible();
    await part.getByRole('button', { name: /^Let it go/ }).press('Enter');
    await part.getByRole('button', { name: 'Look back on it' }).press('Enter');
    await expect(part.getByText('2 of 4 points')).toBeVisible();
    await expect(part.getByText('Partly right: 50 %.')).toBeVisible();
    await part.getByRole('button', { name: 'Try again' }).press('Enter');
    await expect(part.getByText('Two others wait behind him.')).toBeVisible();

    await page.keyboard.press('Alt+7');
    await page.getByRole('button', { name: 'Answers of Nia' }).click();
    const answers = page.getByRole('dialog', { name: 'Answers of Nia' });
    await expect(answers.getByText('Aside: Let it go: anybody would')).toBeVisible();
  });
});
