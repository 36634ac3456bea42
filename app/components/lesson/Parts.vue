<script setup lang="ts">
import { VueDraggable, type SortableEvent } from 'vue-draggable-plus';
import { checkIn, plainText, type Block } from '~~/core/blocks/forms';
import type { Lesson } from '~~/core/course/course';
import { copyParts, moveParts, underHeading } from '~~/core/course/parts';
import { BLOCK_NODES } from '~/blocks';
import { useActions } from '~/actions/registry';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** The parts of a page, a line each: moved any distance, folded under their headings, given to another lesson. */
const props = defineProps<{ lesson: Lesson; readonly: boolean }>();
const emit = defineEmits<{ show: [part: string] }>();
const desk = useCourse();
const folded = ref(new Set<string>());
const chosen = ref(new Set<string>());
const current = ref('');
const box = ref<HTMLElement | null>(null);
const other = ref<string>();

const hidden = computed(
  () => new Set([...folded.value].flatMap((id) => underHeading(props.lesson.blocks, id).filter((each) => each !== id))),
);
const visible = computed(() => props.lesson.blocks.filter(({ id }) => !hidden.value.has(id)));
/** As dragged, until the course says so. */
const shown = ref<Block[]>([]);
watch(visible, (now) => void (shown.value = [...now]), { immediate: true });

const checks = computed(() => new Map(desk.course!.checks.map((check) => [check.id, check])));
function wordsOf(block: Block): string {
  const check = checks.value.get(checkIn(block) ?? '');
  return (check?.stem ?? plainText(block)).replace(/\n+/g, ' / ').slice(0, 90) || '–';
}
const depthOf = (block: Block) => (block.kind === 'heading' ? block.body.level - 2 : 2);

/** A folded heading goes with what lies under it. */
const withFolded = (id: string) => (folded.value.has(id) ? underHeading(props.lesson.blocks, id) : [id]);
/** The last part that lies under a row. */
const lastOf = (id: string) => withFolded(id).at(-1)!;
function make(what: string, operations: (now: Lesson) => ReturnType<typeof moveParts>) {
  desk.flushTyping();
  const now = desk.lessons.find(({ id }) => id === props.lesson.id);
  const made = now ? operations(now) : [];
  if (made.length > 0 && desk.change(what, made)) desk.outside++;
}
function dropped(event: SortableEvent) {
  const at = event.newDraggableIndex ?? event.newIndex ?? 0;
  const moved = shown.value[at];
  const before = shown.value[at - 1];
  shown.value = [...visible.value];
  if (moved)
    make('part moved', (now) => moveParts(desk.course!, withFolded(moved.id), now, before ? lastOf(before.id) : null));
}
async function move(by: -1 | 1) {
  const at = visible.value.findIndex(({ id }) => id === current.value);
  const next = visible.value[by > 0 ? at + 1 : at - 2];
  if (at < 0 || (by > 0 ? !next : at === 0)) return;
  make('part moved', (now) => moveParts(desk.course!, withFolded(current.value), now, next ? lastOf(next.id) : null));
  await focus(current.value);
}
async function focus(id: string | undefined) {
  await nextTick();
  box.value?.querySelector<HTMLElement>(`[data-part="${id}"] .name`)?.focus();
}
function step(by: -1 | 1) {
  const at = visible.value.findIndex(({ id }) => id === current.value);
  void focus(visible.value[Math.min(visible.value.length - 1, Math.max(0, at + by))]?.id);
}
function fold(block: Block) {
  const next = new Set(folded.value);
  if (!next.delete(block.id)) next.add(block.id);
  folded.value = next;
}
function choose(id: string) {
  const next = new Set(chosen.value);
  for (const each of withFolded(id)) if (!next.delete(each)) next.add(each);
  chosen.value = next;
}
watch(
  () => props.lesson.id,
  () => {
    chosen.value = new Set();
    folded.value = new Set();
  },
);
/** The lessons that parts can go to. */
const lessons = computed(() =>
  desk.course!.modules.flatMap((module) =>
    module.lessons
      .filter(({ id }) => id !== props.lesson.id)
      .map(({ id, title }) => ({ label: title, value: id, description: module.title })),
  ),
);
const target = computed(() => desk.lessons.find(({ id }) => id === other.value));
function give(copy: boolean) {
  const ids = [...chosen.value].filter((id) => props.lesson.blocks.some((block) => block.id === id));
  const to = target.value;
  if (!to || ids.length === 0) return;
  const what = `${counted(ids.length, ['part', 'parts'])} ${copy ? 'copied' : 'moved'} to “${to.title}”`;
  make(what, () => {
    const there = desk.lessons.find(({ id }) => id === to.id)!;
    return copy
      ? copyParts(
          desk.course!,
          ids,
          there,
          () => freshId('b'),
          () => freshId('e'),
        )
      : moveParts(desk.course!, ids, there, there.blocks.at(-1)?.id ?? null);
  });
  chosen.value = new Set();
}
const mine = () => !props.readonly && current.value !== '';
const key = (id: string, label: string, key: string, run: () => void) => ({
  id,
  label,
  key,
  within: 'parts',
  area: 'Parts of the page',
  when: mine,
  run,
});
useActions([
  key('pp-up', 'Move the part up', 'Alt+ArrowUp', () => void move(-1)),
  key('pp-down', 'Move the part down', 'Alt+ArrowDown', () => void move(1)),
  key('pp-next', 'Next part', 'ArrowDown', () => step(1)),
  key('pp-before', 'Part before', 'ArrowUp', () => step(-1)),
  key('pp-choose', 'Choose the part', 'X', () => choose(current.value)),
]);
</script>

