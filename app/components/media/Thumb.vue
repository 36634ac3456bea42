<script setup lang="ts">
import type { ShelvedFile } from '~~/core/course/course';
import { MEDIA_TYPES, sortOf, type MediaRef } from '~~/core/document/media';
import { mediaAddress } from '~/composables/useMedia';

/** A file in small: the picture itself, or what kind of file it is. */
const props = defineProps<{ course: string; file: MediaRef & Partial<ShelvedFile>; alt?: string }>();
const ICONS = {
  picture: 'i-lucide-image',
  sound: 'i-lucide-audio-lines',
  film: 'i-lucide-film',
  pages: 'i-lucide-file-text',
  other: 'i-lucide-file',
};
const sort = computed(() => sortOf(props.file));
const address = computed(() => mediaAddress(props.course, props.file));
/** One picture of a film; then the film is let go, for each that stays open keeps the browser from asking for more. */
const still = ref('');
watch(address, () => void (still.value = ''));
const WIDE = 320;
function taken({ target }: Event) {
  const film = target as HTMLVideoElement;
  const canvas = document.createElement('canvas');
  canvas.width = WIDE;
  canvas.height = Math.max(1, Math.round((WIDE * film.videoHeight) / Math.max(1, film.videoWidth)));
  canvas.getContext('2d')?.drawImage(film, 0, 0, canvas.width, canvas.height);
  still.value = canvas.toDataURL('image/webp', 0.8);
  film.removeAttribute('src');
  film.load();
}
</script>

<template>
  <span class="thumb">
    <img v-if="sort === 'picture'" :src="address" :alt="alt ?? ''" loading="lazy" />
    <img v-else-if="still" :src="still" alt="" />
    <video
      v-else-if="sort === 'film'"
      :src="`${address}#t=0.5`"
      preload="metadata"
      muted
      tabindex="-1"
      aria-hidden="true"
      @loadeddata="taken"
    />
    <span v-else class="kind"
      ><UIcon :name="ICONS[sort]" class="icon" /><span class="mono">{{ MEDIA_TYPES[file.type]?.ends }}</span></span
    >
  </span>
</template>

<style scoped>
.thumb {
  display: block;
  height: 104px;
  background: var(--paper);
  border-radius: 2px;
  overflow: hidden;
}
img,
video {
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.kind {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 4px;
  height: 100%;
  color: var(--ink-2);
}
.icon {
  width: 26px;
  height: 26px;
}
</style>
