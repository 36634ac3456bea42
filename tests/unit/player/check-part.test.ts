import { parseHTML } from 'linkedom';
import { describe, expect, it } from 'vitest';
import { createSSRApp, h } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { solutionOf, splitCheck } from '../../../core/checks/markings';
import { CHECK_KINDS, type Check } from '../../../core/checks/forms';
import { shown } from '../../../core/learning/shown';
import { isSettled, type Answer } from '../../../core/learning/state';
import { USUAL_RULES } from '../../../core/learning/rules';
import { wordsFor } from '../../../core/words';
import type { PartView } from '../../../player/blocks/part';
import { BY_STEPS } from '../../../player/checks';
import CheckPart from '../../../player/components/CheckPart.vue';
import { A_STATEMENT, EVERY_CHECK, wrongTo } from '../../every-check';

const { words } = wordsFor('en');
const aView: PartView = { words, language: 'en', embeds: [], media: () => '' };
/** The part of a page that asks a check, as it stands after an answer. */
async function asked(check: Check, answer?: Answer, waiting?: unknown) {
  const { view, secret } = splitCheck(check, 'mixed');
  const seen = answer && shown(check.id, answer, { [check.id]: secret }, isSettled(answer, USUAL_RULES));
  const html = await renderToString(
    createSSRApp({
      render: () => h(CheckPart, { check: view, shown: seen, waiting, tries: USUAL_RULES.tries, view: aView }),
    }),
  );
  const { document } = parseHTML(`<!doctype html><html><body>${html}</body></html>`);
  return {
    solution: solutionOf(secret).response,
    wrong: wrongTo(view, secret),
    inputs: [...document.querySelectorAll('input, select, textarea, .moves button, .up-story .up-option')],
    buttons: [...document.querySelectorAll('form > button, form > p > button')].map((button) => button.textContent),
    text: (document.body.textContent ?? '').replace(/\s+/g, ' '),
    html,
    key: [...document.querySelectorAll('.is-key, .good, .mark:not(.no)')].map((each) => each.textContent).join(' '),
  };
}
/** Kinds whose answers learners compare themselves here. */
const COMPARED: ReadonlySet<string> = new Set(['open', 'task']);
const marked = (response: unknown, score: number, tries = 1): Answer => ({ response, score, state: 'marked', tries });

describe.each(CHECK_KINDS)('a check of the kind %s on a page', (kind) => {
  const check = EVERY_CHECK[kind];

  it('asks, says nothing of the answer, and waits for one', async () => {
    const { text, inputs, buttons, key } = await asked(check);
    expect(text).toContain(check.stem);
    expect(inputs.length).toBeGreaterThan(0);
    // Of buttons that move things, those at the ends have nowhere to go.
    expect(inputs.filter((input) => !input.hasAttribute('disabled')).length).toBeGreaterThan(inputs.length / 2);
    // A story is taken step by step, each by its own button.
    expect(buttons).toEqual(BY_STEPS.has(kind) ? [] : [words.answer]);
    expect([key, text.includes(words.right), text.includes(words.wrong)]).toEqual(['', false, false]);
  });

  it('marks a right answer and takes no more', async () => {
    const { solution } = await asked(check);
    const { text, inputs, buttons } = await asked(check, marked(solution, 1));
    expect(text).toContain(COMPARED.has(kind) ? words.feedback.compare : words.right);
    expect(inputs.every((input) => input.hasAttribute('disabled'))).toBe(true);
    expect(buttons).toEqual([]);
  });

  it('keeps the key to itself while there are tries left, and shows it with the last one', async () => {
    const { wrong } = await asked(check);
    if (wrong === undefined) return;
    const once = await asked(check, marked(wrong, 0));
    expect(once.text).toContain(words.wrong);
    expect([once.key, once.buttons]).toEqual(['', [words.again]]);
    const twice = await asked(check, marked(wrong, 0, 2));
    expect(twice.buttons).toEqual([]);
    expect(twice.html).toMatch(/class="[^"]*\b(?:is-key|good|mark)\b/);
  });

  it('says of an answer that is partly right how much, and of one that waits that a person marks it', async () => {
    const { solution } = await asked(check);
    if (!COMPARED.has(kind)) expect((await asked(check, marked(solution, 0.5))).text).toContain('Partly right: 50 %.');
    if (kind === 'scenario') return;
    const waits = await asked(check, { response: solution, score: 0, state: 'waiting', tries: 1 });
    expect(waits.text).toContain(words.toBeMarked);
    expect([waits.key.trim(), waits.text.includes(words.wrong)]).toEqual(['', false]);
  });

  it('keeps an answer that could not be sent', async () => {
    const { solution } = await asked(check);
    const { text, inputs } = await asked(check, undefined, solution);
    expect(text).toContain(words.kept);
    expect(inputs.every((input) => input.hasAttribute('disabled'))).toBe(true);
  });
});

it('says what it weighs, that it must be answered, and what its author says to all', async () => {
  const weighty: Check = { ...A_STATEMENT, points: 3, required: true, said: { wrong: 'Think of the queue.' } };
  expect((await asked(weighty)).text).toContain(`${words.check}, 3 points, ${words.asks.required}`);
  expect((await asked(weighty, marked(false, 0))).text).toContain('Think of the queue.');
});

it('holds an open answer against a good one, and says what that names', async () => {
  const { text } = await asked(EVERY_CHECK.open, marked('I ring.', 1));
  expect(text).toContain(words.feedback.compare);
  expect(text).toContain(EVERY_CHECK.open.model);
  expect(text).toContain(EVERY_CHECK.open.looksFor[0]);
});
