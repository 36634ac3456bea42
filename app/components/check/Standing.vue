<script setup lang="ts">
import type { Check } from '~~/core/checks/forms';
import { api, type AnswerOf } from '~/client';
import { useCourse } from '~/stores/course';

/** Looks in the sources for what a question stands on, and puts the passage that is chosen behind it. */
const props = defineProps<{ check: Check }>();
const emit = defineEmits<{ close: [] }>();
const desk = useCourse();
type Found = AnswerOf<'GET /api/courses/:course/checks/:check/standing'>;
const found = shallowRef<Found>();
const box = ref<HTMLElement | null>(null);
onMounted(async () => {
  await desk.asking(async () => {
    await desk.settleAll();
    found.value = await api('GET /api/courses/:course/checks/:check/standing', {
      course: desk.course!.id,
      check: props.check.id,
    });
  });
  found.value ??= [];
  await nextTick();
  box.value?.querySelector('button')?.focus();
});
function take({ range }: Found[number]) {
  desk.flushTyping();
  const now = desk.course!.checks.find(({ id }) => id === props.check.id);
  if (!now) return;
  desk.change('passage behind a question', [
    { type: 'set', id: now.id, field: 'evidence', value: [...now.evidence, range], was: now.evidence },
  ]);
  emit('close');
}
</script>

<template>
  <div ref="box" class="found-answers" @keydown.esc.stop="emit('close')">
    <p v-if="!found" class="small quiet" role="status">Looking in your sources …</p>
    <p v-else-if="found.length === 0" class="small quiet" role="status">
      Nothing in your sources says enough of it. Bring a source that does, or leave it as your own.
    </p>
    <ul v-else>
      <li v-for="each in found" :key="`${each.range.id}/${each.range.from}`">
        <button type="button" class="link" :aria-label="`It stands on: ${each.text}`" @click="take(each)">
          “{{ each.text }}”
        </button>
        <span class="small quiet">{{ each.source }}</span>
      </li>
    </ul>
  </div>
</template>
