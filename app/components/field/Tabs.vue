<script setup lang="ts" generic="T extends string">
/** Two or more faces of one place, one shown at a time; what is shown is the page's matter. */
defineProps<{ items: readonly { value: T; label: string }[] }>();
const shown = defineModel<T>({ required: true });
</script>

<template>
  <UTabs
    :model-value="shown as string"
    :items="items.map((item) => ({ ...item }))"
    :content="false"
    variant="link"
    size="sm"
    @update:model-value="shown = $event as T"
  />
</template>
