<script setup lang="ts">
import { api } from '~/client';
import type { TopicView } from '~~/core/knowledge/topics';
import { focusOn } from '~~/core/course/corrections';
import { useActions } from '~/actions/registry';
import { freshId, troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { CLAIMS, counted } from '~/words/states';

/** From a broad field to the topic of a course: what the sources and answers hold, narrowed step by step. */
const desk = useCourse();
const route = useRoute();
const go = useGo();
const view = shallowRef<TopicView | null>(null);
const trouble = ref<Trouble | null>(null);
const busy = ref(false);
const typed = ref('');
const asked = ref(false);
const titles = ref(new Map<string, string>());
const path = computed(() => `/course/${desk.course!.id}/sources/topics`);
/** What the field was narrowed to so far; it stands in the address, so that back is a step back. */
const field = computed(() => [route.query.in ?? []].flat().map(String));
watch(
  field,
  async (now) => {
    if (route.path !== path.value) return;
    busy.value = true;
    asked.value = false;
    try {
      view.value = await api('POST /api/courses/:course/topics', { course: desk.course!.id, body: { field: now } });
      trouble.value = null;
    } catch (error) {
      trouble.value = troubleOf(error);
    }
    busy.value = false;
  },
  { immediate: true },
);
onMounted(async () => {
  const rows = await api('GET /api/courses/:course/sources', { course: desk.course!.id }).catch((error: unknown) => {
    trouble.value = troubleOf(error);
    return [];
  });
  titles.value = new Map(rows.map((row) => [row.id, row.title]));
});
const to = (steps: readonly string[]) => ({ path: path.value, query: steps.length > 0 ? { in: [...steps] } : {} });
function narrow() {
  const words = typed.value.trim();
  typed.value = '';
  if (words) void navigateTo(to([...field.value, words]));
}
const holds = (claims: TopicView['claims']) =>
  Object.entries(claims)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 4)
    .map(([kind, count]) => counted(count, CLAIMS[kind]!))
    .join(', ');
/** Enough to draft a lesson of a minute or two from. */
const LITTLE = 120;
function focus() {
  desk.change(`focus on ${field.value.join(', ')}`, focusOn(desk.course!, view.value!.passages));
  // Without a promise the brief comes first: it offers what counts as success out of what is in focus.
  go(`/course/${desk.course!.id}/${desk.course!.brief.promise.trim() ? 'outline' : 'brief'}`);
}
/** Asks the author on a topic: the answer stands among what they know. */
function ask() {
  const topic = field.value.at(-1)!;
  const question = `What do you know about ${topic} that somebody new to it must learn?`;
  desk.change('own question', [
    {
      type: 'insert',
      kind: 'answer',
      parent: desk.course!.id,
      after: desk.course!.answers?.at(-1)?.id ?? null,
      node: { id: freshId('a'), topic: topic.charAt(0).toUpperCase() + topic.slice(1), question, text: '' },
    },
  ]);
  asked.value = true;
}
useActions([
  {
    id: 't-up',
    label: 'One step broader',
    key: 'Alt+Backspace',
    area: 'Topics',
    when: () => field.value.length > 0,
    run: () => void navigateTo(to(field.value.slice(0, -1))),
  },
]);
</script>

<template>
  <div class="topics">
    <div class="head">
      <h1>Topics</h1>
      <span class="small quiet">what your sources and answers hold, from broad to narrow</span>
    </div>
    <ShellTroubleLine v-model="trouble" />
    <div class="line">
      <nav class="trail" aria-label="Narrowed to">
        <NuxtLink :to="to([])" :class="{ here: field.length === 0 }">everything</NuxtLink
        ><template v-for="(step, at) in field" :key="at"
          ><span aria-hidden="true">›</span
          ><NuxtLink :to="to(field.slice(0, at + 1))" :class="{ here: at === field.length - 1 }">{{
            step
          }}</NuxtLink></template
        >
      </nav>
      <form class="narrow" @submit.prevent="narrow">
        <UInput
          v-model="typed"
          size="sm"
          maxlength="200"
          placeholder="Narrow to a field of your own"
          aria-label="Narrow to"
          class="w-64"
        /><UButton type="submit" size="sm" color="neutral" variant="outline" :disabled="!typed.trim()">Narrow</UButton>
      </form>
    </div>
    <div v-if="view" class="body" :aria-busy="busy">
      <p v-if="view.passages.length === 0 && field.length === 0" class="nothing">
        There is nothing to go on yet.
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources`">Add sources</NuxtLink> or
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources/interview`">answer some questions</NuxtLink>,
        and topics are found in them.
      </p>
      <template v-else-if="view.passages.length === 0">
        <p class="nothing">
          Nothing in your sources or answers is on “{{ field.join(', ') }}”. What says it in quite other words is not
          found: try a word that stands in them. Or it is only in your head so far.
        </p>
        <p v-if="desk.mayEdit" class="do">
          <UButton size="sm" color="neutral" variant="outline" :disabled="asked" @click="ask">Ask me about it</UButton
          ><span v-if="asked" class="small"
            >The question stands under
            <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources/interview`">what I know</NuxtLink>.</span
          >
        </p>
      </template>
      <template v-else>
        <p class="sum">
          <strong
            >{{ counted(view.passages.length, ['passage', 'passages']) }},
            {{ counted(view.words, ['word', 'words']) }}</strong
          >: {{ holds(view.claims) || 'nothing understood in this language yet'
          }}<span v-if="view.words < LITTLE" class="decide"> Too little for a lesson of its own.</span>
        </p>
        <p v-if="field.length && desk.mayEdit" class="do">
          <UButton size="sm" @click="focus">Make this the focus of the course</UButton
          ><UButton size="sm" color="neutral" variant="outline" :disabled="asked" @click="ask">Ask me about it</UButton
          ><span v-if="asked" class="small"
            >The question stands under
            <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources/interview`">what I know</NuxtLink>.</span
          >
        </p>
        <table v-if="view.topics.length" class="lines">
          <thead>
            <tr>
              <th>Topic</th>
              <th class="number">Passages</th>
              <th class="number">Words</th>
              <th>Holds</th>
              <th>Stands in</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="topic in view.topics" :key="topic.label">
              <td class="name">
                <NuxtLink :to="to([...field, topic.label])">{{ topic.label }}</NuxtLink>
              </td>
              <td class="number">{{ topic.passages }}</td>
              <td class="number">{{ topic.words }}</td>
              <td class="small">{{ holds(topic.claims) }}</td>
              <td class="small quiet">
                {{ topic.headings.join('; ')
                }}<span class="block">{{ topic.sourceIds.map((id) => titles.get(id)).join(', ') }}</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-else class="small quiet">It does not fall into smaller topics.</p>
      </template>
    </div>
  </div>
</template>

<style scoped>
.topics {
  flex: 1;
  overflow-y: auto;
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 12px 18px 4px;
  flex-wrap: wrap;
}
.trail {
  display: flex;
  gap: 8px;
  align-items: baseline;
  flex-wrap: wrap;
}
.trail a {
  color: var(--sky);
}
.trail a:hover {
  text-decoration: underline;
}
.trail a.here {
  color: var(--ink);
  font-weight: 700;
}
.narrow {
  display: flex;
  gap: 8px;
}
.sum,
.do,
.nothing {
  padding: 6px 18px;
}
.nothing {
  max-width: 64ch;
}
.do {
  display: flex;
  gap: 10px;
  align-items: center;
  padding-bottom: 12px;
}
td:first-child,
th:first-child {
  padding-left: 18px;
}
.name a {
  font-weight: 600;
}
.name a:hover {
  text-decoration: underline;
}
</style>
