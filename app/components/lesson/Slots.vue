<script setup lang="ts">
import { api } from '~/client';
import type { Lesson } from '~~/core/course/course';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** The open places of a lesson: questions whose answers fill it. With text on its page, only while it asks. */
const props = defineProps<{ lesson: Lesson }>();
const desk = useCourse();
const slots = computed(() => (desk.course!.answers ?? []).filter((answer) => answer.lesson === props.lesson.id));
/** Lessons that asked something since this was opened: an answer just typed stays in view. */
const asking = reactive(new Set<string>());
watch(
  slots,
  (now) => {
    if (now.some((answer) => answer.text.trim() === '')) asking.add(props.lesson.id);
  },
  { immediate: true },
);
const open = computed(() => slots.value.filter((answer) => answer.text.trim() === '').length);
const trouble = ref('');
const filling = ref(false);
async function fill() {
  filling.value = true;
  await desk.settleAll();
  trouble.value = await api('POST /api/courses/:course/answers', { course: desk.course!.id }).then(
    () => '',
    () => 'The answers could not be put in. They are saved; try again.',
  );
  await desk.refresh();
  filling.value = false;
}
</script>

<template>
  <section
    v-if="slots.length && (lesson.blocks.length === 0 || asking.has(lesson.id))"
    class="slots"
    aria-label="Questions of this lesson"
  >
    <p class="small">
      <strong class="decide">{{
        open ? `${counted(open, ['place is', 'places are'])} open here` : 'All questions are answered'
      }}</strong>. What you answer is the lesson's source; then draft it.
    </p>
    <SourceAnswerBox v-for="slot in slots" :key="slot.id" :answer="slot" />
    <UButton
      v-if="desk.mayEdit"
      size="sm"
      color="neutral"
      variant="outline"
      :disabled="filling || open === slots.length"
      @click="fill"
      >{{ filling ? 'Being read' : 'Fill the lesson with the answers' }}</UButton
    >
    <p v-if="trouble" class="decide small" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.slots {
  padding: 10px 14px 14px;
  margin: 0 0 16px;
  border-left: 3px solid var(--rust);
  background: var(--paper);
}
</style>
