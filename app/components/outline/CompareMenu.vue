<script setup lang="ts">
import { staying } from '~/composables/staying';
import { useBeside } from '~/stores/beside';

/** What the outline can be laid beside: a drafted one, the author's own, the sources by a plan, an earlier version. */
const { versions } = defineProps<{ versions: readonly { id: string; name: string }[] }>();
const emit = defineEmits<{ bring: []; plan: [] }>();
const beside = useBeside();
const items = computed(() => [
  [
    { label: 'The drafted outline', kbds: ['Alt', 'D'], onSelect: () => void beside.draft() },
    { label: 'An outline of your own', kbds: ['Alt', 'O'], onSelect: () => emit('bring') },
    { label: 'A course plan', onSelect: () => emit('plan') },
  ],
  versions.map(({ id, name }) => ({ label: `“${name}”`, onSelect: () => void beside.version(id, name) })),
]);
</script>

<template>
  <UDropdownMenu :items="items" :content="staying"
    ><UButton color="neutral" variant="outline" :disabled="beside.busy">{{
      beside.busy ? 'Drafting' : 'Compare with'
    }}</UButton></UDropdownMenu
  >
</template>
