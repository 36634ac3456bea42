<script setup lang="ts">
import { useFileDialog } from '@vueuse/core';
import { shelfOf, type OnShelf } from '~~/core/course/media';
import type { Medium } from '~~/core/course/course';
import { restore } from '~~/core/course/restore';
import { MEDIA_SORTS, type MediaSort } from '~~/core/document/media';
import { bareName } from '~/blocks/media';
import { useActions } from '~/actions/registry';
import { troubleOf } from '~/composables/useApi';
import { useGiving } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';
import { acceptOf, fileFacts, SORT_WORDS } from '~/words/media';
import { counted } from '~/words/states';

/** The course's shelf of media: everything in use and everything kept, what is known of it and where it stands. */
const desk = useCourse();
const route = useRoute();
const { coming, give } = useGiving();
const typed = ref('');
const box = ref<HTMLElement | null>(null);
type Filter = 'all' | MediaSort | 'unused' | 'wants' | 'thrown';
const filter = ref<Filter>('all');
const over = ref(false);
const recording = ref(false);

const shelf = computed(() => shelfOf(desk.course!));
const thrown = computed(() =>
  desk.course!.bin.filter(({ kind }) => kind === 'medium').map(({ node }) => node as Medium),
);
const isUnused = ({ uses, takes }: OnShelf) => uses.length === 0 && takes === 0;
/** A picture that neither says what it shows nor that it shows nothing. */
const wants = ({ sort, alt }: OnShelf) => sort === 'picture' && alt === undefined;
const FILTERS: [Filter, (each: OnShelf) => boolean][] = [
  ['all', () => true],
  ...MEDIA_SORTS.map((sort): [Filter, (each: OnShelf) => boolean] => [sort, (each) => each.sort === sort]),
  ['unused', isUnused],
  ['wants', wants],
];
const labelOf = (name: Filter) =>
  name === 'all'
    ? 'All'
    : name === 'unused'
      ? 'Not in use'
      : name === 'wants'
        ? 'Without words'
        : SORT_WORDS[name as MediaSort][1];
const filters = computed(() => [
  ...FILTERS.map(([value, holds]) => ({ value, count: shelf.value.filter(holds).length }))
    .filter(({ value, count }) => value === 'all' || count > 0)
    .map(({ value, count }) => ({ value, label: `${labelOf(value)} ${count}` })),
  ...(thrown.value.length ? [{ value: 'thrown' as const, label: `Thrown away ${thrown.value.length}` }] : []),
]);
watch(filters, (now) => {
  if (!now.some(({ value }) => value === filter.value)) filter.value = 'all';
});
const matches = (words: string) => words.toLowerCase().includes(typed.value.trim().toLowerCase());
const shown = computed(() => {
  const holds = FILTERS.find(([name]) => name === filter.value)?.[1] ?? (() => false);
  return shelf.value.filter(
    (each) => holds(each) && matches([each.name, each.alt, each.medium?.credit, each.medium?.licence].join(' ')),
  );
});
const at = ref(String(route.hash.slice(1)));
const chosen = computed(() => shelf.value.find(({ file }) => file.hash === at.value));
const nameOf = ({ name, alt }: OnShelf) => bareName(name) || alt || 'without a name';

async function take(files: readonly File[]) {
  await Promise.all(
    files.map(async (file) => {
      try {
        const added = await give(file);
        // Whoever describes another file meanwhile is not taken away from it.
        if (added && !chosen.value) at.value = added.hash;
      } catch (error) {
        const { message, ...rest } = troubleOf(error);
        desk.trouble = { ...rest, message: `${file.name}: ${message}` };
      }
    }),
  );
}
const { open: device, onChange } = useFileDialog({ accept: acceptOf(), multiple: true, reset: true });
onChange((files) => void take([...(files ?? [])]));
function dropped(event: DragEvent) {
  over.value = false;
  if (desk.mayEdit) void take([...(event.dataTransfer?.files ?? [])]);
}
const back = (medium: Medium) => desk.change(`“${medium.name}” back on the shelf`, restore(desk.course!, medium.id));
useActions([
  { id: 'media-add', label: 'Add media', key: 'Alt+A', area: 'Media', when: () => desk.mayEdit, run: () => device() },
  {
    id: 'media-record',
    label: 'Record voice, speaker or screen',
    key: 'Ctrl+Alt+R',
    area: 'Media',
    when: () => desk.mayEdit,
    run: () => void (recording.value = true),
  },
  {
    id: 'media-find',
    label: 'Search the shelf',
    key: 'Alt+J',
    area: 'Media',
    run: () => box.value?.querySelector('input')?.focus(),
  },
]);
</script>

