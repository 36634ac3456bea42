<script setup lang="ts">
import type { CheckPicture } from '~~/core/checks/check';
import { useGivenPicture } from '~/checks/picture';

/** A press that asks for a picture from a file. */
defineProps<{ label: string; name?: string }>();
const emit = defineEmits<{ take: [picture: CheckPicture] }>();
const file = ref<HTMLInputElement | null>(null);
const given = useGivenPicture((picture) => emit('take', picture));
</script>

<template>
  <button type="button" class="link" :aria-label="name" @click="file?.click()">{{ label }}</button><input
    ref="file"
    type="file"
    accept="image/*"
    hidden
    aria-label="Picture"
    @change="given"
  />
</template>

<style scoped>
button.link {
  min-height: 24px;
}
</style>
