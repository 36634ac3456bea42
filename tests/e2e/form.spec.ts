import type { SurveyBody } from '../../core/blocks/survey/form';
import { expect, looksRight, openDemo, openLesson, saved, served, test, withOwnApp } from './app';

test('a feedback form is drafted and written by keys; what is filled in outlasts a reload and a cut connection', async ({
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
    await page.getByPlaceholder('What to add').pressSequentially('Feedback', { delay: 10 });
    await page.keyboard.press('Enter');
    const form = page.getByRole('region', { name: /Feedback form/ });
    await form.getByRole('button', { name: 'On the way' }).click();
    await expect(form.getByLabel('Question', { exact: true }).first()).toHaveValue('How clear was it so far?');
    await form.getByRole('button', { name: 'Another question' }).click();
    await type('How many shifts have you done?');
    // The words are given while the mouse is on its way to something else.
    await form.getByLabel('How it is answered: How many shifts have you done?').click();
    await page.getByRole('option', { name: 'A number' }).click();
    await form.getByLabel('Number at least').fill('0');
    await form.getByLabel('Number at most').fill('20');
    await form.getByLabel('Title of the form').click();
    await page.keyboard.press('End');
    await type(' (your words)');
    await page.locator('.lesson-page p').first().click();
    await form.getByText('answers carry names').click();
    await form.getByText('needs an answer').first().click();
    await saved(page);
    const bodyIn = async () =>
      (await served(page)).course.modules
        .flatMap(({ lessons }) => lessons)
        .flatMap(({ blocks }) => blocks)
        .flatMap((block) => (block.kind === 'survey' && block.body.named ? [block.body] : []))[0] as
        SurveyBody | undefined;
    const made = (await bodyIn())!;
    expect(made.title).toBe('How it goes so far (your words)');
    expect(made.items.map(({ kind }) => kind)).toEqual(['rating', 'scale', 'choice', 'text', 'number']);
    expect(made.items.at(-1)).toMatchObject({ text: 'How many shifts have you done?', min: 0, max: 20 });
    expect(made.items[0]!.required).toBe(true);
    await form.getByRole('button', { name: 'Delete question How is the pace?' }).click();
    await saved(page);
    await page.keyboard.press('Control+z');
    await expect(form.getByLabel('Question', { exact: true })).toHaveCount(5);
    await saved(page);
    await page.reload();
    await expect(form.getByLabel('Question', { exact: true })).toHaveCount(5);
    await looksRight(page);

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
    const part = learner.getByRole('region', { name: /How it goes so far/ });
    await expect(part.getByText('Your name goes with your answers.')).toBeVisible();
    await part.getByRole('textbox', { name: /still open/ }).pressSequentially('Who holds the', { delay: 60 });
    await learner.reload();
    const open = part.getByRole('textbox', { name: /still open/ });
    await expect(open).toHaveValue('Who holds the');
    await open.press('End');
    await open.pressSequentially(' ladder?', { delay: 60 });
    await part.getByRole('textbox', { name: /How many shifts/ }).fill('30');
    await expect(part.getByText('Write one number')).toBeVisible();
    await part.getByRole('button', { name: 'Send' }).click();
    await expect(part.getByText('These are still open: 1')).toBeVisible();
    await part.getByRole('textbox', { name: /How many shifts/ }).fill('3');
    await part.getByRole('radio', { name: '4 of 5' }).check();
    await part.getByRole('textbox', { name: 'Something else:' }).fill('The yard');
    await looksRight(learner);
    await context.setOffline(true);
    await part.getByRole('button', { name: 'Send' }).click();
    await expect(part.getByText(/could not be sent; it is kept here/)).toBeVisible();
    await context.setOffline(false);
    await part.getByRole('button', { name: 'Send it again' }).click();
    await expect(part.getByText('Your answers have arrived')).toBeVisible();
    await learner.reload();
    await part.getByRole('button', { name: 'Change my answers' }).click();
    await expect(open).toHaveValue('Who holds the ladder?');
    await part.getByRole('radio', { name: '5 of 5' }).check();
    await part.getByRole('button', { name: 'Send' }).click();
    await expect(part.getByText('Your answers have arrived')).toBeVisible();

    await page.keyboard.press('Alt+7');
    await page.getByRole('link', { name: 'Feedback', exact: true }).click();
    await page.getByRole('button', { name: /your words/ }).click();
    const results = page.locator('article');
    await expect(results.getByText('1 answer, 5.0 on average of 5, median 5')).toBeVisible();
    await expect(results.getByText('Who holds the ladder?')).toBeVisible();
    await expect(results.getByText('The yard')).toBeVisible();
    await results.getByRole('tab', { name: 'One by one' }).click();
    await expect(results.getByRole('region', { name: 'Nia' })).toBeVisible();
    await looksRight(page);
    const alone = (await results.locator('code').textContent())!;

    // By itself, for somebody who has no place in the course.
    const guest = await (await browser.newContext({ viewport: { width: 320, height: 640 } })).newPage();
    await guest.goto(alone);
    await expect(guest.getByRole('radio', { name: '2 of 5' })).toBeDisabled();
    await guest.getByLabel('Your name').fill('Cleo');
    await guest.getByRole('radio', { name: '2 of 5' }).check();
    await looksRight(guest);
    await guest.getByRole('button', { name: 'Send' }).click();
    await expect(guest.getByText('Your answers have arrived')).toBeVisible();
    await expect(results.getByRole('region', { name: 'Cleo' })).toBeVisible();
    await results.getByRole('button', { name: 'Take out what Cleo sent' }).click();
    await page.getByRole('button', { name: 'Take it out' }).click();
    await expect(results.getByRole('region', { name: 'Cleo' })).toHaveCount(0);
  });
});

test('answers without names are kept apart and shown together, from four on', async ({ browser }) => {
  await withOwnApp('demo', async (app) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await openDemo(page, app);
    await page.keyboard.press('Alt+6');
    await page.getByRole('radio', { name: /Anyone with the address/ }).check();
    await page.keyboard.press('Control+Enter');
    await expect(page.locator('.address code')).toBeVisible();
    await page.keyboard.press('Alt+7');
    await page.getByRole('link', { name: 'Feedback', exact: true }).click();
    const results = page.locator('article');
    await expect(results.getByText('Nobody has filled it in yet.')).toBeVisible();
    const address = (await results.locator('code').textContent())!;
    for (let at = 1; at <= 4; at++) {
      const guest = await (await browser.newContext()).newPage();
      await guest.goto(address);
      await expect(guest.getByText(/kept without your name and without the time/)).toBeVisible();
      await guest.getByRole('textbox', { name: /do differently/ }).fill(`Words ${at}`);
      await guest.getByRole('button', { name: 'Send' }).click();
      await expect(guest.getByText('We read all of it')).toBeVisible();
      await guest.reload();
      await expect(guest.getByRole('button', { name: 'Send' })).toHaveCount(0);
      if (at === 3) await expect(results.getByText('3 answers without names wait')).toBeVisible();
      await guest.context().close();
    }
    await expect(results.getByText('Words 4')).toBeVisible();
    await expect(results.getByRole('tab')).toHaveCount(0);
  });
});
