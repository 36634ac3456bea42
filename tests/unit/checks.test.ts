import { describe, expect, it } from 'vitest';
import { CHECK_KINDS, checkFields, checkFormOf, checkText, type Check, type CheckKind } from '../../core/checks/forms';
import {
  interactionOf,
  mark,
  packResponse,
  solutionOf,
  splitCheck,
  unpackResponse,
  type Interaction,
} from '../../core/checks/markings';
import { checkHtml } from '../../core/checks/pages';
import type { PageView } from '../../core/blocks/page';
import type { Problem } from '../../core/document/problem';
import { wordsFor } from '../../core/words';
import type { TruthCheck } from '../../core/checks/truth/form';
import { aCheck, anId } from '../builders';

const A_STATEMENT: TruthCheck = {
  id: anId('statement'),
  kind: 'truth',
  lessonId: anId('First one'),
  stem: 'Ladders go back first.',
  answer: true,
  quotes: [],
  evidence: [],
  level: 'recall',
  difficulty: 0.3,
};

/** A check of each kind, what platforms are told of its right answer, and what is no response to it. */
const EVERY_KIND: {
  [Kind in CheckKind]: { check: Extract<Check, { kind: Kind }>; type: Interaction['type']; bad: unknown[] };
} = {
  choice: { check: aCheck('choice'), type: 'choice', bad: ['nothing', '__proto__', 1, null, undefined, {}, []] },
  truth: { check: A_STATEMENT, type: 'true-false', bad: ['true', 0, 1, null, undefined, {}, []] },
};

const view: PageView = {
  rich: () => '',
  cited: (html) => html,
  check: () => '',
  media: () => '',
  words: wordsFor('en').words,
};

describe.each(CHECK_KINDS)('a check of the kind %s', (kind) => {
  const { check, type, bad } = EVERY_KIND[kind];
  const { view: asked, secret } = splitCheck(check, 'mixed');
  const { response } = solutionOf(secret);

  it('has fields of its form, and nothing wrong with them', () => {
    const { required, optional } = checkFields(kind);
    const problems: Problem[] = [];
    const fields = Object.entries(check as unknown as Record<string, unknown>).filter(([field]) => field !== 'kind');
    for (const [field, value] of fields) ({ ...required, ...optional })[field].check(value, field, problems);
    expect(problems).toEqual([]);
    expect(Object.keys(required).filter((field) => !(field in check))).toEqual([]);
    expect(checkFormOf(check).problems?.(check) ?? []).toEqual([]);
    expect(checkFormOf(check).mended?.(check) ?? check).toEqual(check);
  });

  it('gives a learner what is asked, and nothing that tells the answer', () => {
    expect(asked).toMatchObject({ id: check.id, kind, stem: check.stem });
    expect(JSON.stringify(asked)).not.toMatch(/evidence|feedback|"key"|"answer"/);
    // Without the secret nothing of the author's own ids is left in it.
    expect(splitCheck(check, 'mixed')).toEqual({ view: asked, secret });
  });

  it('is worth all for the right response, and what is no response is refused', () => {
    expect(mark(secret, response)).toMatchObject({ score: 1, state: 'marked', feedback: { code: 'right' } });
    for (const none of bad) expect(mark(secret, none), String(none)).toBeUndefined();
    // As it comes back from storage.
    expect(mark(secret, JSON.parse(JSON.stringify(response)))).toMatchObject({ score: 1 });
  });

  it('packs a response into bits and back, and tells platforms of it', () => {
    const bits: number[] = [];
    packResponse(asked, response, {
      put(value, width) {
        for (let bit = width - 1; bit >= 0; bit--) bits.push((value >> bit) & 1);
      },
    });
    expect(bits.length).toBeGreaterThan(0);
    let at = 0;
    const take = (width: number) =>
      Array.from({ length: width }, () => bits[at++] ?? 0).reduce((sum, bit) => sum * 2 + bit, 0);
    expect(unpackResponse(asked, take)).toEqual(response);
    expect(at).toBe(bits.length);
    // Where nothing was kept, nothing is made up.
    expect(unpackResponse(asked, () => 0)).toBeUndefined();
    expect(interactionOf(asked, response)?.type).toBe(type);
  });

  it('is words and a page for its author, with the right answer marked', () => {
    expect(checkText(check)).toContain(check.stem);
    expect(checkText(check)).toContain('✓');
    expect(checkHtml(check, view)).toContain(check.stem);
    expect(checkHtml(check, view)).toContain('class="right"');
  });
});
