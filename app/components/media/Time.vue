<script setup lang="ts">
import { secondsTyped, timeOf } from '~~/core/blocks/clip/cues';

/** A time within a clip, typed as 90, 1:30 or 1:04:07; what is none is said and not taken. */
const props = defineProps<{ value: number; label: string }>();
const emit = defineEmits<{ take: [seconds: number] }>();
const asText = (seconds: number) => {
  const part = Math.round((seconds % 1) * 10);
  return part > 0 && part < 10 ? `${timeOf(seconds)}.${part}` : timeOf(seconds);
};
const text = ref(asText(props.value));
const wrong = computed(() => secondsTyped(text.value) === undefined);
watch(
  () => props.value,
  (now) => void (text.value = asText(now)),
);
function given() {
  const seconds = secondsTyped(text.value);
  if (seconds !== undefined && text.value !== asText(props.value)) emit('take', seconds);
}
</script>

<template>
  <input
    v-model="text"
    :aria-label="label"
    :aria-invalid="wrong"
    :class="{ wrong }"
    inputmode="decimal"
    @change="given"
  />
</template>

<style scoped>
input {
  width: 5em;
  min-height: 26px;
  padding: 1px 6px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
  font-variant-numeric: tabular-nums;
}
input.wrong {
  border-color: var(--rust);
}
</style>
