<script setup lang="ts">
import type { Option } from '~~/core/checks/forms';

/** What is said to an answer: why it is right or not, what the sources say to it, and the author's own words. */
const props = defineProps<{ feedback: Option['feedback']; to: string; mayEdit: boolean }>();
const emit = defineEmits<{ say: [changed: Option['feedback'], before: Option['feedback'], group: string] }>();
const CODES: Record<Option['feedback']['code'], string> = {
  right: 'right',
  'other-case': 'holds in another case',
  'other-term': 'means something else',
  'other-figure': 'another figure',
  'not-said': 'not said by the source',
  own: 'your own',
};
function said(text: string): Option['feedback'] {
  const { code, quotes } = props.feedback;
  return { code, quotes, ...(text.trim() && { text }) };
}
</script>

<template>
  <p class="feedback small">
    <span :class="{ decide: feedback.code === 'own' && !feedback.text }">{{ CODES[feedback.code] }}</span><template
      v-if="feedback.quotes[0]"
      >: “{{ feedback.quotes[0].text }}”</template
    >
  </p>
  <FieldInPlace
    v-if="mayEdit || feedback.text"
    :value="feedback.text ?? ''"
    :save="(text, was, group) => emit('say', said(text), said(was), group)"
    lines
    class="own small"
    :readonly="!mayEdit"
    placeholder="say it in your words"
    :aria-label="`Feedback to ${to}`"
  />
</template>

<style scoped>
.feedback {
  color: var(--ink-2);
  padding-left: 4px;
}
.own {
  min-height: 24px;
  padding: 1px 4px;
  color: var(--ink);
}
</style>
