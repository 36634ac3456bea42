<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { useDraggable } from 'vue-draggable-plus';
import type { CheckViews } from '../../../core/checks/markings';
import { say } from '../../../core/words';
import type { CheckPartProps } from '../part';

/** Things that are put in order, by keys, by hand or by touch. */
const props = defineProps<CheckPartProps<CheckViews['order'], string[]>>();
const response = defineModel<string[]>();
const list = ref<HTMLElement | null>(null);
/** What was moved last, as it is read out. */
const moved = ref('');
const items = ref(inOrder());
const texts = computed(() => new Map(props.check.items.map(({ id, text }) => [id, text])));

/** As answered before, else as they are shown at first. */
function inOrder() {
  const ids = response.value ?? props.check.items.map(({ id }) => id);
  return ids.flatMap((id) => props.check.items.filter((each) => each.id === id));
}
const keep = () => (response.value = items.value.map(({ id }) => id));
watch(response, (now) => {
  if (now?.join() !== items.value.map(({ id }) => id).join()) items.value = inOrder();
});
// The order in which they stand is an answer already.
onMounted(() => {
  if (props.open && response.value === undefined) keep();
});

function tell(id: string) {
  const at = items.value.findIndex((each) => each.id === id) + 1;
  moved.value = say(props.view.words.asks.place, { at, of: items.value.length, item: texts.value.get(id)! });
}
async function move(at: number, by: 1 | -1) {
  const [item] = items.value.splice(at, 1);
  items.value.splice(at + by, 0, item);
  keep();
  tell(item.id);
  await nextTick();
  const row = list.value?.children[at + by];
  const [up, down] = row?.querySelectorAll('button') ?? [];
  const button = by < 0 ? up : down;
  (button?.disabled ? (by < 0 ? down : up) : button)?.focus();
}
const drag = useDraggable(list, items, {
  animation: 120,
  filter: 'button',
  preventOnFilter: false,
  chosenClass: 'held',
  disabled: !props.open,
  onEnd({ newIndex = 0 }) {
    keep();
    tell(items.value[newIndex].id);
  },
});
watch(
  () => props.open,
  (now) => drag.option('disabled', !now),
);
</script>

<template>
  <p v-if="open" class="how">{{ view.words.asks.order }}</p>
  <ol ref="list" class="up-order" :class="{ open }">
    <li v-for="(item, at) in items" :key="item.id" :class="{ 'is-key': solution?.[at] === item.id }">
      <span class="text">{{ item.text }}</span>
      <span v-if="open" class="moves">
        <button
          type="button"
          :disabled="at === 0"
          :aria-label="say(view.words.asks.up, { item: item.text })"
          @click="move(at, -1)"
        >
          ↑
        </button>
        <button
          type="button"
          :disabled="at === items.length - 1"
          :aria-label="say(view.words.asks.down, { item: item.text })"
          @click="move(at, 1)"
        >
          ↓
        </button>
      </span>
      <span v-else-if="solution?.[at] === item.id" class="mark">✓</span>
    </li>
  </ol>
  <p class="up-aloud" aria-live="polite">{{ moved }}</p>
  <template v-if="!open && wrong && solution">
    <p class="good">{{ view.words.asks.rightOrder }}</p>
    <ol>
      <li v-for="id in solution" :key="id">{{ texts.get(id) }}</li>
    </ol>
  </template>
</template>
