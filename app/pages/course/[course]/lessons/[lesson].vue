<script setup lang="ts">
import type { Editor } from '@tiptap/core';
import { blockTexts, type Block, type BlockKind } from '~~/core/blocks/forms';
import type { ReadingBody } from '~~/core/blocks/reading/form';
import type { Check } from '~~/core/checks/forms';
import { TURNABLE } from '~~/core/blocks/turn';
import type { Aim } from '~~/core/rewrite';
import type { LessonState } from '~~/core/course/course';
import { evidencedSentences, sentenceHash, type EvidenceMark, type PassageRange } from '~~/core/document/rich-text';
import { splitLesson } from '~~/core/course/joining';
import { isQuiz } from '~~/core/course/quizzes';
import { isWorkedOn } from '~~/core/course/takes';
import { BLOCK_NODES } from '~/blocks';
import { blockOfMedia, type GivenMedia } from '~/blocks/media';
import { newChecks } from '~/checks';
import { useActions } from '~/actions/registry';
import { staying } from '~/composables/staying';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useJobs } from '~/stores/jobs';
import { useFigures } from '~/stores/figures';
import { acceptOf } from '~/words/media';
import { counted, STATES } from '~/words/states';

const LessonEditor = defineAsyncComponent(() => import('~/components/lesson/Editor.vue'));
const route = useRoute();
const desk = useCourse();
const figures = useFigures();
const editor = shallowRef<{
  made?: Editor;
  placeBeside: (block: string, stands: boolean) => HTMLElement | undefined;
  selectedParts: () => string[];
  replacePart: (id: string, block: Block, behind?: boolean) => void;
  insert: (blocks: Block[], fresh?: boolean) => void;
  replaceSentence: (id: string, text: string, attrs: EvidenceMark['attrs']) => void;
  takeFiles: (files: readonly File[]) => Promise<void>;
  turn: (kind: BlockKind) => void;
  remove: () => void;
  move: (by: -1 | 1) => void;
  pair: () => void;
  goTo: (id: string) => void;
  attach: (range: PassageRange) => boolean;
  detach: (mark: string, passage: string) => boolean;
  at: () => string | undefined;
  focus: () => void;
} | null>(null);
const rewrites = ref<{ propose: (aim: Aim, blocks: readonly string[]) => Promise<void> } | null>(null);
const lesson = computed(() => desk.lessons.find((each) => each.id === route.params.lesson));
const evidence = shallowRef<EvidenceMark['attrs'] | null>(null);
const jobs = useJobs();
/** The learner's look at the page, in the place of its evidence; kept from lesson to lesson. */
const looking = useState('looking', () => false);
const going = computed(() => (lesson.value ? jobs.waiting.get(lesson.value.id) : undefined));
const figure = computed(() => (lesson.value ? figures.all.get(lesson.value.id) : undefined));
const changed = computed(() => {
  if (!evidence.value || evidence.value.id === 'block') return false;
  const found = lesson.value?.blocks
    .flatMap((block) => blockTexts(block).flatMap(evidencedSentences))
    .find(({ mark }) => mark.attrs.id === evidence.value!.id);
  return found !== undefined && sentenceHash(found.text) !== found.mark.attrs.was;
});

const draft = () => void (lesson.value && !isQuiz(lesson.value) && !going.value && jobs.draft([lesson.value.id]));
/** A page with work of its author in it is not replaced: the draft comes to lie beside it. */
const beside = computed(() => lesson.value !== undefined && isWorkedOn(lesson.value));
function state(value: LessonState) {
  if (lesson.value && lesson.value.state !== value)
    desk.change(`state of “${lesson.value.title}”`, [
      { type: 'set', id: lesson.value.id, field: 'state', value, was: lesson.value.state },
    ]);
}
const rename = (words: string, was: string, group: string) =>
  !lesson.value ||
  desk.type(`title “${words}”`, [{ type: 'set', id: lesson.value.id, field: 'title', value: words, was }], group);
