<script setup lang="ts">
import { blockTexts, type Block } from '~~/core/course/blocks';
import { textOf } from '~~/core/course/rich-text';
import { findNode } from '~~/core/course/tree';
import { useCourse, type Conflict } from '~/stores/course';

/** Changes that met another's: both texts side by side, until the author chooses. */
const desk = useCourse();
function words(conflict: Conflict, value: unknown): string {
  if (typeof value === 'string') return value;
  const found = conflict.operation.type === 'set' && desk.course ? findNode(desk.course, conflict.operation.id) : undefined;
  if (found?.kind === 'block' && value && typeof value === 'object') return blockTexts({ ...(found.node as Block), body: value } as Block).map(textOf).join(' / ');
  return JSON.stringify(value);
}
const mine = (conflict: Conflict) => (conflict.operation.type === 'set' ? words(conflict, conflict.operation.value) : '');
</script>

<template>
  <section v-for="conflict in desk.conflicts" :key="conflict.id" class="conflict" role="alert">
    <p>{{ conflict.message }}</p>
    <div><h3>Yours</h3><p>{{ mine(conflict) }}</p><UButton size="sm" color="neutral" variant="outline" @click="desk.settleConflict(conflict, 'mine')">Keep mine</UButton></div>
    <div><h3>As it stands</h3><p>{{ words(conflict, conflict.now) }}</p><UButton size="sm" color="neutral" variant="outline" @click="desk.settleConflict(conflict, 'theirs')">Leave it, keep mine as a take</UButton></div>
  </section>
</template>

<style scoped>
.conflict { display: grid; grid-template-columns: 220px 1fr 1fr; gap: 18px; padding: 10px 18px; background: var(--rust-soft); border-bottom: 1px solid var(--rust); font-size: 14px; }
h3 { font-size: 13px; }
</style>
