import { api, type AnswerOf } from '~/client';
import { defineStore } from 'pinia';
import { useLocalStorage } from '@vueuse/core';
import { computed, shallowRef, watch } from 'vue';
import { pagesBeside } from '~~/core/course/takes';
import { useCourse } from './course';

export type Job = AnswerOf<'GET /api/courses/:course/jobs'>[number];
export type JobStep = Job['steps'][number];

/** The long work of the course at hand: the server goes on with it whether or not a window looks. */
export const useJobs = defineStore('jobs', () => {
  const desk = useCourse();
  const jobs = shallowRef<Job[]>([]);
  /** The last ended one that was read and put away. */
  const seen = useLocalStorage<string>('uplift-job-seen', '');
  watch(
    () => desk.course?.id,
    () => void (jobs.value = []),
  );
  let asked = false;
  let asking: Promise<void> | undefined;

  /** Asks how far it is; questions while one is open are asked once behind it. */
  async function load(): Promise<void> {
    if (!desk.course) return;
    if (asking) return void (asked = true);
    asking = api('GET /api/courses/:course/jobs', { course: desk.course.id }).then(
      (answer) => void (jobs.value = answer),
      () => undefined,
    );
    await asking;
    asking = undefined;
    if (asked) {
      asked = false;
      await load();
    }
  }

  const running = computed(() => jobs.value.filter((job) => job.state === 'running'));
  /** Everything that waits or is being worked on, by the id of what it is, with which of the two. */
  const waiting = computed(
    () =>
      new Map(
        running.value.flatMap((job) =>
          job.steps
            .filter((step) => step.state === 'waiting')
            .map((step) => [step.item, job.now.includes(step.item) ? ('now' as const) : ('waiting' as const)]),
        ),
      ),
  );
  const progress = computed(() => {
    const steps = running.value.flatMap((job) =>
      job.steps.map((step) => ({ ...step, now: job.now.includes(step.item) })),
    );
    return {
      done: steps.filter((step) => step.state !== 'waiting').length,
      of: steps.length,
      title: steps.find((step) => step.now && step.state === 'waiting')?.title,
      /** What did not work at once and is tried again. */
      again: steps.find((step) => step.state === 'waiting' && step.problem)?.problem?.message,
    };
  });
  /** The last job that ended with something to say, until it is put away. */
  const ended = computed(() => {
    const last = jobs.value.at(-1);
    return last && last.state !== 'running' && last.id !== seen.value ? last : undefined;
  });
  /** What jobs could not do, or kept beside a lesson; as long as it holds, and until it is put away. */
  const remarks = computed(() =>
    jobs.value.filter((job) => job.id !== seen.value).flatMap((job) => job.steps.filter(holds)),
  );
  /** How many steps of the ended job can be gone on with. */
  const left = computed(
    () =>
      ended.value?.steps.filter((step) => (step.state === 'failed' || step.state === 'stopped') && isThere(step))
        .length ?? 0,
  );
  const isThere = ({ item }: JobStep) => desk.lessons.some((lesson) => lesson.id === item);
  const holds = (step: JobStep) =>
    isThere(step) &&
    (step.state === 'failed' ||
      (step.state === 'kept' && pagesBeside(desk.course!, step.item).some((take) => take.made.why === 'draft')));

  const change = (job: string, how: 'POST' | 'DELETE') =>
    desk.asking(
      async () =>
        void (jobs.value = await api(`${how} /api/courses/:course/jobs/:job`, { course: desk.course!.id, job })),
    );
  async function draft(lessons: readonly string[]): Promise<void> {
    await desk.settleAll();
    await desk.asking(async () => {
      const given = { course: desk.course!.id, body: { lessons: [...lessons] } };
      jobs.value = (await api('POST /api/courses/:course/jobs', given)).jobs;
    });
  }
  async function stop(): Promise<void> {
    for (const job of running.value) await change(job.id, 'DELETE');
  }
  /** Goes on with what of the ended job failed or was stopped. */
  async function again(): Promise<void> {
    if (ended.value) await change(ended.value.id, 'POST');
  }
  return {
    jobs,
    running,
    waiting,
    progress,
    ended,
    remarks,
    left,
    load,
    draft,
    stop,
    again,
    putAway: () => void (seen.value = jobs.value.at(-1)?.id ?? ''),
  };
});
