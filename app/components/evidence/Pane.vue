<script setup lang="ts">
import type { Block } from '~~/core/blocks/forms';
import type { ReadingBody } from '~~/core/blocks/reading/form';
import type { Lesson } from '~~/core/course/course';
import type { EvidenceMark, PassageRange } from '~~/core/document/rich-text';
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';

/** Beside the page: what its words stand on, what else could stand behind them, what is not used, and its parts. */
defineProps<{ lesson: Lesson; evidence: EvidenceMark['attrs'] | null; changed: boolean }>();
const emit = defineEmits<{
  pull: [blocks: Block[]];
  read: [item: ReadingBody['items'][number]];
  attach: [range: PassageRange];
  detach: [passage: string];
  replace: [id: string, text: string, attrs: EvidenceMark['attrs']];
  show: [part: string];
}>();
const desk = useCourse();
type Tab = 'evidence' | 'find' | 'more' | 'parts';
const tab = ref<Tab>('evidence');
const unused = ref<number | null>(null);
const tabs = computed(() => [
  { value: 'evidence' as Tab, label: 'Evidence' },
  { value: 'find' as Tab, label: 'Find' },
  { value: 'more' as Tab, label: `More${unused.value ? ` ${unused.value}` : ''}` },
  { value: 'parts' as Tab, label: 'Parts' },
]);
const opens = (id: string, label: string, key: string, to: Tab) => ({
  id,
  label,
  key,
  area: 'Evidence',
  run: () => void (tab.value = to),
});
useActions([
  opens('e-evidence', 'Show the evidence', 'Alt+E', 'evidence'),
  opens('e-find', 'Find a passage to put behind these words', 'Alt+Shift+E', 'find'),
  opens('e-more', 'Show more on this topic', 'Alt+M', 'more'),
  opens('e-parts', 'Show the parts of the page', 'Alt+Shift+O', 'parts'),
]);
</script>

<template>
  <aside class="pane" aria-label="Evidence">
    <FieldTabs v-model="tab" :items="tabs" class="tabs" />
    <EvidenceStanding
      v-if="tab === 'evidence'"
      class="body"
      :evidence="evidence"
      :changed="changed"
      @detach="emit('detach', $event)"
      @pull="emit('pull', $event)"
      @replace="(id, text, attrs) => emit('replace', id, text, attrs)"
    />
    <EvidenceFind
      v-else-if="tab === 'find'"
      class="body"
      :lesson="lesson"
      @attach="emit('attach', $event)"
      @pull="emit('pull', $event)"
    />
    <EvidenceMore
      v-else-if="tab === 'more'"
      class="body"
      :lesson="lesson"
      @pull="emit('pull', $event)"
      @read="emit('read', $event)"
      @attach="emit('attach', $event)"
      @found="unused = $event"
    />
    <LazyLessonParts v-else class="body" :lesson="lesson" :readonly="!desk.mayEdit" @show="emit('show', $event)" />
  </aside>
</template>

<style scoped>
.pane {
  width: 316px;
  flex: none;
  display: flex;
  flex-direction: column;
  background: var(--paper);
  border-left: 1px solid var(--hair);
  min-height: 0;
}
.tabs {
  padding: 0 16px;
  border-bottom: 1px solid var(--hair);
  flex: none;
  height: 48px;
}
.body {
  overflow-y: auto;
  padding: 12px 16px 24px;
  font-size: 14px;
}
@media (max-width: 1000px) {
  .pane {
    width: 100%;
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
