<script setup lang="ts">
import { useFileDialog } from '@vueuse/core';
import type { CheckPicture } from '~~/core/checks/check';
import { giveMedia } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/** A press that asks for a picture from a file, and takes it into the course. */
defineProps<{ label: string; name?: string }>();
const emit = defineEmits<{ take: [picture: CheckPicture] }>();
const desk = useCourse();
const { open, onChange } = useFileDialog({ accept: 'image/*', multiple: false, reset: true });
onChange((files) => {
  const given = files?.[0];
  if (!given) return;
  void desk.asking(async () => {
    const { hash, type, width, height } = await giveMedia(desk.course!.id, given);
    emit('take', { media: { hash, type, width, height }, alt: '' });
  });
});
</script>

<template>
  <button type="button" class="link" :aria-label="name" @click="open()">{{ label }}</button>
</template>

<style scoped>
button.link {
  min-height: 24px;
}
</style>
