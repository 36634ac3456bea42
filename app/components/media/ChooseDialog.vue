<script setup lang="ts">
import { useFileDialog } from '@vueuse/core';
import type { Medium } from '~~/core/course/course';
import { shelfOf } from '~~/core/course/media';
import { MEDIA_SORTS, sortOf, type MediaSort } from '~~/core/document/media';
import { addressOf, api, type AnswerOf } from '~/client';
import { bareName, type GivenMedia } from '~/blocks/media';
import { troubleOf } from '~/composables/useApi';
import { shelvedFile, useGiving, type MediaAdded } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';
import { acceptOf, fileFacts, SORT_WORDS } from '~/words/media';

/** Media are chosen here: from the course's shelf, its sources, other courses, or this device. */
const props = defineProps<{
  /** What can be used where it is wanted; everything where nothing is said. */
  sorts?: readonly MediaSort[];
}>();
const emit = defineEmits<{ take: [given: GivenMedia] }>();
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
const { coming, give, lay } = useGiving();
const from = ref<'shelf' | 'sources' | 'courses'>('shelf');
const typed = ref('');
const trouble = ref('');
const over = ref(false);
type Held = AnswerOf<'GET /api/courses/:course/media/pictures'>[number];
type Elsewhere = AnswerOf<'GET /api/media'>[number];
const held = ref<Held[]>();
const elsewhere = ref<Elsewhere[]>();

const wanted = (file: { type: string }) => !props.sorts || props.sorts.includes(sortOf(file));
const places = computed(() => [
  { value: 'shelf' as const, label: 'Shelf of this course' },
  ...(wanted({ type: 'image/png' }) ? [{ value: 'sources' as const, label: 'Pictures of its sources' }] : []),
  { value: 'courses' as const, label: 'Other courses' },
]);
const matches = (words: string) => words.toLowerCase().includes(typed.value.trim().toLowerCase());
const shelf = computed(() =>
  shelfOf(desk.course!).filter(
    ({ file, name, medium }) => wanted(file) && matches([name, medium?.alt, medium?.credit].join(' ')),
  ),
);
const pictures = computed(() =>
  (held.value ?? []).filter(({ caption, alt, title }) => matches([caption, alt, title].join(' '))),
);
const others = computed(() =>
  (elsewhere.value ?? []).filter(
    ({ file, name, title, course }) => course !== desk.course!.id && wanted(file) && matches(`${name} ${title}`),
  ),
);

