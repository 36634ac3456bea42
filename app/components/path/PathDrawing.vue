<script setup lang="ts">
import { drawProfile, type ProfileModule } from '~~/core/picture/profile';
import type { LessonState } from '~~/core/course/course';
import { fillOf } from './fill';

/** The drawn path itself; nothing in it can be pressed. */
const props = defineProps<{
  modules: ProfileModule[];
  states: ReadonlyMap<string, LessonState>;
  width: number;
  height: number;
  selected?: string;
  names?: boolean;
}>();
const drawing = computed(() =>
  drawProfile(props.modules, props.width, props.height, { foot: props.names ? 18 : 1, head: props.names ? 16 : 3 }),
);
const ground = computed(() => drawing.value.ground);
const fitting = (title: string, width: number) => {
  const letters = Math.floor((width - 8) / 6.4);
  return title.length > letters ? `${title.slice(0, Math.max(1, letters - 1)).trimEnd()}…` : title;
};
</script>

<template>
  <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true" class="path">
    <path
      v-for="segment in drawing.segments"
      :key="segment.id"
      :d="segment.path"
      :fill="fillOf(states.get(segment.id) ?? 'blank')"
    />
    <path
      v-for="segment in drawing.segments"
      :key="`e${segment.id}`"
      :d="`M${segment.x},${segment.top} V${ground}`"
      :class="states.get(segment.id) === 'blank' ? 'edge blank' : 'edge'"
    />
    <path v-if="drawing.segments.length" :d="`M0,${ground} H${width}`" class="edge" />
    <template v-if="names">
      <path v-for="module in drawing.modules" :key="module.x" :d="`M${module.x},4 V${height}`" class="border" />
      <text
        v-for="module in drawing.modules.filter((each) => each.width > 44)"
        :key="`t${module.x}`"
        :x="module.x + 6"
        :y="height - 5"
      >
        {{ fitting(module.title, module.width) }}
      </text>
    </template>
    <path :d="drawing.line" class="line" />
    <g v-for="(post, at) in names ? drawing.posts : []" :key="at">
      <path :d="`M${post.x},${post.y} v-8`" class="line" />
      <rect :x="post.x - 2.5" :y="post.y - 13" width="5" height="5" class="post" />
    </g>
    <path
      v-for="segment in drawing.segments.filter((each) => each.id === selected)"
      :key="`s${segment.id}`"
      :d="segment.path"
      class="selected"
    />
  </svg>
</template>

<style scoped>
.path {
  display: block;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.3;
}
.edge {
  fill: none;
  stroke: var(--sheet);
  stroke-width: 1;
}
.edge.blank {
  stroke: var(--ink-3);
  stroke-dasharray: 3 3;
}
.border {
  stroke: var(--hair);
}
.post {
  fill: var(--sheet);
  stroke: var(--ink);
}
.selected {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.4;
}
text {
  font: 12px var(--font-sans);
  fill: var(--ink-2);
}
</style>
