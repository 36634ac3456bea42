<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import { beginPlan, planFor, planOf, PLANS, type PlannedModule, type PlanKey } from '~~/core/brief/plans';
import { freshId } from '~/composables/useApi';
import { useBeside } from '~/stores/beside';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/**
 * A course plan: one of ours for a kind of aim, or that of another course of the author's. Its rows are begun with,
 * each with questions whose answers fill it; or the sources are ordered by it, to be laid beside.
 */
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
const beside = useBeside();
const go = useGo();
const OWN = 'own';
const aim = ref<PlanKey | typeof OWN>('task');
const topic = ref('');
const courses = shallowRef<AnswerOf<'GET /api/courses'>>([]);
const like = ref<string>();
const ownPlan = shallowRef<PlannedModule[]>([]);
const others = computed(() => courses.value.filter(({ id }) => id !== desk.course!.id));
const aims = computed(() => [
  ...(Object.keys(PLANS) as PlanKey[]).map((value) => ({ value: value as string, label: PLANS[value].aim })),
  ...(others.value.length > 0 ? [{ value: OWN, label: 'As in a course of mine' }] : []),
]);
const modules = computed<PlannedModule[]>(() =>
  aim.value === OWN ? ownPlan.value : planFor(aim.value, topic.value.trim() || 'it', desk.course!.language),
);
const lessons = computed(() => modules.value.flatMap((module) => module.lessons));
const slots = computed(() => lessons.value.reduce((sum, lesson) => sum + lesson.slots.length, 0));
const may = computed(() => (aim.value === OWN ? lessons.value.length > 0 : topic.value.trim() !== ''));
watch(open, async (now) => {
  if (!now) return;
  if (!topic.value) topic.value = desk.course!.title.charAt(0).toLowerCase() + desk.course!.title.slice(1);
  await desk.asking(async () => void (courses.value = await api('GET /api/courses')));
});
watch(like, (id) =>
  desk.asking(async () => {
    ownPlan.value = id ? planOf((await api('GET /api/courses/:course', { course: id })).course) : [];
  }),
);
function begin() {
  if (!may.value) return;
  desk.flushTyping();
  desk.change('course begun from a plan', beginPlan(desk.course!, modules.value, freshId('p')));
  open.value = false;
  go(`/course/${desk.course!.id}/sources/interview`);
}
async function order() {
  const name = others.value.find(({ id }) => id === like.value)?.title ?? '';
  const got = await (aim.value === OWN
    ? beside.readRows(name, ownPlan.value)
    : beside.draft({ plan: aim.value, topic: topic.value.trim() }));
  if (got) open.value = false;
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="A course plan"
    description="Lessons in an order that has proved good for a kind of aim. Begin with its rows, each with questions to you; or have your sources ordered by it, beside what stands there."
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <form class="fields" @submit.prevent="begin">
        <label v-if="aim !== OWN"
          >What it is about, as it reads after “the steps of …”<UInput
            v-model="topic"
            required
            maxlength="120"
            class="w-full"
            placeholder="lending a power tool"
        /></label>
        <label v-else
          >The course whose outline is the plan<USelect
            v-model="like"
            :items="others.map(({ id, title }) => ({ value: id, label: title }))"
            placeholder="Choose a course"
            class="w-full"
        /></label>
        <fieldset class="aims">
          <legend>Afterwards</legend>
          <URadioGroup v-model="aim" :items="aims" />
        </fieldset>
        <ol class="plan small">
          <li v-for="(module, at) in modules" :key="at">
            <strong>{{ module.title }}</strong>: {{ module.lessons.map((lesson) => lesson.title).join(', ') }}
          </li>
        </ol>
        <div class="flex gap-3 items-center flex-wrap">
          <UButton type="submit" :disabled="!may">Begin</UButton
          ><UButton color="neutral" variant="outline" :disabled="!may || beside.busy" @click="order">{{
            beside.busy ? 'Ordering' : 'Order my sources by it'
          }}</UButton
          ><span class="small quiet">{{ counted(slots, ['question', 'questions']) }} to answer, when you like</span>
        </div>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.aims legend {
  font-size: 13.5px;
  font-weight: 600;
  margin-bottom: 4px;
}
.plan {
  list-style: decimal;
  padding-left: 20px;
  color: var(--ink-2);
  max-height: 30vh;
  overflow-y: auto;
}
</style>