<template>
  <div
    class="media"
    :class="{ over }"
    @dragover.prevent="over = desk.mayEdit"
    @dragleave.self="over = false"
    @drop.prevent="dropped"
  >
    <div class="head">
      <h1>Media</h1>
      <span class="small quiet">all pictures, sounds, videos and files of this course, in use or kept</span>
      <div ref="box" class="end">
        <UInput v-model="typed" size="sm" class="w-48" placeholder="Search the shelf" aria-label="Search the shelf" />
        <template v-if="desk.mayEdit">
          <UButton size="sm" color="neutral" variant="outline" @click="recording = true">Record</UButton>
          <UButton size="sm" @click="device()">Add files</UButton>
        </template>
      </div>
    </div>
    <FieldTabs v-model="filter" :items="filters" class="tabs" />
    <div class="columns">
      <div class="scroll">
        <MediaComing :coming="coming" />
        <ul v-if="filter === 'thrown'" class="cards">
          <li v-for="medium in thrown" :key="medium.id">
            <div class="card">
              <MediaThumb :course="desk.course!.id" :file="medium.file" :alt="medium.alt" />
              <span class="small name">{{ bareName(medium.name) }}</span>
              <button v-if="desk.mayEdit" type="button" class="link small" @click="back(medium)">bring back</button>
            </div>
          </li>
        </ul>
        <ul v-else class="cards">
          <li v-for="each in shown" :key="each.file.hash">
            <button
              type="button"
              class="card"
              :data-node="each.medium?.id"
              :aria-pressed="each.file.hash === at"
              :aria-label="`${SORT_WORDS[each.sort][0]} ${nameOf(each)}`"
              @click="at = each.file.hash"
            >
              <MediaThumb :course="desk.course!.id" :file="each.file" />
              <span class="small name">{{ nameOf(each) }}</span>
              <span class="small quiet">{{ fileFacts(each.file) }}</span>
              <span v-if="wants(each)" class="small decide">no words for what it shows</span>
              <span v-else class="small quiet">{{
                each.uses.length
                  ? `in ${counted(each.uses.length, ['place', 'places'])}`
                  : each.takes
                    ? 'in a take'
                    : 'not in use'
              }}</span>
            </button>
          </li>
        </ul>
        <p v-if="shelf.length === 0 && thrown.length === 0" class="quiet none">
          Nothing lies here yet. Drop pictures, sounds, videos, PDFs and other files here, or paste them on a lesson's
          page. Pictures of your sources come with a press on a page's “Add”.
        </p>
        <p v-else-if="filter !== 'thrown' && shown.length === 0" class="quiet none">
          Nothing on the shelf is like that.
        </p>
      </div>
      <LazyMediaRecordDialog v-if="recording" v-model:open="recording" @take="({ file }) => (at = file.hash)" />
      <MediaDetails
        v-if="chosen && filter !== 'thrown'"
        :key="chosen.file.hash"
        :item="chosen"
        @gone="at = ''"
        @show="(hash: string) => (at = hash)"
      />
    </div>
  </div>
</template>

<style scoped>
.media {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}
.media.over {
  background: var(--moss-faint);
}
.tabs {
  padding-inline: 20px;
}
.columns {
  flex: 1;
  display: flex;
  min-height: 0;
}
.scroll {
  flex: 1;
  overflow-y: auto;
  padding: 12px 24px 30px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(172px, 1fr));
  gap: 12px;
  list-style: none;
  padding: 0;
  margin: 0;
}
.card {
  display: grid;
  gap: 2px;
  align-content: start;
  width: 100%;
  height: 100%;
  padding: 8px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
  text-align: start;
}
button.card:hover {
  background: var(--moss-faint);
}
button.card[aria-pressed='true'] {
  border-color: var(--moss);
  outline: 1px solid var(--moss);
}
.name {
  font-weight: 600;
  margin-top: 4px;
  overflow-wrap: anywhere;
}
.none {
  max-width: 34em;
}
.card .link {
  justify-self: start;
  min-height: 24px;
}
@media (max-width: 760px) {
  .columns {
    flex-direction: column;
    overflow-y: auto;
  }
  .scroll {
    overflow: visible;
  }
}
</style>
