<script setup lang="ts">
import type { Trouble } from '~/composables/useApi';

const route = useRoute();
/** Signed out meanwhile: the way back in comes back here. */
const out = computed(() => trouble.value?.code === 'not-signed-in');
const trouble = defineModel<Trouble | null>({ required: true });
</script>

<template>
  <p v-if="trouble" class="trouble" role="alert">
    <span>{{ trouble.message }}</span>
    <span class="do"
      ><a v-if="out" class="link" :href="`/sign-in?to=${encodeURIComponent(route.fullPath)}`">Sign in</a
      ><button type="button" class="link" @click="trouble = null">Close</button></span
    >
  </p>
</template>

<style scoped>
.do {
  display: flex;
  gap: 14px;
  flex: none;
}
.trouble {
  display: flex;
  gap: 14px;
  justify-content: space-between;
  padding: 8px 18px;
  background: var(--rust-soft);
  color: var(--ink);
  border-bottom: 1px solid var(--rust);
  font-size: 14px;
}
</style>
