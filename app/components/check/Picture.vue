<script setup lang="ts">
import type { Check } from '~~/core/checks/forms';
import { useCheckEditing } from '~/checks/editing';
import { mediaAddress } from '~/composables/useMedia';

/** The picture under a question, with what it shows for who cannot see it. */
const props = defineProps<{ check: Check; readonly?: boolean }>();
const { desk, mayEdit, set, type } = useCheckEditing<Check>(props);
</script>

<template>
  <figure v-if="check.picture">
    <img
      :src="mediaAddress(desk.course!.id, check.picture.media)"
      :alt="check.picture.alt"
      :width="check.picture.media.width"
      :height="check.picture.media.height"
    />
    <figcaption v-if="mayEdit" class="small">
      <FieldInPlace
        :value="check.picture.alt"
        :save="
          (alt, was, group) =>
            type(
              'what the picture shows',
              'picture',
              { ...check.picture!, alt },
              { ...check.picture!, alt: was },
              group,
            )
        "
        maxlength="1000"
        placeholder="What it shows, for who cannot see it"
        aria-label="What the picture shows"
      />
      <button type="button" class="link" @click="set('picture taken out', 'picture', undefined)">take out</button>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 6px 0;
}
img {
  max-width: 100%;
  max-height: 260px;
  width: auto;
  height: auto;
}
figcaption {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
}
</style>
