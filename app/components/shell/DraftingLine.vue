<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useDrafting, type StepState } from '~/stores/drafting';

/**
 * What is being drafted, how far it is, and what it could not do: on every step of the work, for as long as it lasts.
 */
const desk = useCourse();
const drafting = useDrafting();
const line = (step: { state: StepState; problem: { message: string } | null }) =>
  step.state === 'kept'
    ? 'holds your own work, so its draft lies beside it as a take'
    : `not drafted. ${step.problem?.message ?? ''}`;
useActions([
  {
    id: 'draft-stop',
    label: 'Stop drafting',
    key: 'Alt+S',
    area: 'Lessons',
    when: () => desk.mayEdit && drafting.running.length > 0,
    run: () => void drafting.stop(),
  },
]);
</script>

<template>
  <div v-if="drafting.running.length" class="line" role="status">
    <progress :value="drafting.progress.done" :max="drafting.progress.of" aria-label="Lessons drafted" />
    <span
      >{{ drafting.progress.done }} of {{ drafting.progress.of }} drafted<template v-if="drafting.progress.title"
        >, now “{{ drafting.progress.title }}”</template
      >. Finished ones can be opened; it goes on when you leave.</span
    >
    <button v-if="desk.mayEdit" type="button" class="link" @click="drafting.stop()">Stop</button>
  </div>
  <div v-if="drafting.remarks.length" class="line remarks" role="status">
    <ul>
      <li v-for="step in drafting.remarks" :key="step.lesson_id">
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${step.lesson_id}`">{{ step.title }}</NuxtLink>:
        {{ line(step) }}
      </li>
    </ul>
    <button type="button" class="link" @click="drafting.putAway()">Put away</button>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 7px 18px;
  background: var(--moss-faint);
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
}
.line .link {
  margin-left: auto;
}
.remarks {
  align-items: start;
  background: var(--paper);
}
.remarks ul {
  max-height: 96px;
  overflow-y: auto;
  flex: 1;
}
.remarks li .link {
  margin: 0;
}
progress {
  width: 160px;
  accent-color: var(--moss);
  flex: none;
}
</style>
