<script setup lang="ts">
import { findWords, replaceWords, type FoundWords } from '~~/core/course/replacing';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** Finds words over the course, and puts others there: one by one, or all as one gesture. */
const emit = defineEmits<{ close: [] }>();
const desk = useCourse();
const words = ref('');
const to = ref('');
const whole = ref(false);
const cased = ref(false);
const at = ref(0);
const box = ref<HTMLInputElement | null>(null);
const sought = computed(() => ({ words: words.value, whole: whole.value, cased: cased.value }));
const found = computed(() => findWords(desk.course!, sought.value));
const count = computed(() => found.value.reduce((sum, each) => sum + each.count, 0));
watch(sought, () => void (at.value = 0));
const current = computed(() => found.value[Math.min(at.value, found.value.length - 1)]);
const said = computed(() =>
  words.value.trim() === ''
    ? ''
    : count.value === 0
      ? 'Nowhere'
      : `${counted(count.value, ['place', 'places'])} in ${counted(found.value.length, ['part', 'parts'])}`,
);
const PARTS: Record<FoundWords['part'], string> = {
  title: 'Title',
  purpose: 'Purpose',
  can: 'Objective',
  page: 'Page',
  check: 'Check',
};
const rowOf = ({ row }: FoundWords) => {
  const lesson = desk.lessons.find(({ id }) => id === row);
  return lesson ? ` of ${lesson.title}` : '';
};
/** Some words before and behind the first place. */
function around({ text }: FoundWords): string {
  const at = text.toLowerCase().indexOf(words.value.toLowerCase());
  const [from, end] = [Math.max(0, at - 30), at + words.value.length + 30];
  return `${from > 0 ? '…' : ''}${text.slice(from, end)}${end < text.length ? '…' : ''}`.replace(/\n/g, ' ');
}
function next(by = 1) {
  if (found.value.length === 0) return;
  at.value = (at.value + by + found.value.length) % found.value.length;
  look();
}
const look = () => current.value && desk.point(current.value.id);
function put(fields: readonly FoundWords[]) {
  desk.flushTyping();
  const operations = replaceWords(desk.course!, fields, sought.value, to.value);
  if (operations.length > 0 && desk.change(`“${words.value}” replaced by “${to.value}”`, operations)) desk.outside++;
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
    <span v-if="current" class="small where"
      >{{ PARTS[current.part] }}{{ rowOf(current) }}: “{{ around(current) }}”</span
    >
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
.where {
  flex: 1 1 260px;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
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
