<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useNotes } from '~/stores/notes';
import { counted } from '~/words/states';
import type { Note } from '~~/core/notes';
import { mendWords, noteSentence } from '~~/core/notes/words';

/** What was found about the outline: of the chosen row first, each with what mends it. */
const props = defineProps<{ current: string | null }>();
const emit = defineEmits<{ show: [id: string]; word: [id: string] }>();
const desk = useCourse();
const found = useNotes();
const go = useGo();
const box = ref<HTMLElement | null>(null);
const titles = computed(
  () =>
    new Map([
      ...desk.course!.modules.flatMap((module) => [
        [module.id, module.title] as const,
        ...module.lessons.map(({ id, title }) => [id, title] as const),
      ]),
      [desk.course!.id, 'The whole course'] as const,
    ]),
);
const groups = computed(() => {
  const own = found.notes.filter(({ about }) => about === props.current);
  const others = found.notes.filter(({ about }) => about !== props.current);
  return [
    { title: titles.value.get(props.current ?? '') ?? '', notes: own },
    { title: own.length ? 'Elsewhere' : '', notes: others },
  ].filter(({ notes }) => notes.length > 0);
});
const shown = computed(() => groups.value.flatMap(({ notes }) => notes));
const at = ref(0);
const focused = computed(() => shown.value[Math.min(at.value, shown.value.length - 1)]);
async function step(by: number) {
  at.value = Math.max(0, Math.min(shown.value.length - 1, at.value + by));
  await nextTick();
  box.value?.querySelector<HTMLElement>(`[data-note="${at.value}"]`)?.focus();
}
async function mend(note: Note | undefined) {
  if (!note) return;
  if (note.mend?.kind === 'word') return emit('word', note.about);
  if (note.mend?.kind === 'open') return go(`/course/${desk.course!.id}/${note.mend.room}`);
  if (found.mend(note)) await step(0);
}
async function leave(note: Note | undefined) {
  if (note && found.leave(note)) await step(0);
}
function keys(event: KeyboardEvent) {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
  if (by === undefined || event.altKey) return;
  event.preventDefault();
  void step(by);
}
const editing = () => desk.mayEdit && focused.value !== undefined;
useActions([
  {
    id: 'n-mend',
    label: 'Mend the note',
    key: 'M',
    within: 'notes',
    area: 'Notes',
    when: () => editing() && focused.value?.mend !== undefined,
    run: () => void mend(focused.value),
  },
  {
    id: 'n-leave',
    label: 'Leave the note',
    key: 'L',
    within: 'notes',
    area: 'Notes',
    when: editing,
    run: () => void leave(focused.value),
  },
  {
    id: 'n-reword',
    label: 'Reword all that can be',
    key: 'A',
    within: 'notes',
    area: 'Notes',
    when: () => desk.mayEdit && found.reworded.length > 1,
    run: () => void found.rewordAll(),
  },
]);
defineExpose({ focus: () => step(0) });
</script>

<template>
  <div ref="box" class="notes" data-keys="notes" @keydown="keys">
    <p v-if="shown.length === 0" class="small quiet">
      Nothing to mend: every lesson says what it is for, and none is empty, long, or twice there.
    </p>
    <p v-if="desk.mayEdit && found.reworded.length > 1" class="all">
      <button type="button" class="link" @click="found.rewordAll()">Reword all {{ found.reworded.length }}</button>
      <span class="small quiet"><kbd>A</kbd></span>
    </p>
    <template v-for="group in groups" :key="group.title">
      <h2 v-if="group.title">{{ group.title }}</h2>
      <article
        v-for="note in group.notes"
        :key="`${note.rule} ${note.about} ${note.print}`"
        :data-note="shown.indexOf(note)"
        :tabindex="note === focused ? 0 : -1"
        :class="{ must: note.weight === 'decide' }"
        @focus="at = shown.indexOf(note)"
      >
        <p v-if="note.about !== current && titles.has(note.about)">
          <button type="button" class="link strong" tabindex="-1" @click="emit('show', note.about)">
            {{ titles.get(note.about) }}
          </button>
        </p>
        <p>{{ noteSentence(note) }}</p>
        <p v-if="desk.mayEdit" class="small do">
          <button v-if="note.mend" type="button" class="link" tabindex="-1" @click="mend(note)">
            {{ mendWords(note.mend) }}</button><button type="button" class="link" tabindex="-1" @click="leave(note)">
            Leave it</button
          ><span v-if="note === focused && shown.length" class="quiet"><kbd v-if="note.mend">M</kbd> <kbd>L</kbd></span>
        </p>
      </article>
    </template>
    <p v-if="shown.length" class="small quiet count">
      {{ counted(shown.length, ['note', 'notes']) }}. What you leave stays away until its words change.
    </p>
  </div>
</template>

<style scoped>
.notes {
  font-size: 14px;
}
h2 {
  font-size: 15px;
  margin-top: 10px;
}
article {
  padding: 8px 0 8px 10px;
  border-bottom: 1px solid var(--hair);
  border-left: 3px solid transparent;
}
article.must {
  border-left-color: var(--rust);
}
.strong {
  font-weight: 600;
}
.do {
  display: flex;
  gap: 12px;
  margin-top: 3px;
}
.all {
  display: flex;
  justify-content: space-between;
  padding-bottom: 6px;
  border-bottom: 1px solid var(--hair);
}
.count {
  margin-top: 10px;
}
</style>
