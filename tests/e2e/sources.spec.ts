import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { enter, expect, looksRight, newCourse, openDemo, openDemoArchive, saved, served, test } from './app';

test('from documents to a drafted lesson: the whole way once', async ({ page, app }) => {
  test.setTimeout(120_000);
  await newCourse(page, app, 'Carrying samples');
  const broken = join(app.folder, 'broken.docx');
  writeFileSync(broken, 'PK\u0003\u0004 not a document');
  await page
    .getByLabel('Files to add')
    .setInputFiles(['eval/documents/sample-courier.md', 'eval/documents/lone-working.txt', broken]);
  await expect(page.getByRole('link', { name: /Carrying samples between/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Lone working and home visits/ })).toBeVisible();
  await expect(page.locator('.uploads .refused')).toContainText('damaged');
  // The same once more is noticed.
  await page.getByLabel('Files to add').setInputFiles(['eval/documents/sample-courier.md']);
  await expect(page.getByText('holds the same as')).toBeVisible();
  await page.getByRole('button', { name: 'Paste or type text' }).click();
  await page.getByLabel('Title', { exact: true }).fill('What the drivers say');
  await page
    .getByLabel('Text', { exact: true })
    .fill("# Notes\n\nDrivers must ring before noon if a van is full, because the second van leaves at one o'clock.\n");
  await page.getByRole('button', { name: 'Add as a source' }).click();
  await expect(page.getByRole('link', { name: 'What the drivers say' })).toBeVisible();
  await page.getByRole('link', { name: /Carrying samples between/ }).click();
  await page.getByRole('button', { name: /terms$/ }).click();
  await expect(page.locator('.passage').first()).toBeVisible();

  await page.keyboard.press('Alt+1');
  await page.getByLabel('How long').fill('18');
  await page.getByLabel('For whom').fill('Drivers');
  await saved(page);
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Draft from the sources' }).first().click();
  await expect(page.getByRole('grid', { name: 'Mine and Drafted' })).toBeVisible();
  expect((await served(page)).course.modules).toEqual([]);
  await page.keyboard.press('Alt+Enter');
  await saved(page);
  await expect.poll(async () => (await served(page)).course.modules.length).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Keep as a version' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('1 version kept')).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await page.keyboard.press('Alt+4');
  await page.getByRole('button', { name: /Draft all/ }).click();
  await expect(page.getByText('every lesson has text')).toBeVisible({ timeout: 60_000 });
  const { course } = await served(page);
  const lessons = course.modules.flatMap((module) => module.lessons);
  expect(lessons.every((lesson) => lesson.state === 'drafted' && lesson.blocks.length > 0)).toBe(true);
  expect(course.checks.length).toBeGreaterThan(3);
  const blank = async () =>
    (await served(page)).course.modules
      .flatMap((module) => module.lessons)
      .filter((lesson) => lesson.blocks.length === 0).length;
  await page.keyboard.press('Control+z');
  await expect.poll(blank).toBe(1);
  // Back to the outline as it was kept, and forward again.
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: '1 version kept' }).click();
  await page.getByRole('dialog', { name: 'Versions' }).getByRole('button', { name: 'Go back to it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect.poll(blank).toBe(lessons.length);
  await page.keyboard.press('Control+z');
  await expect.poll(blank).toBe(1);
});

test('a source taken off leaves the text, and says so where its evidence is', async ({ page, app }) => {
  await newCourse(page, app, 'Off and on');
  await page.getByLabel('Files to add').setInputFiles(['eval/documents/allergen-guide.md']);
  await expect(page.getByRole('link', { name: /food allergies/ })).toBeVisible();
  await page.getByRole('button', { name: /^Take .* off this course$/ }).click();
  await expect(page.getByRole('heading', { name: 'What do you have?' })).toBeVisible();
});

test('offers are taken and refused by key', async ({ page, app }) => {
  await openDemoArchive(page, app);
  await page.keyboard.press('Alt+5');
  const offers = page.locator('[data-card]');
  await expect(offers.first()).toBeVisible();
  const count = await offers.count();
  const first = (await offers.first().getAttribute('data-card'))!;
  await offers.first().focus();
  await page.keyboard.press('t');
  await expect(offers).toHaveCount(count - 1);
  await expect.poll(async () => JSON.stringify((await served(page)).course.modules)).toContain(first);
  await offers.first().focus();
  await page.keyboard.press('r');
  await page.getByRole('menuitem', { name: 'not right' }).press('Enter');
  await expect(offers).toHaveCount(count - 2);
  await page.keyboard.press('Control+z');
  await expect(offers).toHaveCount(count - 1);
});

