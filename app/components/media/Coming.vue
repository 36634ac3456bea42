<script setup lang="ts">
import type { Coming } from '~/composables/useMedia';

/** Files on their way to the course, each with how far it is. */
defineProps<{ coming: readonly Coming[] }>();
const words = ({ share }: Coming) => (share < 1 ? `${Math.floor(share * 100)} %` : 'is looked at');
</script>

<template>
  <ul v-if="coming.length" class="coming small" role="status">
    <li v-for="each in coming" :key="each.id">
      <span class="name">{{ each.name }}</span>
      <UProgress :model-value="each.share < 1 ? Math.round(each.share * 100) : null" size="xs" class="w-28" />
      <span class="quiet">{{ words(each) }}</span>
      <button type="button" class="link" :aria-label="`Stop ${each.name}`" @click="each.stop()">stop</button>
    </li>
  </ul>
</template>

<style scoped>
.coming {
  list-style: none;
  padding: 0;
  margin: 6px 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
.name {
  overflow-wrap: anywhere;
}
button {
  min-height: 24px;
}
</style>
