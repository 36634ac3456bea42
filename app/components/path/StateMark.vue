<script setup lang="ts">
import type { LessonState } from '~~/core/course/course';
import { stateLabel } from '~/words/states';
import { fillOf } from './fill';

defineProps<{ state: LessonState; bare?: boolean }>();
</script>

<template>
  <span class="state"
    ><svg width="16" height="10" viewBox="0 0 16 10" aria-hidden="true">
      <path
        d="M.5 9.5 V4 Q.5 .5 4 .5 H15.5 V9.5 Z"
        :fill="fillOf(state)"
        stroke="var(--moss)"
        :stroke-dasharray="state === 'blank' ? '2 2' : undefined"
      /></svg
    ><span v-if="!bare">{{ stateLabel(state) }}</span></span
  >
</template>

<style scoped>
.state {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  white-space: nowrap;
}
</style>
