<script setup lang="ts">
import type { Stretch } from '~/words/differences';

/** A text with what only it has marked. */
defineProps<{ stretches: readonly Stretch[]; gone?: boolean }>();
</script>

<template>
  <span
    ><template v-for="(stretch, at) in stretches" :key="at"
      ><component :is="gone ? 'del' : 'ins'" v-if="stretch.own">{{ stretch.text }}</component
      ><template v-else>{{ stretch.text }}</template></template
    ></span
  >
</template>

<style scoped>
del {
  color: var(--rust);
}
ins {
  text-decoration: none;
  background: var(--sun);
}
</style>
