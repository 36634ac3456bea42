<script setup lang="ts">
import { UNNAMED_LEAST } from '~~/core/learning/surveys';
import { addressOf, api, type AnswerOf } from '~/client';
import { useCourse } from '~/stores/course';
import { useReleases } from '~/stores/releases';
import { counted } from '~/words/states';

/** Feedback forms: what was answered to each, together and, where it was given with names, one by one. */
const desk = useCourse();
const all = useReleases();
type Line = AnswerOf<'GET /api/courses/:course/forms'>[number];
type Results = AnswerOf<'GET /api/courses/:course/forms/:block'>;
const forms = shallowRef<Line[]>();
const at = ref<string>();
const results = shallowRef<Results>();
const shown = ref<'together' | 'each'>('together');
const gone = shallowRef<Results['sheets'][number] | null>(null);

async function load() {
  await desk.asking(async () => {
    forms.value = await api('GET /api/courses/:course/forms', { course: desk.course!.id });
  });
  if (!forms.value?.some(({ block }) => block === at.value)) at.value = forms.value?.[0]?.block;
  await loadResults();
}
async function loadResults() {
  const block = at.value;
  if (!block) return void (results.value = undefined);
  await desk.asking(async () => {
    const found = await api('GET /api/courses/:course/forms/:block', { course: desk.course!.id, block });
    if (at.value === block) results.value = found;
  });
}
watch(at, loadResults);
watch(
  () => desk.course?.id,
  () => {
    void all.load();
    void load();
  },
  { immediate: true },
);
// Whoever sends something is seen at once.
watch(() => all.learners, load);
onMounted(() => void all.loadLearners());

const SHOWN = [
  { value: 'together', label: 'Together' },
  { value: 'each', label: 'One by one' },
] as const;
const address = computed(() => (all.link && at.value ? `${location.origin}/learn/${all.link}/form/${at.value}` : ''));
const copied = ref(false);
async function copy() {
  await navigator.clipboard.writeText(address.value);
  copied.value = true;
}
watch(at, () => (copied.value = false));
const table = computed(() =>
  at.value
    ? addressOf('GET /api/courses/:course/forms/:block/table', { course: desk.course!.id, block: at.value })
    : '',
);
async function takeOut() {
  const sheet = gone.value!.id;
  gone.value = null;
  await desk.asking(async () => {
    await api('DELETE /api/courses/:course/forms/:block/sheets/:sheet', {
      course: desk.course!.id,
      block: at.value!,
      sheet,
    });
  });
  await load();
}
const asked = (item: string) => results.value?.items.find((each) => each.item.id === item)?.item.text ?? '';
const when = (time: number) => new Date(time).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <div class="room">
    <div class="head">
      <h1>Feedback</h1>
      <span v-if="forms?.length" class="small quiet"
        >{{ counted(forms.length, ['form', 'forms']) }},
        {{
          counted(
            forms.reduce((sum, { count }) => sum + count, 0),
            ['time filled in', 'times filled in'],
          )
        }}</span
      >
      <div v-if="results?.count" class="end">
        <UButton size="sm" color="neutral" variant="outline" :href="table" external download>Save as CSV</UButton>
      </div>
    </div>
    <div v-if="forms?.length === 0" class="empty">
      <h2>No form has been released</h2>
      <p>
        Put a feedback form on a page (Add, Feedback form), or let one be drafted in the outline (Made for you). Once
        the course is released, what is answered appears here.
      </p>
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/outline`">To the outline</NuxtLink>
    </div>
    <div v-else-if="forms" class="columns">
      <ul class="list" aria-label="Feedback forms">
        <li v-for="form in forms" :key="form.block">
          <button
            type="button"
            :class="{ at: form.block === at }"
            :aria-current="form.block === at || undefined"
            @click="at = form.block"
          >
            <strong>{{ form.title }}</strong>
            <span class="small quiet">{{
              [
                counted(form.count, ['answer', 'answers']),
                form.named ? 'with names' : 'without names',
                ...(form.apart ? ['by its link'] : []),
              ].join(', ')
            }}</span>
          </button>
        </li>
      </ul>
      <article v-if="results && results.block === at" class="sheet">
        <h2>{{ results.title }}</h2>
        <p v-if="address" class="small line">
          <span class="quiet">By itself at</span> <code>{{ address }}</code>
          <UButton size="xs" color="neutral" variant="outline" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</UButton>
        </p>
        <p v-if="results.held" class="decide">
          {{ counted(results.held, ['answer', 'answers']) }} without names {{ results.held === 1 ? 'waits' : 'wait' }}:
          they are shown together, from {{ UNNAMED_LEAST }} on.
        </p>
        <FieldTabs v-if="results.sheets.length" v-model="shown" :items="SHOWN" label="Answers" />
        <template v-if="shown === 'each' && results.sheets.length">
          <section v-for="sheet in results.sheets" :key="sheet.id" class="one" :aria-label="sheet.name">
            <h3>
              {{ sheet.name || 'name taken out' }} <span class="small quiet">{{ when(sheet.at) }}</span>
              <button
                v-if="desk.mayEdit"
                type="button"
                class="link small"
                :aria-label="`Take out what ${sheet.name || 'this one'} sent`"
                @click="gone = sheet"
              >
                take out
              </button>
            </h3>
            <dl>
              <template v-for="answer in sheet.answers" :key="answer.item">
                <dt class="small quiet">{{ asked(answer.item) }}</dt>
                <dd>{{ answer.text }}</dd>
              </template>
            </dl>
          </section>
        </template>
        <p v-else-if="results.count === 0" class="quiet">Nobody has filled it in yet.</p>
        <ResultsFormAnswers v-else-if="results.count > results.held" :results="results" />
      </article>
    </div>
    <UModal
      :open="gone !== null"
      :title="`Take out what ${gone?.name || 'this one'} sent`"
      description="What is taken out here is not in any bin."
      @update:open="gone = null"
    >
      <template #body><UButton @click="takeOut">Take it out</UButton></template>
    </UModal>
  </div>
</template>

<style scoped>
.room {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.columns {
  flex: 1;
  display: flex;
  min-height: 0;
}
.list {
  width: 236px;
  flex: none;
  overflow-y: auto;
  margin: 0;
  padding: 0;
  list-style: none;
  border-right: 1px solid var(--hair);
}
.list button {
  display: grid;
  width: 100%;
  padding: 8px 14px;
  text-align: left;
  border-bottom: 1px solid var(--hair);
}
.list button.at {
  background: var(--moss-faint);
  box-shadow: inset 3px 0 0 var(--moss);
}
.sheet {
  flex: 1;
  min-width: 0;
  overflow-y: auto;
  padding: 12px 20px 40px;
}
h2 {
  margin: 0 0 4px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}
code {
  overflow-wrap: anywhere;
}
.one {
  padding: 8px 0;
  border-top: 1px solid var(--hair);
}
.one h3 {
  margin: 0;
  font-size: 15px;
}
dl {
  margin: 4px 0;
}
dd {
  margin: 0 0 6px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
@media (max-width: 760px) {
  .columns {
    flex-direction: column;
    overflow-y: auto;
  }
  .list {
    width: auto;
    max-height: 30vh;
    border-right: 0;
  }
}
</style>
