<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { placeIn } from '~~/core/course/placing';
import type { Operation } from '~~/core/course/operations';
import type { GivenQuestions } from '~~/core/questions/given';
import { readText } from '~~/core/questions/text';
import { api } from '~/client';
import { base64Of } from '~/composables/base64';
import { freshId, troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { KIND_WORDS, LEFT_WORDS } from '~/words/questions';
import { counted } from '~/words/states';

/** Questions from elsewhere, pasted or as a file; looked over before they are taken. */
const props = defineProps<{
  /** The lesson they are put into; absent: they come as offers for one that is chosen. */
  into?: string;
}>();
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
const { form, clear } = useKeptForm('own-questions', { text: '' });
/** So many are taken in one gesture, which the server takes whole. */
const AT_ONCE = 1000;
const ACCEPT = '.txt,.md,.csv,.tsv,.xlsx,.xml,.zip';
const picker = ref<HTMLInputElement | null>(null);
/** What a file held; what is typed meanwhile is another matter. */
const fromFile = shallowRef<{ name: string; given: GivenQuestions } | null>(null);
const fromText = shallowRef<GivenQuestions | null>(null);
const trouble = ref('');
const lesson = ref('');
const home = computed(() => props.into ?? (lesson.value || desk.lessons[0]?.id) ?? '');
const lessons = computed(() => desk.lessons.map(({ id, title }) => ({ value: id, label: title })));
const given = computed(() => fromFile.value?.given ?? fromText.value);
/** What is typed is read when it rests; files are read by the server. */
function readTyped() {
  const { text } = form.value;
  const bringing = { lessonId: home.value, id: freshId };
  fromText.value = text.trim() ? readText(text, bringing, desk.course!.language) : null;
}
watch(() => form.value.text, useDebounceFn(readTyped, 200));
readTyped();
const reading = ref('');
async function picked(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  trouble.value = '';
  reading.value = file.name;
  try {
    const body = { name: file.name, data: base64Of(new Uint8Array(await file.arrayBuffer())), lesson: home.value };
    fromFile.value = {
      name: file.name,
      given: await api('POST /api/courses/:course/questions', { course: desk.course!.id, body }),
    };
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
  reading.value = '';
}
function take() {
  const found = given.value;
  const target = desk.lessons.find(({ id }) => id === home.value);
  if (!found?.checks.length || !target) return;
  desk.flushTyping();
  let after = desk.course!.checks.at(-1)?.id ?? null;
  const checks = found.checks.slice(0, AT_ONCE).map((check) => ({ ...check, lessonId: target.id }));
  const operations: Operation[] = checks.map((node) => {
    const operation: Operation = { type: 'insert', kind: 'check', parent: desk.course!.id, after, node };
    after = node.id;
    return operation;
  });
  if (props.into) operations.push(...placeIn(target, checks, freshId));
  if (!desk.change(`${counted(checks.length, ['question', 'questions'])} brought in`, operations)) return;
  desk.outside++;
  if (fromFile.value) fromFile.value = null;
  else clear();
  open.value = false;
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Questions of your own"
    :description="
      into
        ? 'They are put at the end of the page. Nothing changes until you take them.'
        : 'They come as offers, to be put into lessons and quizzes. Nothing changes until you take them.'
    "
    :ui="{ content: 'max-w-3xl' }"
  >
    <template #body>
      <form class="fields" @submit.prevent="take">
        <label v-if="!fromFile"
          >Questions as they stand in your document: answers below each, the right one with a star or “Answer:
          b”<UTextarea
            v-model="form.text"
            :rows="8"
            class="w-full lines"
            maxlength="500000"
            placeholder="1. When does the desk close?
a) at five
*b) at six
c) at seven

2. A deposit is paid back when the tool is late.
Answer: false"
        /></label>
        <p v-else class="small">
          <strong>{{ fromFile.name }}</strong>
          <button type="button" class="link" @click="fromFile = null">Another one</button>
        </p>
        <p v-if="trouble" class="decide" role="alert">{{ trouble }}</p>
        <div v-if="given" class="found" aria-live="polite">
          <p>
            <strong>{{ counted(given.checks.length, ['question', 'questions']) }}</strong><template
              v-if="given.left.length"
              >, {{ given.left.length }} to look at</template
            >
          </p>
          <ul>
            <li v-for="{ place, words, code } in given.left" :key="`${place} ${code}`" class="decide small">
              {{ /^\d+$/.test(place) ? `Line ${place}` : place }}: {{ words.slice(0, 90) }} {{ LEFT_WORDS[code] }}
            </li>
            <li v-for="check in given.checks.slice(0, 200)" :key="check.id" class="small">
              {{ check.stem }} <span class="quiet">{{ KIND_WORDS[check.kind] }}</span>
            </li>
          </ul>
        </div>
        <div class="flex gap-3 items-center flex-wrap">
          <UButton type="submit" :disabled="!given?.checks.length || !home">{{
            given?.checks.length
              ? `Take ${counted(Math.min(AT_ONCE, given.checks.length), ['question', 'questions'])}`
              : 'Take them'
          }}</UButton>
          <template v-if="!into && lessons.length">
            <span class="small">for</span>
            <FieldSelect
              :model-value="home"
              :items="lessons"
              label="Lesson they are about"
              @update:model-value="lesson = $event"
            />
          </template>
          <UButton type="button" color="neutral" variant="outline" class="file" @click="picker?.click()"
            >Choose a file</UButton
          >
          <input ref="picker" type="file" :accept="ACCEPT" hidden aria-label="File with questions" @change="picked" />
        </div>
        <p class="small quiet">
          {{ reading ? `Reading ${reading}. ` : '' }}Files: text, CSV and XLSX with a heading “Question”, answers A, B,
          C and “Correct”; QTI 2 and 3.
        </p>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.lines :deep(textarea) {
  font-weight: 400;
}
.found {
  border: 1px solid var(--hair);
  border-radius: 3px;
  padding: 8px 12px;
  max-height: 220px;
  overflow-y: auto;
}
.found li {
  padding: 2px 0;
}
.file {
  margin-left: auto;
}
</style>
