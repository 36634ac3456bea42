<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { LEVELS, type Level } from '~~/core/checks/check';
import { CHECK_KINDS, type CheckKind } from '~~/core/checks/forms';
import { copiedCheck, passagesOf } from '~~/core/course/copied-check';
import { placeIn } from '~~/core/course/placing';
import type { Operation } from '~~/core/course/operations';
import { api, type AnswerOf } from '~/client';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { LEVEL_WORDS } from '~/words/quiz';
import { KIND_WORDS } from '~/words/questions';
import { counted } from '~/words/states';

/** Questions of one's other courses, found by words, kind, level and tag, and taken as copies. */
const props = defineProps<{
  /** The lesson they are put into; absent: they come as offers of the first one. */
  into?: string;
}>();
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
type Found = AnswerOf<'GET /api/pool'>;
type Question = Found['questions'][number];
const ANY = 'any' as const;
const words = ref('');
const kind = ref<CheckKind | typeof ANY>(ANY);
const level = ref<Level | typeof ANY>(ANY);
const tag = ref<string>(ANY);
const found = shallowRef<Found | null>(null);
const shown = shallowRef<Question[]>([]);
const taken = ref(new Set<string>());
/** Courses that were made of one another have questions of the same ids. */
const keyOf = ({ course, check }: Question) => `${course.id}/${check.id}`;
const kinds = [{ value: ANY, label: 'any kind' }, ...CHECK_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }))];
const levels = [{ value: ANY, label: 'any level' }, ...LEVELS.map((value) => ({ value, label: LEVEL_WORDS[value] }))];
const tags = computed(() => [
  { value: ANY as string, label: 'any tag' },
  ...(found.value?.tags ?? []).map((value) => ({ value, label: value })),
]);
let asked = 0;
async function look(from = 0) {
  const turn = ++asked;
  await desk.asking(async () => {
    const answer = await api('GET /api/pool', {
      query: {
        ...(words.value.trim() && { words: words.value.trim() }),
        ...(kind.value !== ANY && { kind: kind.value }),
        ...(level.value !== ANY && { level: level.value }),
        ...(tag.value !== ANY && { tag: tag.value }),
        besides: desk.course!.id,
        ...(from && { from }),
      },
    });
    // What was asked for meanwhile is answered by its own turn.
    if (turn !== asked) return;
    found.value = answer;
    shown.value = from ? [...shown.value, ...answer.questions] : answer.questions;
  });
}
watch(
  words,
  useDebounceFn(() => look(), 250),
);
watch([kind, level, tag], () => look());
watch(
  open,
  (now) => {
    if (now) void look();
  },
  { immediate: true },
);
function take(question: Question) {
  const { check } = question;
  const target = desk.lessons.find(({ id }) => id === props.into) ?? desk.lessons[0];
  if (!target) return;
  desk.flushTyping();
  const course = desk.course!;
  const passages = passagesOf(course);
  const copy = copiedCheck(check, target.id, freshId('k'), (id) => passages.has(id));
  const after = course.checks.at(-1)?.id ?? null;
  const operations: Operation[] = [{ type: 'insert', kind: 'check', parent: course.id, after, node: copy }];
  if (props.into) operations.push(...placeIn(target, [copy], freshId));
  if (!desk.change('question taken from another course', operations)) return;
  desk.outside++;
  taken.value = new Set([...taken.value, keyOf(question)]);
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Questions of your other courses"
    description="What you take is a copy: it changes here alone. Words of sources come along as words."
    :ui="{ content: 'max-w-3xl' }"
  >
    <template #body>
      <div class="fields">
        <div class="line">
          <UInput v-model="words" size="sm" class="grow" placeholder="Words of it" aria-label="Words of the question" />
          <FieldSelect v-model="kind" :items="kinds" label="Kind" />
          <FieldSelect v-model="level" :items="levels" label="Level" />
          <FieldSelect v-if="tags.length > 1" v-model="tag" :items="tags" label="Tag" />
        </div>
        <p v-if="found" class="small quiet" role="status">{{ counted(found.of, ['question', 'questions']) }}</p>
        <ul v-if="shown.length" class="found">
          <li v-for="question in shown" :key="keyOf(question)">
            <span class="grow"
              >{{ question.check.stem }}
              <span class="small quiet">{{
                [
                  KIND_WORDS[question.check.kind],
                  question.course.title,
                  question.stands.length ? `asked in ${question.stands.join(', ')}` : 'an offer',
                  ...(question.check.tags ?? []),
                ].join(' · ')
              }}</span></span
            ><span v-if="taken.has(keyOf(question))" class="small quiet">taken</span
            ><UButton
              size="xs"
              color="neutral"
              variant="outline"
              :aria-label="`Take: ${question.check.stem}`"
              @click="take(question)"
              >{{ taken.has(keyOf(question)) ? 'Again' : 'Take' }}</UButton
            >
          </li>
        </ul>
        <p v-else-if="found" class="small quiet">
          {{
            words || kind !== ANY || level !== ANY || tag !== ANY
              ? 'None is like that.'
              : 'Your other courses hold no question.'
          }}
        </p>
        <p v-if="found && shown.length < found.of">
          <button type="button" class="link small" @click="look(shown.length)">More of them</button>
        </p>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.grow {
  flex: 1;
  min-width: 0;
}
.found {
  max-height: 380px;
  overflow-y: auto;
}
.found li {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