test('a course goes out as an archive and comes in again', async ({ page, app }) => {
  await openDemoArchive(page, app);
  const before = (await served(page)).course;
  const bytes = await page.evaluate(
    async (id) => Array.from(new Uint8Array(await (await fetch(`/api/courses/${id}/archive`)).arrayBuffer())),
    (before as unknown as { id: string }).id,
  );
  const path = join(app.folder, 'copy.uplift.zip');
  writeFileSync(path, Uint8Array.from(bytes));
  await enter(page, app);
  await page.getByLabel('Course archive').setInputFiles(path);
  await expect(page.getByRole('heading', { name: 'Outline' })).toBeVisible();
  const copy = (await served(page)).course;
  expect(copy.modules).toEqual(before.modules);
  expect(copy.title).toBe(before.title);
});

test('sources that contradict each other are shown side by side, settled by their author, and taken back', async ({
  page,
  app,
}) => {
  await openDemoArchive(page, app);
  await page.keyboard.press('Alt+2');
  const place = page.getByRole('region', { name: 'Where the sources contradict each other' });
  await expect(place).toContainText('within two opening days');
  await expect(place).toContainText('within three opening days');
  await expect(place).toContainText('1 to decide');
  await looksRight(page);
  await place.getByRole('button', { name: 'This holds' }).first().click();
  await expect(place.getByText('does not hold', { exact: true })).toBeVisible();
  await expect(place).toContainText('all decided');
  await saved(page);
  expect((await served(page)).course).toMatchObject({ settled: [{ holds: 'first' }] });
  await looksRight(page);
  await page.keyboard.press('Control+z');
  await expect(place).toContainText('1 to decide');
});

test('a link is fetched, cleaned, and fetched again', async ({ page, app }) => {
  await newCourse(page, app, 'Linked');
  await page.keyboard.press('Alt+l');
  await page.getByRole('button', { name: /opening-hours/ }).click();
  await looksRight(page);
  await page.getByRole('button', { name: 'Fetch it' }).click();
  await expect(page.getByRole('link', { name: 'Opening hours and holidays' })).toBeVisible();
  await page.getByRole('button', { name: 'Fetch Opening hours and holidays again' }).click();
  await expect(page.getByText('nothing changed.')).toBeVisible();
  await page.keyboard.press('Alt+l');
  await page.getByLabel('Address').fill('http://127.0.0.1:9/private');
  await page.getByRole('button', { name: 'Fetch it' }).click();
  await expect(page.getByRole('alert')).toContainText('closed network');
});

test('a newer version of a source says what changed, and what of the course stood on it', async ({ page, app }) => {
  await openDemoArchive(page, app);
  await page.keyboard.press('Alt+2');
  const path = join(app.folder, 'coordinators-notes.md');
  const text = readFileSync('demo/files/coordinators-notes.md', 'utf8');
  const changing = text.split('\n\n').find((each) => each.startsWith('When there is a queue'))!;
  writeFileSync(
    path,
    text.replace(changing, changing.replace('When there is a queue', 'When there is a long queue')) +
      '\n\nThe return box is emptied before the desk opens.\n',
  );
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^A newer version of Coordinator/ }).click();
  await (await chooser).setFiles(path);
  const place = page.getByRole('region', { name: /newer version/ });
  await expect(place).toContainText('1 changed, 0 gone, 1 new');
  await expect(place).toContainText('of the course stood on what changed or is gone');
  await expect(
    place
      .getByRole('row', { name: /^changed/ })
      .getByRole('link')
      .first(),
  ).toBeVisible();
  await looksRight(page);
  await place.getByRole('button', { name: 'Close' }).click();
  await expect(place).toHaveCount(0);
  // Only the sentence whose words changed is marked; the others went along with the newer version.
  await expect(page.getByText('1 sentence and 0 questions of the course stand on words')).toBeVisible();
  await page.locator('.note.decide').getByRole('link').click();
  const marked = page.locator('.lesson-page .stale');
  await expect(marked).toHaveCount(1);
  await marked.click();
  await expect(page.getByText('A newer version says this differently.')).toBeVisible();
  await looksRight(page);
  await page.keyboard.press('Alt+n');
  await expect(marked).toHaveCount(0);
  await expect(page.locator('.lesson-page')).toContainText('When there is a long queue');
  await saved(page);
});

