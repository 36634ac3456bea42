<script setup lang="ts">
import type { LessonKind } from '~~/core/course/course';
import { setOfLessons, wordObjective } from '~~/core/course/gestures';
import type { Row } from '~/components/outline/rows';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useFigures } from '~/stores/figures';
import { useNear } from '~/composables/useNear';
import { counted, stateLabel } from '~/words/states';

/** A row of the outline: a module, a lesson or a check, with what can be typed in it. */
const { row } = defineProps<{
  row: Row;
  chosen: boolean;
  current: boolean;
  folded: boolean;
  /** Questions that wait for an answer of the lesson. */
  open: number;
  /** What was found about it. */
  notes: number;
  /** Its other takes lie open below it. */
  taking: boolean;
}>();
defineEmits<{ fold: []; notes: []; takes: []; untake: [] }>();
const root = ref<HTMLElement | null>(null);
/** Of hundreds of rows only those near what is seen have fields; the others say the same as plain words. */
const near = useNear(root, row.id);
const desk = useCourse();
const figures = useFigures();
const checksIn = (lesson: string) => figures.all.get(lesson)?.checks || '';
const title = computed(() =>
  row.kind === 'module' ? row.module.title : row.kind === 'lesson' ? row.lesson.title : '',
);
const minutes = computed(() =>
  row.kind === 'lesson'
    ? figures.all.get(row.id)?.minutes
    : row.kind === 'module'
      ? Math.round(row.module.lessons.reduce((sum, lesson) => sum + (figures.all.get(lesson.id)?.minutes ?? 0), 0))
      : '',
);
const objective = computed(() =>
  row.kind === 'lesson'
    ? (desk.course!.objectives.find((each) => each.id === row.lesson.objectiveIds[0])?.text ?? '')
    : '',
);

/**
 * Words for a field of the row, as they were typed. What stood there when typing began tells whether somebody else was
 * quicker.
 */
function rename(title: string, was: string, group: string) {
  return desk.type(`title “${title}”`, [{ type: 'set', id: row.id, field: 'title', value: title, was }], group);
}
function purpose(words: string, was: string, group: string) {
  const module = row.kind === 'module' ? row.module.title : '';
  return desk.type(`purpose of “${module}”`, [{ type: 'set', id: row.id, field: 'purpose', value: words, was }], group);
}
const pinned = computed(() => row.kind === 'lesson' && row.lesson.minutesFixed !== undefined);
function pin(words: string, was: string, group: string) {
  if (row.kind !== 'lesson') return true;
  const [value, before] = [words, was].map(minutesIn);
  // What is no number stays as it was.
  if (value === undefined || value === before) return true;
  return desk.type(
    `minutes of “${row.lesson.title}”`,
    [{ type: 'set', id: row.id, field: 'minutesFixed', value, was: before ?? null }],
    group,
  );
}
/** Minutes that were typed: null for none, undefined for what is no number. */
function minutesIn(words: string): number | null | undefined {
  const number = Number(words.trim().replace(',', '.'));
  if (words.trim() === '') return null;
  return Number.isFinite(number) && number >= 0 && number <= 10_000 ? Math.round(number * 10) / 10 : undefined;
}
function kind(value: LessonKind | undefined) {
  if (row.kind === 'lesson')
    desk.change(`kind of “${row.lesson.title}”`, setOfLessons([row.lesson], 'lessonKind', value));
}
function can(words: string, was: string, group: string) {
  const lesson = desk.lessons.find((each) => each.id === row.id);
  if (!lesson) return true;
  const operations = wordObjective(desk.course!, lesson, words, freshId('o'), was);
  // Where it makes no difference, there is nothing it could meet.
  return operations.length === 0 || desk.type(`what “${lesson.title}” is for`, operations, group);
}
</script>

