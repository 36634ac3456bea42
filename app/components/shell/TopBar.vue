<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core';
import { staying } from '~/composables/staying';
import { SAID_FOR } from '~/composables/useShown';
import { useSession } from '~/stores/session';
import { useCourse } from '~/stores/course';
import { openBar } from './bar';

defineProps<{ title?: string }>();
const go = useGo();
const session = useSession();
const desk = useCourse();
const color = useColorMode();
/** What was just undone or done again, for a while, behind when it was saved. */
const said = ref('');
const { start: fade } = useTimeoutFn(() => void (said.value = ''), SAID_FOR, { immediate: false });
watch(
  () => desk.shown?.count,
  () => {
    said.value = desk.shown?.said ?? '';
    fade();
  },
);
const state = computed(() => {
  if (desk.saving === 'saving' || (desk.saving === 'saved' && desk.typing > 0)) return 'Saving';
  if (desk.saving === 'waiting')
    return desk.kept ? 'Not saved yet, kept in this browser' : 'Not saved yet: keep this window open';
  if (desk.saving === 'stuck') return 'Not everything is saved';
  const at = desk.savedAt
    ? `Saved ${desk.savedAt.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false })}`
    : '';
  return [at, said.value].filter(Boolean).join('. ');
});
async function leave() {
  await desk.leave();
  await session.leave();
  go('/sign-in');
}
const items = computed(() => [
  [
    {
      label: color.value === 'dark' ? 'Light' : 'Dark',
      onSelect: () => void (color.preference = color.value === 'dark' ? 'light' : 'dark'),
    },
    { label: 'Your account', onSelect: () => go('/account') },
    ...(session.person?.role === 'owner'
      ? [
          { label: 'People', onSelect: () => go('/people') },
          { label: 'Outside services', onSelect: () => go('/services') },
          { label: 'Audit', onSelect: () => go('/audit') },
        ]
      : []),
    { label: 'Sign out', onSelect: () => void leave() },
  ],
]);
</script>

<template>
  <header class="bar">
    <NuxtLink to="/" class="mark" aria-label="Uplift Path, all courses">
      <svg width="24" height="16" viewBox="0 0 24 16" aria-hidden="true">
        <path
          d="M1 14 L8 9 L12 11 L17 4 L23 2"
          fill="none"
          stroke="currentColor"
          stroke-width="2.4"
          stroke-linejoin="round"
          stroke-linecap="round"
        />
      </svg>
      <span>Uplift Path</span>
    </NuxtLink>
    <nav v-if="title" class="trail" aria-label="Where you are">
      <NuxtLink to="/">Courses</NuxtLink><span aria-hidden="true">/</span><strong>{{ title }}</strong>
    </nav>
    <div class="end">
      <span v-if="title && desk.course" class="small quiet state" role="status">{{ state }}</span>
      <button class="go" type="button" @click="openBar"><span>Go to or do</span><kbd>Ctrl K</kbd></button>
      <UDropdownMenu v-if="session.person" :items="items" :content="staying"
        ><button type="button" class="who">{{ session.person.name }}</button></UDropdownMenu
      >
    </div>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 14px;
  height: 43px;
  padding: 0 18px;
  background: var(--paper);
  border-bottom: 1px solid var(--hair);
}
.mark {
  display: flex;
  align-items: center;
  gap: 8px;
  font-family: var(--font-display);
  font-weight: 700;
  font-size: 16.5px;
  white-space: nowrap;
}
.mark svg {
  color: var(--moss);
}
.trail {
  display: flex;
  gap: 6px;
  flex: 0 1 auto;
  min-width: 60px;
  overflow: hidden;
  color: var(--ink-2);
  white-space: nowrap;
}
.trail strong {
  color: var(--ink);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.end {
  margin-left: auto;
  flex: 0 1 auto;
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 14px;
  white-space: nowrap;
}
.go {
  display: flex;
  justify-content: space-between;
  align-items: center;
  width: 270px;
  height: 28px;
  padding: 0 8px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
  color: var(--ink-2);
  font-size: 13.5px;
  cursor: pointer;
}
.state {
  flex: 0 1 auto;
  min-width: 0;
  max-width: 340px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.who {
  font-size: 13.5px;
  cursor: pointer;
  padding: 4px 2px;
}
@media (max-width: 900px) {
  .go {
    width: auto;
  }
  .go span {
    display: none;
  }
}
@media (max-width: 600px) {
  .bar {
    gap: 8px;
    padding: 0 10px;
  }
  .mark span,
  .trail a,
  .trail span {
    display: none;
  }
  .end {
    gap: 8px;
  }
}
</style>
