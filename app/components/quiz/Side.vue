<script setup lang="ts">
import type { QuizLesson } from '~~/core/course/quizzes';

/** Beside a quiz's page: how it is taken, what a try asks, what that covers, and what could be asked besides. */
defineProps<{ lesson: QuizLesson }>();
const TABS = [
  { value: 'taken' as const, label: 'How it is taken' },
  { value: 'asks' as const, label: 'What it asks' },
];
const tab = ref<(typeof TABS)[number]['value']>('asks');
</script>

<template>
  <aside class="pane" aria-label="Quiz">
    <FieldTabs v-model="tab" :items="TABS" class="tabs" />
    <QuizSettings v-if="tab === 'taken'" class="body" :lesson="lesson" />
    <div v-else class="body">
      <QuizDraws :lesson="lesson" />
      <QuizCovers :lesson="lesson" />
      <QuizOffers :lesson="lesson" />
    </div>
  </aside>
</template>

<style scoped>
.pane {
  width: 340px;
  flex: none;
  display: flex;
  flex-direction: column;
  background: var(--paper);
  border-left: 1px solid var(--hair);
  min-height: 0;
}
.tabs {
  padding: 0 16px;
  border-bottom: 1px solid var(--hair);
  flex: none;
  height: 48px;
}
.body {
  overflow-y: auto;
  padding: 12px 16px 24px;
  font-size: 14px;
}
.body :deep(h2) {
  font: 600 13.5px var(--font-sans);
  margin: 18px 0 6px;
}
.body > :deep(section:first-child h2) {
  margin-top: 2px;
}
@media (max-width: 1000px) {
  .pane {
    width: 100%;
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
