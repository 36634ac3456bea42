<script setup lang="ts">
import { useCourse } from '~/stores/course';
import { useNotes } from '~/stores/notes';
import type { Lesson, Module } from '~~/core/course/course';

/**
 * Beside the outline: what the sources hold for the chosen row and no lesson uses, its points, what was found about it,
 * or what its module is for.
 */
const { lesson } = defineProps<{ current: string | null; lesson?: Lesson; module?: Module }>();
defineEmits<{ show: [id: string]; word: [id: string] }>();
const desk = useCourse();
const notes = useNotes();
/** Who only reads gives nothing to lessons. */
const shown = ref<'unused' | 'points' | 'notes' | 'module'>(desk.mayEdit ? 'unused' : 'notes');
const list = ref<{ focus: () => void } | null>(null);
const points = ref<{ focus: () => void } | null>(null);
const faces = computed(() => [
  ...(desk.mayEdit ? [{ value: 'unused' as const, label: 'Not used' }] : []),
  { value: 'points' as const, label: lesson?.points ? `Points ${lesson.points.length}` : 'Points' },
  { value: 'notes' as const, label: notes.notes.length ? `Notes ${notes.notes.length}` : 'Notes' },
  { value: 'module' as const, label: 'Module' },
]);
defineExpose({
  async showNotes() {
    shown.value = 'notes';
    await nextTick();
    list.value?.focus();
  },
  async showPoints() {
    shown.value = 'points';
    await nextTick();
    points.value?.focus();
  },
  showModule: () => void (shown.value = 'module'),
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
    <OutlinePoints
      v-else-if="shown === 'points' && lesson"
      ref="points"
      :key="lesson.id"
      :lesson="lesson"
      class="tab"
      @show="$emit('show', $event)"
    />
    <OutlineModuleBrief v-else-if="shown === 'module' && module" :key="module.id" :module="module" class="tab" />
    <EvidenceUnused v-else-if="shown === 'unused' && lesson && desk.mayEdit" :lesson="lesson" class="tab" />
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
