<script setup lang="ts">
import { reactive } from 'vue';
import type { FilesBody } from '../../../core/blocks/files/form';
import { MEDIA_TYPES, type FileRef } from '../../../core/document/media';
import { sizeWords } from '../../../core/document/size';
import type { PartView } from '../part';

/** Files to take along, and documents whose pages are shown when that is asked for. */
const props = defineProps<{ body: FilesBody; view: PartView }>();
const open = reactive(new Set<string>());
const facts = ({ type, bytes }: FileRef) =>
  [MEDIA_TYPES[type]?.ends.toUpperCase(), bytes === undefined ? '' : sizeWords(bytes)].filter(Boolean).join(', ');
</script>

<template>
  <ul class="up-files">
    <li v-for="{ id, file, text, shown, kept } in props.body.files" :key="id">
      <p class="up-file">
        <b>{{ file.name }}</b> <small>{{ facts(file) }}</small>
      </p>
      <p v-if="text">{{ text }}</p>
      <p v-if="view.credit?.(file)" class="up-credit">{{ view.credit(file) }}</p>
      <p class="up-links">
        <button v-if="shown && !open.has(id)" type="button" class="plain" @click="open.add(id)">
          {{ view.words.media.pages }}
        </button>
        <a v-if="shown" :href="view.media(file)" target="_blank" rel="noopener">{{ view.words.media.open }}</a>
        <a v-if="!kept" :href="view.media(file)" :download="file.name">{{ view.words.media.save }}</a>
      </p>
      <iframe v-if="shown && open.has(id)" :src="view.media(file)" :title="file.name" />
    </li>
  </ul>
</template>
