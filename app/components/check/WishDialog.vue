<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { ASKING_FORMS, type AskingForm } from '~~/core/checks/check';
import { checkText, type Check } from '~~/core/checks/forms';
import { checksOn } from '~~/core/blocks/forms';
import { offersOf } from '~~/core/course/offers';
import type { Operation } from '~~/core/course/operations';
import { placeIn, placeWhereTaught, takeOut } from '~~/core/course/placing';
import { isQuiz } from '~~/core/course/quizzes';
import { api, type AnswerOf } from '~/client';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { becauseOf, FORM_WORDS } from '~/words/asking';
import { counted } from '~/words/states';

/** Questions on demand: about a lesson, a module or passages, in some words, of a form; kept as offers, or put in. */
const props = defineProps<{
  /** What they are about at first: a lesson, a quiz or a module; all lessons where nothing is said. */
  about?: string;
  /** Only what stands on these. */
  passages?: readonly string[];
}>();
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
type Found = AnswerOf<'GET /api/courses/:course/questions'>;
const ALL = 'all' as const;
const words = ref('');
const form = ref<AskingForm | typeof ALL>(ALL);
const objective = ref<string>(ALL);
const where = ref<string>(ALL);
const here = ref(false);
const found = shallowRef<Found | null>(null);
const chosen = ref(new Set<string>());
const instead = ref(false);
const places = computed(() => [
  { value: ALL as string, label: 'all lessons' },
  ...desk.course!.modules.flatMap((module) => [
    { value: module.id, label: module.title },
    ...module.lessons.map((lesson) => ({ value: lesson.id, label: `\u2003${lesson.title}` })),
  ]),
]);
const forms = [
  { value: ALL, label: 'in any form' },
  ...ASKING_FORMS.map((value) => ({ value, label: FORM_WORDS[value] })),
];
const objectives = computed(() => [
  { value: ALL as string, label: 'for any objective' },
  ...desk.course!.objectives.map(({ id, text }) => ({ value: id, label: text })),
]);
const page = computed(() => desk.lessons.find(({ id }) => id === where.value));
/** Drafted questions that stand on the page these could take the place of. */
const standing = computed(() => {
  const on = new Set(page.value ? checksOn(page.value) : []);
  return desk.course!.checks.filter((check) => on.has(check.id) && check.drafted);
});
const offers = computed(() => found.value?.offers ?? []);
const picked = computed(() => offers.value.filter(({ id }) => chosen.value.has(id)));
let asked = 0;
async function look() {
  const turn = ++asked;
  await desk.asking(async () => {
    await desk.settleAll();
    const answer = await api('GET /api/courses/:course/questions', {
      course: desk.course!.id,
      query: {
        about: where.value === ALL ? desk.course!.id : where.value,
        ...(words.value.trim() && { words: words.value.trim() }),
        ...(form.value !== ALL && { form: form.value }),
        ...(objective.value !== ALL && { objective: objective.value }),
        ...(here.value && props.passages?.length && { passages: [...props.passages] }),
      },
    });
    if (turn !== asked) return;
    found.value = answer;
    chosen.value = new Set();
  });
}
watch(
  words,
  useDebounceFn(() => look(), 300),
);
watch([form, where, objective, here], () => open.value && look());
watch(
  open,
  (now) => {
    if (!now) return;
    where.value = props.about ?? ALL;
    here.value = false;
    instead.value = false;
    found.value = null;
    void look();
  },
  { immediate: true },
);
function choose(id: string, yes: boolean) {
  const next = new Set(chosen.value);
  if (yes) next.add(id);
  else next.delete(id);
  chosen.value = next;
}
/** Takes what was chosen: as offers, or onto pages, in place of what was drafted for them where that is wanted. */
function take(place: boolean) {
  desk.flushTyping();
  const course = desk.course!;
  // Another window may have taken one of them meanwhile.
  const known = new Set(course.checks.map(({ id }) => id));
  const checks = picked.value.filter(({ id }) => !known.has(id));
  const after = course.checks.at(-1)?.id ?? null;
  const operations = checks.map((node, at): Operation => ({
    type: 'insert',
    kind: 'check',
    parent: course.id,
    after: at > 0 ? checks[at - 1]!.id : after,
    node,
  }));
  const away = place && instead.value && page.value ? takeOut(page.value, course.checks) : [];
  if (place) operations.push(...placing(checks), ...away);
  const what = counted(checks.length, ['question', 'questions']);
  if (!desk.change(place ? `${what} put in` : `${what} kept as offers`, operations)) return;
  if (place) desk.outside++;
  open.value = false;
}
const placing = (checks: readonly Check[]) =>
  page.value && isQuiz(page.value)
    ? placeIn(page.value, checks, freshId)
    : placeWhereTaught(desk.course!, checks, freshId);
