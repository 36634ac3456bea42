<script setup lang="ts">
import type { Trouble } from '~/composables/useApi';

/** A page outside of any course: the bar, what went wrong, its title, and what stands below. */
const { title } = defineProps<{ title: string; width: number }>();
const trouble = defineModel<Trouble | null>('trouble', { required: true });
useHead({ title: () => `${title} – Uplift Path` });
</script>

<template>
  <div>
    <ShellTopBar :title="title" />
    <ShellTroubleLine v-model="trouble" />
    <main id="work" class="open-page" :style="{ maxWidth: `${width}px` }">
      <div class="flex items-start justify-between gap-4">
        <h1>{{ title }}</h1>
        <slot name="beside" />
      </div>
      <slot />
    </main>
  </div>
</template>
