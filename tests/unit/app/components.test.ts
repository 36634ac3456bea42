// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import FieldInPlace from '../../../app/components/field/InPlace.vue';
import ListTable from '../../../app/components/list/Table.vue';
import JobsLine from '../../../app/components/shell/JobsLine.vue';
import { useCourse } from '../../../app/stores/course';
import { useJobs, type Job } from '../../../app/stores/jobs';
import { aCourse } from '../../builders';

const { api } = vi.hoisted(() => ({ api: vi.fn() }));
vi.mock('../../../app/client', () => ({ api, addressOf: () => '' }));

beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
});
afterEach(() => void vi.useRealTimers());

describe('a text edited in place', () => {
  function aField(props: { value: string; required?: boolean; lines?: boolean }, taken: boolean | void = undefined) {
    const saved: [words: string, was: string][] = [];
    const field = mount(FieldInPlace, {
      props: { ...props, save: (words: string, was: string) => (saved.push([words, was]), taken) },
      attachTo: document.body,
    });
    const box = field.find<HTMLInputElement>('input, textarea');
    const type = (words: string) => box.setValue(words);
    return { field, box, type, saved, text: () => box.element.value };
  }

  it('gives its words away after a rest, once, with what stood there before', async () => {
    const { box, type, saved } = aField({ value: 'Keys' });
    await box.trigger('focus');
    await type('Keys a');
    await vi.advanceTimersByTimeAsync(300);
    await type('Keys and');
    await vi.advanceTimersByTimeAsync(500);
    expect(saved).toEqual([]);
    await vi.advanceTimersByTimeAsync(200);
    expect(saved).toEqual([['Keys and', 'Keys']]);
    await box.trigger('blur');
    expect(saved).toHaveLength(1);
  });

  it('keeps what is typed when the course says something else meanwhile, and shows that once it has given it', async () => {
    const { field, box, type, saved, text } = aField({ value: 'Keys' }, false);
    await box.trigger('focus');
    await type('Keys of mine');
    await field.setProps({ value: 'Keys of another' });
    expect(text()).toBe('Keys of mine');
    await box.trigger('blur');
    expect(saved).toEqual([['Keys of mine', 'Keys']]);
    await nextTick();
    expect(text()).toBe('Keys of another');
  });

  it('says that it holds words until it gave them, and gives them when the desk asks or it goes', async () => {
    const desk = useCourse();
    const flushers: (() => void)[] = [];
    vi.spyOn(desk, 'onFlush').mockImplementation((flusher) => {
      flushers.push(flusher);
      return () => undefined;
    });
    const { field, type, saved } = aField({ value: 'Keys' });
    await type('Keys!');
    expect(desk.typing).toBe(1);
    flushers.forEach((flush) => flush());
    expect([saved.length, desk.typing]).toEqual([1, 0]);
    await type('Keys!!');
    field.unmount();
    expect(saved.at(-1)?.[0]).toBe('Keys!!');
    expect(desk.typing).toBe(0);
  });

  it('goes back by Escape to how it was found, and brings back what must not be empty', async () => {
    const { field, box, type, saved, text } = aField({ value: 'Keys', required: true });
    await box.trigger('focus');
    await type('Kyes');
    await vi.advanceTimersByTimeAsync(700);
    await field.setProps({ value: 'Kyes' });
    await box.trigger('keydown', { key: 'Escape' });
    expect([text(), saved.at(-1)?.[0]]).toEqual(['Keys', 'Keys']);
    await field.setProps({ value: 'Keys' });
    await type('  ');
    await vi.advanceTimersByTimeAsync(700);
    await box.trigger('blur');
    await nextTick();
    expect(text()).toBe('Keys');
    expect(saved.map(([words]) => words)).toEqual(['Kyes', 'Keys']);
  });
});

