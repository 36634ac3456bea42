<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { placedChecks } from '~~/core/course/course';
import { useCourse } from '~/stores/course';

/** The steps of the work, with what is in each. */
const go = useGo();
const props = defineProps<{ sources: number }>();
const desk = useCourse();
const root = computed(() => `/course/${desk.course?.id}`);
const steps = computed(() => [
  { path: 'brief', label: 'Brief', key: 'Alt+1', count: '' },
  { path: 'sources', label: 'Sources', key: 'Alt+2', count: props.sources || '' },
  { path: 'outline', label: 'Outline', key: 'Alt+3', count: desk.lessons.length || '' },
  { path: 'lessons', label: 'Lessons', key: 'Alt+4', count: desk.lessons.filter((lesson) => lesson.blocks.length > 0).length || '' },
  { path: 'checks', label: 'Checks', key: 'Alt+5', count: desk.course ? placedChecks(desk.course).length || '' : '' },
  { path: 'release', label: 'Release', key: 'Alt+6', count: '' },
  ...(desk.mayEdit ? [{ path: 'results', label: 'Results', key: 'Alt+7', count: '' }] : []),
  { path: 'bin', label: 'Bin', key: 'Alt+8', count: desk.course?.bin.length || '' },
  ...(desk.mayEdit ? [{ path: 'people', label: 'People', key: 'Alt+9', count: '' }] : []),
]);
const route = useRoute();
const at = (path: string) => route.path.startsWith(`${root.value}/${path}`);
/** What lies within the sources; shown while one is there. */
const within = computed(() => (at('sources') ? [
  { path: 'sources/interview', label: 'What I know', count: openSlots.value || '' },
  { path: 'sources/topics', label: 'Topics', count: '' },
  { path: 'sources/compare', label: 'Side by side', count: '' },
] : []));
/** What lies within the outline; shown while one is there. */
const underOutline = computed(() => (at('outline') || at('holds') ? [{ path: 'holds', label: 'What it holds', count: '' }] : []));
const openSlots = computed(() => desk.course?.answers?.filter((answer) => answer.text.trim() === '').length ?? 0);
useActions([{ id: 'step-holds', label: 'To what the course holds', key: 'Alt+H', area: 'Steps', run: () => go(`${root.value}/holds`) }]);
useActions(['brief', 'sources', 'outline', 'lessons', 'checks', 'release', 'results', 'bin', 'people'].map((path, index) => ({
  id: `step-${path}`, label: `To ${path}`, key: `Alt+${index + 1}`, area: 'Steps', run: () => go(`${root.value}/${path}`),
})));
</script>

<template>
  <nav class="steps" aria-label="Steps of the work">
    <template v-for="step in steps" :key="step.path"><NuxtLink :to="`${root}/${step.path}`" :class="{ here: at(step.path), apart: step.path === 'bin' }" :aria-current="at(step.path) ? 'page' : undefined"><span>{{ step.label }}</span><span class="count">{{ step.count }}</span></NuxtLink>
      <template v-if="step.path === 'sources' || step.path === 'outline'"><NuxtLink v-for="part in step.path === 'sources' ? within : underOutline" :key="part.path" :to="`${root}/${part.path}`" class="part" :class="{ within: at(part.path) }" :aria-current="at(part.path) ? 'page' : undefined"><span>{{ part.label }}</span><span class="count">{{ part.count }}</span></NuxtLink></template>
    </template>
  </nav>
</template>

<style scoped>
.steps { width: 132px; flex: none; padding: 12px 0; background: var(--paper); border-right: 1px solid var(--hair); }
a { display: flex; justify-content: space-between; padding: 5px 16px 5px 15px; border-left: 3px solid transparent; color: var(--ink-2); }
a:hover { background: var(--shade); }
a.here { background: var(--shade); border-left-color: var(--moss); color: var(--ink); font-weight: 700; }
a.part { gap: 6px; padding: 3px 11px 3px 22px; font-size: 13.5px; line-height: 20px; white-space: nowrap; }
a.part.within { color: var(--ink); font-weight: 700; }
a.apart { margin-top: 14px; }
.count { font-size: 13px; }
@media (max-width: 820px) { .steps { width: 100%; display: flex; overflow-x: auto; padding: 0; border-right: 0; border-bottom: 1px solid var(--hair); } a.apart { margin-top: 0; } a { gap: 6px; } }
</style>
