<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import type { Block } from '~~/core/blocks/forms';
import type { ReadingBody } from '~~/core/blocks/reading/form';
import type { Lesson } from '~~/core/course/course';
import { takeBack } from '~~/core/course/gestures';
import { usesOf } from '~~/core/course/uses';
import { plainRun, type PassageRange } from '~~/core/document/rich-text';
import { richRange } from '~~/core/source/rich';
import { useActions } from '~/actions/registry';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';
import { placeWords, type PassageView } from './place';

/**
 * What the sources say on a lesson's topic and no lesson uses, to be pulled in whole or in part; what the lesson was
 * given; and where its learners could read on.
 */
const props = defineProps<{ lesson: Lesson }>();
const emit = defineEmits<{
  pull: [blocks: Block[]];
  read: [item: ReadingBody['items'][number]];
  attach: [range: PassageRange];
  found: [count: number];
}>();
const desk = useCourse();
type Unused = AnswerOf<'GET /api/courses/:course/lessons/:lesson/unused'>[number];
type Offer = AnswerOf<'GET /api/courses/:course/lessons/:lesson/reading'>[number];
const fetched = ref<Unused[] | null>(null);
const offers = ref<Offer[]>([]);
const given = ref<PassageView[]>([]);
const failed = ref(false);
const at = ref(0);
const box = ref<HTMLElement | null>(null);
let asked = 0;

/** What was found and no lesson uses now: pulled in it goes, undone it is there again. */
const more = computed(() => {
  const uses = desk.course ? usesOf(desk.course) : new Map();
  return fetched.value?.filter((view) => !uses.has(view.passage.id)) ?? null;
});
watch(more, (now) => now && emit('found', now.length));

async function load() {
  const mine = ++asked;
  failed.value = false;
  const place = { course: desk.course!.id, lesson: props.lesson.id };
  const found = await api('GET /api/courses/:course/lessons/:lesson/unused', place).catch(() => undefined);
  if (mine !== asked) return;
  failed.value = found === undefined;
  fetched.value = found ?? fetched.value;
  at.value = 0;
  const read = await api('GET /api/courses/:course/lessons/:lesson/reading', place).catch(() => []);
  if (mine === asked) offers.value = read;
}
watch(
  () => props.lesson.id,
  () => {
    fetched.value = null;
    offers.value = [];
    void load();
  },
  { immediate: true },
);
watch(
  () => props.lesson.given?.join() ?? '',
  async (ids) => {
    given.value = ids
      ? await api('GET /api/courses/:course/passages', {
          course: desk.course!.id,
          query: { ids: ids.split(',') },
        }).catch(() => [])
      : [];
  },
  { immediate: true },
);
const inText = computed(() => (desk.course ? usesOf(desk.course) : new Map()));

/** What is selected of a passage's words, as a range of it; undefined where nothing or all of it is. */
function selectedOf({ passage }: Unused): { from: number; to: number } | undefined {
  const selection = window.getSelection();
  const words = selection?.isCollapsed === false ? selection.toString().trim() : '';
  const holder = box.value?.querySelector(`[data-passage="${passage.id}"]`);
  if (!words || !holder || !selection!.anchorNode || !holder.contains(selection!.anchorNode)) return undefined;
  const from = passage.text.indexOf(words);
  return from < 0 || words.length === passage.text.length ? undefined : { from, to: from + words.length };
}
async function pull(view: Unused | undefined, whole = false) {
  if (!view) return;
  const { passage } = view;
  const part = whole ? undefined : selectedOf(view);
  const place = freshId('b');
  if (part) {
    const text = richRange(passage, part.from, part.to, [], passage.text.slice(part.from, part.to), place);
    emit('pull', [{ id: place, kind: 'text', body: { text } }]);
  } else {
    const made = await api('POST /api/courses/:course/lessons/:lesson/pulled', {
      course: desk.course!.id,
      lesson: props.lesson.id,
      body: { passages: [passage.id], whole, place },
    }).catch(() => undefined);
    if (!made) return void (failed.value = true);
    emit(
      'pull',
      made.blocks.map((block) => ({ ...block, id: freshId('b') })),
    );
  }
  at.value = Math.max(0, Math.min(at.value, (more.value?.length ?? 1) - 2));
}
const back = (ids: readonly string[]) =>
  desk.change(`passages given back by “${props.lesson.title}”`, takeBack(props.lesson, ids));
