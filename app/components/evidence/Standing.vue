<script setup lang="ts">
import type { Block } from '~~/core/blocks/forms';
import { blockOfSaid } from '~/blocks/media';
import { api } from '~/client';
import { sentenceHash, type EvidenceMark, type PassageRange } from '~~/core/document/rich-text';
import { useActions } from '~/actions/registry';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useStale } from '~/stores/stale';
import { differences } from '~/words/differences';
import { claimWords, placeWords, type PassageView } from './place';

/** The passage behind what the cursor is in, where it stands; what became of it in a newer version. */
const props = defineProps<{ evidence: EvidenceMark['attrs'] | null; changed: boolean }>();
const emit = defineEmits<{
  replace: [id: string, text: string, attrs: EvidenceMark['attrs']];
  detach: [passage: string];
  pull: [blocks: Block[]];
}>();
const stale = useStale();
const desk = useCourse();
const views = ref<PassageView[]>([]);
/** Whether what is shown was looked for: still looking, found, or asked for in vain. */
const looked = ref<'looking' | 'found' | 'failed'>('found');
const seen = new Map<string, PassageView[]>();
let asked = 0;

watch(
  () => props.evidence?.passages.map((range) => range.id).join(),
  async (ids) => {
    const mine = ++asked;
    if (!ids) return void (views.value = []);
    const known = seen.get(ids);
    if (!known) looked.value = 'looking';
    const found =
      known ??
      (await api('GET /api/courses/:course/passages', {
        course: desk.course!.id,
        query: { ids: ids.split(',') },
      }).catch(() => undefined));
    if (found) seen.set(ids, found);
    if (mine !== asked) return;
    views.value = found ?? [];
    looked.value = found ? 'found' : 'failed';
  },
  { immediate: true },
);
/** Where else the sources say the same: its words do not come from there. */
const alsoViews = ref<PassageView[]>([]);
const alsoSeen = new Map<string, PassageView[]>();
watch(
  () => props.evidence?.also?.map((range) => range.id).join(),
  async (ids) => {
    if (!ids) return void (alsoViews.value = []);
    const found =
      alsoSeen.get(ids) ??
      (await api('GET /api/courses/:course/passages', {
        course: desk.course!.id,
        query: { ids: ids.split(',') },
      }).catch(() => []));
    if (found.length > 0) alsoSeen.set(ids, found);
    if (props.evidence?.also?.map((range) => range.id).join() === ids) alsoViews.value = found;
  },
  { immediate: true },
);
const ranges = computed(() => new Map(props.evidence?.passages.map((range) => [range.id, range])));
/** A passage cut at the words that are used. */
function parts(text: string, range: PassageRange | undefined): [string, string, string] {
  return range ? [text.slice(0, range.from), text.slice(range.from, range.to), text.slice(range.to)] : [text, '', ''];
}
const edits = computed(() =>
  views.value.flatMap((view) =>
    (ranges.value.get(view.passage.id)?.edits ?? []).map((edit) => ({
      was: view.passage.text.slice(edit.from, edit.to).trim(),
      now: edit.with.trim(),
    })),
  ),
);

/** What the words at the cursor stood on, where a newer version of the source changed or dropped it. */
const gone = computed(() =>
  (props.evidence?.passages ?? []).flatMap((range) => {
    const found = stale.found.get(range.id);
    return found
      ? [
          {
            ...found,
            differ: found.after ? differences(found.before, found.after.text) : undefined,
            now: found.now.find((each) => each.from === range.from && each.to === range.to),
          },
        ]
      : [];
  }),
);
/** The one sentence that can take the old one's place; none where the old one was put together of several. */
const renewal = computed(() =>
  gone.value.length === 1 && props.evidence?.passages.length === 1 && props.evidence.id !== 'block'
    ? gone.value[0]!.now
    : undefined,
);
function renew() {
  const now = renewal.value;
  if (now)
    emit('replace', props.evidence!.id, now.text, {
      id: freshId('e'),
      passages: [now.range],
      was: sentenceHash(now.text),
    });
}

/** The recording on the shelf in which a passage is said, where there is one. */
const recordingOf = ({ source, passage }: PassageView) =>
  passage.locator.seconds === undefined
    ? undefined
    : desk.course!.media?.find(({ ofSource }) => ofSource === source.id);
/** Letters that are said in a second, where nothing says when the next passage begins. */
const LETTERS = 14;
function play(view: PassageView) {
  const medium = recordingOf(view);
  const { text, locator } = view.passage;
  const from = locator.seconds ?? 0;
  const next = view.after.find((each) => (each.locator.seconds ?? 0) > from)?.locator.seconds;
  const end = Math.min(next ?? from + text.length / LETTERS, medium?.file.seconds ?? Infinity);
  if (medium && end > from) emit('pull', [blockOfSaid(freshId('b'), medium, { from, to: end, text })]);
}

useActions([
  {
    id: 'e-renew',
    label: 'Put the new words of the source in',
    key: 'Alt+N',
    area: 'Evidence',
    when: () => desk.mayEdit && renewal.value !== undefined,
    run: renew,
  },
]);
</script>