<template>
  <div
    ref="root"
    :data-row="row.id"
    :data-node="row.id"
    class="row"
    :class="[row.kind, { chosen, current, drag: row.kind !== 'check' }]"
    role="row"
    :aria-selected="chosen"
  >
    <template v-if="!near && !current">
      <span role="gridcell" class="title far">{{ row.kind === 'check' ? row.stem : title }}</span><span
        role="gridcell"
        class="can far"
        >{{ row.kind === 'module' ? row.module.purpose : objective }}</span
      ><span role="gridcell" class="number">{{ minutes }}</span
      ><span role="gridcell" class="number">{{ row.kind === 'lesson' ? checksIn(row.id) : '' }}</span
      ><span role="gridcell">{{ row.kind === 'lesson' ? stateLabel(row.lesson.state) : '' }}</span>
    </template>
    <template v-else-if="row.kind !== 'check'">
      <span role="gridcell" class="title"
        ><i class="grip" aria-hidden="true" /><template v-if="row.kind === 'module'"
          ><button
            type="button"
            class="fold"
            :aria-expanded="!folded"
            :aria-label="`Fold ${title}`"
            tabindex="-1"
            @click="$emit('fold')"
          >
            {{ folded ? '+' : '–' }}</button
          ><b>{{ row.number }}</b></template
        ><OutlineKind
          v-else
          :kind="row.lesson.lessonKind"
          :quiz="row.lesson.kind === 'quiz'"
          :on="title"
          :readonly="!desk.mayEdit"
          @choose="kind" /><FieldInPlace
          :value="title"
          :save="rename"
          required
          wraps
          data-part="title"
          :readonly="!desk.mayEdit"
          :aria-label="row.kind === 'module' ? `Module ${row.number}` : 'Lesson'"
          maxlength="400" /><OutlineNoted v-if="notes" :count="notes" :on="title" @click.stop="$emit('notes')" /><button
          v-if="desk.mayEdit"
          type="button"
          class="open"
          :aria-label="`Other takes of ${title}`"
          title="Other takes (Alt ⇧ T)"
          tabindex="-1"
          @click.stop="$emit('takes')"
        >
          <UIcon name="i-lucide-layers-2" /></button
        ><NuxtLink
          v-if="row.kind === 'lesson'"
          class="open"
          :to="`/course/${desk.course!.id}/lessons/${row.id}`"
          :aria-label="`Open ${title}`"
          title="Open the lesson (Ctrl ↵)"
          tabindex="-1"
          ><UIcon name="i-lucide-arrow-right" /></NuxtLink
      ></span>
      <span role="gridcell" class="can"
        ><FieldInPlace
          v-if="row.kind === 'module'"
          :value="row.module.purpose"
          :save="purpose"
          wraps
          data-part="purpose"
          :readonly="!desk.mayEdit"
          placeholder="what this module is for"
          :aria-label="`Purpose of ${title}`"
          maxlength="400" /><FieldInPlace
          v-else
          :value="objective"
          :save="can"
          wraps
          data-part="can"
          :readonly="!desk.mayEdit"
          :placeholder="open ? counted(open, ['question open', 'questions open']) : 'not said yet'"
          :aria-label="`After ${title} the learner can`"
          maxlength="600"
      /></span>
      <template v-if="row.kind === 'module'"
        ><span role="gridcell" class="number strong">{{ minutes }}</span
        ><span role="gridcell" /><span role="gridcell"
      /></template>
      <template v-else>
        <span role="gridcell" class="number" :class="{ strong: pinned }" :title="pinned ? 'Pinned by you' : undefined"
          ><FieldInPlace
            v-if="current && desk.mayEdit"
            :value="pinned ? String(row.lesson.minutesFixed) : ''"
            :save="pin"
            data-part="minutes"
            inputmode="decimal"
            :placeholder="String(minutes ?? '')"
            :aria-label="`Minutes of ${title}, pinned`"
            title="A number pins it; empty, it is counted"
            maxlength="6"
          /><template v-else>{{ minutes }}</template></span
        >
        <span role="gridcell" class="number">{{ checksIn(row.id) }}</span>
        <span role="gridcell" class="state"><PathStateMark :state="row.lesson.state" /></span>
      </template>
    </template>
    <template v-else>
      <span role="gridcell" class="title"
        ><PathPost :width="7" :height="14" /><span class="stem">{{ row.stem }}</span></span
      ><span role="gridcell" /><span role="gridcell" /><span role="gridcell" /><span role="gridcell" />
    </template>
    <OutlineTakes v-if="taking && row.kind !== 'check'" :row="row.id" :title="title" @close="$emit('untake')" />
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: var(--columns);
  align-items: start;
  padding-block: 3px;
  /* Fields of several lines are dear to paint: those out of sight are not. */
  content-visibility: auto;
  contain-intrinsic-height: auto 36px;
  border-bottom: 1px solid var(--hair);
  padding-right: 8px;
  min-height: 32px;
  column-gap: 8px;
  border-left: 3px solid transparent;
  padding-left: 5px;
}
.row.module {
  background: var(--paper);
  min-height: 36px;
}
.row.chosen {
  background: var(--moss-faint);
}
.row.current {
  border-left-color: var(--moss);
}
.title b,
.fold,
.number {
  padding-top: 3px;
}
.number :deep(input) {
  width: 100%;
  padding: 0;
  text-align: right;
}
.row > .state {
  padding-top: 1px;
}
.title {
  display: flex;
  align-items: start;
  gap: 5px;
  min-width: 0;
}
.lesson .title {
  padding-left: 14px;
}
.check .title {
  padding-left: 34px;
  gap: 8px;
  color: var(--ink-2);
  font-size: 13.5px;
}
.far {
  display: block;
  padding-block: 3px;
}
.lesson .title.far {
  padding-left: 52px;
}
.module .title.far {
  padding-left: 42px;
  font-weight: 700;
}
.can.far {
  padding-left: 4px;
  color: var(--ink-2);
  font-size: 13.5px;
}
.stem {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.module .title :deep(textarea),
.strong {
  font-weight: 700;
}
.can :deep(textarea) {
  color: var(--ink-2);
  font-size: 13.5px;
}
.open {
  flex: none;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  color: var(--ink-3);
  opacity: 0;
}
.row:hover .open,
.row.current .open,
.open:focus-visible {
  opacity: 1;
}
.open:hover {
  color: var(--sky);
}
.grip {
  opacity: 0;
}
.row:hover .grip {
  opacity: 0.8;
}
.fold {
  width: 16px;
  color: var(--ink-2);
  cursor: pointer;
}
</style>
