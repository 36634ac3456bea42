<script setup lang="ts">
import { api } from '~/client';
import { lessonOfDifferences } from '~~/core/course/compared';
import type { Comparison } from '~~/core/knowledge/comparing';
import { useActions } from '~/actions/registry';
import { freshId, troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { differences } from '~/words/differences';
import { counted } from '~/words/states';

/** Two sources side by side: what both say differently, what only one says; and a lesson made of it. */
const go = useGo();
const desk = useCourse();
const sources = ref<{ id: string; title: string }[]>([]);
const pair = reactive({ first: '', second: '' });
const made = shallowRef<Comparison | null>(null);
const trouble = ref<Trouble | null>(null);
const busy = ref(false);
const part = ref<'differs' | 'first' | 'second'>('differs');
const chosen = ref<string[]>([]);
const items = computed(() => sources.value.map((source) => ({ value: source.id, label: source.title })));
const title = (id: string) => sources.value.find((source) => source.id === id)?.title ?? '';

onMounted(async () => {
  sources.value = await api('GET /api/courses/:course/sources', { course: desk.course!.id }).catch((error: unknown) => {
    trouble.value = troubleOf(error);
    return [];
  });
  if (sources.value.length > 1) [pair.first, pair.second] = [sources.value[0]!.id, sources.value[1]!.id];
});
watch([() => pair.first, () => pair.second], async ([first, second]) => {
  made.value = null;
  if (!first || !second || first === second) return;
  busy.value = true;
  try {
    const found = await api('GET /api/courses/:course/comparison', {
      course: desk.course!.id,
      query: { first, second },
    });
    if (first === pair.first && second === pair.second) {
      made.value = found;
      chosen.value = found.differs.map((each) => each.claim.id);
      part.value = 'differs';
    }
    trouble.value = null;
  } catch (error) {
    trouble.value = troubleOf(error);
  }
  busy.value = false;
});
const rows = computed(() =>
  (made.value?.differs ?? []).map(({ claim, sides }) => ({
    id: claim.id,
    sides,
    ...differences(sides[0].text, sides[1].text),
  })),
);
const only = computed(() => (part.value === 'first' ? made.value?.onlyFirst : made.value?.onlySecond) ?? []);
function teach() {
  const picked = (made.value?.differs ?? []).filter((each) => chosen.value.includes(each.claim.id));
  const operations = lessonOfDifferences(desk.course!, picked, [title(pair.first), title(pair.second)], freshId('d'));
  if (operations.length === 0 || !desk.change('lesson of what differs', operations)) return;
  const lesson = desk.lessons.at(-1)!;
  go(`/course/${desk.course!.id}/lessons/${lesson.id}`);
}
useActions([
  {
    id: 'c-teach',
    label: 'Make a lesson of what differs',
    key: 'Alt+Enter',
    area: 'Side by side',
    when: () => desk.mayEdit && chosen.value.length > 0,
    run: teach,
  },
]);
</script>

<template>
  <div class="compare">
    <div class="head">
      <h1>Side by side</h1>
      <USelect v-model="pair.first" :items="items" class="w-64" aria-label="First source" /><span class="small quiet"
        >and</span
      ><USelect v-model="pair.second" :items="items" class="w-64" aria-label="Second source" />
      <div class="end">
        <UButton v-if="desk.mayEdit" :disabled="chosen.length === 0 || !made" @click="teach"
          >Make a lesson of {{ counted(chosen.length, ['difference', 'differences']) }}</UButton
        >
      </div>
    </div>
    <ShellTroubleLine v-model="trouble" />
    <p v-if="sources.length < 2" class="note small quiet">
      Two sources are needed: an old and a new version of a policy, or yours and another’s.
    </p>
    <p v-else-if="pair.first === pair.second" class="note small quiet">Choose two different ones.</p>
    <p v-else-if="busy" class="note small quiet" role="status">Comparing</p>
    <div v-if="made" class="body">
      <p class="kinds small">
        <span class="quiet">{{ counted(made.same, ['sentence is', 'sentences are']) }} the same</span
        ><button type="button" :aria-pressed="part === 'differs'" @click="part = 'differs'">
          {{ made.differs.length }} said differently</button
        ><button type="button" :aria-pressed="part === 'first'" @click="part = 'first'">
          {{ made.onlyFirst.length }} only in {{ title(pair.first) }}</button
        ><button type="button" :aria-pressed="part === 'second'" @click="part = 'second'">
          {{ made.onlySecond.length }} only in {{ title(pair.second) }}
        </button>
      </p>
      <table v-if="part === 'differs' && rows.length" class="lines">
        <thead>
          <tr>
            <th><span class="sr-only">For the lesson</span></th>
            <th>{{ title(pair.first) }}</th>
            <th>{{ title(pair.second) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td>
              <UCheckbox
                :model-value="chosen.includes(row.id)"
                :disabled="!desk.mayEdit"
                :aria-label="`Take into the lesson: ${row.sides[0].text.slice(0, 80)}`"
                @update:model-value="
                  chosen = $event ? [...chosen, row.id] : chosen.filter((each: string) => each !== row.id)
                "
              />
            </td>
            <td v-for="(side, at) in row.sides" :key="at">
              <SourceDiffering :stretches="at === 0 ? row.before : row.after" class="said" /><NuxtLink
                class="mono block"
                :to="`/course/${desk.course!.id}/sources/${at === 0 ? pair.first : pair.second}#${side.range.id}`"
                >{{ side.path.slice(-2).join(' / ') || 'beginning' }}</NuxtLink
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="part === 'differs'" class="note quiet">
        {{
          made.same
            ? `Of ${counted(made.same, ['sentence that both have', 'sentences that both have'])} none is said differently.`
            : 'No sentence of one could be held against one of the other: they have too few words in common.'
        }}
        {{ counted(made.onlyFirst.length + made.onlySecond.length, ['sentence', 'sentences']) }} found no partner: only
        one source says it, or the other says it in quite other words, which is not compared.
      </p>
      <ul v-else>
        <li v-for="said in only" :key="`${said.range.id}/${said.range.from}`">
          <p class="said">{{ said.text }}</p>
          <NuxtLink
            class="mono"
            :to="`/course/${desk.course!.id}/sources/${part === 'first' ? pair.first : pair.second}#${said.range.id}`"
            >{{ said.path.slice(-2).join(' / ') || 'beginning' }}</NuxtLink
          >
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.compare {
  flex: 1;
  overflow-y: auto;
}
.note {
  padding: 14px 18px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  padding: 10px 18px;
}
.kinds button {
  color: var(--sky);
  cursor: pointer;
  border-bottom: 2px solid transparent;
}
.kinds button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--moss);
}
td:first-child,
th:first-child {
  width: 44px;
  padding-left: 18px;
}
td:nth-child(2),
td:nth-child(3) {
  width: 48%;
}
.said {
  font-family: var(--font-read);
  font-size: 15px;
  line-height: 1.5;
}
li {
  padding: 7px 18px;
  border-bottom: 1px solid var(--hair);
  max-width: 860px;
}
</style>
