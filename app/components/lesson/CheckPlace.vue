<script setup lang="ts">
import { NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { useCourse } from '~/stores/course';

/** A check where it stands on the page. */
const props = defineProps(nodeViewProps);
const desk = useCourse();
const check = computed(() => desk.course?.checks.find((each) => each.id === props.node.attrs.checkId));
</script>

<template>
  <NodeViewWrapper class="place" contenteditable="false">
    <PathPost class="post" :width="9" :height="22" />
    <CheckCard v-if="check" :check="check" />
    <p v-else class="small quiet">This check is not in the course any more.</p>
  </NodeViewWrapper>
</template>

<style scoped>
.place {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 8px;
  padding: 10px 12px;
  margin: 12px 0;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--paper);
  font-family: var(--font-sans);
  font-size: 14.5px;
}
.post {
  margin-top: 4px;
}
</style>
