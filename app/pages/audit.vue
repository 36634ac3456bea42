<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import { useDebounceFn } from '@vueuse/core';
import { troubleOf } from '~/composables/useApi';
import { AUDIT } from '~/words/audit';

type Line = AnswerOf<'GET /api/audit'>[number];

/** What happened that somebody may have to answer for; for owners. */
const KINDS: Record<string, string[]> = {
  Everything: [],
  'Signing in and out': [
    'sign-in',
    'sign-in-refused',
    'sign-out',
    'sessions-ended',
    'password-changed',
    'password-reset',
  ],
  'People and rights': [
    'person-added',
    'letter-sent',
    'person-removed',
    'standing-changed',
    'rights-offered',
    'rights-changed',
    'rights-accepted',
    'rights-left',
    'course-adopted',
    'source-given',
  ],
  Sources: ['source-added', 'source-version', 'source-removed', 'source-given'],
  'Releases and learners': ['release', 'release-access', 'release-withdrawn', 'learner-removed', 'learner-unnamed'],
  'Taken out of here': ['export'],
  Deletions: [
    'course-removed',
    'course-restored',
    'source-removed',
    'person-removed',
    'learner-removed',
    'learner-unnamed',
  ],
};
const lines = ref<Line[] | null>(null);
const more = ref(false);
const { trouble, trying } = useTrying();
const kind = ref('Everything');
const person = ref('all');
const words = ref('');
const since = ref('');
const until = ref('');
const people = ref<{ value: string; label: string }[]>([]);
const PAGE = 200;

const asked = computed(() => ({
  ...(KINDS[kind.value]!.length > 0 && { what: KINDS[kind.value]!.join(',') }),
  ...(person.value !== 'all' && { person: person.value }),
  ...(words.value.trim() && { words: words.value.trim() }),
  ...(since.value && { since: new Date(`${since.value}T00:00`).getTime() }),
  ...(until.value && { until: new Date(`${until.value}T00:00`).getTime() + 86_400_000 }),
}));
let latest = 0;
async function load(from?: number) {
  const mine = ++latest;
  try {
    const found = await api('GET /api/audit', { query: { ...asked.value, ...(from && { before: from }) } });
    if (mine !== latest) return;
    lines.value = from ? [...(lines.value ?? []), ...found] : found;
    more.value = found.length === PAGE;
    trouble.value = null;
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
const later = useDebounceFn(() => void load(), 250);
watch(asked, () => void later());
onMounted(async () => {
  void load();
  const answer = await api('GET /api/people').catch(() => ({ people: [] }));
  people.value = [
    { value: 'all', label: 'Everybody' },
    ...answer.people.map(({ id, name }) => ({ value: id, label: name })),
  ];
});
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'medium' });
/** Everything that fits the filter, as a table for other programs. */
const save = () =>
  trying(async () => {
    const all: Line[] = [];
    for (let from: number | undefined; ;) {
      const found = await api('GET /api/audit', { query: { ...asked.value, ...(from && { before: from }) } });
      all.push(...found);
      from = found.at(-1)?.id;
      if (found.length < PAGE) break;
    }
    saveCsv(
      'audit.csv',
      all.map((line) => ({
        time: new Date(line.made_at).toISOString(),
        who: line.person ?? '',
        what: line.what,
        about: line.title ?? line.about ?? '',
        detail: line.detail ?? '',
      })),
    );
  });
</script>

<template>
  <ShellOpenPage v-model:trouble="trouble" title="Audit" :width="1100">
    <div class="filter">
      <USelect v-model="kind" :items="Object.keys(KINDS)" size="sm" class="w-48" aria-label="What happened" />
      <USelect v-model="person" :items="people" size="sm" class="w-44" aria-label="Who did it" />
      <UInput v-model="words" size="sm" placeholder="Words" aria-label="Words in it" class="w-40" />
      <label class="small">from <UInput v-model="since" type="date" size="sm" /></label
      ><label class="small">to <UInput v-model="until" type="date" size="sm" /></label>
      <UButton size="sm" color="neutral" variant="outline" class="end" @click="save">Save as CSV</UButton>
    </div>
    <table v-if="lines?.length" class="lines">
      <thead>
        <tr>
          <th>When</th>
          <th>Who</th>
          <th>What</th>
          <th>About</th>
          <th>More</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id">
          <td class="small quiet time">{{ when(line.made_at) }}</td>
          <td>{{ line.person ?? 'nobody signed in' }}</td>
          <td :class="{ decide: line.what === 'sign-in-refused' }">{{ AUDIT[line.what] ?? line.what }}</td>
          <td>{{ line.title ?? '' }}</td>
          <td class="small quiet">{{ line.detail }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="lines" class="quiet">Nothing fits.</p>
    <p v-else-if="!trouble" class="quiet">Looking</p>
    <UButton
      v-if="more && lines"
      size="sm"
      color="neutral"
      variant="outline"
      class="mt-3"
      @click="load(lines.at(-1)!.id)"
      >Older ones</UButton
    >
  </ShellOpenPage>
</template>

<style scoped>
.filter {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-bottom: 12px;
}
.filter label {
  display: flex;
  align-items: center;
  gap: 6px;
}
.end {
  margin-left: auto;
}
.time {
  white-space: nowrap;
}
</style>
