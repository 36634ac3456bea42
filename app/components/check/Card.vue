<script setup lang="ts">
import type { Check } from '~~/core/course/checks';
import type { Operation } from '~~/core/course/operations';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** A question as its author works on it: words, options and key edited in place, with what the sources say to each option. */
const props = defineProps<{ check: Check; readonly?: boolean }>();
const desk = useCourse();
const groups = new Map<string, { group: string; at: number }>();
const mayEdit = computed(() => desk.mayEdit && !props.readonly);
const CODES: Record<string, string> = { right: 'right', 'other-case': 'holds in another case', 'other-term': 'means something else', 'other-figure': 'another figure', 'not-said': 'not said by the source', own: 'your own' };

function set(field: string, value: unknown, what = 'question') {
  const was = (props.check as unknown as Record<string, unknown>)[field];
  const last = groups.get(field);
  const group = last && Date.now() - last.at < 3000 ? last.group : freshId('g');
  groups.set(field, { group, at: Date.now() });
  const operation: Operation = { type: 'set', id: props.check.id, field, value, was };
  desk.change(what, [operation], group);
}
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
function option(at: number, text: string) {
  if (!text.trim()) return;
  const options = plain(props.check.options);
  options[at]!.text = text;
  if (options[at]!.feedback.code !== 'right') options[at]!.feedback = { ...options[at]!.feedback };
  set('options', options, 'answer');
}
function right(id: string) {
  const options = plain(props.check.options);
  for (const each of options) {
    if (each.id === id) each.feedback.code = 'right';
    else if (each.feedback.code === 'right') each.feedback.code = 'own';
  }
  const group = freshId('g');
  desk.change('right answer', [
    { type: 'set', id: props.check.id, field: 'options', value: options, was: props.check.options },
    { type: 'set', id: props.check.id, field: 'key', value: id, was: props.check.key },
  ], group);
}
function feedback(at: number, text: string) {
  const options = plain(props.check.options);
  if (text.trim()) options[at]!.feedback.text = text;
  else delete options[at]!.feedback.text;
  set('options', options, 'feedback');
}
function add() {
  set('options', [...plain(props.check.options), { id: freshId('a'), text: 'Another answer', feedback: { code: 'own', quotes: [] } }], 'new answer');
}
function drop(id: string) {
  if (props.check.options.length > 2 && id !== props.check.key) set('options', plain(props.check.options).filter((each) => each.id !== id), 'answer deleted');
}
</script>

<template>
  <div class="check" :data-check="check.id">
    <textarea class="stem" rows="1" :value="check.stem" :readonly="!mayEdit" aria-label="Question" @input="set('stem', ($event.target as HTMLTextAreaElement).value || ' ')" />
    <ul>
      <li v-for="(each, at) in check.options" :key="each.id" :class="{ right: each.id === check.key }">
        <input type="radio" :name="check.id" :checked="each.id === check.key" :disabled="!mayEdit" :aria-label="`Right answer: ${each.text}`" @change="right(each.id)">
        <div>
          <input class="words" :value="each.text" :readonly="!mayEdit" aria-label="Answer" @input="option(at, ($event.target as HTMLInputElement).value)">
          <p class="feedback small"><span :class="{ decide: each.feedback.code === 'own' && !each.feedback.text }">{{ CODES[each.feedback.code] }}</span><template v-if="each.feedback.quotes[0]">: “{{ each.feedback.quotes[0].text }}”</template>
            <input v-if="mayEdit || each.feedback.text" class="own" :value="each.feedback.text ?? ''" :readonly="!mayEdit" placeholder="say it in your words" :aria-label="`Feedback to ${each.text}`" @change="feedback(at, ($event.target as HTMLInputElement).value)"></p>
        </div>
        <button v-if="mayEdit && each.id !== check.key && check.options.length > 2" type="button" class="link small" :aria-label="`Delete answer ${each.text}`" @click="drop(each.id)">delete</button>
      </li>
    </ul>
    <p v-if="mayEdit" class="small"><button type="button" class="link" @click="add">Another answer</button></p>
  </div>
</template>

<style scoped>
.stem { width: 100%; font-family: var(--font-read); font-weight: 600; font-size: 16px; line-height: 1.4; field-sizing: content; resize: none; background: none; padding: 2px 4px; margin-left: -4px; border-radius: 2px; }
ul { margin: 6px 0 4px; list-style: none; padding: 0; }
li { margin: 0; display: grid; grid-template-columns: 24px 1fr auto; gap: 6px; padding: 4px 0; align-items: start; }
li input[type=radio] { appearance: none; width: 24px; height: 24px; margin: 1px 0 0; border-radius: 50%; cursor: pointer; background: radial-gradient(circle, transparent 5.5px, var(--ink-3) 6px, var(--ink-3) 7px, transparent 7.5px); }
li input[type=radio]:checked { background: radial-gradient(circle, var(--moss) 3.5px, transparent 4px, transparent 5.5px, var(--moss) 6px, var(--moss) 7px, transparent 7.5px); }
.words { width: 100%; min-height: 26px; padding: 2px 4px; background: none; border-radius: 2px; }
.right .words { font-weight: 700; }
.feedback { color: var(--ink-2); padding-left: 4px; }
li > .link { font-size: 13px; min-height: 24px; min-width: 24px; }
.check > p .link { min-height: 24px; }
.own { margin-left: 6px; min-width: 180px; min-height: 24px; background: none; color: var(--ink); border-radius: 2px; padding: 0 3px; }
.own::placeholder { color: var(--ink-3); font-style: italic; }
textarea:focus, .words:focus, .own:focus { outline: 1.5px solid var(--sky); background: var(--sheet); }
</style>