const said = computed(() => {
  if (!found.value) return 'Looking at your pages and sources …';
  const { known, refused } = found.value;
  const more = offers.value.length;
  const has = `${known} there ${known === 1 ? 'is' : 'are'} already`;
  const many = counted(more, ['question', 'questions']);
  return [
    more === 0
      ? known === 0
        ? 'Nothing can be asked here.'
        : `No other question than the ${has}.`
      : known === 0
        ? `${many}.`
        : `${many} besides the ${has}.`,
    ...(refused > 0 ? [`${refused} more left out for what you refused.`] : []),
  ].join(' ');
});
const answersOf = (check: Check) => checkText(check).split('\n').slice(1);
const offered = computed(() => offersOf(desk.course!).length);
</script>

<template>
  <UModal
    v-model:open="open"
    title="More questions"
    description="Drafted from what stands on your pages. What your sources do not hold is not made up."
    :ui="{ content: 'max-w-4xl' }"
  >
    <template #body>
      <div class="fields">
        <div class="line">
          <UInput
            v-model="words"
            size="sm"
            class="grow"
            placeholder="What about? Words of it"
            autofocus
            aria-label="What about"
          />
          <FieldSelect v-model="where" :items="places" label="On" class="some" />
          <FieldSelect v-model="form" :items="forms" label="Form" />
          <FieldSelect
            v-if="objectives.length > 1"
            v-model="objective"
            :items="objectives"
            label="Objective"
            class="some"
          />
          <UCheckbox v-if="passages?.length" v-model="here" label="Only of the part at the cursor" />
        </div>
        <p class="small quiet" role="status">{{ said }}</p>
        <ul v-if="offers.length" class="found">
          <li v-for="check in offers" :key="check.id">
            <UCheckbox
              :model-value="chosen.has(check.id)"
              :aria-label="check.stem"
              @update:model-value="choose(check.id, $event === true)"
            />
            <div class="grow">
              <p>{{ check.stem }}</p>
              <ul class="small answers">
                <li v-for="(answer, at) in answersOf(check)" :key="at">{{ answer }}</li>
              </ul>
              <p class="small quiet">
                {{ becauseOf(check) }}, {{ desk.lessons.find(({ id }) => id === check.lessonId)?.title }}
              </p>
            </div>
          </li>
        </ul>
      </div>
    </template>
    <template #footer>
      <div class="foot">
        <UCheckbox
          v-if="standing.length"
          v-model="instead"
          :label="`Take the ${counted(standing.length, ['drafted question', 'drafted questions'])} out that ${standing.length === 1 ? 'stands' : 'stand'} there`"
        />
        <span class="small quiet grow">{{ counted(offered, ['offer', 'offers']) }} kept so far</span>
        <UButton size="sm" color="neutral" variant="outline" :disabled="picked.length === 0" @click="take(false)"
          >Keep {{ picked.length || '' }} as offers</UButton
        ><UButton size="sm" :disabled="picked.length === 0" @click="take(true)"
          >Put {{ picked.length || '' }} into {{ page && isQuiz(page) ? 'the quiz' : 'the lessons' }}</UButton
        >
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.line,
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.foot {
  width: 100%;
}
.grow {
  flex: 1;
  min-width: 0;
}
.some {
  max-width: 220px;
}
.found {
  max-height: 400px;
  overflow-y: auto;
}
.found > li {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
.answers {
  padding-left: 12px;
}
</style>
