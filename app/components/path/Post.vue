<script setup lang="ts">
/** The post a check stands as on the path, as tall as the line it stands in asks. */
const { width, height } = defineProps<{ width: number; height: number }>();
const middle = computed(() => width / 2);
</script>

<template>
  <svg :width="width" :height="height" class="post" aria-hidden="true">
    <path :d="`M${middle},${width - 0.5} V${height}`" stroke="var(--ink)" />
    <rect x="0.5" y="0.5" :width="width - 1" :height="width - 1" fill="var(--sheet)" stroke="var(--ink)" />
  </svg>
</template>

<style scoped>
.post {
  flex: none;
}
</style>