<template>
  <div ref="box" data-keys="parts">
    <p v-if="lesson.blocks.length === 0" class="small quiet">Nothing stands on the page yet.</p>
    <p v-else class="small quiet">
      <template v-if="readonly">A press leads there.</template
      ><template v-else
        >A press leads there; drag, or <kbd>Alt ↑↓</kbd>, moves; <kbd>X</kbd> chooses. Chosen ones can go to another
        lesson.</template
      >
    </p>
    <VueDraggable
      v-model="shown"
      tag="ol"
      :animation="0"
      :force-fallback="true"
      handle=".grip"
      :disabled="readonly"
      @end="dropped"
    >
      <li
        v-for="block in shown"
        :key="block.id"
        :data-part="block.id"
        :class="{ heads: block.kind === 'heading' }"
        :style="{ paddingLeft: `${depthOf(block) * 7}px` }"
      >
        <span v-if="!readonly" class="grip" aria-hidden="true">⠿</span>
        <UCheckbox
          v-if="!readonly"
          :model-value="chosen.has(block.id)"
          :aria-label="`Choose: ${wordsOf(block)}`"
          size="sm"
          @update:model-value="choose(block.id)"
        />
        <button
          type="button"
          class="name"
          :title="BLOCK_NODES[block.kind].label"
          @focus="current = block.id"
          @click="emit('show', block.id)"
        >
          <span v-if="block.kind !== 'heading' && block.kind !== 'text'" class="kind">{{
            BLOCK_NODES[block.kind].label
          }}</span>
          {{ wordsOf(block) }}</button
        ><button
          v-if="block.kind === 'heading'"
          type="button"
          class="link small"
          :aria-expanded="!folded.has(block.id)"
          @click="fold(block)"
        >
          {{ folded.has(block.id) ? `open ${underHeading(lesson.blocks, block.id).length - 1}` : 'fold' }}
        </button>
      </li>
    </VueDraggable>
    <div v-if="!readonly && chosen.size" class="give">
      <USelectMenu
        v-model="other"
        :items="lessons"
        value-key="value"
        placeholder="To which lesson"
        aria-label="Lesson to give the chosen parts to"
        class="w-full"
      />
      <p class="small">
        <UButton size="sm" :disabled="!target" @click="give(false)">Move {{ chosen.size }}</UButton>
        <UButton size="sm" color="neutral" variant="outline" :disabled="!target" @click="give(true)"
          >Copy {{ chosen.size }}</UButton
        >
        <button type="button" class="link" @click="chosen = new Set()">choose none</button>
      </p>
    </div>
  </div>
</template>

<style scoped>
ol {
  margin-top: 8px;
}
li {
  display: flex;
  align-items: baseline;
  gap: 6px;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.heads .name {
  font-weight: 700;
}
.grip {
  cursor: grab;
  color: var(--ink-3);
}
.name {
  flex: 1;
  min-width: 0;
  text-align: start;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.kind {
  font-size: 12px;
  color: var(--ink-2);
  margin-right: 4px;
}
.give {
  position: sticky;
  bottom: 0;
  padding: 10px 0;
  background: var(--paper);
}
.give p {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 6px;
}
</style>
