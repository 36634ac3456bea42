<script setup lang="ts">
import { api } from '~/client';
import { VueDraggable, type SortableEvent } from 'vue-draggable-plus';
import {
  beginModuleAt,
  joinModuleBefore,
  moveRows,
  newLessonBelow,
  newModuleBelow,
  placeLessons,
  removeRows,
} from '~~/core/course/gestures';
import { placedChecks, type LessonState } from '~~/core/course/course';
import { mergeLessons, splitLesson } from '~~/core/course/joining';
import type { Operation } from '~~/core/course/operations';
import { useActions } from '~/actions/registry';
import { keptRows, openSlotsOf, rowAt, rowsOf, type Row } from '~/components/outline/rows';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useBeside } from '~/stores/beside';
import { useNotes } from '~/stores/notes';
import { counted, STATES } from '~/words/states';

const go = useGo();
const desk = useCourse();
const beside = useBeside();
const notes = useNotes();
notes.watchHere();
const side = ref<{ showNotes: () => void } | null>(null);
/** Comes to a row, wherever it is folded away. */
function reveal(id: string, part = 'title') {
  const home = desk.course!.modules.find((module) => module.lessons.some((lesson) => lesson.id === id));
  if (home && folded.value.has(home.id)) fold(home.id);
  anchor.value = id;
  void focus(id, part);
}
const folded = ref(new Set<string>());
const withChecks = ref(false);
const current = ref<string | null>(null);
const anchor = ref<string | null>(null);
const body = ref<HTMLElement | null>(null);
const versions = ref<{ id: string; name: string }[]>([]);
/** The row of the other outline that is looked at. */
const besideAt = ref(0);
watch(
  () => beside.other?.nodes,
  () => void (besideAt.value = 0),
);
const bringing = ref(false);
const looking = ref(false);
/** The dialog comes when it is first wanted, and stays. */
const looked = ref(false);
watch(looking, () => void (looked.value = true));
const naming = ref(false);
const planning = ref(false);
const openSlots = computed(() => openSlotsOf(desk.course!));
const rows = computed<Row[]>((before) => keptRows(before ?? [], rowsOf(desk.course!, folded.value, withChecks.value)));
const shown = ref<Row[]>([]);
watch(rows, (next) => void (shown.value = [...next]), { immediate: true });
const places = computed(() => rows.value.filter((row) => row.kind !== 'check').map((row) => row.id));
const selected = computed(() => {
  if (!current.value) return new Set<string>();
  const [a, b] = [places.value.indexOf(anchor.value ?? current.value), places.value.indexOf(current.value)].sort(
    (x, y) => x - y,
  ) as [number, number];
  return new Set(a < 0 ? [current.value] : places.value.slice(a, b + 1));
});
const many = computed(() => selected.value.size > 1);
const chosenLesson = computed(() => desk.lessons.find((lesson) => lesson.id === current.value));
/** The lesson the pane at the side speaks of: the chosen one, or the first of the chosen module. */
const besideLesson = computed(
  () =>
    chosenLesson.value ??
    desk.course!.modules.find((module) => module.id === current.value)?.lessons[0] ??
    desk.lessons[0],
);
async function focus(id: string | null, part = 'title') {
  current.value = id;
  await nextTick();
  const input = body.value?.querySelector<HTMLInputElement>(`[data-row="${id}"] [data-part="${part}"]`);
  input?.focus();
}
async function select(id: string, extend = false) {
  if (!extend) anchor.value = id;
  current.value = id;
}
function reached(event: FocusEvent) {
  const id = rowAt(event, places.value);
  if (id !== undefined && id !== current.value) void select(id);
}
function pressed(event: MouseEvent) {
  const id = rowAt(event, places.value);
  if (id !== undefined) void select(id, event.shiftKey);
}
const paste = usePastedRows(current, (first) => {
  anchor.value = first;
  void focus(first);
});
function step(by: number, extend: boolean) {
  const at = places.value.indexOf(current.value ?? '');
  const next = places.value[Math.min(places.value.length - 1, Math.max(0, at + by))];
  if (!next) return;
  if (!extend) anchor.value = next;
  const part = document.activeElement?.getAttribute('data-part') ?? 'title';
  void focus(
    next,
    part === 'can' || part === 'purpose'
      ? rows.value.find((row) => row.id === next)?.kind === 'module'
        ? 'purpose'
        : 'can'
      : 'title',
  );
}
/** Makes the operations of a gesture, once what is typed was given to the course, and keeps the row in view. */
function make(what: string, gesture: () => Operation[], then = current.value) {
  desk.flushTyping();
  const operations = gesture();
  if (operations.length > 0 && desk.change(what, operations)) void focus(then);
}
/** Comes to a row just made with its title marked: what is typed next is its name. */
async function name(id: string) {
  anchor.value = id;
  await focus(id);
  await nextTick();
  (document.activeElement as HTMLInputElement | null)?.select?.();
}
function below() {
  const ids = { lesson: freshId('l'), module: freshId('m') };
  if (current.value && folded.value.has(current.value))
    folded.value = new Set([...folded.value].filter((id) => id !== current.value));
  make(
    'new lesson',
    () => newLessonBelow(desk.course!, current.value, ids, { lesson: 'New lesson', module: 'New module' }),
    ids.lesson,
  );
  void name(ids.lesson);
}
function moduleBelow() {
  const id = freshId('m');
  make('new module', () => newModuleBelow(desk.course!, current.value, id, 'New module'), id);
  void name(id);
}
function indent(out: boolean) {
  const id = current.value;
  if (!id) return;
  const modules = desk.course!.modules;
  const place = modules.findIndex((module) => module.id === id);
  const isModule = place >= 0;
  const fresh = freshId(isModule ? 'l' : 'm');
  // An empty module becomes a lesson under the fresh id; one with lessons goes, and they join the one before.
  const then = !isModule ? id : modules[place]!.lessons.length === 0 ? fresh : (modules[place - 1]?.id ?? null);
  make(
    out ? 'new module from here' : 'module joined to the one before',
    () =>
      isModule && !out
        ? joinModuleBefore(desk.course!, id, fresh)
        : !isModule && out
          ? beginModuleAt(desk.course!, id, fresh)
          : [],
    then,
  );
}
function remove() {
  const at = Math.max(0, places.value.indexOf(current.value ?? '') - (selected.value.size - 1));
  const gone = [...selected.value];
  const rest = places.value.filter((id) => !gone.includes(id));
  const next = rest[Math.min(rest.length - 1, at)] ?? null;
  make(gone.length > 1 ? `${gone.length} rows deleted` : 'row deleted', () => removeRows(desk.course!, gone), next);
  anchor.value = next;
}
/** The chosen lesson in two, at the heading nearest its middle. */
function split() {
  const lesson = chosenLesson.value;
  const id = freshId('l');
  if (!lesson) return;
  make(`“${lesson.title}” split`, () => splitLesson(desk.course!, lesson, undefined, id), id);
  void name(id);
}
/** The lesson above the chosen one in its module. */
const lessonAbove = computed(() => {
  const home = desk.course!.modules.find((module) => module.lessons.some(({ id }) => id === current.value));
  return home?.lessons[home.lessons.findIndex(({ id }) => id === current.value) - 1];
});
function join() {
  const [into, from] = [lessonAbove.value, chosenLesson.value];
  if (into && from) make(`“${from.title}” joined to “${into.title}”`, () => mergeLessons(into, from), into.id);
}
function move(by: -1 | 1) {
  make('row moved', () => moveRows(desk.course!, [...selected.value], by));
}
function setState(state: LessonState) {
  make(`state: ${state}`, () =>
    desk.lessons
      .filter((lesson) => selected.value.has(lesson.id) && lesson.state !== state)
      .map((lesson): Operation => ({ type: 'set', id: lesson.id, field: 'state', value: state, was: lesson.state })),
  );
}
function keys(event: KeyboardEvent) {
  if (!desk.mayEdit || event.defaultPrevented) return;
  const input = event.target as HTMLInputElement;
  const part = input.getAttribute('data-part');
  const { key, shiftKey, altKey, ctrlKey } = event;
  const done = () => event.preventDefault();
  if ((key === 'ArrowUp' || key === 'ArrowDown') && !ctrlKey) {
    done();
    if (altKey) move(key === 'ArrowUp' ? -1 : 1);
    else step(key === 'ArrowUp' ? -1 : 1, shiftKey);
  } else if (key === 'Enter' && !ctrlKey) {
    done();
    if (shiftKey) moduleBelow();
    else below();
  } else if (key === 'Tab' && part === 'title' && !ctrlKey) {
    // Tab goes on to the next field, as everywhere; with Alt or in front of the text it changes the level.
    if (input.selectionStart === 0 && input.selectionEnd === 0) {
      done();
      indent(shiftKey);
    }
  } else if ((key === ']' || key === '[') && ctrlKey) {
    done();
    indent(key === '[');
  } else if (
    (key === 'Delete' || key === 'Backspace') &&
    (ctrlKey || many.value || (part === 'title' && input.value === ''))
  ) {
    done();
    remove();
  } else if (key === 'Escape') {
    anchor.value = current.value;
  }
}
/** Dragged rows: what stands above the new place tells where it belongs. */
function dropped(event: SortableEvent) {
  const list = shown.value;
  const row = list[event.newDraggableIndex ?? event.newIndex ?? 0];
  shown.value = [...rows.value];
  if (!row || row.kind === 'check') return;
  const at = list.indexOf(row);
  const above = list.slice(0, at).toReversed();
  if (row.kind === 'module') {
    const before = above.find((each) => each.kind === 'module')?.id ?? null;
    make('module moved', () => [{ type: 'move', id: row.id, parent: desk.course!.id, after: before }], row.id);
    return;
  }
  const moved = selected.value.has(row.id)
    ? desk.lessons.filter((lesson) => selected.value.has(lesson.id)).map((lesson) => lesson.id)
    : [row.id];
  const module = above.find((each) => each.kind === 'module')?.id ?? desk.course!.modules[0]!.id;
  const before = above.find((each) => each.kind === 'lesson' && !moved.includes(each.id));
  const after = before?.kind === 'lesson' && before.module === module ? before.id : null;
  make(
    moved.length > 1 ? `${moved.length} lessons moved` : 'lesson moved',
    () => placeLessons(moved, module, after),
    row.id,
  );
}
function dragging(event: SortableEvent) {
  const row = shown.value[event.oldDraggableIndex ?? 0];
  if (row && !selected.value.has(row.id)) void select(row.id);
}
const loadVersions = () =>
  api('GET /api/courses/:course/versions', { course: desk.course!.id }).then(
    (list) => void (versions.value = list),
    () => undefined,
  );
