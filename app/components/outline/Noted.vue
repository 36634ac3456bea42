<script setup lang="ts">
import { counted } from '~/words/states';

/** How many notes there are on a row; pressed, it shows them. */
defineProps<{ count: number; on: string }>();
</script>

<template>
  <button
    type="button"
    class="noted"
    :aria-label="`${counted(count, ['note', 'notes'])} on ${on}`"
    :title="`${counted(count, ['note', 'notes'])} (Alt N)`"
    tabindex="-1"
  >
    {{ count }}
  </button>
</template>

<style scoped>
.noted {
  flex: none;
  min-width: 24px;
  height: 24px;
  margin-top: 1px;
  border: 1px solid var(--hair);
  border-radius: 12px;
  font-size: 12.5px;
  color: var(--ink-2);
  background: var(--sheet);
  cursor: pointer;
}
.noted:hover {
  border-color: var(--ink-3);
}
</style>
