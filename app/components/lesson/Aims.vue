<script setup lang="ts">
import type { Lesson } from '~~/core/course/course';
import { wordObjective } from '~~/core/course/gestures';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** What the learner can do after a lesson, in the author's words. */
const props = defineProps<{ lesson: Lesson }>();
const desk = useCourse();
const objectives = computed(() =>
  props.lesson.objectiveIds.flatMap((id) => desk.course!.objectives.find((each) => each.id === id) ?? []),
);
/** Emptied, it goes. */
function aim(id: string | undefined, place: number, words: string, was: string, group: string) {
  const now = desk.lessons.find((each) => each.id === props.lesson.id);
  if (!now) return true;
  const what = `what “${now.title}” is for`;
  const operations =
    place === 0 ? wordObjective(desk.course!, now, words, freshId('o'), id ? was : undefined) : undefined;
  if (operations) return operations.length === 0 || desk.type(what, operations, group);
  if (words.trim()) return desk.type(what, [{ type: 'set', id: id!, field: 'text', value: words.trim(), was }], group);
  return desk.type(
    what,
    [
      {
        type: 'set',
        id: now.id,
        field: 'objectiveIds',
        value: now.objectiveIds.filter((each) => each !== id),
        was: now.objectiveIds,
      },
    ],
    group,
  );
}
</script>

<template>
  <div>
    <p class="after">Afterwards you can</p>
    <ul class="can">
      <li v-for="(objective, place) in objectives" :key="objective.id" :data-node="objective.id">
        <FieldInPlace
          :value="objective.text"
          :save="(words, was, group) => aim(objective.id, place, words, was, group)"
          lines
          :readonly="!desk.mayEdit"
          maxlength="600"
          aria-label="Afterwards the learner can"
        />
      </li>
      <li v-if="objectives.length === 0">
        <FieldInPlace
          key="none"
          value=""
          :save="(words, was, group) => aim(undefined, 0, words, was, group)"
          lines
          :readonly="!desk.mayEdit"
          maxlength="600"
          aria-label="Afterwards the learner can"
          placeholder="not said yet"
        />
      </li>
    </ul>
  </div>
</template>

<style scoped>
.after {
  font: 600 12.5px var(--font-sans);
  color: var(--ink-2);
}
.can {
  font-family: var(--font-read);
  font-size: 15.5px;
  margin: 2px 0 18px -4px;
}
.can :deep(textarea) {
  display: block;
  line-height: 1.45;
}
</style>
