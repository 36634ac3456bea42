<script setup lang="ts">
/** What a lesson could show, over its page. */
defineProps<{ lesson: string }>();
const open = defineModel<boolean>('open', { required: true });
</script>

<template>
  <UModal
    v-model:open="open"
    title="Diagrams and pictures for this lesson"
    description="Drawn of words that stand on the page, and pictures of sources that belong to what it teaches."
    :ui="{ content: 'max-w-4xl' }"
  >
    <template #body><MediaOffers :lesson="lesson" @taken="open = false" /></template>
  </UModal>
</template>