<template>
  <div>
    <template v-if="views.length">
      <article v-for="view in views" :key="view.passage.id">
        <p class="where">
          <NuxtLink class="title" :to="`/course/${desk.course!.id}/sources/${view.source.id}#${view.passage.id}`">{{
            view.source.title
          }}</NuxtLink>
        </p>
        <p class="mono">
          {{ placeWords(view.passage)
          }}<a
            v-if="view.source.address && view.passage.locator.seconds !== undefined"
            class="link watch"
            :href="`${view.source.address.split('#')[0]}#t=${Math.floor(view.passage.locator.seconds)}`"
            target="_blank"
            rel="noopener"
            >watch it there</a
          ><button v-if="desk.mayEdit && recordingOf(view)" type="button" class="link off" @click="play(view)">
            play it on the page</button
          ><button
            v-if="desk.mayEdit && evidence"
            type="button"
            class="link off"
            @click="emit('detach', view.passage.id)"
          >
            detach
          </button>
        </p>
        <div :lang="view.source.language">
          <template v-for="near in view.before" :key="near.id"
            ><SourceCells v-if="near.table" :passage="near" class="beside" />
            <p v-else class="near">{{ near.text }}</p></template
          >
          <SourceCells
            v-if="view.passage.table"
            :passage="view.passage"
            :range="ranges.get(view.passage.id)"
            heads
            class="passage"
          />
          <p v-else class="passage">
            <template v-for="(part, index) in parts(view.passage.text, ranges.get(view.passage.id))" :key="index"
              ><mark v-if="index === 1">{{ part }}</mark
              ><template v-else>{{ part }}</template></template
            >
          </p>
          <template v-for="near in view.after" :key="near.id"
            ><SourceCells v-if="near.table" :passage="near" class="beside" />
            <p v-else class="near">{{ near.text }}</p></template
          >
        </div>
        <p class="small claims">
          {{
            view.claims
              .map(claimWords)
              .filter((words, index, all) => all.indexOf(words) === index)
              .join('; ')
          }}
        </p>
      </article>
      <template v-if="alsoViews.length"
        ><p class="small quiet also">Said there, too</p>
        <article v-for="view in alsoViews" :key="`also ${view.passage.id}`">
          <p class="where">
            <NuxtLink class="title" :to="`/course/${desk.course!.id}/sources/${view.source.id}#${view.passage.id}`">{{
              view.source.title
            }}</NuxtLink>
          </p>
          <p class="mono">
            {{ placeWords(view.passage)
            }}<button v-if="desk.mayEdit" type="button" class="link off" @click="emit('detach', view.passage.id)">
              detach
            </button>
          </p>
          <p class="near" :lang="view.source.language">{{ view.passage.text }}</p>
        </article></template
      >
      <p v-if="evidence?.hand" class="small quiet">
        Put behind these words by hand: they do not come from there letter by letter.
      </p>
      <p v-for="edit in edits" :key="edit.was" class="small">
        Left out on the way: “{{ edit.was }}”{{ edit.now ? `, now “${edit.now}”` : '' }}
      </p>
      <p v-if="changed" class="small decide">
        {{ evidence?.hand ? 'Changed since the passage was put behind it' : 'Changed since it was drafted' }}: compare
        with the marked words.
      </p>
    </template>
    <template v-if="gone.length">
      <article v-for="each in gone" :key="each.id" class="gone">
        <p class="where">
          <NuxtLink
            class="title"
            :to="`/course/${desk.course!.id}/sources/${each.sourceId}${each.after ? `#${each.after.id}` : ''}`"
            >{{ each.title }}</NuxtLink
          >
        </p>
        <p class="small decide">
          {{ each.after ? 'A newer version says this differently.' : 'A newer version does not say this any more.' }}
        </p>
        <p class="passage">
          <SourceDiffering v-if="each.differ" :stretches="each.differ.before" gone /><del v-else>{{ each.before }}</del>
        </p>
        <template v-if="each.differ"
          ><p class="small quiet">Now:</p>
          <p class="passage"><SourceDiffering :stretches="each.differ.after" /></p
        ></template>
      </article>
      <UButton v-if="desk.mayEdit && renewal" size="sm" @click="renew">Put the new words in <kbd>Alt N</kbd></UButton>
      <p v-else class="small quiet">
        {{
          gone.some((each) => each.after)
            ? 'Change the sentence by hand, or draft the lesson again.'
            : 'Delete the sentence, or leave it as your own.'
        }}
      </p>
    </template>
    <p v-else-if="evidence && looked === 'looking'" class="small quiet">Looking</p>
    <p v-else-if="evidence && looked === 'failed'" class="small decide">
      The passage could not be fetched. It is looked for again when you come back to the sentence.
    </p>
    <p v-else-if="evidence && views.length === 0" class="small quiet">
      The passage is not among the sources of this course any more.
    </p>
    <p v-else-if="!evidence" class="small quiet">
      Put the cursor into a sentence to see the passage it stands on. Words without a blue line at their side are your
      own: <kbd>Alt ⇧ E</kbd> finds a passage to put behind them.
    </p>
  </div>
</template>

<style scoped>
.title {
  font-weight: 700;
}
.title:hover {
  text-decoration: underline;
}
.watch,
.off {
  margin-left: 10px;
  font-family: var(--font-sans);
}
.near {
  color: var(--ink-2);
  margin: 8px 0;
  display: -webkit-box;
  -webkit-line-clamp: 5;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.beside {
  color: var(--ink-2);
  margin: 8px 0;
}
.passage {
  background: var(--sky-soft);
  margin: 8px -8px;
  padding: 6px 8px;
  border-radius: 2px;
  overflow-wrap: anywhere;
}
.passage mark {
  background: none;
  color: inherit;
  font-weight: 600;
}
.also {
  margin-top: 14px;
  border-top: 1px solid var(--hair);
  padding-top: 6px;
}
.claims {
  border-top: 1px solid var(--hair);
  padding-top: 6px;
  color: var(--ink-2);
}
.gone del {
  color: var(--rust);
}
article + article {
  margin-top: 16px;
}
</style>