test('sources are searched, corrected by key, and given another standing; all of it undone like anything', async ({
  page,
  app,
}) => {
  await openDemoArchive(page, app);
  await page.keyboard.press('Alt+2');
  await expect(page.getByRole('link', { name: 'Lending Policy' }).first()).toBeVisible();
  await page.getByRole('button', { name: /^Twelve years at the desk is leading/ }).click();
  await expect(page.getByRole('button', { name: /^Twelve years at the desk is supporting/ })).toBeVisible();
  await page.keyboard.press('Alt+j');
  await page.keyboard.type('late fee waiv');
  const found = page.locator('.found li');
  await expect(found.first()).toContainText('waive a late fee');
  await expect(found.first().locator('mark').first()).toHaveText('waive');
  await looksRight(page);
  await page.getByLabel('Search the sources').fill('zeppelin');
  await expect(page.getByText('Nothing in the sources says “zeppelin”.')).toBeVisible();
  await page.getByLabel('Search the sources').fill('late fee waiv');
  await found.first().getByRole('link').first().click();
  await expect(page.locator('.passage.current')).toContainText('waive a late fee');
  await page.locator('.text').focus();
  await page.keyboard.press('x');
  await expect(page.locator('.passage.current')).toContainText('left out of this course');
  await page.keyboard.press('f');
  await expect(page.locator('.passage.current')).toContainText('in focus');
  await page.locator('.passage.current').getByRole('button', { name: 'Not a rule' }).click();
  await expect(page.locator('.passage.current .no')).toHaveText('not a rule');
  await page.getByRole('button', { name: '2 corrections' }).click();
  await looksRight(page);
  await saved(page);
  expect((await served(page)).course).toMatchObject({
    corrections: [{ kind: 'focus' }, { kind: 'not', claim: 'rule' }],
    supporting: [expect.any(String)],
  });
  for (const left of [1, 1, 0]) {
    await page.keyboard.press('Control+z');
    await expect
      .poll(
        async () => ((await served(page)).course as unknown as { corrections?: unknown[] }).corrections?.length ?? 0,
      )
      .toBe(left);
  }
});

test('what an author knows is asked, answered, and becomes a source; topics are found in it', async ({ page, app }) => {
  await newCourse(page, app, 'Handing out ladders', 'Start from what I know');
  await expect(page.getByText('0 of 13 answered')).toBeVisible();
  await looksRight(page);
  await page.getByRole('link', { name: 'Topics' }).click();
  await expect(page.getByText('There is nothing to go on yet.')).toBeVisible();
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Begin from a plan' }).click();
  await page.getByRole('radio', { name: /keep to rules/ }).click();
  await looksRight(page);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const box = page.getByLabel(/^Which rules hold for handing out ladders/);
  await box.fill(
    'A ladder must stand on firm ground before anybody climbs it.\nIf a rung is loose, the volunteer must hang a red tag on the ladder within one minute.\nNobody may climb higher than three metres, because the ladder tips there.\nEvery ladder must be wiped with a dry cloth before it goes back to the wall, because wet rungs are slippery.\nThe volunteer should ask who holds the foot of the ladder.',
  );
  await saved(page);
  await page.getByRole('button', { name: 'Put into the sources' }).click();
  await expect(page.getByText('The sources hold your answers.')).toBeVisible();
  await expect(page.getByText(/understood: \d+ passages/)).toBeVisible();
  await page.getByRole('link', { name: 'Topics' }).click();
  await page.getByLabel('Narrow to').fill('ladder');
  await page.getByRole('button', { name: 'Narrow', exact: true }).click();
  await expect(page.getByText(/^\d+ passages, \d+ words/)).toBeVisible();
  await looksRight(page);
  await page.getByLabel('Narrow to').fill('payroll');
  await page.getByRole('button', { name: 'Narrow', exact: true }).click();
  await expect(page.getByText('Nothing in your sources or answers is on')).toBeVisible();
  await page.getByRole('button', { name: 'Ask me about it' }).click();
  await page.keyboard.press('Alt+4');
  await page.getByRole('link', { name: 'What must and must not be done', exact: true }).click();
  await expect(page.getByText('1 place is open here')).toBeVisible();
  await page.keyboard.press('Alt+d');
  await expect(page.locator('.lesson-page')).toContainText('firm ground', { timeout: 20_000 });
});

