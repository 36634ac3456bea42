// Walks a packaged course as a learner would, for the run-time environment that plays it: DRIVE says how far and how
// well.
//   right, wrong   all lessons, every answer right or wrong
//   half           the first half, every answer right
//   rest           from where it was left to the end, every answer right
export default async function drive({ frame }) {
  const how = process.env.DRIVE;
  const { course, keys } = JSON.parse(await frame.locator('#uplift-data').textContent());
  const lessons = course.modules.flatMap((module) => module.lessons);
  await frame.locator('h1').waitFor();
  if (how === 'rest') {
    const here = (await frame.locator('h1').textContent()).trim();
    const half = Math.ceil(lessons.length / 2);
    if (here !== lessons[half - 1].title && here !== lessons[half]?.title) throw new Error(`came back to "${here}"`);
  }
  const walked = how === 'half' ? lessons.slice(0, Math.ceil(lessons.length / 2)) : lessons;
  for (const lesson of walked) {
    await frame.evaluate((id) => void (window.location.hash = id), lesson.id);
    await frame.locator('h1', { hasText: lesson.title }).first().waitFor();
    for (const block of lesson.blocks.filter((each) => each.kind === 'check')) {
      const id = block.body.checkId;
      const options = course.checks.find((check) => check.id === id).options.map((option) => option.id);
      const chosen = how === 'wrong' ? options.find((option) => option !== keys[id].key) : keys[id].key;
      const part = frame.locator('.up-check', { has: frame.locator(`input[name="${id}"]`) });
      if ((await part.locator('button.first').count()) === 0) continue;
      await part.locator(`input[value="${chosen}"]`).check();
      await part.locator('button.first').click();
      await part.locator('.up-said strong').waitFor();
    }
    await frame.locator('.up-onward .first').click();
  }
}