async function load() {
  trouble.value = '';
  try {
    if (from.value === 'sources')
      held.value ??= await api('GET /api/courses/:course/media/pictures', { course: desk.course!.id });
    else if (from.value === 'courses') elsewhere.value ??= await api('GET /api/media');
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
watch([open, from], ([now]) => void (now && load()), { immediate: true });

function take(given: GivenMedia) {
  open.value = false;
  emit('take', given);
}
/** Runs what brings a file into this course, lays it on the shelf, and takes it. */
async function bring(
  work: () => Promise<MediaAdded | undefined>,
  known: Partial<GivenMedia> = {},
  said: Partial<Medium> = {},
) {
  trouble.value = '';
  try {
    const added = await work();
    if (!added) return;
    lay(added, said);
    if (!wanted(added)) return void (trouble.value = `It came onto the shelf; here ${kinds.value} can be used.`);
    take({ file: shelvedFile(added), name: added.name, ...known });
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
const ofShelf = ({ file, name, medium }: (typeof shelf.value)[number]) =>
  take({
    file: file as GivenMedia['file'],
    name,
    ...(medium?.alt && { alt: medium.alt }),
    ...(medium?.decorative && { decorative: true }),
  });
const ofSource = ({ source, hash, alt, caption, evidence }: Held) =>
  bring(() => api('POST /api/courses/:course/media/pictures', { course: desk.course!.id, body: { source, hash } }), {
    alt,
    caption,
    evidence,
  });
const ofCourse = ({ course, file }: Elsewhere) =>
  bring(() =>
    api('POST /api/courses/:course/media/shared', { course: desk.course!.id, body: { from: course, hash: file.hash } }),
  );
const address = ref('');
const fetching = ref(false);
/** Fetched by the server, by the rules for sources; where it came from stands as whose it is until somebody says. */
async function ofAddress() {
  const from = address.value.trim();
  if (!from || fetching.value) return;
  fetching.value = true;
  await bring(
    () => api('POST /api/courses/:course/media/fetched', { course: desk.course!.id, body: { address: from } }),
    {},
    { credit: from.slice(0, 1000) },
  );
  fetching.value = false;
  if (!trouble.value) address.value = '';
}
async function ofDevice(files: readonly File[]) {
  for (const file of files) {
    if (!wantedName(file.name)) {
      trouble.value = `${file.name} cannot be used here: ${kinds.value} can.`;
      return;
    }
    await bring(() => give(file));
  }
}
const kinds = computed(() => (props.sorts ?? MEDIA_SORTS).map((sort) => SORT_WORDS[sort][1].toLowerCase()).join(', '));
/** What a file is says its server; by its ending, what plainly cannot be used is told at once. */
const wantedName = (name: string) => {
  const ending = /\.[A-Za-z0-9]+$/.exec(name)?.[0].toLowerCase();
  return !ending || !acceptOf().split(',').includes(ending) || acceptOf(props.sorts).split(',').includes(ending);
};
const { open: device, onChange } = useFileDialog({ accept: acceptOf(props.sorts), multiple: false, reset: true });
onChange((files) => void ofDevice([...(files ?? [])]));
function dropped(event: DragEvent) {
  over.value = false;
  void ofDevice([...(event.dataTransfer?.files ?? [])]);
}
const pictureAt = ({ source, hash }: Held) =>
  addressOf('GET /api/courses/:course/sources/:source/pictures/:hash', { course: desk.course!.id, source, hash });
</script>

<template>
  <UModal
    v-model:open="open"
    title="Media for this place"
    description="From the shelf, from what your sources hold, or from this device. Everything that comes is kept on the shelf."
    :ui="{ content: 'max-w-4xl' }"
  >
    <template #body>
      <div
        class="body"
        :class="{ over }"
        @dragover.prevent="over = true"
        @dragleave="over = false"
        @drop.prevent="dropped"
      >
        <div class="tools">
          <FieldTabs v-model="from" :items="places" />
          <UInput v-model="typed" size="sm" class="w-44" placeholder="Search" aria-label="Search media" />
          <UButton size="sm" color="neutral" variant="outline" @click="device()">From this device</UButton>
          <form class="from" @submit.prevent="ofAddress">
            <UInput
              v-model="address"
              size="sm"
              class="w-56"
              placeholder="https://"
              aria-label="Address of a file"
            /><UButton
              size="sm"
              color="neutral"
              variant="outline"
              type="submit"
              :disabled="fetching || !address.trim()"
              >{{ fetching ? 'Fetching' : 'Fetch' }}</UButton
            >
          </form>
        </div>
        <MediaComing :coming="coming" />
        <p v-if="trouble" class="decide" role="alert">{{ trouble }}</p>
        <div v-if="from === 'shelf'" class="shown">
          <button
            v-for="each in shelf"
            :key="each.file.hash"
            type="button"
            :aria-label="`Take ${each.name}`"
            @click="ofShelf(each)"
          >
            <MediaThumb :course="desk.course!.id" :file="each.file" />
            <span class="small">{{ bareName(each.name) || 'without a name' }}</span>
            <span class="small quiet">{{ fileFacts(each.file) }}</span>
          </button>
          <p v-if="shelf.length === 0" class="quiet">Nothing of that kind lies on the shelf. Drop files here.</p>
        </div>
        <div v-else-if="from === 'sources'" class="shown">
          <button
            v-for="each in pictures"
            :key="each.hash"
            type="button"
            :aria-label="`Take ${each.caption || each.alt || 'this picture'}`"
            @click="ofSource(each)"
          >
            <img :src="pictureAt(each)" :alt="each.alt" loading="lazy" />
            <span class="small">{{ each.caption || each.alt || 'without a caption' }}</span>
            <span class="small quiet">{{ each.title }}</span>
          </button>
          <p v-if="held && pictures.length === 0" class="quiet">The sources of this course hold no such pictures.</p>
        </div>
        <div v-else class="shown">
          <button
            v-for="each in others"
            :key="`${each.course}/${each.file.hash}`"
            type="button"
            :aria-label="`Take ${each.name} of ${each.title}`"
            @click="ofCourse(each)"
          >
            <MediaThumb :course="each.course" :file="each.file" />
            <span class="small">{{ bareName(each.name) }}</span>
            <span class="small quiet">{{ each.title }}</span>
          </button>
          <p v-if="elsewhere && others.length === 0" class="quiet">Your other courses have no such media.</p>
        </div>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.body {
  min-height: 320px;
  border: 1px dashed transparent;
}
.body.over {
  border-color: var(--moss);
  background: var(--moss-faint);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  margin-bottom: 10px;
}

.from {
  display: flex;
  gap: 6px;
}
.shown {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 10px;
}
.shown > p {
  grid-column: 1 / -1;
}
.shown button {
  display: grid;
  gap: 3px;
  align-content: start;
  padding: 8px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
  text-align: start;
  cursor: pointer;
  overflow-wrap: anywhere;
}
.shown button:hover {
  background: var(--moss-faint);
}
.shown img {
  width: 100%;
  height: 104px;
  object-fit: contain;
  background: var(--paper);
}
</style>
