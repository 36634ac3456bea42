<script setup lang="ts">
import { api } from '~/client';
import { VueDraggable } from 'vue-draggable-plus';
import { LESSON_KINDS } from '~~/core/course/course';
import { SURVEY_MOMENTS } from '~~/core/course/surveys';
import { FORM_LABELS } from '~/blocks/survey/words';
import { isPressed, useActions } from '~/actions/registry';
import { openSlotsOf, type Row } from '~/components/outline/rows';
import { staying } from '~/composables/staying';
import { useCourse } from '~/stores/course';
import { useBeside } from '~/stores/beside';
import { useNotes } from '~/stores/notes';
import { counted, LESSON_KIND_WORDS, STATES } from '~/words/states';

const go = useGo();
const desk = useCourse();
const beside = useBeside();
const notes = useNotes();
notes.watchHere();
const side = ref<{ showNotes: () => void; showModule: () => void; showPoints: () => void } | null>(null);
const body = ref<HTMLElement | null>(null);
const at = useOutlineRows(body);
const { rows, places, folded, withChecks, current, anchor, selected, chosenLesson, chosenLessons, chosenModule } = at;
const { homeModule } = at;
const { focus, select, reached, pressed, step, fold, foldAll, reveal } = at;
const shown = ref<Row[]>([]);
watch(rows, (next) => void (shown.value = [...next]), { immediate: true });
const gestures = useOutlineGestures(at, shown);
const { below, moduleBelow, quizBelow, quizAtEnd, form, opening, indent, remove } = gestures;
const { split, join, lessonAbove, move, setEach, dropped, dragging } = gestures;
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
/** The row whose other takes lie open. */
const taking = ref<string | null>(null);
watch(current, (now) => void (now !== taking.value && (taking.value = null)));
function untake() {
  const row = taking.value;
  taking.value = null;
  void focus(row);
}
const many = computed(() => selected.value.size > 1);
/** The lesson the pane at the side speaks of: the chosen one, or the first of the chosen module. */
const besideLesson = computed(() => chosenLesson.value ?? chosenModule.value?.lessons[0] ?? desk.lessons[0]);
const paste = usePastedRows(current, (first) => {
  anchor.value = first;
  void focus(first);
});
function keys(event: KeyboardEvent) {
  if (!desk.mayEdit || event.defaultPrevented) return;
  const input = event.target as HTMLInputElement;
  const part = input.getAttribute('data-part');
  const { key, shiftKey, altKey, ctrlKey } = event;
  const done = () => event.preventDefault();
  if (key === 'Enter' && !ctrlKey && isPressed(input)) return;
  if (part === 'minutes' && key === 'Enter') return void focus(current.value);
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
    // Ctrl Backspace takes a word away, as everywhere.
    (key === 'Delete' && ctrlKey) ||
    ((key === 'Delete' || key === 'Backspace') && (many.value || (part === 'title' && input.value === '')))
  ) {
    done();
    remove();
  } else if (key === 'Escape') {
    anchor.value = current.value;
  }
}
const loadVersions = () =>
  api('GET /api/courses/:course/versions', { course: desk.course!.id }).then(
    (list) => void (versions.value = list),
    () => undefined,
  );
/** What can be said of several lessons at once. */
const together = computed(() => [
  [
    { type: 'label' as const, label: 'State' },
    ...STATES.map(({ state, label }) => ({ label, onSelect: () => setEach('state', state, `state: ${label}`) })),
  ],
  [
    { type: 'label' as const, label: 'Kind' },
    ...LESSON_KINDS.map((kind) => {
      const { label, icon } = LESSON_KIND_WORDS[kind];
      return { label, icon, onSelect: () => setEach('lessonKind', kind, `kind: ${label}`) };
    }),
  ],
]);
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
    id: 'o-quiz',
    label: 'New quiz',
    key: 'Alt+Shift+Q',
    area: 'Outline',
    when: editing,
    run: quizBelow,
  },
  {
    id: 'o-final',
    label: 'Add a final quiz that draws on all lessons',
    area: 'Outline',
    when: () => desk.mayEdit && rows.value.length > 0,
    run: quizAtEnd,
  },
  ...SURVEY_MOMENTS.map((moment) => ({
    id: `o-form-${moment}`,
    label: FORM_LABELS[moment].replace(/^A/, 'Add a'),
    area: 'Outline',
    when: () => desk.mayEdit && desk.course!.modules.length > 0,
    run: () => form(moment),
  })),
  {
    id: 'o-opening',
    label: 'Add an opening lesson made of brief and outline',
    area: 'Outline',
    when: () => desk.mayEdit && desk.course!.modules.length > 0,
    run: opening,
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
    id: 'o-kind',
    label: 'Kind of the lesson',
    key: 'Alt+K',
    within: 'outline',
    area: 'Outline',
    when: () => editing() && chosenLesson.value !== undefined,
    run: () => body.value?.querySelector<HTMLElement>(`[data-row="${current.value}"] [data-part="kind"]`)?.click(),
  },
  {
    id: 'o-minutes',
    label: 'Pin the minutes',
    key: 'Alt+M',
    within: 'outline',
    area: 'Outline',
    when: () => editing() && chosenLesson.value !== undefined,
    run: () => void focus(current.value, 'minutes'),
  },
  {
    id: 'o-points',
    label: 'Points of the lesson',
    key: 'Alt+Shift+P',
    area: 'Outline',
    run: () => side.value?.showPoints(),
  },
  {
    id: 'o-takes',
    label: 'Other takes of the row',
    key: 'Alt+Shift+T',
    within: 'outline',
    area: 'Outline',
    when: () => editing() && current.value !== null,
    run: () => void (taking.value = current.value),
  },
  {
    id: 'o-for',
    label: 'What the module is for',
    key: 'Alt+Shift+M',
    area: 'Outline',
    run: () => side.value?.showModule(),
  },
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
        <UDropdownMenu v-if="many || chosenModule" :items="together" :content="staying"
          ><UButton color="neutral" variant="outline"
            >Set {{ counted(chosenLessons.length, ['lesson', 'lessons']) }}</UButton
          ></UDropdownMenu
        >
        <OutlineCompareMenu
          v-if="desk.lessons.length"
          :versions="versions"
          @bring="bringing = true"
          @plan="planning = true"
        />
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
              :taking="row.id === taking"
              @fold="fold(row.id)"
              @notes="select(row.id).then(() => side?.showNotes())"
              @takes="select(row.id).then(() => (taking = row.id))"
              @untake="untake"
            />
          </VueDraggable>
        </div>
        <OutlineFoot
          v-model:checks="withChecks"
          :rows="rows.length"
          :folded="folded.size > 0"
          @lesson="below"
          @module="moduleBelow"
          @quiz="quizBelow"
          @last="quizAtEnd"
          @form="form"
          @opening="opening"
          @fold="foldAll"
        />
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
        :module="homeModule"
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
