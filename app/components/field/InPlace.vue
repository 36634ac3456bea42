<script setup lang="ts">
import { useEventListener, useTextareaAutosize, useTimeoutFn } from '@vueuse/core';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/**
 * A text of the course, edited where it stands: the one way to do so, in every room. It keeps its own words from the
 * first key until they are given away (`save`), whatever happens to focus, selection, the rows around it, or news from
 * outside; they are given after a short rest, on leaving, on Enter (one line), and when the desk asks for them. Escape
 * goes back to how it was found.
 */
defineOptions({ inheritAttrs: false });
const props = defineProps<{
  value: string;
  /**
   * Gives what is typed to the course: the words, what they were when typing began, and the gesture they belong to.
   * False: they met another's change.
   */
  save: (words: string, was: string, group: string) => boolean | void;
  readonly?: boolean;
  /** Several lines; it grows with its words. */
  lines?: boolean;
  /** One line of words that may be drawn as several. */
  wraps?: boolean;
  /** Words that must not be empty: emptied ones come back on leaving. */
  required?: boolean;
  maxlength?: number | string;
  /** Drawn as a box of a form; otherwise it looks like text until it is used. */
  boxed?: boolean;
}>();
const desk = useCourse();
/** Milliseconds of rest after which words are given away, and after which typing is a gesture of its own. */
const [REST, BURST] = [600, 3000];

const text = ref(props.value);
/** The words here that the course was given, or has given. */
let given = props.value;
/** What the course says to that: the same, or as it writes it (without spaces at the ends, lists in order). */
let base = props.value;
/** What stood there when the field was come to, for Escape. */
let found = props.value;
let dirty = false;
const holds = useTyping();
function setDirty(now: boolean) {
  dirty = now;
  holds(now);
}
let group = '';
let at = 0;
/** While what was given comes back, and while the field is in use: its words stay as they were typed. */
let giving = false;
let here = false;
const box = ref<HTMLInputElement | HTMLTextAreaElement | null>(null);
const long = computed(() => props.lines || props.wraps);
/** Where the browser grows a field by itself there is nothing to measure: in a long list that is much. */
const grows = import.meta.client && CSS.supports('field-sizing', 'content');
const area = computed(() => (long.value && !grows ? (box.value as HTMLTextAreaElement | null) : null));
const { triggerResize } = useTextareaAutosize({ element: area as never, input: text });
// Measured before its letters have come, a line may look like two.
useEventListener(() => (area.value ? document.fonts : null), 'loadingdone', triggerResize);
const { start: giveSoon, stop } = useTimeoutFn(give, REST, { immediate: false });

function typed(event: Event) {
  const field = event.target as HTMLInputElement;
  // A break has no place in one line, wherever it comes from.
  if (props.wraps && /[\r\n]/.test(field.value)) field.value = field.value.replace(/\s*[\r\n]+\s*/g, ' ');
  text.value = field.value;
  setDirty(text.value !== given);
  giveSoon();
}
/** Gives the words away; empty ones that must not be are kept here until the field is left. */
function give() {
  stop();
  if (!dirty || (props.required && text.value.trim() === '')) return;
  if (Date.now() - at > BURST) group = freshId('g');
  at = Date.now();
  given = text.value;
  giving = true;
  const taken = props.save(text.value, base, group);
  setDirty(false);
  void nextTick(() => {
    giving = false;
    base = props.value;
    if (taken === false || !here) follow();
  });
}
/** Shows what the course says, unless there are words here that it does not have yet. */
function follow() {
  if (dirty) return;
  text.value = props.value;
  given = props.value;
  base = props.value;
}
watch(
  () => props.value,
  () => {
    // What comes back of words just given is written into nobody's typing.
    if (giving && here) base = props.value;
    else follow();
  },
);
function left() {
  here = false;
  give();
  setDirty(false);
  void nextTick(follow);
}
function keys(event: KeyboardEvent) {
  if (event.key === 'Enter' && !props.lines) give();
  if (event.key !== 'Escape' || text.value === found) return;
  event.stopPropagation();
  text.value = found;
  setDirty(text.value !== given);
  give();
}
/** Enter is for whoever holds the field; as a sign it has no place in one line. */
function before(event: Event) {
  if (props.wraps && /^insert(?:LineBreak|Paragraph)$/.test((event as InputEvent).inputType)) event.preventDefault();
}
function come() {
  here = true;
  found = props.value;
  // Come to by key, a field of one line has its words marked as a whole: the next key is to go on with them instead of
  // wiping them out.
  const end = box.value?.value.length ?? 0;
  if (!long.value && box.value && box.value.selectionStart === 0 && box.value.selectionEnd === end && end > 0)
    box.value.setSelectionRange(end, end);
}
const off = desk.onFlush(give);
onBeforeUnmount(() => {
  give();
  off();
});
defineExpose({
  /** Puts the cursor here; `all`: with the words marked, so that the next ones take their place. */
  focus(all = false) {
    box.value?.focus();
    if (all) box.value?.select();
  },
});
</script>

<template>
  <textarea
    v-if="long"
    ref="box"
    v-bind="$attrs"
    class="in-place"
    :class="{ boxed }"
    rows="1"
    :value="text"
    :readonly="readonly"
    :maxlength="maxlength"
    @beforeinput="before"
    @input="typed"
    @blur="left"
    @focus="come"
    @keydown="keys"
  />
  <input
    v-else
    ref="box"
    v-bind="$attrs"
    class="in-place"
    :class="{ boxed }"
    :value="text"
    :readonly="readonly"
    :maxlength="maxlength"
    @input="typed"
    @blur="left"
    @focus="come"
    @keydown="keys"
  />
</template>

<style scoped>
.in-place {
  display: block;
  width: 100%;
  min-width: 0;
  background: none;
  border: 0;
  padding: 3px 4px;
  border-radius: 2px;
  text-overflow: ellipsis;
  resize: none;
  field-sizing: content;
  overflow: hidden;
}
.in-place:focus {
  background: var(--sheet);
  outline: 1.5px solid var(--sky);
  text-overflow: clip;
}
.in-place[readonly]:focus {
  outline-color: var(--hair);
}
.in-place::placeholder {
  color: var(--ink-3);
  font-style: italic;
}
.boxed {
  background: var(--sheet);
  border: 1px solid var(--hair);
  border-radius: 3px;
  padding: 6px 10px;
}
.boxed::placeholder {
  font-style: normal;
}
</style>
