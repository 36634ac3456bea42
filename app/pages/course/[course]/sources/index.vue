<script setup lang="ts">
import { addressOf, api, type AnswerOf } from '~/client';
import { useActions } from '~/actions/registry';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import type { NewerVersion } from '~/components/source/Newer.vue';
import { setStanding } from '~~/core/course/corrections';
import { useStale } from '~/stores/stale';
import { counted } from '~/words/states';
import { holdsWords, sourceKind } from '~/words/sources';
import type { FoundPassage } from '~/components/source/Found.vue';

type Row = AnswerOf<'GET /api/courses/:course/sources'>[number];
interface Upload {
  name: string;
  share: number;
  state: 'sending' | 'reading' | 'refused';
  message?: string;
  stop?: () => void;
}

const desk = useCourse();
const changed = inject<() => Promise<void>>('sources-changed')!;
const rows = ref<Row[] | null>(null);
const uploads = ref<Upload[]>([]);
const notes = ref<string[]>([]);
const trouble = ref<Trouble | null>(null);
const over = ref(false);
const picker = ref<HTMLInputElement | null>(null);
const pasting = ref(false);
const linking = ref(false);
const ACCEPT =
  '.docx,.odt,.rtf,.pdf,.epub,.pptx,.odp,.xlsx,.ods,.csv,.tsv,.html,.htm,.md,.markdown,.txt,.vtt,.srt,.zip';

