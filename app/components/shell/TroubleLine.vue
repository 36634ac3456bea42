<script setup lang="ts">
import type { Trouble } from '~/composables/useApi';

const trouble = defineModel<Trouble | null>({ required: true });
</script>

<template>
  <p v-if="trouble" class="trouble" role="alert">
    <span>{{ trouble.message }}</span>
    <button type="button" class="link" @click="trouble = null">Close</button>
  </p>
</template>

<style scoped>
.trouble { display: flex; gap: 14px; justify-content: space-between; padding: 8px 18px; background: var(--rust-soft); color: var(--ink); border-bottom: 1px solid var(--rust); font-size: 14px; }
</style>