function take({ title, address, says }: Offer) {
  emit('read', {
    title: plainRun(title, address ? [{ type: 'link', attrs: { href: address } }] : []),
    text: says
      ? richRange(says.passage, says.from, says.to, [], says.passage.text.slice(says.from, says.to), freshId('b'))
      : [],
  });
  offers.value = offers.value.filter((each) => each.title !== title);
}
useActions([
  {
    id: 'e-next',
    label: 'Next passage',
    key: 'Alt+.',
    area: 'Evidence',
    run: () => void (at.value = Math.min((more.value?.length ?? 1) - 1, at.value + 1)),
  },
  {
    id: 'e-before',
    label: 'Passage before',
    key: 'Alt+,',
    area: 'Evidence',
    run: () => void (at.value = Math.max(0, at.value - 1)),
  },
  {
    id: 'e-pull',
    label: 'Pull the passage in, or what is selected of it',
    key: 'Alt+Enter',
    area: 'Evidence',
    when: () => desk.mayEdit && (more.value?.length ?? 0) > 0,
    run: () => pull(more.value?.[at.value]),
  },
]);
</script>

<template>
  <div ref="box">
    <p v-if="failed" class="small decide">
      It could not be looked for. <button type="button" class="link" @click="load">Look again</button>
    </p>
    <p v-else-if="more === null" class="small quiet">Looking</p>
    <p v-else-if="more.length === 0" class="small quiet">The sources have nothing more on this that no lesson uses.</p>
    <p v-else class="small quiet">
      Not used in any lesson, what fits best first. <kbd>Alt ↵</kbd> pulls the marked one in behind the cursor, or what
      you select of it.
    </p>
    <article
      v-for="(view, index) in more ?? []"
      :key="view.passage.id"
      class="choice"
      :class="{ current: index === at }"
      :data-passage="view.passage.id"
      @click="at = index"
    >
      <p class="where">
        <strong>{{ view.source.title }}</strong>
      </p>
      <p class="mono">{{ placeWords(view.passage) }}</p>
      <SourceCells v-if="view.passage.table" :passage="view.passage" heads :lang="view.source.language" />
      <p v-else :lang="view.source.language">{{ view.passage.text }}</p>
      <p v-if="desk.mayEdit" class="small do">
        <button type="button" class="link" @mousedown.prevent @click.stop="pull(view)">pull in</button
        ><button v-if="view.with" type="button" class="link" @click.stop="pull(view, true)">
          with what belongs to it ({{ view.with }})</button
        ><button
          type="button"
          class="link"
          title="Put it behind the words at the cursor"
          @click.stop="emit('attach', { id: view.passage.id, from: 0, to: view.passage.text.length })"
        >
          attach
        </button>
      </p>
    </article>
    <template v-if="given.length">
      <h3>
        Given to this lesson<button
          v-if="desk.mayEdit && given.length > 1"
          type="button"
          class="link small"
          @click="back(given.map(({ passage }) => passage.id))"
        >
          give all back
        </button>
      </h3>
      <article v-for="view in given" :key="`given ${view.passage.id}`" class="choice">
        <p class="mono">{{ view.source.title }} / {{ placeWords(view.passage) }}</p>
        <p class="short" :lang="view.source.language">{{ view.passage.text }}</p>
        <p class="small quiet do">
          {{ inText.has(view.passage.id) ? 'in the text' : 'waits for the next draft'
          }}<button v-if="desk.mayEdit" type="button" class="link" @click="back([view.passage.id])">give back</button>
        </p>
      </article>
    </template>
    <template v-if="offers.length">
      <h3>Further reading</h3>
      <p class="small quiet">
        {{ counted(offers.length, ['place', 'places']) }} where learners could read on. What you take stands at the end
        of the page.
      </p>
      <article v-for="offer in offers" :key="offer.title" class="choice">
        <p>
          <a v-if="offer.address" class="link" :href="offer.address" target="_blank" rel="noopener noreferrer">{{
            offer.title
          }}</a><strong v-else>{{ offer.title }}</strong>
        </p>
        <p class="short" :lang="offer.language">
          {{ offer.says?.passage.text.slice(offer.says.from, offer.says.to) }}
        </p>
        <p v-if="desk.mayEdit" class="small do">
          <button type="button" class="link" @click="take(offer)">take</button>
        </p>
      </article>
    </template>
  </div>
</template>

<style scoped>
h3 {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  font-size: 14px;
  margin-top: 22px;
}
.choice {
  padding: 10px 8px;
  margin: 0 -8px;
  border-bottom: 1px solid var(--hair);
  cursor: default;
}
.choice.current {
  background: var(--shade);
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  margin-top: 3px;
}
.short {
  color: var(--ink-2);
  display: -webkit-box;
  -webkit-line-clamp: 3;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
</style>
