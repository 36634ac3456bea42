import { describe, expect, it } from 'vitest';
import { area, asRead, inPicture, lettersOf, type AreaCheck } from '../../core/checks/area/form';
import { harderChecks } from '../../core/check/harder';
import { lintCheck } from '../../core/checks/lints';
import { splitCheck } from '../../core/checks/markings';
import { packFor } from '../../server/language/packs';
import { aCourse, aLesson, anId } from '../builders';
import { AREA, another, SEVERAL } from '../every-check';

describe('areas of a picture', () => {
  it('stay within it, however they are drawn', () => {
    expect(inPicture({ x: 95, y: -4, width: 20, height: 1 })).toEqual({ x: 80, y: 0, width: 20, height: 4 });
    expect(inPicture({ x: 33.333, y: 12.345, width: 250, height: 10 })).toEqual({
      x: 0,
      y: 12.3,
      width: 100,
      height: 10,
    });
    const out: AreaCheck = {
      ...AREA,
      options: AREA.options.map((each, at) => (at ? each : { ...each, box: { ...each.box, x: 90 } })),
    };
    expect(area.problems!(out)).toEqual(['outside-picture']);
    expect(area.problems!(AREA)).toEqual([]);
  });

  it('have their letters by rows, the same for author and learner, and say nothing of the key', () => {
    expect(asRead(AREA.options).map(({ text }) => text)).toEqual(['The grip', 'The blade', 'The vice']);
    expect(lettersOf(AREA.options).get(AREA.keys[0])).toBe('B');
    const { view } = splitCheck(AREA, 'mixed');
    const turned = { ...AREA, options: [...AREA.options].reverse() };
    expect(splitCheck(turned, 'mixed').view).toEqual(view);
    expect(JSON.stringify(view)).not.toContain('keys');
    // The picture is shown once, with its areas.
    expect(JSON.parse(JSON.stringify(view))).toMatchObject({
      ground: { alt: 'The bench with two tools on it' },
      one: true,
    });
    expect(JSON.parse(JSON.stringify(view))).not.toHaveProperty('picture');
  });

  it('need a picture, and more than right ones', () => {
    const codes = (check: AreaCheck) =>
      lintCheck({ ...check, evidence: [{ id: anId('p'), start: 0, end: 1 }] as never }, 'en').map(({ code }) => code);
    expect(codes({ ...AREA, said: { wrong: 'Look again.' } })).toEqual([]);
    const { picture, ...bare } = AREA;
    expect(picture).toBeDefined();
    expect(codes(bare as AreaCheck)).toContain('no-picture');
    expect(codes({ ...AREA, keys: AREA.options.map(({ id }) => id) })).toContain('all-right');
  });
});

describe('questions that read much harder than their pages', () => {
  const grade = packFor('en').grade!;
  const hard = {
    ...another(SEVERAL, 'hard', anId('home')),
    stem: 'Notwithstanding considerations regarding proportionality, which circumstances necessitate the immediate discontinuation of equipment utilisation by unauthorised individuals?',
  };
  const plain = {
    ...another(SEVERAL, 'plain', anId('home')),
    stem: 'Which of these do you put on before you start the saw in the yard?',
  };
  const lesson = {
    ...aLesson('Home'),
    blocks: [hard, plain].map(({ id }) => ({ id: anId(`b ${id}`), kind: 'check' as const, body: { checkId: id } })),
  };

  it('are named, plain ones are not, nor those that no lesson asks', () => {
    const course = { ...aCourse(), checks: [hard, plain] };
    expect(harderChecks(course, lesson, 6, grade)).toEqual([hard.id]);
    expect(harderChecks(course, { ...lesson, blocks: [] }, 6, grade)).toEqual([]);
    // Where pages read as hard, nothing is said.
    expect(harderChecks(course, lesson, 30, grade)).toEqual([]);
  });
});