/** Puts a passage behind the words at the cursor; where there are none, that is said. */
function attach(range: PassageRange) {
  if (!editor.value?.attach(range))
    desk.trouble = { code: 'nothing-to-attach', message: 'Put the cursor into a sentence first, or select words.' };
}
/** Further reading stands together, at the end of the page. */
function addReading(item: ReadingBody['items'][number]) {
  desk.flushTyping();
  const now = lesson.value;
  if (!now) return;
  const there = now.blocks.findLast((block) => block.kind === 'reading');
  const made = desk.change(`further reading of “${now.title}”`, [
    there
      ? { type: 'set', id: there.id, field: 'body', value: { items: [...there.body.items, item] }, was: there.body }
      : {
          type: 'insert',
          kind: 'block',
          parent: now.id,
          after: now.blocks.at(-1)?.id ?? null,
          node: { id: freshId('b'), kind: 'reading', body: { items: [item] } },
        },
  ]);
  if (made) desk.outside++;
}
/** So many pictures of the screen something made is waited for: some seconds. */
const FRAMES = 200;
const past = ref(false);
const questions = newChecks(freshId);
const picker = ref<HTMLInputElement | null>(null);
/** Dialogs come when they are first wanted, and stay. */
const choosing = reactive({ wanted: false, open: false });
const recording = ref(false);
const record = () => void (recording.value = true);
const offering = ref(false);
const offer = () => void (offering.value = true);
const choose = () => void Object.assign(choosing, { wanted: true, open: true });
function picked() {
  void editor.value?.takeFiles([...(picker.value?.files ?? [])]);
  picker.value!.value = '';
}
/** What a page can get besides parts of its own. */
const further = [
  [
    { label: 'Picture, sound, video, file', onSelect: () => picker.value?.click() },
    { label: 'From the shelf or a source', onSelect: choose },
    { label: 'Recording: voice, speaker, screen', onSelect: record },
    { label: 'Diagram of this lesson’s words', onSelect: offer },
  ],
  [{ label: 'Questions from your sources', onSelect: wish }],
  questions.map(({ label, make }) => ({ label, onSelect: () => ownQuestion(make) })),
];
const stateItems = [STATES.map(({ state: value, label }) => ({ label, onSelect: () => state(value) }))];
/** More questions on this page, and on the part the cursor is in. */
const wishing = reactive({ wanted: false, open: false, passages: [] as string[] });
function wish() {
  const at = editor.value?.at();
  desk.flushTyping();
  const part = lesson.value?.blocks.find(({ id }) => id === at);
  const stands = part ? blockTexts(part).flatMap(evidencedSentences) : [];
  Object.assign(wishing, {
    wanted: true,
    open: true,
    passages: [...new Set(stands.flatMap(({ mark }) => mark.attrs.passages.map(({ id }) => id)))],
  });
}
/** A question written by hand, placed behind the cursor. */
function ownQuestion(make: (lessonId: string) => Check) {
  const check = make(lesson.value!.id);
  const { id } = check;
  if (
    !desk.change('new question', [
      {
        type: 'insert',
        kind: 'check',
        parent: desk.course!.id,
        after: desk.course!.checks.at(-1)?.id ?? null,
        node: check,
      },
    ])
  )
    return;
  editor.value?.insert([{ id: freshId('b'), kind: 'check', body: { checkId: id } }]);
  // What is typed next is the question: its field is taken as soon as the page has it, however slow the machine.
  let frames = 0;
  const take = () => {
    const field = document.querySelector<HTMLTextAreaElement>(`.lesson-page [data-check="${id}"] textarea`);
    if (field) {
      field.focus();
      field.select();
    } else if (frames++ < FRAMES) requestAnimationFrame(take);
  };
  // The editor takes the cursor back in the picture after its change.
  requestAnimationFrame(() => requestAnimationFrame(take));
}
/** What stands from the cursor's part on becomes a lesson of its own, behind this one. */
function split() {
  const at = editor.value?.at();
  desk.flushTyping();
  if (!lesson.value || isQuiz(lesson.value) || at === undefined) return;
  const operations = splitLesson(desk.course!, lesson.value, at, freshId('l'));
  if (operations.length > 0 && desk.change(`“${lesson.value.title}” split`, operations)) desk.outside++;
}
const editing = () => desk.mayEdit;
useActions([
  { id: 'l-draft', label: 'Draft this lesson', key: 'Alt+D', area: 'Lesson', when: editing, run: draft },
  {
    id: 'l-look',
    label: 'Look at it as a learner, or at its evidence',
    key: 'Alt+V',
    area: 'Lesson',
    run: () => void (looking.value = !looking.value),
  },
  {
    id: 'l-past',
    label: 'History of this lesson',
    key: 'Alt+Shift+H',
    area: 'Lesson',
    run: () => void (past.value = true),
  },
  {
    id: 'l-up',
    label: 'Part up',
    key: 'Alt+ArrowUp',
    within: 'page',
    area: 'Lesson',
    when: editing,
    run: () => editor.value?.move(-1),
  },
  {
    id: 'l-down',
    label: 'Part down',
    key: 'Alt+ArrowDown',
    within: 'page',
    area: 'Lesson',
    when: editing,
    run: () => editor.value?.move(1),
  },
  {
    id: 'l-pair',
    label: 'Beside the part before, or below it again',
    key: 'Ctrl+Alt+B',
    within: 'page',
    area: 'Lesson',
    when: editing,
    run: () => editor.value?.pair(),
  },
  {
    id: 'l-split',
    label: 'Begin a new lesson here',
    key: 'Alt+Shift+S',
    within: 'page',
    area: 'Lesson',
    when: editing,
    run: split,
  },
  {
    id: 'l-del',
    label: 'Delete this part',
    key: 'Ctrl+Delete',
    within: 'page',
    area: 'Lesson',
    when: editing,
    run: () => editor.value?.remove(),
  },
  ...TURNABLE.map((kind, at) => ({
    id: `l-turn-${kind}`,
    label: `Show as ${BLOCK_NODES[kind].label.toLowerCase()}`,
    ...(at < 9 && { key: `Ctrl+Alt+${at + 1}` }),
    within: 'page',
    area: 'Lesson',
    when: editing,
    run: () => editor.value?.turn(kind),
  })),
  {
    id: 'l-picture',
    label: 'Add a picture, sound, video or file',
    key: 'Ctrl+Alt+P',
    area: 'Lesson',
    when: editing,
    run: () => picker.value?.click(),
  },
  {
    id: 'l-media',
    label: 'Add media from the shelf or a source',
    key: 'Ctrl+Alt+M',
    area: 'Lesson',
    when: editing,
    run: choose,
  },
  {
    id: 'l-record',
    label: 'Record voice, speaker or screen',
    key: 'Ctrl+Alt+R',
    area: 'Lesson',
    when: editing,
    run: record,
  },
  {
    id: 'l-diagram',
    label: 'Diagrams and pictures for this lesson',
    key: 'Ctrl+Alt+D',
    area: 'Lesson',
    when: editing,
    run: offer,
  },
  {
    id: 'l-question',
    label: 'Write a question here',
    key: 'Ctrl+Alt+Q',
    area: 'Lesson',
    when: editing,
    run: () => ownQuestion(questions[0]!.make),
  },
  { id: 'l-wish', label: 'Questions from your sources', key: 'Alt+Shift+W', area: 'Lesson', when: editing, run: wish },
  ...STATES.map(({ state: value, label }) => ({
    id: `l-state-${value}`,
    label: `State: ${label.toLowerCase()}`,
    area: 'Lesson',
    when: editing,
    run: () => state(value),
  })),
]);
</script>

