<script setup lang="ts" generic="T extends string">
import { staying } from '~/composables/staying';

/** One of a few things, chosen from a list; typed by what can be chosen. */
defineProps<{ items: readonly { value: T; label: string }[]; label: string }>();
const chosen = defineModel<T>({ required: true });
</script>

<template>
  <USelect
    :model-value="chosen as string"
    :items="items.map(({ value, label: words }) => ({ value: value as string, label: words }))"
    :content="staying"
    size="sm"
    :ui="{ base: 'text-[13px] md:text-[13px]', item: 'text-[13px] md:text-[13px]' }"
    :aria-label="label"
    @update:model-value="chosen = $event as T"
  />
</template>
