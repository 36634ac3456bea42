import { api } from '~/client';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Account } from '~~/core/review/account';
import { isHarmless } from '~~/core/course/left-out-words';
import { useCourse } from './course';

export type AccountView = Account & { notShown: number };
export type LeftOutView = Account['leftOut'][number];

/** What the course at hand holds of its sources, and what not; asked for when it is looked at. */
export const useAccount = defineStore('account', () => {
  const desk = useCourse();
  const found = shallowRef<AccountView | null>(null);
  /** Whether it was looked for: still looking, found, or asked for in vain. */
  const looked = ref<'looking' | 'found' | 'failed'>('looking');
  watch(
    () => desk.course?.id,
    () => void (found.value = null),
  );
  let asked = 0;

  async function load() {
    const [mine, id] = [++asked, desk.course!.id];
    looked.value = 'looking';
    await desk.settleAll();
    const answer = await api('GET /api/courses/:course/account', { course: id }).catch(() => undefined);
    if (mine !== asked || desk.course?.id !== id) return;
    found.value = answer ?? found.value;
    looked.value = answer ? 'found' : 'failed';
  }

  /** What was given to a lesson since is on its way back. */
  const given = computed(() => new Set(desk.lessons.flatMap((lesson) => lesson.given ?? [])));
  const open = computed(() =>
    (found.value?.leftOut ?? []).filter((line) => !line.passages.every((range) => given.value.has(range.id))),
  );
  const missed = computed(() => open.value.filter((line) => !isHarmless(line.reason)));
  const harmless = computed(() => open.value.filter((line) => isHarmless(line.reason)));
  return { found, looked, load, open, missed, harmless };
});
