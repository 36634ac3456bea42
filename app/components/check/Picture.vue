<script setup lang="ts">
import type { CheckPicture } from '~~/core/checks/check';
import { mediaAddress } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/** A picture under a question or beside an answer, with what it shows for who cannot see it. */
const props = defineProps<{
  picture: CheckPicture;
  mayEdit: boolean;
  /** Gives its words to the course, as fields do. */
  save: (picture: CheckPicture, was: CheckPicture, group: string) => boolean | void;
  small?: boolean;
}>();
const emit = defineEmits<{ out: [] }>();
/** What lies over it. */
defineSlots<{ default: () => unknown }>();
const desk = useCourse();
const withAlt = (alt: string): CheckPicture => ({ ...props.picture, alt });
</script>

<template>
  <figure :class="{ small }">
    <div class="seen">
      <img
        :src="mediaAddress(desk.course!.id, picture.media)"
        :alt="picture.alt"
        :width="picture.media.width"
        :height="picture.media.height"
      />
      <slot />
    </div>
    <figcaption v-if="mayEdit" class="small">
      <FieldInPlace
        :value="picture.alt"
        :save="(alt, was, group) => save(withAlt(alt), withAlt(was), group)"
        maxlength="1000"
        placeholder="What it shows, for who cannot see it"
        aria-label="What the picture shows"
      />
      <button type="button" class="link" @click="emit('out')">take out</button>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 6px 0;
}
.seen {
  position: relative;
  width: fit-content;
  max-width: 100%;
}
img {
  display: block;
  max-width: 100%;
  max-height: 340px;
  width: auto;
  height: auto;
}
figure.small img {
  max-height: 110px;
}
figcaption {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
}
button.link {
  min-height: 24px;
}
</style>
