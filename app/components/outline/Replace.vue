<script setup lang="ts">
import { findInOutline, replaceInOutline, type FoundWords } from '~~/core/course/replacing';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** Finds words in titles, purposes and objectives, and puts others there: one by one, or all as one gesture. */
const emit = defineEmits<{ show: [id: string, part: string]; close: [] }>();
const desk = useCourse();
const words = ref('');
const to = ref('');
const whole = ref(false);
const cased = ref(false);
const at = ref(0);
const box = ref<HTMLInputElement | null>(null);
const sought = computed(() => ({ words: words.value, whole: whole.value, cased: cased.value }));
const found = computed(() => findInOutline(desk.course!, sought.value));
const count = computed(() => found.value.reduce((sum, each) => sum + each.count, 0));
watch(sought, () => void (at.value = 0));
const current = computed(() => found.value[Math.min(at.value, found.value.length - 1)]);
const said = computed(() =>
  words.value.trim() === ''
    ? ''
    : count.value === 0
      ? 'Nowhere'
      : `${counted(count.value, ['place', 'places'])} in ${counted(found.value.length, ['field', 'fields'])}`,
);
function next(by = 1) {
  if (found.value.length === 0) return;
  at.value = (at.value + by + found.value.length) % found.value.length;
  look();
}
const look = () => current.value && emit('show', current.value.row, current.value.part);
function put(fields: readonly FoundWords[]) {
  desk.flushTyping();
  const operations = replaceInOutline(fields, sought.value, to.value);
  if (operations.length > 0) desk.change(`“${words.value}” replaced by “${to.value}”`, operations);
}
function one() {
  if (!current.value) return;
  put([current.value]);
  look();
}
onMounted(() => box.value?.focus());
defineExpose({ focus: () => box.value?.select() });
</script>

<template>
  <form
    class="replace"
    role="search"
    aria-label="Find and replace"
    @submit.prevent="next()"
    @keydown.esc="emit('close')"
  >
    <label>Find <input ref="box" v-model="words" type="text" maxlength="200" /></label>
    <template v-if="desk.mayEdit">
      <label>Replace by <input v-model="to" type="text" maxlength="200" /></label>
    </template>
    <label class="tick"><input v-model="whole" type="checkbox" /> Whole words</label>
    <label class="tick"><input v-model="cased" type="checkbox" /> Same capitals</label>
    <span class="small quiet said" role="status">{{ said }}</span>
    <span class="do">
      <button type="submit" class="link" :disabled="!found.length">Next</button>
      <template v-if="desk.mayEdit">
        <button type="button" class="link" :disabled="!found.length" @click="one">Replace</button
        ><button type="button" class="link" :disabled="!found.length" @click="put(found)">Replace all</button>
      </template>
      <button type="button" class="link" title="Esc" @click="emit('close')">Close</button>
    </span>
  </form>
</template>

<style scoped>
.replace {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding: 7px 16px;
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
  font-size: 13.5px;
}
input[type='text'] {
  width: 150px;
  height: 28px;
  margin-left: 4px;
  padding: 0 7px;
  border: 1px solid var(--ink-3);
  border-radius: 3px;
  background: var(--sheet);
}
.tick {
  color: var(--ink-2);
}
.said {
  min-width: 130px;
}
.do {
  display: flex;
  gap: 12px;
  margin-left: auto;
}
.link:disabled {
  opacity: 0.45;
}
</style>
