<script setup lang="ts">
import type { Quote } from '~~/core/checks/forms';

/** What the sources say to the right answer. */
defineProps<{ quotes: readonly Quote[] }>();
</script>

<template>
  <p v-for="quote in quotes" :key="quote.text" class="small quiet">“{{ quote.text }}”</p>
</template>
