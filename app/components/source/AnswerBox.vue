<script setup lang="ts">
import type { Answer } from '~~/core/course/course';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/**
 * A question to the author with its answer, saved as typed. One that was never answered comes into being with its first
 * letter.
 */
const props = defineProps<{ answer: Answer; hint?: string; understood?: string }>();
const desk = useCourse();
const id = useId();
const held = computed(() => desk.course!.answers?.find((each) => each.id === props.answer.id));
const words = computed(() => (held.value?.text ?? '').split(/\s+/).filter(Boolean).length);
function save(text: string, was: string, group: string) {
  if (held.value)
    return desk.type('answer', [{ type: 'set', id: props.answer.id, field: 'text', value: text, was }], group);
  return (
    !text ||
    desk.type(
      'answer',
      [
        {
          type: 'insert',
          kind: 'answer',
          parent: desk.course!.id,
          after: desk.course!.answers?.at(-1)?.id ?? null,
          node: { ...props.answer, text },
        },
      ],
      group,
    )
  );
}
</script>

<template>
  <div class="answer">
    <label :for="id">{{ answer.question }}</label>
    <p v-if="hint" class="small quiet">{{ hint }}</p>
    <FieldInPlace
      :id="id"
      :value="held?.text ?? ''"
      :save="save"
      lines
      boxed
      class="box"
      :readonly="!desk.mayEdit"
      :data-node="answer.id"
      maxlength="200000"
    />
    <p class="foot small quiet">
      <span v-if="words">{{ counted(words, ['word', 'words']) }}</span><span v-if="words && understood" class="said">{{
        understood
      }}</span
      ><slot />
    </p>
  </div>
</template>

<style scoped>
.answer {
  padding: 10px 0 4px;
  max-width: 720px;
}
label {
  font-weight: 600;
  font-size: 15.5px;
  display: block;
}
.box {
  min-height: 58px;
  max-height: 520px;
  overflow-y: auto;
}
.foot {
  display: flex;
  gap: 14px;
  min-height: 20px;
  padding-top: 2px;
}
.said {
  color: var(--moss);
}
</style>
