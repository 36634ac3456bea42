<script setup lang="ts">
/** The mark of the right answer among several. */
defineProps<{ name: string; checked: boolean; disabled?: boolean }>();
defineEmits<{ change: [] }>();
</script>

<template>
  <input type="radio" :name="name" :checked="checked" :disabled="disabled" @change="$emit('change')" />
</template>

<style scoped>
input {
  appearance: none;
  width: 24px;
  height: 24px;
  margin: 1px 0 0;
  border-radius: 50%;
  cursor: pointer;
  background: radial-gradient(circle, transparent 5.5px, var(--ink-3) 6px, var(--ink-3) 7px, transparent 7.5px);
}
input:checked {
  background: radial-gradient(
    circle,
    var(--moss) 3.5px,
    transparent 4px,
    transparent 5.5px,
    var(--moss) 6px,
    var(--moss) 7px,
    transparent 7.5px
  );
}
</style>
