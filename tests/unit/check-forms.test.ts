import { beforeAll, describe, expect, it } from 'vitest';
import { blockTexts } from '../../core/blocks/forms';
import { ASKING_FORMS, type AskingForm } from '../../core/checks/check';
import { checkText, type Check, type ChoiceCheck } from '../../core/checks/forms';
import { allLessons, type Course } from '../../core/course/course';
import { evidencedSentences } from '../../core/document/rich-text';
import { draftCourse } from '../../core/draft';
import { aBrief, knowing } from '../builders';

const SOURCE = `# Night desk

## Deposits

Deposits up to 50 pounds stay in the drawer. Sums from 50 to 200 pounds go into the safe before midnight. Anything over 200 pounds is counted by two people.

## Rounds

Before each round:

1. Take the torch and the radio.
2. Lock the desk drawer.
3. Walk every floor from the top down.
4. Look into the kitchen for open taps.
5. Sign the sheet at the back door.

## Arrivals

Check the name against the sheet. Take the deposit in cash or by card. Never say the room number aloud in the lobby. Show the way to the fire door. Do not go back for anything. Guests may leave their bags at the desk. You may open the side door for deliveries.

## Repairs

| Item | Normal | Before a holiday |
| --- | --- | --- |
| Kettle | 2 days | 4 days |
| Lamp | 1 day | 1 day |
| Drill | 5 days | 8 days |
| Mower | 7 days | 14 days |
| Bicycle | 3 days | 6 days |

## Who does what

Desk staff answer the door and the phone. The duty manager decides about late arrivals. The coordinator signs for damaged rooms. Cleaners may open rooms from six on.

## The night in May

One night in May, Tomasz went up alone to a room of six. They shut the door behind him. He waited for 45 minutes before somebody came. He had left the radio on the desk.
`;
let course: Course;
let checks: Check[];
beforeAll(async () => {
  const brief = aBrief({ sourcesOnly: false, size: { questionsPerLesson: 3 } });
  ({ course } = draftCourse(brief, [await knowing(SOURCE)], 'Night desk'));
  checks = course.checks;
});
const of = (form: AskingForm) => checks.filter(({ drafted }) => drafted?.form === form);
const choices = (form: AskingForm) => of(form).filter((check): check is ChoiceCheck => check.kind === 'choice');
const keyOf = ({ options, key }: ChoiceCheck) => options.find(({ id }) => id === key)!.text;

describe('forms of asking', () => {
  it('are many in one course, and each stands on passages of its lesson', () => {
    expect(ASKING_FORMS.filter((form) => of(form).length > 0).length).toBeGreaterThanOrEqual(4);
    for (const check of checks) {
      expect(check.evidence.length, checkText(check)).toBeGreaterThan(0);
      const lesson = allLessons(course).find(({ id }) => id === check.lessonId)!;
      const shown = new Set(
        lesson.blocks
          .flatMap((block) => blockTexts(block).flatMap(evidencedSentences))
          .flatMap(({ mark }) => mark.attrs.passages.map(({ id }) => id)),
      );
      expect(
        check.evidence.every(({ id }) => shown.has(id)),
        checkText(check),
      ).toBe(true);
    }
  });

  it('ask what a band or a row holds, the other rows being wrong', () => {
    const band = choices('lookup').find(({ stem }) => stem.startsWith('Sums from'))!;
    expect(keyOf(band)).toBe('Go into the safe before midnight');
    expect(band.options.map(({ text }) => text).sort()).toEqual([
      'Go into the safe before midnight',
      'Is counted by two people',
      'Stay in the drawer',
    ]);
    for (const { id, feedback } of band.options) expect(feedback.code).toBe(id === band.key ? 'right' : 'other-case');
    const rows = choices('lookup').filter(({ stem }) => stem.includes('Repairs'));
    expect(rows.length).toBeGreaterThan(1);
    expect(rows.length).toBeLessThanOrEqual(4);
    for (const row of rows) expect(new Set(row.options.map(({ text }) => text)).size).toBe(row.options.length);
    expect(new Set(rows.map(({ stem }) => /“(\w+)”\?$/.exec(stem)![1])).size).toBeGreaterThan(1);
  });

  it('ask who does something only where that can be asked in the singular', () => {
    const who = choices('lookup').filter(({ stem }) => stem.startsWith('Who '));
    expect(who.map(({ stem }) => stem)).toContain('Who decides about late arrivals?');
    expect(who.map(({ stem }) => stem).join()).not.toContain('answer the door');
  });

  it('ask what comes next, never with the step itself among the answers', () => {
    const steps = choices('step');
    expect(steps.length).toBeGreaterThan(0);
    for (const { stem, options } of steps) {
      const step = /^“(.*)\.”/.exec(stem)![1];
      expect(options.map(({ text }) => text)).not.toContain(step);
    }
    expect(steps.map((check) => [check.stem, keyOf(check)])).toContainEqual([
      '“Walk every floor from the top down.” What comes next?',
      'Look into the kitchen for open taps',
    ]);
  });

  it('ask what must not be done among what must', () => {
    const [asked] = choices('prohibition');
    expect(asked.stem).toContain('which of these must you not do?');
    expect(keyOf(asked)).toBe('Say the room number aloud in the lobby');
    expect(asked.options.length).toBeGreaterThanOrEqual(3);
  });

  it('turn what is allowed and forbidden, and leave what cannot be turned by its first words', () => {
    const stated = of('permission').map((check) => (check.kind === 'truth' ? [check.stem, check.answer] : []));
    for (const [stem, answer] of stated) {
      if (String(stem).includes('room number')) expect(answer).toBe(String(stem).startsWith('You must not'));
      if (String(stem).includes('side door')) expect(answer).toBe(String(stem).startsWith('You may'));
    }
    expect(stated.map(([stem]) => stem).join()).not.toContain('anything');
  });

  it('ask nothing of what only a story tells', () => {
    expect(checks.map(checkText).join('\n')).not.toMatch(/45 minutes|Tomasz/);
  });
});
