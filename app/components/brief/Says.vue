<script setup lang="ts">
import { verdictWords } from '~/words/brief';
import type { Verdict } from '~~/core/brief/verdict';

/** What the brief says back to a field, below it. */
defineProps<{ verdicts: readonly Verdict[] }>();
</script>

<template>
  <div v-if="verdicts.length" class="says small" aria-live="polite">
    <p v-for="verdict in verdicts" :key="verdictWords(verdict)" :class="{ good: verdict.good }">
      {{ verdictWords(verdict) }}
    </p>
    <slot />
  </div>
</template>

<style scoped>
.says {
  grid-column: 2;
  margin-top: -8px;
  color: var(--ink-2);
}
.says p:not(.good) {
  border-left: 3px solid var(--rust);
  padding-left: 8px;
  margin-bottom: 3px;
}
@media (max-width: 700px) {
  .says {
    grid-column: 1;
  }
}
</style>
