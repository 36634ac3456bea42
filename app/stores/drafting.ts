import { defineStore } from 'pinia';
import { useLocalStorage } from '@vueuse/core';
import { computed, shallowRef, watch } from 'vue';
import { pagesBeside } from '~~/core/course/takes';
import { useCourse } from './course';

export type StepState = 'waiting' | 'done' | 'kept' | 'failed' | 'stopped';

/** Drafting under way, or the last one: the server goes on with it whether or not a window looks. */
export interface DraftingJob {
  id: string;
  state: 'running' | 'done' | 'stopped';
  made_at: number;
  now?: string;
  steps: { lesson_id: string; title: string; state: StepState; problem: { code: string; message: string } | null }[];
}

/** The drafting of the course at hand. */
export const useDrafting = defineStore('drafting', () => {
  const desk = useCourse();
  const jobs = shallowRef<DraftingJob[]>([]);
  /** The last ended one that was read and put away. */
  const seen = useLocalStorage<string>('uplift-drafting-seen', '');
  watch(
    () => desk.course?.id,
    () => void (jobs.value = []),
  );
  let asked = false;
  let asking: Promise<void> | undefined;

  const at = () => `/api/courses/${desk.course!.id}/jobs`;
  /** Asks how far it is; questions while one is open are asked once behind it. */
  async function load(): Promise<void> {
    if (!desk.course) return;
    if (asking) return void (asked = true);
    asking = $fetch<DraftingJob[]>(at()).then(
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
  /** Every lesson that waits or is being drafted, with which of the two. */
  const waiting = computed(
    () =>
      new Map(
        running.value.flatMap((job) =>
          job.steps
            .filter((step) => step.state === 'waiting')
            .map((step) => [step.lesson_id, job.now === step.lesson_id ? ('now' as const) : ('waiting' as const)]),
        ),
      ),
  );
  const steps = computed(() => running.value.flatMap((job) => job.steps));
  const progress = computed(() => {
    const done = steps.value.filter((step) => step.state !== 'waiting').length;
    return {
      done,
      of: steps.value.length,
      title: running.value.map((job) => job.steps.find((step) => step.lesson_id === job.now)?.title).find(Boolean),
    };
  });
  /** What the last drafting could not do, or kept beside a lesson; as long as it holds, and until it is put away. */
  const remarks = computed(() =>
    jobs.value.filter((job) => job.id !== seen.value).flatMap((job) => job.steps.filter(holds)),
  );
  function holds({ state, lesson_id }: DraftingJob['steps'][number]): boolean {
    if (!desk.lessons.some((lesson) => lesson.id === lesson_id)) return false;
    return (
      state === 'failed' ||
      (state === 'kept' && pagesBeside(desk.course!, lesson_id).some((take) => take.made.why === 'draft'))
    );
  }

  async function draft(lessons: readonly string[]): Promise<void> {
    await desk.settleAll();
    await desk.asking(async () => {
      jobs.value = (await $fetch<{ jobs: DraftingJob[] }>(at(), { method: 'POST', body: { lessons } })).jobs;
    });
  }
  async function stop(): Promise<void> {
    for (const job of running.value)
      await desk.asking(
        async () => void (jobs.value = await $fetch<DraftingJob[]>(`${at()}/${job.id}`, { method: 'DELETE' })),
      );
  }
  return {
    jobs,
    running,
    waiting,
    progress,
    remarks,
    load,
    draft,
    stop,
    putAway: () => void (seen.value = jobs.value.at(-1)?.id ?? ''),
  };
});
