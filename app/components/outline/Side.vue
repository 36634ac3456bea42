<script setup lang="ts">
import { useCourse } from '~/stores/course';
import { useNotes } from '~/stores/notes';
import type { Lesson } from '~~/core/course/course';

/** Beside the outline: what the sources hold for the chosen row and no lesson uses, or what was found about it. */
defineProps<{ current: string | null; lesson?: Lesson }>();
defineEmits<{ show: [id: string]; word: [id: string] }>();
const desk = useCourse();
const notes = useNotes();
/** Who only reads gives nothing to lessons. */
const shown = ref<'unused' | 'notes'>(desk.mayEdit ? 'unused' : 'notes');
const list = ref<{ focus: () => void } | null>(null);
const faces = computed(() => [
  ...(desk.mayEdit ? [{ value: 'unused' as const, label: 'Not used yet' }] : []),
  { value: 'notes' as const, label: notes.notes.length ? `Notes ${notes.notes.length}` : 'Notes' },
]);
defineExpose({
  async showNotes() {
    shown.value = 'notes';
    await nextTick();
    list.value?.focus();
  },
});
</script>

<template>
  <div class="tabbed">
    <FieldTabs v-model="shown" :items="faces" />
    <OutlineNotes
      v-if="shown === 'notes'"
      ref="list"
      :current="current"
      class="tab"
      @show="$emit('show', $event)"
      @word="$emit('word', $event)"
    />
    <EvidenceUnused v-else-if="lesson && desk.mayEdit" :lesson="lesson" class="tab" />
  </div>
</template>

<style scoped>
.tabbed {
  display: flex;
  flex-direction: column;
  background: var(--paper);
  border-left: 1px solid var(--hair);
  padding-top: 4px;
}
.tab {
  flex: 1;
  overflow-y: auto;
  padding: 8px 16px 12px;
  border-left: 0;
}
</style>