test('two sources stand side by side, and what differs becomes a lesson', async ({ page, app }) => {
  await newCourse(page, app, 'Fees');
  const file = (name: string, fee: string) => {
    const path = join(app.folder, name);
    writeFileSync(
      path,
      `# ${name}\n\nThe late fee is ${fee} per day for hand tools. A reminder goes out on the second day.\n`,
    );
    return path;
  };
  await page.getByLabel('Files to add').setInputFiles([file('old.md', '£2'), file('new.md', '£3')]);
  await expect(page.getByRole('link', { name: 'new', exact: true }).first()).toBeVisible();
  await expect(page.getByRole('link', { name: 'old', exact: true }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Side by side' }).click();
  await expect(page.getByText('1 sentence is the same')).toBeVisible();
  await looksRight(page);
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByRole('heading', { name: 'What differs' })).toBeVisible();
  await page.locator('.lesson-page td .evidence').first().click();
  await expect(page.locator('.pane mark')).toContainText('The late fee is');
});

test('the shelf holds the sources of all courses, for search and for use', async ({ page, app }) => {
  await newCourse(page, app, 'Second course');
  await page.keyboard.press('Alt+y');
  await page
    .getByRole('checkbox', { name: /Battery and Charger Guide/ })
    .first()
    .check();
  await looksRight(page);
  await page.getByRole('button', { name: 'Use in this course' }).click();
  await page.getByRole('link', { name: 'Battery and Charger Guide' }).click();
  await page.locator('.passage').nth(3).click();
  await page.keyboard.press('r');
  await saved(page);
  // What was corrected in its reading here is offered where it is used as well.
  await openDemo(page, app);
  await page.keyboard.press('Alt+2');
  await page.getByRole('table').getByRole('link', { name: 'Battery and Charger Guide' }).click();
  await expect(page.getByText('1 correction of how it is read, made in “Second course”.')).toBeVisible();
  await looksRight(page);
  await page.getByRole('button', { name: 'Take over' }).click();
  await expect(page.getByText('made in “Second course”')).toHaveCount(0);
  await expect(page.getByRole('button', { name: '1 correction', exact: true })).toBeVisible();
  await enter(page, app);
  await page.getByRole('link', { name: 'Source shelf' }).click();
  await expect(page.getByRole('row', { name: /Battery and Charger Guide/ }).first()).toContainText('Second course');
  await looksRight(page);
  await page.getByLabel('Search all sources').fill('swollen pack');
  await expect(page.locator('.found li').first()).toContainText('swollen');
});

test('formatted text keeps its form when pasted, and a talk comes with the link to its video', async ({
  page,
  app,
}) => {
  await newCourse(page, app, 'Pasted');
  await page.getByRole('button', { name: 'Paste or type text' }).click();
  await page.getByLabel('Title', { exact: true }).fill('From a page');
  await page.getByLabel('Text', { exact: true }).evaluate((box) => {
    const data = new DataTransfer();
    data.setData(
      'text/html',
      '<html><body><h2>Returns</h2><p>A member must <b>wipe</b> every saw.</p><ul><li>Blade first</li></ul><table><tr><th>Tool</th><th>Days</th></tr><tr><td>Saw</td><td>7</td></tr></table><script>window.bad = 1</script></body></html>',
    );
    box.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(page.getByLabel('Text', { exact: true })).toHaveValue(
    /^## Returns\n\nA member must \*\*wipe\*\* every saw\.\n\n- +Blade first\n\n\| Tool \| Days \|/,
  );
  await page.getByRole('button', { name: 'Add as a source' }).click();
  await page.getByRole('link', { name: 'From a page' }).click();
  await expect(page.locator('.passage')).toHaveCount(3);
  await page.keyboard.press('Alt+2');
  await expect(page.getByRole('heading', { name: 'Sources', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+l');
  await page.getByRole('tab', { name: /video/ }).click();
  await page.getByLabel('Address of the video').fill('https://videos.example/desk');
  await page.getByLabel('Title', { exact: true }).fill('At the desk');
  await page
    .getByLabel('What is said in it')
    .fill(
      '[0:05] Look at the cable before you look at the tool.\n[1:10] If the tag is missing, do not lend the tool.\n[2:40] Write the number on the slip.',
    );
  await looksRight(page);
  await page.getByRole('button', { name: 'Add the talk' }).click();
  await expect(page.getByRole('row', { name: /At the desk/ })).toContainText('Talk');
});

test('a table of a source is read as one, with the names of its columns', async ({ page, app }) => {
  await newCourse(page, app, 'Prices');
  await page.getByLabel('Files to add').setInputFiles({
    name: 'prices.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Tool,Price\nSaw,£12\nDrill,£9\n'),
  });
  await page.getByRole('link', { name: 'prices' }).first().click();
  await expect(page.locator('.cells')).toHaveText(['ToolPriceSaw£12', 'Drill£9']);
  await expect(page.getByText('Nothing in it was taken for a rule')).toBeVisible();
  await looksRight(page);
});
