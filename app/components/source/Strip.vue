<script setup lang="ts">
import type { StripPart } from '~~/core/review/coverage';

/**
 * A source from its first passage to its last: low what is left out, middle what is taught, tall what is taught and
 * asked.
 */
const props = withDefaults(defineProps<{ strip: readonly StripPart[]; width?: number }>(), { width: 180 });
const HEIGHT = 16;
const LOW = 4;
const parts = computed(() => {
  const step = props.width / Math.max(1, props.strip.length);
  return props.strip.map(({ taught, checked }, at) => ({
    x: at * step,
    width: step + 0.3,
    state: checked >= 0.3 ? 'checked' : taught >= 0.3 ? 'taught' : 'left',
    height: checked >= 0.3 ? HEIGHT : taught >= 0.3 ? 10 : LOW,
  }));
});
const share = (key: 'taught' | 'checked') =>
  Math.round((100 * props.strip.reduce((sum, part) => sum + part[key], 0)) / Math.max(1, props.strip.length));
const words = computed(() => `${share('taught')} % taught, ${share('checked')} % taught and asked`);
</script>

<template>
  <svg class="strip" :width="width" :height="HEIGHT" :viewBox="`0 0 ${width} ${HEIGHT}`" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <rect
      v-for="part in parts"
      :key="part.x"
      :x="part.x"
      :y="HEIGHT - part.height"
      :width="part.width"
      :height="part.height"
      :class="part.state"
    />
  </svg>
</template>

<style scoped>
.strip {
  display: block;
}
.left {
  fill: var(--shade);
}
.taught {
  fill: var(--moss-soft);
}
.checked {
  fill: var(--moss);
}
</style>
