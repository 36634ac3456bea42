import { api, type AnswerOf } from '~/client';
import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import { takeOutline } from '~~/core/course/taking';
import { useCourse } from './course';

type Made = AnswerOf<'POST /api/courses/:course/outline'>;

/** A drafted outline that lies beside the course until it is taken or left. */
export const useProposal = defineStore('proposal', () => {
  const desk = useCourse();
  const made = shallowRef<Made | null>(null);
  const busy = ref(false);
  watch(
    () => desk.course?.id,
    () => void (made.value = null),
  );

  async function draft() {
    busy.value = true;
    await desk.settleAll();
    await desk.asking(async () => {
      made.value = await api('POST /api/courses/:course/outline', { course: desk.course!.id });
    });
    busy.value = false;
  }

  /** Takes it as one gesture: what stood there goes to the bin, and undo brings it back. */
  function take() {
    if (!made.value || !desk.course) return;
    if (desk.change('drafted outline', takeOutline(desk.course, made.value.nodes))) made.value = null;
  }
  return { made, busy, draft, take, leave: () => void (made.value = null) };
});
