<script setup lang="ts">
import { addressOf, api } from '~/client';
import { useEventListener } from '@vueuse/core';
import { useActions } from '~/actions/registry';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useJobs } from '~/stores/jobs';
import { useFigures } from '~/stores/figures';
import { useStale } from '~/stores/stale';
import { useReleases } from '~/stores/releases';

const route = useRoute();
const desk = useCourse();
const figures = useFigures();
const jobs = useJobs();
const releases = useReleases();
const stale = useStale();
const sources = ref(0);
const missing = ref<Trouble | null>(null);
const id = computed(() => String(route.params.course));
const selected = computed(() => (route.params.lesson ? String(route.params.lesson) : undefined));

watch(
  id,
  async (course) => {
    missing.value = null;
    try {
      await desk.open(course);
      void figures.load();
      void countSources();
      // The editor is heavy and wanted sooner or later: it comes while nothing else is done, so that the first lesson
      // opens as fast as the next.
      requestIdleCallback(
        () =>
          void Promise.allSettled([
            preloadRouteComponents(`/course/${course}/lessons/any`),
            import('~/components/lesson/Editor.vue'),
          ]),
      );
    } catch (error) {
      missing.value = troubleOf(error);
    }
  },
  { immediate: true },
);
/** One's own part in the course is given up; its last author stays one, which the server says. */
const mayLeave = ref(true);
async function leaveCourse() {
  await desk.settleAll();
  if (await desk.asking(async () => void (await api('DELETE /api/courses/:course/membership', { course: id.value }))))
    await navigateTo('/');
}
/**
 * Hears that sources came, went or changed: their number, and what of the course stands on words that are not there any
 * more.
 */
async function countSources() {
  void stale.load();
  // What could not be counted stays as it was known.
  sources.value =
    (await api('GET /api/courses/:course/sources', { course: id.value }).catch(() => undefined))?.length ??
    sources.value;
}
provide('sources-changed', countSources);

useNews(() => (desk.course?.id === id.value ? id.value : undefined), {
  course: (revision) => void desk.hear(revision),
  job: () => void jobs.load(),
  learners: () => void (releases.learners && releases.loadLearners()),
});
useEventListener(document, 'visibilitychange', () => void desk.settleAll());
// What this browser cannot keep is not left without a question.
useEventListener(window, 'beforeunload', (event) => {
  desk.flushTyping();
  if (desk.saving !== 'saved' && !desk.kept) event.preventDefault();
});
// Before anything of it goes: fields and editors still know where their words belong.
onBeforeRouteLeave(() => void desk.leave());
useShown();
/** Finding and replacing, over the whole course. */
const replacing = ref(false);
const bar = ref<{ focus: () => void } | null>(null);
useActions([
  {
    id: 'course-leave',
    label: 'Leave this course',
    area: 'Course',
    when: () => !desk.mayEdit || mayLeave.value,
    run: () => void leaveCourse(),
  },
  {
    id: 'replace',
    label: 'Find and replace',
    key: 'Alt+Shift+F',
    area: 'Course',
    run() {
      bar.value?.focus();
      replacing.value = true;
    },
  },
  {
    id: 'undo',
    label: 'Undo',
    key: 'Ctrl+Z',
    area: 'Course',
    when: () => desk.undoWhat !== undefined,
    run: () => void desk.undo(),
  },
  {
    id: 'redo',
    label: 'Do again',
    key: 'Ctrl+Shift+Z',
    area: 'Course',
    when: () => desk.redoWhat !== undefined,
    run: () => void desk.redo(),
  },
  {
    id: 'export',
    label: 'Save as an archive',
    area: 'Course',
    run: () => void window.location.assign(addressOf('GET /api/courses/:course/archive', { course: id.value })),
  },
]);
useHead({ title: () => `${desk.course?.title ?? 'Course'} – Uplift Path` });
</script>

<template>
  <div class="course">
    <ShellTopBar :title="desk.course?.title ?? ''" />
    <p v-if="missing" class="empty">{{ missing.message }} <NuxtLink class="link" to="/">All courses</NuxtLink></p>
    <template v-else-if="desk.course && desk.course.id === id">
      <PathPatterns />
      <PathProfile v-if="desk.lessons.length" :selected="selected" />
      <ShellTroubleLine v-model="desk.trouble" />
      <ShellConflicts />
      <ShellJobsLine />
      <ShellStuckLine />
      <ShellReplaceBar v-if="replacing" ref="bar" @close="replacing = false" />
      <div class="columns">
        <ShellStepsList :sources="sources" />
        <main id="work" class="work"><NuxtPage /></main>
      </div>
    </template>
  </div>
</template>

<style scoped>
.course {
  display: flex;
  flex-direction: column;
  height: 100vh;
}
.columns {
  flex: 1;
  display: flex;
  min-height: 0;
}
.work {
  flex: 1;
  min-width: 0;
  display: flex;
  background: var(--sheet);
}
@media (max-width: 820px) {
  .course {
    height: auto;
    min-height: 100vh;
  }
  .columns {
    flex-direction: column;
  }
}
</style>
