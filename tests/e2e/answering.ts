import type { Locator } from '@playwright/test';
import type { Check } from '../../core/checks/forms';
import { walk } from '../../core/checks/scenario/walk';

/** Kinds whose part gives the answer away itself. */
const BY_STEPS: ReadonlySet<string> = new Set(['scenario', 'task']);

/** The check that a part of a learner's page asks, of those of its course. */
export async function askedIn(part: Locator, checks: readonly Check[]): Promise<Check> {
  const [whole, kind] = [part.locator('legend'), part.locator('legend .kind')];
  const stem = (await whole.textContent())!.slice((await kind.textContent())!.length);
  return checks.find((check) => check.stem === stem)!;
}

/** Answers a check rightly, by keys and the controls a learner has. */
export async function answerRightly(part: Locator, check: Check): Promise<void> {
  await put(part, check);
  // A story is over with its last step, a task is handed in.
  if (!BY_STEPS.has(check.kind)) await part.getByRole('button', { name: 'Check my answer' }).press('Enter');
}

/** Gives an answer without sending it. */
export async function put(part: Locator, check: Check): Promise<void> {
  const option = (text: string) => part.locator('.up-option', { has: part.page().getByText(text, { exact: true }) });
  switch (check.kind) {
    case 'choice':
      return option(check.options.find(({ id }) => id === check.key)!.text)
        .locator('input')
        .press('Space');
    case 'several':
      for (const { text } of check.options.filter(({ id }) => check.keys.includes(id)))
        await option(text).locator('input').press('Space');
      return;
    case 'scenario': {
      const choices = new Map(check.scenes.flatMap((scene) => scene.choices.map(({ id, text }) => [id, text])));
      for (const id of walk(check.scenes).best!.choices) {
        await part.getByRole('button', { name: choices.get(id)! }).press('Enter');
        await part.getByRole('button', { name: /On to what happens next|Look back on it/ }).press('Enter');
      }
      return;
    }
    case 'area':
      for (const { text } of check.options.filter(({ id }) => check.keys.includes(id)))
        await part.getByLabel(text).press('Space');
      return;
    case 'truth':
      return option(check.answer ? 'True' : 'False')
        .locator('input')
        .press('Space');
    case 'order':
      for (const [at, { text }] of check.items.entries()) {
        const up = part.getByRole('button', { name: `Up: ${text}` });
        const rows = part.locator('.up-order li .text');
        while ((await rows.nth(at).textContent()) !== text) await up.press('Enter');
      }
      return;
    case 'match':
      for (const { left, right } of check.pairs) await part.getByLabel(left, { exact: true }).selectOption(right);
      return;
    case 'sort':
      for (const { text, group } of check.items) {
        const name = check.groups.find(({ id }) => id === group)!.text;
        await part.getByRole('radiogroup', { name: text }).getByRole('radio', { name, exact: true }).press('Space');
      }
      return;
    case 'number':
      return part.getByRole('textbox').pressSequentially(String(check.value), { delay: 60 });
    case 'short':
      return part.getByRole('textbox').pressSequentially(check.accepted[0], { delay: 20 });
    case 'task': {
      await part.getByRole('textbox').pressSequentially(check.model, { delay: 1 });
      return part.getByRole('button', { name: 'Hand in' }).press('Enter');
    }
    case 'open':
      return part.getByRole('textbox').pressSequentially('I would tell the queue first.', { delay: 20 });
  }
}
