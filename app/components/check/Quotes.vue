<script setup lang="ts">
import type { Quote } from '~~/core/checks/forms';

/** What the sources say to the right answer; many words of theirs are folded, for the answers say most of it. */
const props = defineProps<{ quotes: readonly Quote[] }>();
const FEW = 2;
const isFolded = computed(() => props.quotes.length > FEW);
</script>

<template>
  <component :is="isFolded ? 'details' : 'div'" v-if="quotes.length" class="small quiet">
    <summary v-if="isFolded">What your sources say, {{ quotes.length }} passages</summary>
    <p v-for="quote in quotes" :key="quote.text">“{{ quote.text }}”</p>
  </component>
</template>

<style scoped>
summary {
  min-height: 24px;
  cursor: pointer;
}
</style>
