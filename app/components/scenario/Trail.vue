<script setup lang="ts">
import type { ScenarioCheck } from '~~/core/checks/scenario/form';
import { walk } from '~~/core/checks/scenario/walk';
import { trailOf } from '~/checks/scenario/trail';
import { signed } from '~/checks/scenario/words';

/** The ways through a story, drawn: the best one thick, ways back round below, what is to mend in the signal colour. */
const props = defineProps<{
  check: ScenarioCheck;
  flawed: ReadonlySet<string>;
  chosen?: Readonly<Record<string, number>>;
}>();
const at = defineModel<string | null>('at', { required: true });
const trail = computed(() => trailOf(props.check.scenes, walk(props.check.scenes)));
const emit = defineEmits<{ go: [scene: string] }>();
const pane = ref<HTMLElement | null>(null);
/** Arrows go from scene to scene, Enter into its script. */
function key(event: KeyboardEvent) {
  const { scenes } = props.check;
  const now = scenes.findIndex(({ id }) => id === at.value);
  if (event.key === 'Enter' && now >= 0) emit('go', scenes[now]!.id);
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  at.value = scenes[Math.min(scenes.length - 1, Math.max(0, now + by))]!.id;
}
watch(at, async () => {
  await nextTick();
  pane.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
});
</script>

<template>
  <div ref="pane" class="trail" tabindex="0" aria-label="The ways through the scenario" role="group" @keydown="key">
    <p v-if="chosen" class="legend small"><span class="by">1</span> learners who chose it</p>
    <svg :width="trail.width" :height="trail.height" :viewBox="`0 0 ${trail.width} ${trail.height}`">
      <g v-for="line in trail.lines" :key="line.id" :class="[line.kind, { flawed: flawed.has(line.id) }]">
        <path :d="line.path" />
        <text :x="line.at.x" :y="line.at.y - 5" text-anchor="middle">
          {{ signed(line.score) }}
          <tspan v-if="chosen" class="by" dx="6">{{ chosen[line.id] ?? 0 }}</tspan>
        </text>
      </g>
      <g
        v-for="point in trail.points"
        :key="point.id"
        class="point"
        :class="[point.kind, { here: point.id === at, best: point.onBest, flawed: flawed.has(point.id) }]"
        @click="emit('go', point.scene)"
      >
        <rect :x="point.x - 12" :y="point.y - 12" width="24" height="24" />
        <circle :cx="point.x" :cy="point.y" :r="point.kind === 'scene' ? 6.5 : 5" />
        <text v-if="point.label" :x="point.x" :y="point.y - 12" text-anchor="middle">
          {{ point.label.length > 24 ? `${point.label.slice(0, 23)}…` : point.label }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.legend {
  position: absolute;
  margin: 8px 18px;
  color: var(--ink-2);
}
.legend .by {
  color: var(--sky);
}
.trail {
  position: relative;
  overflow: auto;
  max-height: 236px;
  background: var(--paper);
  border-bottom: 1px solid var(--hair);
  flex: none;
}
svg {
  display: block;
  margin: 0 auto;
}
path {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.3;
}
.way path {
  stroke-dasharray: 5 4;
}
.best path {
  stroke: var(--moss);
  stroke-width: 4;
}
.flawed path {
  stroke: var(--rust);
}
text {
  font-size: 12px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
g:not(.point) text {
  fill: var(--ink-2);
  font-size: 11px;
}
.by {
  font-weight: 700;
  fill: var(--sky);
}
.point {
  cursor: pointer;
}
.point rect {
  fill: transparent;
}
circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.end circle {
  fill: var(--ink-2);
  stroke: none;
}
.best circle {
  stroke: var(--moss);
}
.end.best circle {
  fill: var(--moss);
}
.here circle {
  fill: var(--moss);
  stroke: var(--moss);
  stroke-width: 4;
}
.point.flawed circle {
  stroke: var(--rust);
  stroke-width: 2.4;
}
.here text {
  font-weight: 700;
}
</style>
