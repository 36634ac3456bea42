<script setup lang="ts">
import type { CheckPicture } from '~~/core/checks/check';
import { pictureRefOf, type GivenMedia } from '~/blocks/media';

/** A press that asks for a picture: from the shelf, a source, or this device. */
defineProps<{ label: string; name?: string }>();
const emit = defineEmits<{ take: [picture: CheckPicture] }>();
const choosing = ref(false);
const take = ({ file, alt = '' }: GivenMedia) => emit('take', { media: pictureRefOf(file), alt });
</script>

<template>
  <button type="button" class="link" :aria-label="name" @click="choosing = true">{{ label }}</button>
  <LazyMediaChooseDialog v-if="choosing" v-model:open="choosing" :sorts="['picture']" @take="take" />
</template>

<style scoped>
button.link {
  min-height: 24px;
}
</style>