describe('a list', () => {
  const ROWS = [
    { id: 'a', title: 'Ladders', minutes: 9 },
    { id: 'b', title: 'Batteries', minutes: 12 },
    { id: 'c', title: 'Late returns', minutes: 3 },
  ];
  type Row = (typeof ROWS)[number];
  const aList = (chosen: string[] = []) => {
    const list = mount(ListTable, {
      props: {
        rows: ROWS,
        columns: [
          { key: 'title', label: 'Lesson', value: (row: Row) => row.title },
          { key: 'minutes', label: 'Min', value: (row: Row) => row.minutes, number: true, down: true },
          { key: 'out', label: 'Take out', hidden: true },
        ],
        label: 'Lessons',
        nameOf: (row: Row) => row.title,
        chosen,
        'onUpdate:chosen': (next: string[]) => list.setProps({ chosen: next }),
        sorting: [],
        'onUpdate:sorting': (next: { id: string; desc: boolean }[]) => list.setProps({ sorting: next }),
      },
      slots: { out: '<template #out="{ row }"><i>{{ row.title }}!</i></template>' },
    });
    const titles = () => list.findAll('tbody tr').map((row) => row.findAll('td')[1]?.text());
    const by = (label: string) => list.findAll('th button').find((button) => button.text().startsWith(label))!;
    return { list, titles, by };
  };

  const chosenIn = (list: { props(): object }) => (list.props() as { chosen: string[] }).chosen;

  it('stands as it came, sorts by a click on a name, numbers from the largest, and says how', async () => {
    const { list, titles, by } = aList();
    expect(titles()).toEqual(['Ladders', 'Batteries', 'Late returns']);
    await by('Lesson').trigger('click');
    expect(titles()).toEqual(['Batteries', 'Ladders', 'Late returns']);
    expect(list.findAll('th').map((head) => head.attributes('aria-sort'))).toEqual([
      undefined,
      'ascending',
      undefined,
      undefined,
    ]);
    await by('Min').trigger('click');
    expect(titles()).toEqual(['Batteries', 'Ladders', 'Late returns']);
    await by('Min').trigger('click');
    expect(titles()).toEqual(['Late returns', 'Ladders', 'Batteries']);
    expect(list.find('caption').text()).toBe('Lessons');
    expect(list.find('i').text()).toBe('Late returns!');
    expect(by('Take out')).toBeUndefined();
  });

  it('shows what fits the words, and says when nothing does', async () => {
    const { list, titles } = aList();
    await list.setProps({ search: ' LA' });
    expect(titles()).toEqual(['Ladders', 'Late returns']);
    await list.setProps({ search: 'ladles' });
    expect(list.text()).toContain('Nothing fits “ladles”');
  });

  it('has rows chosen one by one and all at once, by their names', async () => {
    const { list } = aList(['b']);
    const box = (label: string) => list.find(`[aria-label="${label}"]`);
    expect(box('Choose Batteries').attributes('aria-checked')).toBe('true');
    await box('Choose Ladders').trigger('click');
    expect(chosenIn(list)).toEqual(expect.arrayContaining(['a', 'b']));
    await box('Choose all').trigger('click');
    expect(chosenIn(list)).toHaveLength(3);
  });
});

describe('the line of long work', () => {
  /** The line over a course, with a job as the server tells it. */
  function aLine(job: Partial<Omit<Job, 'steps'>> & { steps: Partial<Job['steps'][number]>[] }) {
    localStorage.clear();
    const desk = useCourse();
    desk.$patch({ course: aCourse(), role: 'author' } as never);
    const lessons = desk.lessons;
    const steps = job.steps.map((step, position) => ({
      position,
      item: lessons[position]!.id,
      title: lessons[position]!.title,
      state: 'waiting' as const,
      problem: null,
      attempts: 0,
      due_at: 0,
      result: null,
      ...step,
    }));
    const whole: Job = {
      id: 'j1',
      kind: 'drafting',
      state: 'running',
      made_at: 1,
      ended_at: null,
      now: [],
      ...job,
      steps,
    };
    useJobs().jobs = [whole];
    api.mockReset().mockResolvedValue([whole]);
    const line = mount(JobsLine, { global: { stubs: { NuxtLink: { template: '<a><slot /></a>' } } } });
    const press = (name: string) =>
      line
        .findAll('button')
        .find((button) => button.text() === name)!
        .trigger('click');
    return { line, press, lessons, course: desk.course!.id };
  }

  it('says how far it is, what it is at, and what is tried again; and stops it', async () => {
    const { line, press, lessons, course } = aLine({
      steps: [{ state: 'done' }, { problem: { code: 'fault', message: 'Something broke.' }, attempts: 1 }, {}],
      now: ['none'],
    });
    expect(line.text()).toContain('1 of 3 drafted');
    expect(line.text()).toContain('Tried again soon: Something broke.');
    useJobs().jobs = [{ ...useJobs().jobs[0]!, now: [lessons[2]!.id] }];
    await nextTick();
    expect(line.text()).toContain(`now “${lessons[2]!.title}”`);
    await press('Stop');
    expect(api).toHaveBeenCalledWith('DELETE /api/courses/:course/jobs/:job', { course, job: 'j1' });
  });

  it('says what was stopped or failed, and goes on with it; put away, it is gone', async () => {
    const { line, press, lessons, course } = aLine({
      state: 'stopped',
      steps: [{ state: 'failed', problem: { code: 'fault', message: 'Something broke.' } }, { state: 'stopped' }],
    });
    expect(line.text()).toContain('Stopped: 2 lessons are as before.');
    expect(line.text()).toContain(`${lessons[0]!.title}: not drafted. Something broke.`);
    await press('Go on');
    expect(api).toHaveBeenCalledWith('POST /api/courses/:course/jobs/:job', { course, job: 'j1' });
    await press('Put away');
    await nextTick();
    expect(line.text()).toBe('');
  });
});