<template>
  <div v-if="lesson" class="lesson">
    <div class="middle">
      <div class="head">
        <div class="names">
          <h1 :data-node="lesson.id">
            <FieldInPlace
              :key="lesson.id"
              :value="lesson.title"
              :save="rename"
              required
              :readonly="!desk.mayEdit"
              maxlength="400"
              aria-label="Title of the lesson"
            />
          </h1>
          <p class="small quiet">
            <UDropdownMenu v-if="desk.mayEdit" :items="stateItems" :content="staying"
              ><button type="button" class="stated" title="Change the state">
                <PathStateMark :state="lesson.state" /></button></UDropdownMenu
            ><PathStateMark v-else :state="lesson.state" />, {{ figure?.minutes }} min,
            {{ counted(figure?.checks ?? 0, ['check', 'checks'])
            }}<template v-if="figure?.grade">, reads at grade {{ figure.grade }}</template>
          </p>
        </div>
        <div class="end">
          <button type="button" class="link small past" @click="past = true">History</button>
          <UButton color="neutral" variant="outline" :aria-pressed="looking" @click="looking = !looking"
            >As a learner</UButton
          ><template v-if="desk.mayEdit && !isQuiz(lesson)">
            <UButton
              :variant="lesson.blocks.length ? 'outline' : 'solid'"
              :color="lesson.blocks.length ? 'neutral' : 'primary'"
              :disabled="going !== undefined"
              @click="draft"
              >{{
                going === 'now'
                  ? 'Being drafted'
                  : going
                    ? 'Waits for its draft'
                    : beside
                      ? 'Draft beside it'
                      : lesson.blocks.length
                        ? 'Draft again'
                        : 'Draft'
              }}</UButton
            >
          </template>
        </div>
      </div>
      <input ref="picker" type="file" :accept="acceptOf()" multiple hidden aria-label="Media files" @change="picked" />
      <LazyCheckWishDialog
        v-if="wishing.wanted"
        v-model:open="wishing.open"
        :about="lesson.id"
        :passages="wishing.passages"
      />
      <LazyMediaChooseDialog
        v-if="choosing.wanted"
        v-model:open="choosing.open"
        @take="(given: GivenMedia) => editor?.insert([blockOfMedia(freshId('b'), given)])"
      />
      <LazyMediaRecordDialog
        v-if="recording"
        v-model:open="recording"
        @take="(given: GivenMedia) => editor?.insert([blockOfMedia(freshId('b'), given)])"
      />
      <LazyMediaOffersDialog v-if="offering" v-model:open="offering" :lesson="lesson.id" />
      <LessonTools
        v-if="desk.mayEdit && editor?.made"
        :editor="editor.made"
        :further="further"
        @add="(block: Block) => editor?.insert([block], true)"
        @turn="(kind: BlockKind) => editor?.turn(kind)"
        @split="split"
        @pair="editor?.pair()"
        @rewrite="(aim: Aim, whole: boolean) => rewrites?.propose(aim, whole ? [] : editor!.selectedParts())"
      />
      <LessonRewrites
        v-if="desk.mayEdit && editor?.made"
        ref="rewrites"
        :lesson="lesson"
        :place="editor.placeBeside"
        @take="(id: string, block: Block) => editor?.replacePart(id, block)"
        @both="(id: string, block: Block) => editor?.replacePart(id, block, true)"
      />
      <LazyLessonHistory v-if="past" v-model:open="past" :lesson="lesson" />
      <LessonTakes :lesson="lesson" />
      <div class="scroll">
        <article :lang="desk.course!.language" :dir="desk.course!.direction">
          <LessonAims v-if="!isQuiz(lesson)" :lesson="lesson" />
          <p v-if="isQuiz(lesson) && lesson.blocks.length === 0" class="small quiet blank">
            Nothing stands here yet. Take offers at the side, write a question, or let it draw on the lessons. What
            stands above the first question introduces the quiz.
          </p>
          <p v-else-if="lesson.blocks.length === 0 && !going" class="small quiet blank">
            Blank. Draft it
            {{
              lesson.points
                ? `by its ${counted(lesson.points.length, ['point', 'points'])}`
                : lesson.plannedPassages.length
                  ? `from its ${counted(lesson.plannedPassages.length, ['passage', 'passages'])}`
                  : 'from what the sources say on its title'
            }}, or write.
          </p>
          <LessonSlots :lesson="lesson" />
          <LessonEditor
            :key="lesson.id"
            ref="editor"
            :lesson="lesson"
            @at="(mark: EvidenceMark['attrs'] | null) => (evidence = mark)"
          />
        </article>
      </div>
    </div>
    <LessonPreview v-if="looking" :lesson="lesson" @close="looking = false" />
    <LazyQuizSide v-else-if="isQuiz(lesson)" :lesson="lesson" />
    <EvidencePane
      v-else
      :lesson="lesson"
      :evidence="evidence"
      :changed="changed"
      @pull="(blocks: Block[]) => editor?.insert(blocks)"
      @read="addReading"
      @attach="attach"
      @detach="(passage: string) => evidence && editor?.detach(evidence.id, passage)"
      @show="(id: string) => editor?.goTo(id)"
      @replace="(id: string, text: string, attrs: EvidenceMark['attrs']) => editor?.replaceSentence(id, text, attrs)"
    />
  </div>
  <div v-else class="empty">
    <h2>This lesson is not here</h2>
    <p>
      It was deleted, or belongs to another course. Look in the
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/bin`">bin</NuxtLink>.
    </p>
  </div>
</template>

<style scoped>
.lesson {
  flex: 1;
  display: flex;
  min-width: 0;
  min-height: 0;
}
.middle {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.names {
  min-width: 0;
}
.names {
  flex: 1;
}
.names h1 :deep(input) {
  margin-left: -4px;
}
.names p {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.stated {
  cursor: pointer;
  border-bottom: 1px dotted var(--ink-2);
}
.past {
  margin-right: 6px;
}
.head .end {
  flex: none;
  white-space: nowrap;
}
.scroll {
  flex: 1;
  overflow-y: auto;
}
article {
  max-width: 640px;
  margin: 0 auto;
  padding: 22px 8px 0 34px;
}
.blank {
  margin-bottom: 10px;
}
@media (max-width: 1000px) {
  .lesson {
    flex-direction: column;
  }
}
@media (max-width: 640px) {
  .head,
  .head .end {
    flex-wrap: wrap;
  }
  .head .end {
    flex: 1 1 100%;
    margin-left: 0;
  }
  .names {
    flex-basis: 100%;
  }
}
</style>
