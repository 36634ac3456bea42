<script setup lang="ts">
import type { CheckPicture } from '../../core/checks/check';
import type { PartView } from '../blocks/part';

/** The picture of an answer, before its words. */
defineProps<{ picture?: CheckPicture; view: PartView }>();
</script>

<template>
  <img
    v-if="picture"
    class="of-answer"
    :src="view.media(picture.media)"
    :alt="picture.alt"
    :width="picture.media.width"
    :height="picture.media.height"
    loading="lazy"
  />
</template>
