<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useJobs, type JobStep } from '~/stores/jobs';
import { counted } from '~/words/states';

/**
 * What is being worked on, how far it is, and what it could not do: on every step of the work, for as long as it lasts.
 */
const desk = useCourse();
const jobs = useJobs();
const line = (step: JobStep) =>
  step.state === 'kept'
    ? 'holds your own work, so its draft lies beside it as a take'
    : `not drafted. ${step.problem?.message ?? ''}`;
const stopped = computed(() => jobs.ended?.state === 'stopped' && jobs.left > 0);
useActions([
  {
    id: 'job-stop',
    label: 'Stop drafting',
    key: 'Alt+S',
    area: 'Lessons',
    when: () => desk.mayEdit && jobs.running.length > 0,
    run: () => void jobs.stop(),
  },
  {
    id: 'job-again',
    label: 'Go on drafting',
    key: 'Alt+G',
    area: 'Lessons',
    when: () => desk.mayEdit && jobs.left > 0,
    run: () => void jobs.again(),
  },
]);
</script>

<template>
  <div v-if="jobs.running.length" class="line" role="status">
    <progress :value="jobs.progress.done" :max="jobs.progress.of" aria-label="Lessons drafted" />
    <span
      >{{ jobs.progress.done }} of {{ jobs.progress.of }} drafted<template v-if="jobs.progress.title"
        >, now “{{ jobs.progress.title }}”</template
      ><template v-if="jobs.progress.again">. Tried again soon: {{ jobs.progress.again }}</template
      ><template v-else>. Finished ones can be opened; it goes on when you leave.</template></span
    >
    <span v-if="desk.mayEdit" class="end"><button type="button" class="link" @click="jobs.stop()">Stop</button></span>
  </div>
  <div v-if="jobs.remarks.length || stopped" class="line remarks" role="status">
    <ul>
      <li v-if="stopped">Stopped: {{ counted(jobs.left, ['lesson is', 'lessons are']) }} as before.</li>
      <li v-for="step in jobs.remarks" :key="step.item">
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${step.item}`">{{ step.title }}</NuxtLink>:
        {{ line(step) }}
      </li>
    </ul>
    <span class="end">
      <button v-if="desk.mayEdit && jobs.left" type="button" class="link" @click="jobs.again()">
        {{ stopped ? 'Go on' : 'Try again' }}</button><button type="button" class="link" @click="jobs.putAway()">
        Put away
      </button>
    </span>
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
.end {
  display: flex;
  gap: 14px;
  margin-left: auto;
  flex: none;
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
progress {
  width: 160px;
  accent-color: var(--moss);
  flex: none;
}
</style>
