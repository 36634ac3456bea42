<script setup lang="ts">
import type { ChoiceCheck, Option } from '~~/core/checks/forms';
import type { SeveralCheck } from '~~/core/checks/several/form';
import { api } from '~/client';
import { useCheckEditing } from '~/checks/editing';

/** Answers from the sources that could stand in place of a wrong one; the one that is taken changes places with it. */
const props = defineProps<{ check: ChoiceCheck | SeveralCheck; option: Option }>();
const { desk, now, set } = useCheckEditing<ChoiceCheck | SeveralCheck>(props);
const emit = defineEmits<{ close: [] }>();
const found = shallowRef<Option[]>();
const box = ref<HTMLElement | null>(null);
onMounted(async () => {
  await desk.asking(async () => {
    await desk.settleAll();
    found.value = await api('GET /api/courses/:course/checks/:check/answers', {
      course: desk.course!.id,
      check: props.check.id,
      query: { option: props.option.id },
    });
  });
  found.value ??= [];
  await nextTick();
  box.value?.querySelector('button')?.focus();
});
async function take(option: Option) {
  const check = now();
  set(
    'another wrong answer',
    'options',
    check.options.map((each) => (each.id === props.option.id ? option : each)),
  );
  await nextTick();
  document.querySelector<HTMLElement>(`[data-check="${check.id}"] [data-answer="${option.id}"]`)?.focus();
}
</script>

<template>
  <div ref="box" class="found-answers" @keydown.esc.stop="emit('close')">
    <p v-if="!found" class="small quiet" role="status">Looking in your sources …</p>
    <p v-else-if="found.length === 0" class="small quiet" role="status">
      Your sources hold no other answer that could tempt here and is wrong.
    </p>
    <ul v-else>
      <li v-for="other in found" :key="other.id">
        <button type="button" class="link" :aria-label="`Take: ${other.text}`" @click="take(other)">
          {{ other.text }}
        </button>
        <span v-if="other.feedback.quotes[0]" class="small quiet">“{{ other.feedback.quotes[0].text }}”</span>
      </li>
    </ul>
  </div>
</template>
