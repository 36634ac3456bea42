<script setup lang="ts">
import type { Editor } from '@tiptap/core';
import { MARK_TOOLS, type Tool } from '~/editor/tools';

/** What words can be made: bold, italic, code, a link. Stands in the line of tools and beside what is selected. */
const props = defineProps<{ editor: Editor }>();
defineEmits<{ link: [] }>();
const press = (tool: Tool) => void tool.run(props.editor);
</script>

<template>
  <span class="marks" role="group" aria-label="Words">
    <UButton
      v-for="tool in MARK_TOOLS"
      :key="tool.label"
      size="xs"
      color="neutral"
      variant="ghost"
      :aria-pressed="tool.on!(editor)"
      :aria-label="tool.label"
      :title="`${tool.label}, ${tool.key}`"
      @mousedown.prevent
      @click="press(tool)"
      ><span :class="tool.look">{{ tool.sign }}</span></UButton
    ><UButton
      size="xs"
      color="neutral"
      variant="ghost"
      :aria-pressed="editor.isActive('link')"
      title="Link, Ctrl Alt L"
      @mousedown.prevent
      @click="$emit('link')"
      >link</UButton
    >
  </span>
</template>

<style scoped>
.marks {
  white-space: nowrap;
}
.strong {
  font-weight: 750;
}
.slant {
  font-style: italic;
  font-family: var(--font-read);
}
.code {
  font-family: ui-monospace, monospace;
}
</style>
