import { parseHTML } from 'linkedom';
import { describe, expect, it } from 'vitest';
import { createSSRApp, h } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { solutionOf, splitCheck } from '../../../core/checks/markings';
import type { TruthCheck } from '../../../core/checks/truth/form';
import { shown, type Answer } from '../../../core/learning/progress';
import { USUAL_RULES } from '../../../core/learning/rules';
import { wordsFor } from '../../../core/words';
import CheckPart from '../../../player/components/CheckPart.vue';
import { aCheck, anId, optionsOf } from '../../builders';

const { words } = wordsFor('en');
const statement: TruthCheck = {
  id: anId('statement'),
  kind: 'truth',
  lessonId: anId('First one'),
  stem: 'Ladders go back first.',
  answer: true,
  quotes: [{ text: 'The ladders go back first of all.' }],
  evidence: [],
  level: 'recall',
  difficulty: 0.3,
};
const choice = aCheck('choice');

/** The part of a page that asks a check, as it stands after an answer. */
async function asked(check: typeof choice | TruthCheck, answer?: Answer, waiting?: unknown) {
  const { view, secret } = splitCheck(check, 'mixed');
  const seen = answer && shown(check.id, answer, { [check.id]: secret }, USUAL_RULES);
  const html = await renderToString(
    createSSRApp({
      render: () => h(CheckPart, { check: view, shown: seen, waiting, tries: USUAL_RULES.tries, words }),
    }),
  );
  const { document } = parseHTML(`<!doctype html><html><body>${html}</body></html>`);
  return {
    solution: solutionOf(secret).response,
    wrong: check.kind === 'choice' ? optionsOf({ [check.id]: secret }, check.id).wrong[0] : false,
    inputs: [...document.querySelectorAll('input')],
    buttons: [...document.querySelectorAll('button')].map((button) => button.textContent),
    text: (document.body.textContent ?? '').replace(/\s+/g, ' '),
    key: document.querySelector('.is-key')?.textContent ?? '',
  };
}
const marked = (response: unknown, score: number, tries = 1): Answer => ({ response, score, state: 'marked', tries });

describe.each([
  ['a choice', choice],
  ['a statement', statement],
] as const)('%s on a page', (_, check) => {
  it('asks, says nothing of the answer, and waits for one', async () => {
    const { text, inputs, buttons, key } = await asked(check);
    expect(text).toContain(check.stem);
    expect(inputs.length).toBeGreaterThan(1);
    expect(inputs.some((input) => input.hasAttribute('disabled'))).toBe(false);
    expect(buttons).toEqual([words.answer]);
    expect([key, text.includes(words.right), text.includes(words.wrong)]).toEqual(['', false, false]);
  });

  it('marks a right answer and takes no more', async () => {
    const { solution } = await asked(check);
    const { text, key, inputs, buttons } = await asked(check, marked(solution, 1));
    expect(text).toContain(words.right);
    expect(key).toContain(words.rightAnswer);
    expect(inputs.every((input) => input.hasAttribute('disabled'))).toBe(true);
    expect(buttons).toEqual([]);
  });

  it('keeps the key to itself while there are tries left, and shows it with the last one', async () => {
    const { wrong } = await asked(check);
    const once = await asked(check, marked(wrong, 0));
    expect(once.text).toContain(words.wrong);
    expect(once.text).toContain(words.yourAnswer);
    expect([once.key, once.buttons]).toEqual(['', [words.again]]);
    const twice = await asked(check, marked(wrong, 0, 2));
    expect(twice.key).toContain(words.rightAnswer);
    expect(twice.buttons).toEqual([]);
  });

  it('says of an answer that is partly right how much, and of one that waits that a person marks it', async () => {
    const { solution } = await asked(check);
    expect((await asked(check, marked(solution, 0.5))).text).toContain('Partly right: 50 %.');
    const waits = await asked(check, { response: solution, score: 0, state: 'waiting', tries: 1 });
    expect(waits.text).toContain(words.toBeMarked);
    expect([waits.key, waits.text.includes(words.wrong)]).toEqual(['', false]);
  });

  it('keeps an answer that could not be sent', async () => {
    const { solution } = await asked(check);
    const { text, inputs } = await asked(check, undefined, solution);
    expect(text).toContain(words.kept);
    expect(inputs.every((input) => input.hasAttribute('disabled'))).toBe(true);
  });
});

it('a statement says what the source says of it, whichever way it was judged', async () => {
  expect((await asked(statement, marked(false, 0))).text).toContain(statement.quotes[0].text);
  expect((await asked(statement, marked(true, 1))).text).toContain(statement.quotes[0].text);
});
