<script setup lang="ts">
import { api } from '~/client';
import { useActions } from '~/actions/registry';
import { freshId, troubleOf } from '~/composables/useApi';
import { sendLeftBehind, useCourse } from '~/stores/course';
import { useSession } from '~/stores/session';
import { dayOf } from '~/words/dates';
import { counted } from '~/words/states';
import type { CourseRow as Row, Lately } from '~~/core/course/row';

const session = useSession();
const rows = ref<Row[] | null>(null);
const { trouble, trying } = useTrying();
const search = ref('');
const naming = ref(false);
const title = ref('');
const archive = ref<HTMLInputElement | null>(null);
let then = 'sources';

const invitations = ref<{ course_id: string; title: string; role: string; by: string | null }[]>([]);
const removed = ref<{ id: string; title: string; removed_at: number; learners: number }[]>([]);
const lately = ref<Lately[]>([]);
const inBin = ref(false);
const renaming = ref<{ row: Row; title: string } | null>(null);
/** The course that is about to be deleted. */
const deleting = ref<Row | null>(null);

const load = () =>
  trying(async () => {
    [rows.value, invitations.value, removed.value, lately.value] = await Promise.all([
      api('GET /api/courses'),
      api('GET /api/invitations'),
      api('GET /api/bin'),
      api('GET /api/lately'),
    ]);
    if (removed.value.length === 0) inBin.value = false;
  });
const reply = (course: string, accept: boolean) =>
  trying(async () => {
    await api('POST /api/invitations/:invitation', { invitation: course, body: { accept } });
    await load();
  });
const remove = () =>
  trying(async () => {
    const row = deleting.value!;
    deleting.value = null;
    await api('DELETE /api/courses/:course', { course: row.id });
    await load();
  });
const rename = () =>
  trying(async () => {
    const { row, title } = renaming.value!;
    renaming.value = null;
    const changes = [
      {
        id: freshId('x'),
        group: freshId('g'),
        operation: { type: 'set' as const, id: row.id, field: 'title', value: title.trim(), was: row.title },
      },
    ];
    const { refused } = await api('POST /api/courses/:course/operations', {
      course: row.id,
      body: { since: row.revision, what: 'title', changes },
    });
    await load();
    if (refused?.length)
      trouble.value = {
        code: 'changed-meanwhile',
        message: 'Somebody gave it another title meanwhile. It stands as they wrote it.',
      };
  });
const duplicate = (row: Row) =>
  trying(async () => {
    await api('POST /api/courses/:course/copy', {
      course: row.id,
      body: { title: `${row.title.slice(0, 390)} (copy)` },
    });
    await load();
  });
const bringBack = (id: string) =>
  trying(async () => {
    await api('POST /api/bin/:removed', { removed: id });
    await load();
  });
onMounted(async () => {
  // What was typed in a course without a connection goes out from here too.
  if (session.person) await sendLeftBehind(session.person);
  await load();
});
useCourse().course = null;

const shown = computed(() =>
  (rows.value ?? []).filter((row) =>
    `${row.title} ${row.audience}`.toLowerCase().includes(search.value.toLowerCase().trim()),
  ),
);

