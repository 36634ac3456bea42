<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { VueDraggable, type SortableEvent } from 'vue-draggable-plus';
import { api, type AnswerOf } from '~/client';
import { isPressed, useActions } from '~/actions/registry';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useJobs } from '~/stores/jobs';
import type { Lesson, Point } from '~~/core/course/course';
import { splitLesson } from '~~/core/course/joining';
import { giveToPoint, movePoint, newPointBelow, removePoints, takePoints } from '~~/core/course/points';
import { pointQuestion } from '~~/core/own/open';

/**
 * What a lesson says, point by point, settled before its text is drafted: what is done at each, and what of the sources
 * it stands on.
 */
const { lesson } = defineProps<{ lesson: Lesson }>();
const emit = defineEmits<{ show: [id: string] }>();
const desk = useCourse();
const jobs = useJobs();
type Offers = AnswerOf<'GET /api/courses/:course/lessons/:lesson/points'>;
const offers = shallowRef<Offers>();
const failed = ref(false);
const box = ref<HTMLElement | null>(null);
async function load() {
  if (!desk.course) return;
  const found = await api('GET /api/courses/:course/lessons/:lesson/points', {
    course: desk.course.id,
    lesson: lesson.id,
  }).catch(() => undefined);
  failed.value = found === undefined;
  offers.value = found ?? offers.value;
}
onMounted(load);
watchDebounced(() => desk.savedAt, load, { debounce: 900 });

const points = computed(() => lesson.points ?? []);
/** As dragged, until the course says so. */
const shown = ref<Point[]>([]);
watch(points, (now) => void (shown.value = [...now]), { immediate: true });
const proposed = computed(() => takePoints(lesson, offers.value?.offered ?? []));
const passages = computed(() => new Map((offers.value?.passages ?? []).map((view) => [view.passage.id, view])));
const lacking = computed(() => new Set(offers.value?.lacking ?? []));
const heldBy = (ids: readonly string[]) => ids.flatMap((id) => passages.value.get(id) ?? []);
const fitting = (point: Point) => heldBy(offers.value?.fitting[point.id] ?? []);
const asked = (point: Point) =>
  (desk.course!.answers ?? []).some((each) => each.lesson === lesson.id && each.question === pointQuestion(point.text));

async function focus(id: string | undefined, all = false) {
  await nextTick();
  const field = box.value?.querySelector<HTMLTextAreaElement>(
    id ? `[data-point="${id}"] textarea` : 'textarea, button',
  );
  field?.focus();
  if (all) field?.select?.();
}
/** Makes a gesture, once what is typed was given to the course. */
function make(what: string, gesture: (now: Lesson) => ReturnType<typeof takePoints>): boolean {
  desk.flushTyping();
  const now = desk.lessons.find(({ id }) => id === lesson.id);
  const operations = now ? gesture(now) : [];
  return operations.length > 0 && desk.change(what, operations);
}
function propose() {
  if (make(`points of “${lesson.title}”`, (now) => takePoints(now, offers.value?.offered ?? [])))
    void focus(points.value[0]?.id);
}
function below(after?: string) {
  const point: Point = { id: freshId('i'), text: 'New point', does: 'explain', passages: [] };
  if (make('new point', (now) => newPointBelow(now, point, after))) void focus(point.id, true);
}
function remove(point: Point) {
  const at = points.value.findIndex(({ id }) => id === point.id);
  const next = points.value[at + 1] ?? points.value[at - 1];
  if (make(`point “${point.text}” deleted`, (now) => removePoints(now, [point.id]))) void focus(next?.id);
}
function move(point: Point, by: -1 | 1) {
  if (make('point moved', (now) => movePoint(now, point.id, by))) void focus(point.id);
}
function dropped(event: SortableEvent) {
  const moved = shown.value[event.newDraggableIndex ?? event.newIndex ?? 0];
  const after = shown.value[shown.value.indexOf(moved!) - 1]?.id ?? null;
  shown.value = [...points.value];
  if (moved) make('point moved', (now) => [{ type: 'move', id: moved.id, parent: now.id, after }]);
}
const reword = (point: Point) => (text: string, was: string, group: string) =>
  desk.type('point', [{ type: 'set', id: point.id, field: 'text', value: text, was }], group);
const does = (point: Point, value: Point['does']) =>
  make(`point: ${value}`, () => [{ type: 'set', id: point.id, field: 'does', value, was: point.does }]);
const give = (point: Point) =>
  make('passages for a point', (now) =>
    giveToPoint(
      now,
      point,
      fitting(point).map(({ passage }) => passage.id),
    ),
  );
