<script setup lang="ts">
/** The mark of the right answer among several, or of one of the right ones. */
const props = defineProps<{ name: string; checked: boolean; disabled?: boolean; several?: boolean }>();
const emit = defineEmits<{ change: [] }>();
/** What is asked for may be refused: the mark shows what the check says. */
async function change(event: Event) {
  emit('change');
  await nextTick();
  (event.target as HTMLInputElement).checked = props.checked;
}
</script>

<template>
  <input :type="several ? 'checkbox' : 'radio'" :name="name" :checked="checked" :disabled="disabled" @change="change" />
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
input[type='checkbox'] {
  border-radius: 4px;
  background:
    linear-gradient(var(--sheet), var(--sheet)) center / 12px 12px no-repeat,
    linear-gradient(var(--ink-3), var(--ink-3)) center / 14px 14px no-repeat;
}
input[type='checkbox']:checked {
  background:
    linear-gradient(var(--moss), var(--moss)) center / 8px 8px no-repeat,
    linear-gradient(var(--sheet), var(--sheet)) center / 12px 12px no-repeat,
    linear-gradient(var(--moss), var(--moss)) center / 14px 14px no-repeat;
}
</style>
