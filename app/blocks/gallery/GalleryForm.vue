<script setup lang="ts">
import { NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { freshId } from '~/composables/useApi';
import { counted } from '~/words/states';
import { pictureRefOf, type GivenMedia } from '../media';

/** A gallery where it stands on the page: its pictures in their order, each with caption and what it shows. */
const props = defineProps(nodeViewProps);
const { course, body, set, saves, change, add, drop, move } = useFieldedBody('gallery', () => props.node);
const mayEdit = computed(() => course.mayEdit);
const choosing = ref(false);
const take = ({ file, alt = '', decorative, caption = '' }: GivenMedia) =>
  add(
    'pictures',
    { id: freshId('p'), picture: pictureRefOf(file), alt, ...(decorative && { decorative }), caption },
    'picture into the gallery',
  );
const decorate = (id: string, yes: boolean) =>
  change('pictures', id, 'only decorative', ({ id: own, picture, alt, caption }) => ({
    id: own,
    picture,
    alt,
    caption,
    ...(yes && { decorative: true as const }),
  }));
const SHOWS = [
  { value: 'grid' as const, label: 'side by side' },
  { value: 'slides' as const, label: 'one by one' },
];
</script>

<template>
  <NodeViewWrapper as="section" class="fielded" contenteditable="false">
    <p class="small quiet what" data-drag-handle>
      Gallery, {{ counted(body.pictures.length, ['picture', 'pictures']) }}
    </p>
    <CheckRows
      :rows="body.pictures"
      one="picture"
      :name-of="({ caption, alt }) => caption || alt || 'picture'"
      :may-edit="mayEdit"
      moves
      @add="choosing = true"
      @drop="(id) => drop('pictures', id, 'picture out of the gallery')"
      @move="(id, by) => move('pictures', id, by, 'picture moved')"
    >
      <template #default="{ row }">
        <div class="one">
          <MediaThumb :course="course.course!.id" :file="row.picture" :alt="row.alt" />
          <div class="words small">
            <FieldInPlace
              :value="row.caption"
              :save="saves('pictures', row.id, 'caption', 'caption')"
              :readonly="!mayEdit"
              maxlength="1000"
              placeholder="Caption"
              aria-label="Caption"
            />
            <FieldInPlace
              v-if="!row.decorative"
              :value="row.alt"
              :save="saves('pictures', row.id, 'alt', 'what the picture shows')"
              :readonly="!mayEdit"
              maxlength="1000"
              placeholder="What it shows, for who cannot see it"
              aria-label="What the picture shows"
            />
            <UCheckbox
              :model-value="row.decorative === true"
              :disabled="!mayEdit"
              label="only decorative"
              size="sm"
              @update:model-value="decorate(row.id, !!$event)"
            />
          </div>
        </div>
      </template>
    </CheckRows>
    <div v-if="mayEdit" class="line small">
      Shown
      <FieldSelect
        :model-value="body.show"
        :items="SHOWS"
        label="How the pictures are shown"
        class="w-36"
        @update:model-value="set('how the gallery is shown', 'show', $event)"
      />
    </div>
    <LazyMediaChooseDialog v-if="choosing" v-model:open="choosing" :sorts="['picture']" @take="take" />
  </NodeViewWrapper>
</template>

<style scoped>
.one {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 10px;
  align-items: start;
}
.words {
  display: grid;
  gap: 3px;
}
</style>
