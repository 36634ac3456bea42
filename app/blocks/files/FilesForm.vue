<script setup lang="ts">
import { NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { canBeShown, type CourseFile } from '~~/core/blocks/files/form';
import { freshId } from '~/composables/useApi';
import { fileFacts } from '~/words/media';
import { fileRefOf, type GivenMedia } from '../media';

/** Files where they stand on the page: what each is for, whether it is shown, whether it may be taken along. */
const props = defineProps(nodeViewProps);
const { course, body, saves, change, add, drop, move } = useFieldedBody('files', () => props.node);
const mayEdit = computed(() => course.mayEdit);
const choosing = ref(false);
const take = ({ file, name }: GivenMedia) =>
  add('files', { id: freshId('f'), file: fileRefOf(file, name), text: '' }, 'file onto the page');
type Use = 'taken' | 'both' | 'shown';
const useOf = ({ shown, kept }: CourseFile): Use => (shown ? (kept ? 'shown' : 'both') : 'taken');
const USES: { value: Use; label: string }[] = [
  { value: 'taken', label: 'to take along' },
  { value: 'both', label: 'shown, and to take along' },
  { value: 'shown', label: 'only shown' },
];
const use = (id: string, as: Use) =>
  change('files', id, 'what may be done with a file', ({ id: own, file, text }) => ({
    id: own,
    file,
    text,
    ...(as !== 'taken' && { shown: true as const }),
    ...(as === 'shown' && { kept: true as const }),
  }));
</script>

<template>
  <NodeViewWrapper as="section" class="fielded" contenteditable="false">
    <p class="small quiet what" data-drag-handle>Files</p>
    <CheckRows
      :rows="body.files"
      one="file"
      :name-of="({ file }) => file.name"
      :may-edit="mayEdit"
      moves
      @add="choosing = true"
      @drop="(id) => drop('files', id, 'file off the page')"
      @move="(id, by) => move('files', id, by, 'file moved')"
    >
      <template #default="{ row }">
        <p class="name">
          <strong>{{ row.file.name }}</strong> <span class="small quiet">{{ fileFacts(row.file) }}</span>
        </p>
        <FieldInPlace
          :value="row.text"
          :save="saves('files', row.id, 'text', 'what a file is for')"
          class="small"
          :readonly="!mayEdit"
          maxlength="1000"
          placeholder="What it is for"
          aria-label="What the file is for"
        />
        <FieldSelect
          v-if="mayEdit && canBeShown(row)"
          :model-value="useOf(row)"
          :items="USES"
          :label="`What may be done with ${row.file.name}`"
          class="w-52"
          @update:model-value="use(row.id, $event)"
        />
      </template>
    </CheckRows>
    <LazyMediaChooseDialog v-if="choosing" v-model:open="choosing" @take="take" />
  </NodeViewWrapper>
</template>

<style scoped>
.name {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