const foldAll = () =>
  void (folded.value = folded.value.size > 0 ? new Set() : new Set(desk.course!.modules.map((module) => module.id)));
const fold = (id: string) =>
  void (folded.value = new Set(
    folded.value.has(id) ? [...folded.value].filter((each) => each !== id) : [...folded.value, id],
  ));
const stateItems = computed(() => [STATES.map(({ state, label }) => ({ label, onSelect: () => setState(state) }))]);
onMounted(() => {
  void loadVersions();
  if (places.value[0]) void select(places.value[0]);
});
const editing = () => desk.mayEdit;
useActions([
  {
    id: 'o-new',
    label: 'New lesson below',
    key: 'Enter',
    within: 'outline',
    area: 'Outline',
    when: editing,
    run: below,
  },
  {
    id: 'o-module',
    label: 'New module below',
    key: 'Shift+Enter',
    within: 'outline',
    area: 'Outline',
    when: editing,
    run: moduleBelow,
  },
  {
    id: 'o-in',
    label: 'Join module to the one before',
    key: 'Ctrl+]',
    within: 'outline',
    area: 'Outline',
    when: editing,
    run: () => indent(false),
  },
  {
    id: 'o-out',
    label: 'Begin a module here',
    key: 'Ctrl+[',
    within: 'outline',
    area: 'Outline',
    when: editing,
    run: () => indent(true),
  },
  {
    id: 'o-up',
    label: 'Move up',
    key: 'Alt+ArrowUp',
    within: 'outline',
    area: 'Outline',
    when: editing,
    run: () => move(-1),
  },
  {
    id: 'o-down',
    label: 'Move down',
    key: 'Alt+ArrowDown',
    within: 'outline',
    area: 'Outline',
    when: editing,
    run: () => move(1),
  },
  {
    id: 'o-more',
    label: 'Select one row more',
    key: 'Shift+ArrowDown',
    within: 'outline',
    area: 'Outline',
    run: () => step(1, true),
  },
  {
    id: 'o-del',
    label: 'Delete rows',
    key: 'Ctrl+Delete',
    within: 'outline',
    area: 'Outline',
    when: editing,
    run: remove,
  },
  { id: 'o-fold', label: 'Fold or unfold all', key: 'Alt+F2', area: 'Outline', run: foldAll },
  {
    id: 'o-open',
    label: 'Open the lesson',
    key: 'Ctrl+Enter',
    within: 'outline',
    area: 'Outline',
    when: () => chosenLesson.value !== undefined,
    run: () => go(`/course/${desk.course!.id}/lessons/${chosenLesson.value!.id}`),
  },
  {
    id: 'o-versions',
    label: 'Look at versions',
    key: 'Alt+V',
    area: 'Outline',
    when: () => versions.value.length > 0,
    run: () => void (looking.value = true),
  },
  {
    id: 'o-draft',
    label: 'Draft an outline',
    key: 'Alt+D',
    area: 'Outline',
    when: editing,
    run: () => void beside.draft(),
  },
  {
    id: 'o-split',
    label: 'Split the lesson in two',
    key: 'Alt+Shift+S',
    within: 'outline',
    area: 'Outline',
    when: () => editing() && chosenLesson.value !== undefined,
    run: split,
  },
  {
    id: 'o-join',
    label: 'Join the lesson to the one above',
    key: 'Alt+Shift+J',
    within: 'outline',
    area: 'Outline',
    when: () => editing() && lessonAbove.value !== undefined,
    run: join,
  },
  { id: 'o-notes', label: 'Notes on the outline', key: 'Alt+N', area: 'Outline', run: () => side.value?.showNotes() },
  {
    id: 'o-own',
    label: 'Bring an outline of your own',
    key: 'Alt+O',
    area: 'Outline',
    when: editing,
    run: () => void (bringing.value = true),
  },
]);
</script>

