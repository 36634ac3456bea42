<script setup lang="ts">
import { beginPlan, PLANS, planFor, type PlanKey } from '~~/core/brief/plans';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/**
 * A course plan for a kind of aim: lessons in an order that has proved good, each with questions whose answers fill it.
 */
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
const go = useGo();
const aim = ref<PlanKey>('task');
const topic = ref('');
const AIMS = (Object.keys(PLANS) as PlanKey[]).map((value) => ({ value, label: PLANS[value].aim }));
const modules = computed(() => planFor(aim.value, topic.value.trim() || 'it', desk.course!.language));
const slots = computed(() =>
  modules.value.reduce(
    (sum, module) => sum + module.lessons.reduce((inner, lesson) => inner + lesson.slots.length, 0),
    0,
  ),
);
watch(open, (now) => {
  if (now && !topic.value) topic.value = desk.course!.title.charAt(0).toLowerCase() + desk.course!.title.slice(1);
});
function begin() {
  desk.change('course begun from a plan', beginPlan(desk.course!, aim.value, topic.value.trim(), freshId('p')));
  open.value = false;
  go(`/course/${desk.course!.id}/sources/interview`);
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Begin from a plan"
    description="Lessons for a kind of aim, each with questions to you. Your answers are its source; what you leave open stays open."
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <form class="fields" @submit.prevent="begin">
        <label
          >What it is about, as it reads after “the steps of …”<UInput
            v-model="topic"
            required
            maxlength="120"
            class="w-full"
            placeholder="lending a power tool"
        /></label>
        <fieldset class="aims">
          <legend>Afterwards</legend>
          <URadioGroup v-model="aim" :items="AIMS" />
        </fieldset>
        <ol class="plan small">
          <li v-for="module in modules" :key="module.title">
            <strong>{{ module.title }}</strong>: {{ module.lessons.map((lesson) => lesson.title).join(', ') }}
          </li>
        </ol>
        <div class="flex gap-3 items-center">
          <UButton type="submit" :disabled="!topic.trim()">Begin</UButton
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
}
</style>
