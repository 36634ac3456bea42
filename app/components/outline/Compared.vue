<script setup lang="ts">
import { useBeside } from '~/stores/beside';

/** How two outlines differ, in numbers, and the way back to one's own. */
const beside = useBeside();
/** "9 the same, 4 only drafted, 2 only mine, 1 elsewhere" */
const words = computed(() => {
  const lessons = beside.rows.filter(({ kind }) => kind === 'lesson');
  const of = (fit: string) => lessons.filter((row) => row.fit === fit).length;
  return (
    [
      [of('same'), 'the same'],
      [of('alike'), 'alike'],
      [of('other'), beside.other?.kind === 'drafted' ? 'only drafted' : 'not in mine'],
      [of('mine'), 'only mine'],
      [lessons.filter(({ elsewhere }) => elsewhere).length, 'elsewhere'],
    ] as const
  )
    .filter(([count]) => count > 0)
    .map(([count, said]) => `${count} ${said}`)
    .join(', ');
});
</script>

<template>
  <span class="small quiet" aria-live="polite">{{ words }}</span>
  <div class="end">
    <UButton color="neutral" variant="outline" @click="beside.leave()">Done <kbd>Esc</kbd></UButton>
  </div>
</template>
