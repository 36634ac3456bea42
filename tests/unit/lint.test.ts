import { describe, expect, it } from 'vitest';
import { checkText, type Check } from '../../core/checks/forms';
import { FRESH } from '../../core/checks/fresh';
import { FLAWS, lintCheck } from '../../core/checks/lints';
import { lintCourse } from '../../core/course/lint';
import { aCourse, anId } from '../builders';
import { EVERY_CHECK } from '../every-check';
import { choice, GOOD, SEALED, SEEN, type Planted } from '../fixtures/flaws';

let nth = 0;
const languageOf = ({ stem }: Check) => (stem.startsWith('Was ') ? 'de' : 'en');
const codes = (check: Check) => lintCheck(check, languageOf(check)).map(({ code }) => code);
/** Flaws that are of a whole course: a question alone does not have them. */
const OF_COURSES = new Set(['same-question', 'not-taught', 'pattern', 'harder']);
const missed = (planted: readonly Planted[]) =>
  planted
    .filter(([code, check]) => !OF_COURSES.has(code) && !codes(check).some((found) => found === code))
    .map(([code, check]) => `${code}: ${checkText(check)}`);

describe('flaws of questions', () => {
  it('are sixty planted ones, each of a kind that is looked for', () => {
    expect(SEEN.length + SEALED.length).toBe(60);
    for (const [code] of [...SEEN, ...SEALED]) expect(FLAWS as readonly string[]).toContain(code);
  });

  it('are found, those too that were not seen while the rules were made', () => {
    expect(missed(SEEN)).toEqual([]);
    expect(missed(SEALED)).toEqual([]);
  });

  it('are none in good questions', () => {
    expect(GOOD.map((check) => [codes(check), checkText(check)]).filter(([found]) => found.length > 0)).toEqual([]);
  });

  it('are words left of a new question, in each kind that has some', () => {
    for (const [kind, fresh] of Object.entries(FRESH)) {
      const check = {
        ...EVERY_CHECK[kind as keyof typeof EVERY_CHECK],
        ...fresh((letter) => anId(`${letter}${nth++}`)),
      } as Check;
      expect(codes(check), kind).toContain(kind === 'open' ? 'no-model' : 'unfinished');
    }
  });

  it('are mended where that can be told, and are gone then', () => {
    const mendable = [...SEEN, ...SEALED].flatMap(([, check]) =>
      lintCheck(check, 'en').flatMap(({ code, mend }) => (mend ? [{ check, code, mend }] : [])),
    );
    expect(new Set(mendable.map(({ code }) => code))).toEqual(
      new Set(['all-of-these', 'alike', 'numbered', 'empty-group']),
    );
    for (const { check, code, mend } of mendable)
      expect(codes({ ...check, ...mend } as Check), checkText(check)).not.toContain(code);
  });

  it('tell a case that is turned round from a question that is', () => {
    expect(codes(choice('If a promise can’t be kept, what do you do?', ['Say so', 'Wait', 'Go home']))).toEqual([]);
    expect(codes(choice('“Not below five degrees.” What comes next?', ['Warm it', 'Sell it', 'Tag it']))).toEqual([]);
    expect(codes(choice('Which tool isn’t lent?', ['The lathe', 'The saw', 'The drill']))).toEqual(['negative']);
  });
});

describe('flaws of the questions of a course', () => {
  it('are those asked twice, before they are taught, and always answered alike', () => {
    const course = aCourse();
    const [lesson] = course.modules[0].lessons;
    const ask = (name: string, more: Partial<Check>): Check =>
      ({ ...EVERY_CHECK.truth, id: anId(name), stem: `The ${name} is shut.`, ...more }) as Check;
    const early = ask('gate', { evidence: [{ id: anId('nowhere'), from: 0, to: 3 }] });
    const many = ['door', 'lid', 'vent', 'hatch', 'flap'].map((name) => ask(name, {}));
    course.checks = [early, ask('twin', { stem: early.stem.toUpperCase() }), ...many];
    lesson.blocks = course.checks.map(({ id }) => ({ id: anId(`at ${id}`), kind: 'check', body: { checkId: id } }));
    const flaws = lintCourse(course);
    const of = (id: string) => flaws.get(id)!.map(({ code }) => code);
    expect(of(early.id)).toContain('not-taught');
    expect(flaws.get(anId('twin'))).toContainEqual({ code: 'same-question', with: early.id });
    for (const { id } of many) expect(of(id)).toContain('pattern');
    course.checks = course.checks.map((check, at) => (at % 2 ? ({ ...check, answer: false } as Check) : check));
    expect(
      lintCourse(course)
        .get(many[0].id)!
        .map(({ code }) => code),
    ).not.toContain('pattern');
  });
});