function begin(step: string) {
  then = step;
  naming.value = true;
}
async function make() {
  try {
    const { id } = await api('POST /api/courses', { body: { title: title.value.trim() } });
    await navigateTo(`/course/${id}/${then}`);
  } catch (error) {
    trouble.value = troubleOf(error);
  }
  naming.value = false;
}
async function bring(event: Event) {
  const [file] = (event.target as HTMLInputElement).files ?? [];
  if (!file) return;
  try {
    const { id } = await api('POST /api/archives', { body: file });
    await navigateTo(`/course/${id}/outline`);
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
useActions([
  { id: 'new-sources', label: 'New course from sources', key: 'Alt+N', area: 'Courses', run: () => begin('sources') },
  { id: 'new-known', label: 'New course from what I know', area: 'Courses', run: () => begin('sources/interview') },
  { id: 'new-empty', label: 'New empty course', area: 'Courses', run: () => begin('outline') },
  { id: 'bring', label: 'Open a course archive', area: 'Courses', run: () => archive.value?.click() },
]);
useHead({ title: 'Courses – Uplift Path' });
</script>

<template>
  <div>
    <ShellTopBar />
    <ShellTroubleLine v-model="trouble" />
    <PathPatterns />
    <main id="work" class="open-page home">
      <h1>Courses</h1>
      <div class="start">
        <UButton @click="begin('sources')">Start from sources</UButton>
        <UButton color="neutral" variant="outline" @click="begin('sources/interview')">Start from what I know</UButton>
        <UButton color="neutral" variant="outline" @click="begin('outline')">Write my own outline</UButton>
        <UButton color="neutral" variant="outline" @click="archive?.click()">Open an archive</UButton>
        <UButton color="neutral" variant="ghost" to="/shelf">Source shelf</UButton>
        <input
          ref="archive"
          type="file"
          accept=".zip"
          class="sr-only"
          aria-label="Course archive"
          tabindex="-1"
          @change="bring"
        />
        <span v-if="rows && rows.length > 3" class="end"
          ><UInput v-model="search" size="sm" placeholder="Find a course" aria-label="Find a course"
        /></span>
        <span v-else-if="rows" class="end small quiet">{{ counted(rows.length, ['course', 'courses']) }}</span>
        <button v-if="removed.length" type="button" class="link small" :aria-pressed="inBin" @click="inBin = !inBin">
          {{ inBin ? 'Back to the courses' : `${removed.length} deleted` }}
        </button>
      </div>
      <section v-for="each in invitations" :key="each.course_id" class="invitation">
        <p>
          {{ each.by ?? 'Somebody' }} offers you a part in <strong>{{ each.title }}</strong>:
          {{ each.role === 'author' ? 'to change it as an author' : 'to review it' }}.
        </p>
        <UButton size="sm" @click="reply(each.course_id, true)">Accept</UButton
        ><UButton size="sm" color="neutral" variant="outline" @click="reply(each.course_id, false)">Decline</UButton>
      </section>
      <table v-if="inBin" class="lines">
        <caption>
          Deleted courses; each comes back as it was, its learners' results with it
        </caption>
        <thead>
          <tr>
            <th>Course</th>
            <th class="number">Learners</th>
            <th>Deleted</th>
            <th><span class="sr-only">Back</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in removed" :key="row.id">
            <td>{{ row.title }}</td>
            <td class="number">{{ row.learners || '' }}</td>
            <td class="small quiet">{{ dayOf(row.removed_at) }}</td>
            <td class="number">
              <button type="button" class="link small" @click="bringBack(row.id)">bring it back</button>
            </td>
          </tr>
        </tbody>
      </table>
      <HomeCourses
        v-else-if="shown.length"
        :rows="shown"
        @rename="(row) => (renaming = { row, title: row.title })"
        @duplicate="duplicate"
        @remove="(row) => (deleting = row)"
      />
      <div v-else-if="rows && rows.length === 0" class="empty">
        <h2>Your courses stand here</h2>
        <p>
          A course begins with what you have: policies, manuals, slides, recorded talks, notes. Put them in, and an
          outline is drafted from them that shows where each part comes from.
        </p>
        <UButton @click="begin('sources')">Start from sources</UButton>
      </div>
      <p v-else-if="rows" class="quiet">No course fits “{{ search }}”.</p>
      <HomeLately v-if="!inBin && lately.length > 0" :lines="lately" />
    </main>
    <UModal
      :open="deleting !== null"
      :title="`Delete “${deleting?.title ?? ''}”`"
      description="It lies under “deleted” on this page, with its releases and its learners' results, until it is brought back. Learners cannot open it meanwhile."
      @update:open="deleting = null"
    >
      <template #body
        ><div class="flex gap-3">
          <UButton @click="remove">Delete it</UButton
          ><UButton color="neutral" variant="outline" @click="deleting = null">Leave it</UButton>
        </div></template
      >
    </UModal>
    <UModal :open="renaming !== null" title="Rename the course" @update:open="renaming = null">
      <template #body>
        <form v-if="renaming" class="fields" @submit.prevent="rename">
          <label>Title<UInput v-model="renaming.title" required autofocus class="w-full" maxlength="400" /></label>
          <div class="flex gap-3">
            <UButton type="submit" :disabled="!renaming.title.trim() || renaming.title.trim() === renaming.row.title"
              >Rename it</UButton
            ><UButton color="neutral" variant="outline" @click="renaming = null">Leave it</UButton>
          </div>
        </form>
      </template>
    </UModal>
    <UModal v-model:open="naming" title="New course" description="Its title can be changed at any time.">
      <template #body>
        <form class="fields" @submit.prevent="make">
          <label>Title<UInput v-model="title" required autofocus class="w-full" maxlength="200" /></label>
          <div><UButton type="submit" :disabled="!title.trim()">Begin</UButton></div>
        </form>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.invitation {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 8px 12px;
  margin-bottom: 10px;
  background: var(--moss-faint);
  border-left: 3px solid var(--moss);
}
.invitation p {
  flex: 1;
}
caption {
  text-align: left;
  padding: 4px 8px;
  font-size: 13.5px;
  color: var(--ink-2);
}
.home {
  max-width: 1168px;
}
.desk:has(.home) {
  background: var(--sheet);
}
.start {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-bottom: 20px;
  flex-wrap: wrap;
}
.start .end {
  margin-left: auto;
  display: flex;
  gap: 12px;
  align-items: center;
}
.lines td {
  padding: 12px 8px;
}
</style>
