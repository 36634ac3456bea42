<script setup lang="ts">
import { POINT_DOES, type Point, type PointDoes } from '~~/core/course/course';
import { placeWords, type PassageView } from '~/components/evidence/place';
import { staying } from '~/composables/staying';
import { counted, POINT_WORDS } from '~/words/states';

/** A point of a lesson: its words, what is done there, and the passages it stands on, opened on wish. */
const { point, held } = defineProps<{
  point: Point;
  nth: number;
  readonly: boolean;
  held: readonly PassageView[];
  /** What nothing uses and would fit it, where it stands on nothing. */
  fitting: readonly PassageView[];
  /** Its passages have nothing for what is to be done. */
  lacking: boolean;
  /** Its author is asked for it already. */
  asked: boolean;
  lessonPath: string;
  splits: boolean;
  save: (words: string, was: string, group: string) => boolean | void;
}>();
const emit = defineEmits<{ does: [value: PointDoes]; give: []; ask: []; split: []; remove: [] }>();
const open = ref(false);
const words = computed(() =>
  held.reduce((sum, { passage }) => sum + passage.text.split(/\s+/).filter(Boolean).length, 0),
);
const items = computed(() => [
  POINT_DOES.map((does) => ({
    label: POINT_WORDS[does].label,
    description: POINT_WORDS[does].says,
    type: 'checkbox' as const,
    checked: does === point.does,
    onSelect: () => void (does !== point.does && emit('does', does)),
  })),
]);
</script>

<template>
  <li class="point" :data-point="point.id" :data-node="point.id">
    <p class="top small">
      <i v-if="!readonly" class="grip" aria-hidden="true" /><b>{{ nth + 1 }}</b>
      <UDropdownMenu v-if="!readonly" :items="items" :content="staying"
        ><button
          type="button"
          class="does"
          :aria-label="`Point ${nth + 1}: ${POINT_WORDS[point.does].label}, ${POINT_WORDS[point.does].says}`"
        >
          {{ POINT_WORDS[point.does].label }}
        </button></UDropdownMenu
      ><span v-else>{{ POINT_WORDS[point.does].label }}</span>
      <button
        v-if="point.passages.length"
        type="button"
        class="link stands"
        :aria-expanded="open"
        :aria-label="`What point ${nth + 1} stands on`"
        @click="open = !open"
      >
        {{ words ? counted(words, ['word', 'words']) : counted(point.passages.length, ['passage', 'passages']) }}
      </button>
      <span class="end"
        ><button
          v-if="splits && !readonly"
          type="button"
          title="Begin a lesson here (Alt ⇧ S)"
          :aria-label="`Begin a lesson at point ${nth + 1}`"
          @click="emit('split')"
        >
          <UIcon name="i-lucide-split" /></button
        ><button
          v-if="!readonly"
          type="button"
          title="Delete (Ctrl Del)"
          :aria-label="`Delete point ${nth + 1}`"
          @click="emit('remove')"
        >
          <UIcon name="i-lucide-x" /></button
      ></span>
    </p>
    <FieldInPlace
      :value="point.text"
      :save="save"
      wraps
      required
      :readonly="readonly"
      :aria-label="`Point ${nth + 1}`"
      maxlength="1000"
    />
    <p v-if="lacking" class="small decide">{{ POINT_WORDS[point.does].lacks }}</p>
    <p v-if="!point.passages.length" class="small quiet bare">
      <template v-if="asked"
        ><span>You are asked for it.</span><NuxtLink class="link" :to="lessonPath">Answer</NuxtLink></template
      ><template v-else-if="fitting.length"
        ><span>Not used anywhere yet: “{{ fitting[0]!.passage.text.slice(0, 160) }}”</span
        ><button v-if="!readonly" type="button" class="link" @click="emit('give')">Use it</button></template
      ><span v-else>The sources say nothing of it.</span>
      <button v-if="!asked && !readonly" type="button" class="link" @click="emit('ask')">Ask me for it</button>
    </p>
    <div v-if="open" class="passages">
      <template v-for="view in held" :key="view.passage.id">
        <SourceCells v-if="view.passage.table" :passage="view.passage" heads />
        <p v-else>{{ view.passage.text }}</p>
      </template>
      <p v-if="held[0]" class="mono">{{ held[0].source.title }} / {{ placeWords(held[0].passage) }}</p>
    </div>
  </li>
</template>

<style scoped>
.point {
  padding: 5px 0 6px;
  border-bottom: 1px solid var(--hair);
}
.top {
  display: flex;
  align-items: center;
  gap: 8px;
  color: var(--ink-2);
}
.end {
  margin-left: auto;
  display: flex;
  gap: 2px;
}
.end button {
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  color: var(--ink-3);
  cursor: pointer;
}
.end button:hover {
  color: var(--sky);
}
.bare {
  display: flex;
  flex-wrap: wrap;
  column-gap: 8px;
  padding-left: 4px;
}
.does {
  min-height: 24px;
  border-bottom: 1px dotted var(--ink-3);
  cursor: pointer;
}
.stands {
  min-height: 24px;
  color: var(--ink-2);
}
.passages {
  margin: 4px 0 4px 4px;
  padding-left: 10px;
  border-left: 2px solid var(--hair);
  font-size: 13px;
}
.passages p {
  margin-bottom: 4px;
}
.grip {
  opacity: 0.7;
}
</style>