function ask(point: Point) {
  make('question for a point', () => [
    {
      type: 'insert',
      kind: 'answer',
      parent: desk.course!.id,
      after: desk.course!.answers?.at(-1)?.id ?? null,
      node: {
        id: freshId('a'),
        topic: lesson.title,
        question: pointQuestion(point.text),
        text: '',
        lesson: lesson.id,
      },
    },
  ]);
}
function split(point: Point) {
  const id = freshId('l');
  if (make(`“${lesson.title}” split`, (now) => splitLesson(desk.course!, now, point.id, id))) emit('show', id);
}
/** Points of a page that stands are where it was settled; it is split on the page itself. */
const splits = computed(() => lesson.blocks.length === 0);
const at = computed(() => points.value.find(({ id }) => id === current.value));
const current = ref('');
function keys(event: KeyboardEvent) {
  const point = at.value;
  if (!desk.mayEdit || !point || event.defaultPrevented) return;
  const { key, altKey, ctrlKey, shiftKey } = event;
  const done = (run: () => void) => {
    event.preventDefault();
    run();
  };
  if (key === 'Enter' && !isPressed(event.target as Element) && !ctrlKey && !shiftKey) done(() => below(point.id));
  else if ((key === 'ArrowUp' || key === 'ArrowDown') && altKey) done(() => move(point, key === 'ArrowUp' ? -1 : 1));
  else if (key === 'Delete' && ctrlKey) done(() => remove(point));
}
const editing = () => desk.mayEdit && at.value !== undefined;
useActions([
  {
    id: 'p-new',
    label: 'New point below',
    key: 'Enter',
    within: 'points',
    area: 'Points',
    when: editing,
    run: () => below(current.value),
  },
  {
    id: 'p-up',
    label: 'Move the point up',
    key: 'Alt+ArrowUp',
    within: 'points',
    area: 'Points',
    when: editing,
    run: () => move(at.value!, -1),
  },
  {
    id: 'p-down',
    label: 'Move the point down',
    key: 'Alt+ArrowDown',
    within: 'points',
    area: 'Points',
    when: editing,
    run: () => move(at.value!, 1),
  },
  {
    id: 'p-del',
    label: 'Delete the point',
    key: 'Ctrl+Delete',
    within: 'points',
    area: 'Points',
    when: editing,
    run: () => remove(at.value!),
  },
  {
    id: 'p-split',
    label: 'Begin a lesson at the point',
    key: 'Alt+Shift+S',
    within: 'points',
    area: 'Points',
    when: () => editing() && splits.value,
    run: () => split(at.value!),
  },
]);
const draft = () => desk.settleAll().then(() => jobs.draft([lesson.id]));
const going = computed(() => jobs.waiting.has(lesson.id));
defineExpose({ focus: () => focus(points.value[0]?.id) });
</script>

<template>
  <div ref="box" class="points" data-keys="points" @keydown="keys">
    <h2>{{ lesson.title }}</h2>
    <p class="small quiet">
      {{
        points.length
          ? 'What it says, in this order. Its text is drafted by these points.'
          : 'What this lesson says, point by point, can be settled before its text is drafted.'
      }}
    </p>
    <p v-if="failed" class="small decide">
      The sources could not be looked at. <button type="button" class="link" @click="load">Look again</button>
    </p>
    <VueDraggable
      v-model="shown"
      tag="ol"
      :animation="0"
      :force-fallback="true"
      handle=".grip"
      :disabled="!desk.mayEdit"
      @end="dropped"
    >
      <OutlinePoint
        v-for="(point, nth) in shown"
        :key="point.id"
        :point="point"
        :nth="nth"
        :readonly="!desk.mayEdit"
        :held="heldBy(point.passages)"
        :fitting="fitting(point)"
        :lacking="lacking.has(point.id)"
        :asked="asked(point)"
        :lesson-path="`/course/${desk.course!.id}/lessons/${lesson.id}`"
        :splits="splits && nth > 0"
        :save="reword(point)"
        @focusin="current = point.id"
        @does="does(point, $event)"
        @give="give(point)"
        @ask="ask(point)"
        @split="split(point)"
        @remove="remove(point)"
      />
    </VueDraggable>
    <p v-if="desk.mayEdit" class="small do">
      <button v-if="proposed.length" type="button" class="link" @click="propose">
        {{
          points.length ? `Add ${proposed.length} more from its sources` : `Propose ${proposed.length} from its sources`
        }}</button><button type="button" class="link" @click="below()">
        {{ points.length ? 'New point' : 'Write the first' }}
      </button>
    </p>
    <p v-if="offers && !points.length && !proposed.length" class="small quiet">
      Nothing of the sources is planned for this lesson yet.
    </p>
    <p v-if="desk.mayEdit && points.length" class="do">
      <UButton size="sm" :disabled="going" @click="draft">{{
        going ? 'Waits for its draft' : lesson.blocks.length ? 'Draft again by these points' : 'Draft by these points'
      }}</UButton>
    </p>
    <p v-if="desk.mayEdit && points.length" class="small quiet">
      <kbd>Enter</kbd> new, <kbd>Alt ↑↓</kbd> move, <kbd>Ctrl Del</kbd> delete<template v-if="splits"
        >, <kbd>Alt ⇧ S</kbd> begin a lesson here</template
      >
    </p>
  </div>
</template>

<style scoped>
.points {
  font-size: 14px;
}
h2 {
  font-size: 15px;
}
.points > p {
  margin-top: 4px;
}
.do {
  display: flex;
  gap: 14px;
  margin-top: 10px;
}
ol {
  margin-top: 6px;
}
</style>
