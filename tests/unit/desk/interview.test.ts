import { describe, expect, it } from 'vitest';
import { beginPlan, planFor } from '../../../core/brief/plans';
import { allLessons } from '../../../core/course/course';
import type { Operation } from '../../../core/course/operations';
import { aBriefInput, aChange, anInstallation, INES } from '../../data';
import { anId } from '../../builders';
import { startDrafting } from '../../../server/jobs/drafting';

const { desk } = anInstallation();
const make = (id: string, operations: readonly Operation[]) => {
  const posted = desk.courses.post(
    id,
    operations.map((operation) => aChange(operation)),
    0,
  );
  expect(posted.refused).toEqual([]);
};
const STEPS =
  '1. Open the ladder on firm ground.\n2. Lock both hinges before anybody climbs it.\n3. Shake it by the side rails.\n4. Let the borrower climb two rungs and come down again.\n5. Write the number of the ladder on the slip.\n\nIf a hinge does not lock, the volunteer must put the ladder aside and hang a red tag on it. Nobody may climb higher than the third rung from the top, because the ladder tips there.';

describe('a course from what its author knows', () => {
  it('is planned with open slots, answered, and drafted from the answers alone', async () => {
    const id = desk.courses.create('Handing out ladders', aBriefInput(), INES);
    make(id, beginPlan(desk.courses.load(id).course, planFor('task', 'handing out a ladder', 'en'), 'seed'));
    await expect(desk.interview.bring(id, INES)).rejects.toMatchObject({ problem: { code: 'nothing-answered' } });
    expect(await desk.interview.view(id)).toMatchObject({ fresh: true, understood: {} });
    const { course } = desk.courses.load(id);
    const slot = course.answers!.find((answer) => answer.topic === 'Step by step')!;
    make(id, [{ type: 'set', id: slot.id, field: 'text', value: STEPS, was: '' }]);
    expect((await desk.interview.view(id)).fresh).toBe(false);
    const view = await desk.interview.bring(id, INES);
    expect(view.fresh).toBe(true);
    expect(view.understood[slot.question].claims).toMatchObject({ step: 5, rule: expect.any(Number) });
    const lesson = allLessons(desk.courses.load(id).course).find((each) => each.id === slot.lesson)!;
    expect(lesson.plannedPassages).toHaveLength(view.understood[slot.question].passages);
    startDrafting(desk, id, [lesson.id], INES);
    await desk.jobs.idle();
    const drafted = allLessons(desk.courses.load(id).course).find((each) => each.id === lesson.id)!;
    expect(drafted.blocks.map((block) => block.kind)).toContain('steps');
    // A lesson whose slots are open has nothing to be drafted from, and says so.
    const open = allLessons(desk.courses.load(id).course)[0];
    expect(open.blocks).toEqual([]);
    await desk.search.filled();
    expect((await desk.search.find('hinge', desk.sources.keys(id))).found.length).toBeGreaterThan(0);
  });

  it('follows the answers as they change, and forgets nothing of other sources', async () => {
    const id = desk.courses.create('Ladders', aBriefInput(), INES);
    const lessonId = anId('lesson');
    make(id, [
      {
        type: 'insert',
        kind: 'module',
        parent: id,
        after: null,
        node: {
          id: anId('module'),
          title: 'M',
          purpose: '',
          objectiveIds: [],
          lessons: [
            {
              id: lessonId,
              title: 'L',
              kind: 'lesson',
              objectiveIds: [],
              state: 'blank',
              plannedPassages: [anId('other')],
              blocks: [],
            },
          ],
        },
      },
    ]);
    const node = {
      id: anId('slot'),
      topic: 'L',
      question: 'What must be checked?',
      text: 'Check the foot of every ladder before it leaves.',
      lesson: lessonId,
    };
    make(id, [{ type: 'insert', kind: 'answer', parent: id, after: null, node }]);
    await desk.interview.bring(id, INES);
    const planned = () => allLessons(desk.courses.load(id).course)[0].plannedPassages;
    const [other, first] = planned();
    expect(other).toBe(anId('other'));
    make(id, [
      {
        type: 'set',
        id: node.id,
        field: 'text',
        value: 'Check the rungs, one by one, with your hand.',
        was: node.text,
      },
    ]);
    await desk.interview.bring(id, INES);
    expect(planned()).toHaveLength(2);
    expect(planned()).not.toContain(first);
    expect(desk.sources.ofCourse(id)).toHaveLength(1);
    // Taken off and brought again, it is the same source still.
    const [row] = desk.sources.ofCourse(id);
    desk.sources.detach(id, row.id);
    expect((await desk.interview.view(id)).fresh).toBe(false);
    await desk.interview.bring(id, INES);
    expect(desk.sources.ofCourse(id).map((each) => each.id)).toEqual([row.id]);
  });
});