<template>
  <div class="outlining">
    <div class="head">
      <h1>Outline</h1>
      <button
        v-if="versions.length && !beside.other"
        type="button"
        class="link small"
        title="Look at a version, and go back to it"
        @click="looking = true"
      >
        {{ counted(versions.length, ['version', 'versions']) }} kept
      </button>
      <OutlineCompared v-if="beside.other" />
      <div v-else-if="desk.mayEdit" class="end">
        <UDropdownMenu v-if="many" :items="stateItems"
          ><UButton color="neutral" variant="outline">State of {{ selected.size }}</UButton></UDropdownMenu
        >
        <OutlineCompareMenu v-if="desk.lessons.length" :versions="versions" @bring="bringing = true" />
        <UButton v-if="desk.lessons.length" @click="naming = true">Keep as a version</UButton>
      </div>
    </div>
    <div class="sides">
      <OutlineBeside v-if="beside.other" v-model:current="besideAt" />
      <div
        v-else-if="rows.length"
        ref="body"
        class="rows"
        data-keys="outline"
        @keydown="keys"
        @paste="paste"
        @focusin="reached"
        @mousedown="pressed"
      >
        <div role="grid" aria-label="Outline" aria-multiselectable="true">
          <div class="names" role="row">
            <span role="columnheader">Lesson</span><span role="columnheader">Afterwards the learner can</span
            ><span class="number" role="columnheader">Min</span><span class="number" role="columnheader">Checks</span
            ><span role="columnheader">State</span>
          </div>
          <VueDraggable
            v-model="shown"
            :animation="0"
            :force-fallback="true"
            handle=".grip"
            draggable=".drag"
            :disabled="!desk.mayEdit"
            role="rowgroup"
            @start="dragging"
            @end="dropped"
          >
            <OutlineRow
              v-for="row in shown"
              :key="row.id"
              :row="row"
              :chosen="selected.has(row.id)"
              :current="row.id === current"
              :folded="folded.has(row.id)"
              :open="openSlots.get(row.id) ?? 0"
              :notes="notes.counts.get(row.id) ?? 0"
              @fold="fold(row.id)"
              @notes="select(row.id).then(showNotes)"
            />
          </VueDraggable>
        </div>
        <p class="foot small quiet">
          <button v-if="desk.mayEdit" type="button" class="link" @click="below">New lesson</button
          ><button v-if="desk.mayEdit" type="button" class="link" @click="moduleBelow">New module</button
          ><button type="button" class="link" @click="foldAll">{{ folded.size ? 'Unfold all' : 'Fold all' }}</button
          ><button type="button" class="link" :aria-pressed="withChecks" @click="withChecks = !withChecks">
            {{ withChecks ? 'Without checks' : `With the ${placedChecks(desk.course!).length} checks` }}</button
          ><span
            ><kbd>Enter</kbd> new, <kbd>Alt ↑↓</kbd> move, <kbd>Ctrl [ ]</kbd> level, <kbd>Ctrl Del</kbd> delete</span
          >
        </p>
      </div>
      <div v-else class="empty">
        <h2>No outline yet</h2>
        <p>
          The outline decides: modules, lessons, what the learner can do after each. Let it be drafted from brief and
          sources, bring one that you have, begin from a plan whose lessons ask you what you know, or write it yourself:
          <kbd>Enter</kbd> makes the next row.
        </p>
        <div v-if="desk.mayEdit" class="flex gap-2">
          <UButton :disabled="beside.busy" @click="beside.draft()">{{
            beside.busy ? 'Drafting' : 'Draft from the sources'
          }}</UButton><UButton color="neutral" variant="outline" @click="bringing = true">Bring my own</UButton
          ><UButton color="neutral" variant="outline" @click="planning = true">Begin from a plan</UButton
          ><UButton color="neutral" variant="outline" @click="below">Write the first row</UButton>
        </div>
      </div>
      <OutlineBesidePane v-if="beside.other" :current="besideAt" class="side" />
      <OutlineSide
        v-else-if="rows.length"
        ref="side"
        :current="current"
        :lesson="besideLesson"
        class="side"
        @show="reveal"
        @word="reveal($event, 'can')"
      />
      <OutlinePlanDialog v-model:open="planning" />
      <OutlineOwnDialog v-model:open="bringing" />
      <LazyVersionDialog v-if="looked" v-model:open="looking" />
      <VersionKeepDialog
        v-model:open="naming"
        :suggested="versions.length ? '' : 'Outline accepted'"
        @kept="loadVersions"
      />
    </div>
  </div>
</template>

<style scoped>
.outlining {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.sides {
  flex: 1;
  display: flex;
  min-height: 0;
}
.rows {
  flex: 1;
  min-width: 0;
  overflow-y: auto;
  --columns: minmax(190px, 1fr) minmax(160px, 1fr) 44px 58px 108px;
}
.names {
  display: grid;
  grid-template-columns: var(--columns);
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding-right: 8px;
}
.names {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--sheet);
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-2);
  padding: 5px 8px 5px 10px;
  column-gap: 8px;
}
.foot {
  display: flex;
  gap: 16px;
  padding: 10px 16px;
  flex-wrap: wrap;
}
.foot span {
  margin-left: auto;
}
.side {
  width: 316px;
  flex: none;
}
@media (max-width: 1000px) {
  .sides {
    flex-direction: column;
  }
  .side {
    width: 100%;
  }
}
</style>
