<script setup lang="ts">
import { api } from '~/client';
import { useActions } from '~/actions/registry';
import type { FoundPassage } from '~/components/source/Found.vue';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { dayWords, holdsWords, MAY, sourceKind, type ShelfSource } from '~/words/sources';
import { counted } from '~/words/states';

/** All sources of a person, across courses, and the search over them. */
const rows = ref<ShelfSource[] | null>(null);
const trouble = ref<Trouble | null>(null);
const typed = ref('');
const away = ref(false);
const box = ref<HTMLElement | null>(null);
useCourse().course = null;

async function load() {
  try {
    rows.value = await api('GET /api/shelf');
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
onMounted(load);
const shown = computed(() => (rows.value ?? []).filter((row) => (row.put_away_at !== null) === away.value));
const count = computed(() => (rows.value ?? []).filter((row) => row.put_away_at !== null).length);
const byId = computed(() => new Map(rows.value?.map((row) => [row.id, row])));
async function put(row: ShelfSource, gone: boolean) {
  await api('PUT /api/shelf/:source', { source: row.id, body: { away: gone } }).catch(
    (error: unknown) => void (trouble.value = troubleOf(error)),
  );
  await load();
  if (count.value === 0) away.value = false;
}
const sharing = ref(false);
const shared = shallowRef<ShelfSource | null>(null);
function share(row: ShelfSource) {
  shared.value = row;
  sharing.value = true;
}
const find = (words: string) => api('GET /api/shelf/search', { query: { typed: words } });
const leadTo = (found: FoundPassage) => {
  const [course] = byId.value.get(found.sourceId)?.courses ?? [];
  return course && `/course/${course.id}/sources/${found.sourceId}#${found.id}`;
};
useActions([
  {
    id: 'shelf-find',
    label: 'Search the sources',
    key: 'Alt+J',
    area: 'Shelf',
    run: () => box.value?.querySelector('input')?.focus(),
  },
]);
</script>

<template>
  <ShellOpenPage v-model:trouble="trouble" title="Source shelf" :width="1168">
    <div ref="box" class="tools">
      <UInput
        v-model="typed"
        class="box"
        placeholder="Search what all your sources say"
        aria-label="Search all sources"
      /><span v-if="rows" class="small quiet">{{ counted(rows.length - count, ['source', 'sources']) }}</span
      ><button v-if="count" type="button" class="link small" :aria-pressed="away" @click="away = !away">
        {{ away ? 'Back to the shelf' : `${count} put away` }}
      </button>
    </div>
    <SourceFound
      v-if="typed.trim()"
      :find="find"
      :typed="typed"
      :title="(id: string) => byId.get(id)?.title ?? ''"
      :to="leadTo"
    />
    <table v-else-if="shown.length" class="lines">
      <thead>
        <tr>
          <th>Source</th>
          <th>Kind</th>
          <th class="number">Words</th>
          <th>Holds</th>
          <th>Read</th>
          <th>In courses</th>
          <th><span class="sr-only">Put away</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shown" :key="row.id">
          <td>
            <strong>{{ row.title }}</strong><span v-if="row.file_name !== row.title" class="mono block file">{{
              row.file_name
            }}</span
            ><span v-if="row.may !== 'own'" class="small quiet block">{{ MAY[row.may] }}</span>
          </td>
          <td>
            {{ sourceKind(row.kind) }}<span class="small quiet block">in {{ row.language }}</span>
          </td>
          <td class="number">{{ row.words.toLocaleString('en') }}</td>
          <td class="small">{{ holdsWords(row.holds) }}</td>
          <td class="small quiet">{{ dayWords(row.read_at) }}</td>
          <td class="small">
            <NuxtLink
              v-for="course in row.courses"
              :key="course.id"
              class="link block"
              :to="`/course/${course.id}/sources/${row.id}`"
              >{{ course.title }}</NuxtLink><span v-if="row.courses.length === 0" class="quiet">none</span>
          </td>
          <td class="number">
            <button
              v-if="row.own && !away"
              type="button"
              class="link small share"
              :aria-label="`Share ${row.title}`"
              @click="share(row)"
            >
              share
            </button>
            <button
              v-if="row.own"
              type="button"
              class="link small"
              :aria-label="`${away ? 'Put back' : 'Put away'} ${row.title}`"
              @click="put(row, !away)"
            >
              {{ away ? 'put back' : 'put away' }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <SourceShareDialog v-model:open="sharing" :source="shared" />
    <p v-if="rows && shown.length === 0 && !typed.trim()" class="quiet">
      Whatever you give to a course as a source stands here too, so that other courses can use it.
    </p>
  </ShellOpenPage>
</template>

<style scoped>
.share {
  margin-right: 10px;
}
.tools {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-bottom: 14px;
}
.box {
  width: 420px;
}
td .link {
  line-height: 24px;
}
.file {
  max-width: 320px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
