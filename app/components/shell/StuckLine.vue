<script setup lang="ts">
import { useCourse } from '~/stores/course';
import { valueWords } from '~/words/takes';

/**
 * Changes that the server will never take: what was typed is kept in this browser, to be saved as a file and let go.
 */
const desk = useCourse();
const list = computed(() => (desk.saving === 'stuck' ? desk.stuck() : []));
function save() {
  const words = list.value.map(
    ({ what, operation }) =>
      `${what}\n${operation.type === 'set' ? valueWords(desk.course!, operation.id, operation.field, operation.value) : operation.type === 'insert' ? valueWords(desk.course!, operation.parent, 'insert', operation) : ''}`,
  );
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([words.join('\n\n')], { type: 'text/plain' }));
  link.download = 'not-saved.txt';
  link.click();
  URL.revokeObjectURL(link.href);
}
</script>

<template>
  <p v-if="list.length" class="stuck" role="alert">
    <span
      >{{ list.length === 1 ? 'One change' : `${list.length} changes` }} could not be saved and will not be sent again.
      The words are kept in this browser.</span
    ><span class="do"
      ><button type="button" class="link" @click="save">Save them as a file</button
      ><button type="button" class="link" @click="desk.forgetStuck()">Let go of them</button></span
    >
  </p>
</template>

<style scoped>
.stuck {
  display: flex;
  gap: 14px;
  justify-content: space-between;
  padding: 8px 18px;
  background: var(--rust-soft);
  border-bottom: 1px solid var(--rust);
  font-size: 14px;
}
.do {
  display: flex;
  gap: 14px;
}
</style>
