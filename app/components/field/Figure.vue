<script setup lang="ts">
import { freshId } from '~/composables/useApi';

/**
 * A number of the course, typed in place. What is none, or out of bounds, stays as it was typed and is said: it is
 * neither taken nor changed.
 */
const props = defineProps<{
  value: number | undefined;
  save: (value: number | undefined, was: number | undefined, group: string) => unknown;
  label: string;
  min?: number;
  max?: number;
  /** No parts of a number. */
  whole?: boolean;
  /** It may be empty. */
  optional?: boolean;
  readonly?: boolean;
  placeholder?: string;
}>();
const asText = (value: number | undefined) => (value === undefined ? '' : String(value));
const text = ref(asText(props.value));
const here = ref(false);
let group = '';
const wrong = computed(() => {
  const typed = text.value.trim();
  if (typed === '') return props.optional ? '' : 'a number is needed';
  const value = Number(typed.replace(',', '.'));
  if (!Number.isFinite(value)) return 'not a number';
  if (props.whole && !Number.isInteger(value)) return 'a whole number';
  if (props.min !== undefined && value < props.min) return `not below ${props.min}`;
  return props.max !== undefined && value > props.max ? `not above ${props.max}` : '';
});
watch(
  () => props.value,
  (now) => {
    if (!here.value && wrong.value === '') text.value = asText(now);
  },
);
function typed(event: Event) {
  text.value = (event.target as HTMLInputElement).value;
  const bare = text.value.trim().replace(',', '.');
  if (wrong.value === '') props.save(bare === '' ? undefined : Number(bare), props.value, group);
}
function come() {
  here.value = true;
  group = freshId('g');
}
</script>

<template>
  <span class="figure">
    <input
      :value="text"
      type="text"
      inputmode="decimal"
      autocomplete="off"
      :readonly="readonly"
      :placeholder="placeholder"
      :aria-label="label"
      :aria-invalid="wrong !== ''"
      :class="{ wrong }"
      @focus="come"
      @blur="here = false"
      @input="typed"
    /><span v-if="wrong" class="small decide" role="status">{{ wrong }}</span>
  </span>
</template>

<style scoped>
.figure {
  display: inline-flex;
  align-items: center;
  gap: 7px;
}
input {
  width: 5.5em;
  min-height: 28px;
  padding: 2px 7px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
}
input.wrong {
  border-color: var(--rust);
}
</style>
