import { describe, expect, it } from 'vitest';
import { suggestMarks, type Held } from '../../core/grading/suggest';
import { markedTasks, nearness } from '../../eval/marking';
import { packFor } from '../../server/language/packs';

const english = packFor('en');
const levels = ['All of it', 'A part', 'Nothing'].map((text, at) => ({ id: `l${at}`, text, points: 2 - at }));
const held = (...texts: string[]): Held => ({
  criteria: texts.map((text, at) => ({ id: `c${at}`, text, levels })),
  model: '',
  prompt: 'Write what you do. The pump in the cellar leaks, and a visitor stands beside it.',
});
const given = (of: Held, text: string, language = english) =>
  suggestMarks(of, text, language).map(({ level }) => Number(level.slice(1)));

describe('suggested marks', () => {
  it.each(['open', 'sealed'])('are near those given by hand, and never far from them (%s half)', (half) => {
    const { all, same, far, sure, sureSame, always } = nearness(markedTasks(half), english);
    expect(all).toBe(120);
    expect(same / all).toBeGreaterThanOrEqual(0.7);
    expect(far / all).toBeLessThanOrEqual(0.03);
    // Better than saying the same of all, and better still where they are sure.
    expect(same).toBeGreaterThan(Math.max(...Object.values(always)));
    expect(sureSame / sure).toBeGreaterThan(same / all);
  });

  const task = held('Turn the main valve off within two minutes.', 'Ask the visitor to leave the cellar.');

  it('give nothing for what is empty, copied from the task or its criteria, or off its matter', () => {
    for (const text of [
      '',
      '   ',
      '.',
      task.prompt,
      'The pump in the cellar leaks, and a visitor stands beside it.',
      'Turn the main valve off within two minutes. Ask the visitor to leave the cellar.',
      'All of it. A part. Nothing.',
      'Our choir sings on Tuesdays, and in the summer we go to the lake with two boats.',
      'a'.repeat(5000),
      '0'.repeat(3000),
    ])
      expect(given(task, text), text.slice(0, 40)).toEqual([2, 2]);
  });

  it('name the words that earned a level, and what of it was not found', () => {
    const [valve, visitor] = suggestMarks(
      task,
      'I run to the main valve and turn it off in under two minutes. Then I make tea.',
      english,
    );
    expect(valve).toMatchObject({ level: 'l0', missing: [], sure: true });
    expect(valve.words).toEqual(['I run to the main valve and turn it off in under two minutes.']);
    expect(visitor).toMatchObject({ level: 'l2', words: [], missing: [] });
    const [late] = suggestMarks(task, 'I turn the main valve off when I have time.', english);
    expect(late.level).not.toBe('l0');
    expect(late.missing).toContain('two');
  });

  it('say that they are not sure of another figure, and of what is denied', () => {
    const [other] = suggestMarks(task, 'I turn the main valve off within twenty minutes.', english);
    expect(other).toMatchObject({ level: 'l1', sure: false });
    const [, denied] = suggestMarks(task, 'I do not ask the visitor to leave the cellar.', english);
    expect([denied.level === 'l0', denied.sure]).toEqual([false, false]);
  });

  it('find the same said in the words of the model answer', () => {
    const other = { ...held('Secure the area.'), model: 'I put the cones out and stretch the tape across the door.' };
    expect(given({ ...other, model: '' }, 'I stretch the tape across the door.')).toEqual([2]);
    const linked = { ...other, model: 'I secure the area: cones out, tape across the door.' };
    expect(given(linked, 'Cones out, tape across the door, so that the area is closed.')[0]).toBeLessThan(2);
  });

  it('go by what levels are worth, in whatever order they stand', () => {
    const turned = { ...task, criteria: task.criteria.map((each) => ({ ...each, levels: [...levels].reverse() })) };
    expect(given(turned, 'I turn the main valve off within two minutes.')).toEqual([0, 2]);
    expect(given(turned, '')).toEqual([2, 2]);
  });

  it('work with two levels and with five, and in a language that is not understood', () => {
    const two: Held = { ...task, criteria: [{ ...task.criteria[0], levels: [levels[0], levels[2]] }] };
    expect(given(two, 'I turn the main valve off within two minutes, at once.')).toEqual([0]);
    expect(given(two, 'I look at the valve.')).toEqual([2]);
    const five = Array.from({ length: 5 }, (_, at) => ({ id: `l${at}`, text: `${5 - at}`, points: 4 - at }));
    const [part] = given({ ...task, criteria: [{ ...task.criteria[0], levels: five }] }, 'I look at the main valve.');
    expect([1, 2, 3]).toContain(part);
    const german = held('Das Hauptventil innerhalb von 2 Minuten schließen.');
    expect(given(german, 'Ich schließe innerhalb von 2 Minuten das Hauptventil im Keller.', packFor('de'))).toEqual([
      0,
    ]);
    expect(given(german, 'Ich rufe an.', packFor('de'))).toEqual([2]);
  });
});
