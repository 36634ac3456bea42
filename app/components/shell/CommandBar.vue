<script setup lang="ts">
import { api } from '~/client';
import { actions, shownKey, useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useSession } from '~/stores/session';
import { barOpen, keysOpen, openBar } from './bar';

const go = useGo();
const session = useSession();
const desk = useCourse();
const courses = ref<{ id: string; title: string }[]>([]);
const sources = ref<{ id: string; title: string }[]>([]);

useActions([
  {
    id: 'bar',
    label: 'Go to or do',
    key: 'Ctrl+K',
    area: 'Everywhere',
    when: () => session.person !== null,
    run: openBar,
  },
  {
    id: 'keys',
    label: 'List of keys',
    key: '?',
    area: 'Everywhere',
    when: () => session.person !== null,
    run: () => void (keysOpen.value = true),
  },
  {
    id: 'people',
    label: 'People of this installation',
    area: 'Everywhere',
    when: () => session.person?.role === 'owner',
    run: () => go('/people'),
  },
  {
    id: 'services',
    label: 'Outside services',
    area: 'Everywhere',
    when: () => session.person?.role === 'owner',
    run: () => go('/services'),
  },
  {
    id: 'audit',
    label: 'Audit',
    area: 'Everywhere',
    when: () => session.person?.role === 'owner',
    run: () => go('/audit'),
  },
  {
    id: 'shelf',
    label: 'Source shelf',
    area: 'Everywhere',
    when: () => session.person !== null,
    run: () => go('/shelf'),
  },
  { id: 'home', label: 'All courses', area: 'Everywhere', when: () => session.person !== null, run: () => go('/') },
]);

watch(barOpen, async (open) => {
  if (!open) return;
  courses.value = await api('GET /api/courses').catch(() => []);
  sources.value = desk.course
    ? await api('GET /api/courses/:course/sources', { course: desk.course.id }).catch(() => [])
    : [];
});
const leadTo = (path: string) => () => {
  barOpen.value = false;
  go(path);
};
const groups = computed(() => {
  const here = desk.course?.id;
  return [
    {
      id: 'do',
      label: 'Do',
      items: actions.value
        .filter((action) => action.id !== 'bar')
        .map((action) => ({
          label: action.label,
          suffix: action.area,
          kbds: action.key ? shownKey(action.key).split(' ') : [],
          onSelect: () => {
            barOpen.value = false;
            setTimeout(action.run, 30);
          },
        })),
    },
    {
      id: 'lessons',
      label: 'Lessons',
      items: here
        ? desk.lessons.map((lesson) => ({
            label: lesson.title,
            onSelect: leadTo(`/course/${here}/lessons/${lesson.id}`),
          }))
        : [],
    },
    {
      id: 'sources',
      label: 'Sources',
      items: here
        ? sources.value.map((source) => ({
            label: source.title,
            onSelect: leadTo(`/course/${here}/sources/${source.id}`),
          }))
        : [],
    },
    {
      id: 'courses',
      label: 'Courses',
      items: courses.value.map((course) => ({ label: course.title, onSelect: leadTo(`/course/${course.id}/outline`) })),
    },
  ].filter((group) => group.items.length > 0);
});
</script>

<template>
  <UModal
    v-model:open="barOpen"
    title="Go to or do"
    description="Lessons, sources, courses and everything that can be done here"
    :ui="{ content: 'top-24 translate-y-0 max-w-xl', header: 'sr-only' }"
  >
    <template #content>
      <UCommandPalette
        :groups="groups"
        placeholder="A lesson, a source, a course, or what to do"
        class="h-96"
        close
        @update:open="barOpen = $event"
      />
    </template>
  </UModal>
</template>