async function load() {
  try {
    rows.value = await api('GET /api/courses/:course/sources', { course: desk.course!.id });
    void changed();
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
onMounted(load);

/** What became of a file that was sent. */
interface Taken {
  same?: string;
  files?: { name: string; same?: string; refused?: string }[];
}

/** Sends files side by side; each says how far it is and what became of it. */
function take(files: FileList | File[]) {
  for (const file of files) {
    uploads.value.push({ name: file.name, share: 0, state: 'sending' });
    const upload = uploads.value.at(-1)!;
    const leave = () => void (uploads.value = uploads.value.filter((each) => each !== upload));
    const { done, stop } = sendFile<Taken>(
      'PUT',
      addressOf('PUT /api/courses/:course/sources', { course: desk.course!.id, query: { name: file.name } }),
      file,
      (share) => {
        upload.share = share;
        if (share === 1) upload.state = 'reading';
      },
    );
    upload.stop = () => {
      leave();
      stop();
      notes.value.push(`${file.name} was stopped; nothing of it was kept.`);
    };
    done.then(
      (answer) => {
        leave();
        if (answer.same) notes.value.push(`${file.name} holds the same as “${answer.same}”; it is used once.`);
        for (const each of answer.files ?? []) {
          if (each.refused)
            uploads.value.push({
              name: `${file.name}: ${each.name}`,
              share: 1,
              state: 'refused',
              message: each.refused,
            });
          else if (each.same)
            notes.value.push(`${each.name} in ${file.name} holds the same as “${each.same}”; it is used once.`);
        }
        void load();
      },
      (error: unknown) => {
        upload.state = 'refused';
        upload.message = troubleOf(error).message;
      },
    );
  }
}
function drop(event: DragEvent) {
  over.value = false;
  if (desk.mayEdit && event.dataTransfer?.files.length) take(event.dataTransfer.files);
}
function told(more: string[]) {
  notes.value.push(...more);
  void load();
}
const find = (words: string) =>
  api('GET /api/courses/:course/search', { course: desk.course!.id, query: { typed: words } });
const newer = ref<NewerVersion | null>(null);
/** Takes in a newer version: fetched again, or given as a file; shows what that means for the course. */
async function renew(row: Row, file?: File) {
  try {
    const place = { course: desk.course!.id, source: row.id };
    const now = file
      ? await api('PUT /api/courses/:course/sources/:source', { ...place, query: { name: file.name }, body: file })
      : await api('POST /api/courses/:course/sources/:source/again', place);
    if (now.same) notes.value.push(`${row.title}: nothing changed.`);
    else newer.value = { title: row.title, ...now };
    await Promise.all([load(), desk.refresh()]);
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
const renewing = ref<Row | null>(null);
/** Newer versions are put by who owns a source, or was given it to change. */
const mayPut = (row: Row) => desk.mayEdit && (row.may === 'own' || row.may === 'change');
const newerPicker = ref<HTMLInputElement | null>(null);
function pickNewer(row: Row) {
  renewing.value = row;
  newerPicker.value?.click();
}
function takeNewer(event: Event) {
  const input = event.target as HTMLInputElement;
  const [file] = input.files ?? [];
  if (file && renewing.value) void renew(renewing.value, file);
  input.value = '';
}
async function detach(row: Row) {
  await api('DELETE /api/courses/:course/sources/:source', { course: desk.course!.id, source: row.id }).catch(
    (error: unknown) => void (trouble.value = troubleOf(error)),
  );
  notes.value.push(
    `“${row.title}” is off this course. What was drafted from it stays, and it stays on your shelf: give the same file again to have it back.`,
  );
  await load();
}
const typed = ref('');
const stale = useStale();
const box = ref<HTMLElement | null>(null);
const fromShelf = ref(false);
const supports = (id: string) => desk.course!.supporting?.includes(id) ?? false;
const stand = (row: Row) => desk.change('standing of a source', setStanding(desk.course!, row.id, !supports(row.id)));
const titleOf = (id: string) => rows.value?.find((row) => row.id === id)?.title ?? '';
const lessonOf = (id: string) => desk.lessons.find((lesson) => lesson.id === id)?.title ?? '';
useActions([
  {
    id: 's-link',
    label: 'Add a link',
    key: 'Alt+L',
    area: 'Sources',
    when: () => desk.mayEdit,
    run: () => void (linking.value = true),
  },
  {
    id: 's-find',
    label: 'Search the sources',
    key: 'Alt+J',
    area: 'Sources',
    run: () => box.value?.querySelector('input')?.focus(),
  },
  {
    id: 's-shelf',
    label: 'Take from the shelf',
    key: 'Alt+Y',
    area: 'Sources',
    when: () => desk.mayEdit,
    run: () => void (fromShelf.value = true),
  },
  {
    id: 'source-files',
    label: 'Add files',
    key: 'Alt+F',
    area: 'Sources',
    when: () => desk.mayEdit,
    run: () => picker.value?.click(),
  },
  {
    id: 'source-text',
    label: 'Paste or type text',
    key: 'Alt+V',
    area: 'Sources',
    when: () => desk.mayEdit,
    run: () => void (pasting.value = true),
  },
]);
</script>

<template>
  <div
    class="sources"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave.self="over = false"
    @drop.prevent="drop"
  >
    <div class="head">
      <h1>Sources</h1>
      <div v-if="rows?.length" ref="box" class="box">
        <UInput
          v-model="typed"
          size="sm"
          placeholder="Search what they say"
          aria-label="Search the sources"
          class="w-full"
        />
      </div>
      <span v-else class="small quiet">what the course is drafted from</span>
      <div v-if="desk.mayEdit" class="end">
        <UButton color="neutral" variant="outline" @click="fromShelf = true">From the shelf</UButton
        ><UButton color="neutral" variant="outline" @click="pasting = true">Paste or type text</UButton
        ><UButton color="neutral" variant="outline" @click="linking = true">Add a link</UButton
        ><UButton @click="picker?.click()">Add files</UButton>
      </div>
      <input
        ref="picker"
        type="file"
        multiple
        :accept="ACCEPT"
        class="sr-only"
        tabindex="-1"
        aria-label="Files to add"
        @change="take(($event.target as HTMLInputElement).files!)"
      />
    </div>
    <input
      ref="newerPicker"
      type="file"
      :accept="ACCEPT"
      class="sr-only"
      tabindex="-1"
      aria-label="File of the newer version"
      @change="takeNewer"
    />
    <ShellTroubleLine v-model="trouble" />
    <p v-if="stale.lessons.size && !newer" class="note small decide">
      {{ counted(stale.sentences, ['sentence', 'sentences']) }} and
      {{ counted(stale.checks, ['question', 'questions']) }} of the course stand on words that a newer version changed
      or dropped:
      <template v-for="(lesson, at) in desk.lessons.filter((each) => stale.lessons.has(each.id))" :key="lesson.id"
        >{{ at ? ', ' : ''
        }}<NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${lesson.id}`">{{
          lesson.title
        }}</NuxtLink></template
      >.
    </p>
    <SourceNewer v-if="newer" :newer="newer" @close="newer = null" />
    <p v-for="note in notes" :key="note" class="note small" role="status">
      {{ note }}
      <button type="button" class="link" @click="notes = notes.filter((each) => each !== note)">Close</button>
    </p>
    <ul v-if="uploads.length" class="uploads" aria-label="Files on their way">
      <li v-for="upload in uploads" :key="upload.name" :class="upload.state">
        <span>{{ upload.name }}</span>
        <span v-if="upload.state === 'refused'" class="decide"
          >{{ upload.message }}
          <button type="button" class="link" @click="uploads = uploads.filter((each) => each !== upload)">
            Close
          </button></span
        >
        <span v-else-if="upload.state === 'reading'" class="quiet"
          >being read
          <button type="button" class="link" :aria-label="`Stop reading ${upload.name}`" @click="upload.stop?.()">
            stop
          </button></span
        >
        <span v-else class="quiet"
          ><progress :value="upload.share" max="1" :aria-label="`${upload.name} sent`" />
          {{ Math.round(upload.share * 100) }} %
          <button type="button" class="link" :aria-label="`Stop sending ${upload.name}`" @click="upload.stop?.()">
            stop
          </button></span
        >
      </li>
    </ul>
    <SourceFound
      v-if="typed.trim()"
      :find="find"
      :typed="typed"
      :title="titleOf"
      :lesson="lessonOf"
      :to="(found: FoundPassage) => `/course/${desk.course!.id}/sources/${found.sourceId}#${found.id}`"
    />
    <table v-else-if="rows?.length" class="lines">
      <thead>
        <tr>
          <th>Source</th>
          <th>Kind</th>
          <th
            title="A leading source gives the outline its shape. A supporting one adds to its lessons and makes none of its own."
          >
            Standing
          </th>
          <th class="number">Words</th>
          <th>Holds</th>
          <th
            title="Each strip is the source from first page to last. Tall: taught and asked. Middle: taught. Low: left out."
          >
            In the course
          </th>
          <th><span class="sr-only">Take off</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td class="name">
            <NuxtLink :to="`/course/${desk.course!.id}/sources/${row.id}`">{{ row.title }}</NuxtLink><span
              v-if="row.file_name !== row.title"
              class="mono block file"
              >{{ row.file_name }}</span
            >
          </td>
          <td>
            {{ sourceKind(row.kind)
            }}<span v-if="row.language !== desk.course!.language" class="small quiet block">in {{ row.language }}</span
            ><span v-if="row.holds.published" class="small quiet block">of {{ row.holds.published }}</span>
          </td>
          <td>
            <button
              v-if="desk.mayEdit"
              type="button"
              class="standing"
              :aria-label="`${row.title} is ${supports(row.id) ? 'supporting' : 'leading'}; make it ${supports(row.id) ? 'leading' : 'supporting'}`"
              @click="stand(row)"
            >
              {{ supports(row.id) ? 'supporting' : 'leading' }}</button><template v-else>{{
              supports(row.id) ? 'supporting' : 'leading'
            }}</template>
          </td>
          <td class="number">{{ row.words.toLocaleString('en') }}</td>
          <td class="small">{{ holdsWords(row.holds) }}</td>
          <td class="small use">
            <SourceStrip :strip="row.strip" /><span class="quiet"
              >{{ row.used }} of {{ counted(row.holds.passages, ['passage', 'passages']) }}</span
            >
          </td>
          <td class="number do">
            <button
              v-if="mayPut(row) && row.holds.address && row.kind !== 'vtt' && row.kind !== 'srt'"
              type="button"
              class="link small"
              :aria-label="`Fetch ${row.title} again`"
              @click="renew(row)"
            >
              fetch again</button
            ><button
              v-else-if="mayPut(row)"
              type="button"
              class="link small"
              :aria-label="`A newer version of ${row.title}`"
              @click="pickNewer(row)"
            >
              newer version
            </button>
            <button
              v-if="desk.mayEdit"
              type="button"
              class="link small"
              :aria-label="`Take ${row.title} off this course`"
              @click="detach(row)"
            >
              take off
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-else-if="rows && uploads.length === 0" class="empty">
      <h2>What do you have?</h2>
      <p>
        Drop files here: documents (DOCX, ODT, RTF, PDF, EPUB), slides with their notes (PPTX, ODP), tables (XLSX, ODS,
        CSV), pages (HTML), notes (Markdown, text), transcripts of talks (WebVTT, SRT), or a zip of them. Each is read
        on this machine; nothing leaves it.
      </p>
      <UButton v-if="desk.mayEdit" @click="picker?.click()">Add files</UButton>
    </div>
    <p v-if="rows?.length && !typed.trim()" class="next small quiet">
      Strips: tall is taught and asked, middle is taught, low is left out. Drop more files anywhere here.
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/outline`">{{
        desk.lessons.length ? 'To the outline' : 'On to the outline'
      }}</NuxtLink>
    </p>
    <SourceContradictions v-if="rows?.length && !typed.trim()" :sources="rows" />
    <SourceShelfDialog v-model:open="fromShelf" :here="rows?.map((row) => row.id) ?? []" @added="told" />
    <SourceLinkDialog v-model:open="linking" @added="told" />
    <SourcePasteDialog v-model:open="pasting" @added="load" />
  </div>
</template>

<style scoped>
.sources {
  flex: 1;
  overflow-y: auto;
}
.sources.over {
  outline: 2px dashed var(--moss);
  outline-offset: -8px;
}
.lines td:first-child,
.lines th:first-child {
  padding-left: 18px;
}
.lines td:last-child {
  padding-right: 18px;
}
.name a {
  font-weight: 600;
}
.name a:hover {
  text-decoration: underline;
}
.use,
.do {
  white-space: nowrap;
}
.file {
  max-width: 320px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.box {
  width: 300px;
}
.standing {
  color: var(--ink);
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  cursor: pointer;
}
.do .link {
  display: block;
  margin-left: auto;
  line-height: 24px;
}
.note {
  padding: 8px 18px;
  background: var(--moss-faint);
}
.uploads {
  border-bottom: 1px solid var(--hair);
}
.uploads li {
  display: flex;
  gap: 18px;
  padding: 6px 18px;
  font-size: 14px;
}
.uploads li span:first-child {
  min-width: 220px;
  font-weight: 600;
}
progress {
  width: 120px;
  accent-color: var(--moss);
}
.next {
  padding: 14px 18px;
}
</style>
