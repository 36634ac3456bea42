<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { useBeside } from '~/stores/beside';
import { useCourse } from '~/stores/course';
import type { BesideRow } from '~~/core/course/beside';

/** Another outline beside the author's own, row by row: what is the same, and what either has alone. */
const current = defineModel<number>('current', { required: true });
const desk = useCourse();
const beside = useBeside();
const body = ref<HTMLElement | null>(null);
const SIGNS = {
  same: { sign: '=', words: 'in the same words in both' },
  alike: { sign: '≈', words: 'about the same in both' },
  mine: { sign: '', words: 'in mine alone' },
  other: { sign: '', words: 'not in mine' },
};
const own = computed(() => {
  const texts = new Map(desk.course!.objectives.map(({ id, text }) => [id, text]));
  return new Map(
    desk.course!.modules.flatMap((module) => [
      [module.id, { title: module.title, can: module.purpose }] as const,
      ...module.lessons.map(
        (lesson) => [lesson.id, { title: lesson.title, can: texts.get(lesson.objectiveIds[0] ?? '') ?? '' }] as const,
      ),
    ]),
  );
});
const minutesOf = (row: BesideRow) => {
  if (!row.other) return '';
  if (row.kind === 'lesson') return Math.round((beside.other!.minutes[row.other] ?? 0) * 10) / 10 || '';
  const module = beside.other!.nodes.modules.find(({ id }) => id === row.other);
  return Math.round((module?.lessons ?? []).reduce((sum, { id }) => sum + (beside.other!.minutes[id] ?? 0), 0)) || '';
};
/** "Lending policy: Returns, Fees": the first source, and how many more. */
function standsOn({ other = '' }: BesideRow): string {
  const places = beside.other!.stands?.[other]?.places ?? [];
  const [first] = places;
  return first
    ? `${first.source}${first.headings.length > 0 ? `: ${first.headings.slice(0, 2).join(', ')}` : ''}${places.length > 1 ? ` and ${places.length - 1} more` : ''}`
    : '';
}
const row = computed(() => beside.rows[current.value]);
async function go(to: number) {
  current.value = Math.max(0, Math.min(beside.rows.length - 1, to));
  await nextTick();
  body.value?.querySelector<HTMLElement>(`[data-at="${current.value}"]`)?.focus();
}
/** After a pull the row is in both: the hand stays where it is. */
async function pulled(ids: readonly string[]) {
  if (beside.pull(ids)) await go(current.value);
}
function pull({ kind, other, mine }: BesideRow | { kind?: never; other?: never; mine?: never } = {}) {
  if (!other) return;
  if (kind === 'lesson') return void (mine || pulled([other]));
  // A module that both have gives the lessons that are missing; one that is missing comes alone, with Shift whole.
  void pulled(mine ? lacking(other) : [other]);
}
const have = computed(() => new Set(beside.rows.flatMap(({ mine, other }) => (mine && other ? [other] : []))));
const lacking = (module: string) =>
  (beside.other!.nodes.modules.find(({ id }) => id === module)?.lessons ?? [])
    .map(({ id }) => id)
    .filter((id) => !have.value.has(id));
function pullModule() {
  const { other } = row.value ?? {};
  if (!other) return;
  const module = beside.other!.nodes.modules.find(
    ({ id, lessons }) => id === other || lessons.some((lesson) => lesson.id === other),
  );
  if (module) void pulled([...(have.value.has(module.id) ? [] : [module.id]), ...lacking(module.id)]);
}
const lack = computed(() => beside.rows.flatMap(({ mine, other }) => (mine || !other ? [] : [other])));
function keys(event: KeyboardEvent) {
  const by = { ArrowUp: -1, ArrowDown: 1, Home: -beside.rows.length, End: beside.rows.length }[event.key];
  if (by === undefined || event.altKey || event.ctrlKey) return;
  event.preventDefault();
  void go(current.value + by);
}
const editing = () => desk.mayEdit;
const area = 'Side by side';
useActions([
  {
    id: 'b-pull',
    label: 'Pull this row',
    key: 'P',
    within: 'beside',
    area,
    when: () => editing() && row.value?.other !== undefined && row.value.mine === undefined,
    run: () => pull(row.value),
  },
  {
    id: 'b-module',
    label: 'Pull it with its module',
    key: 'M',
    within: 'beside',
    area,
    when: editing,
    run: pullModule,
  },
  {
    id: 'b-words',
    label: 'Take its title and objective',
    key: 'T',
    within: 'beside',
    area,
    when: () => editing() && row.value?.fit === 'alike',
    run: () => void (row.value && beside.takeWords(row.value)),
  },
  {
    id: 'b-all',
    label: 'Pull all that I lack',
    key: 'A',
    within: 'beside',
    area,
    when: () => editing() && lack.value.length > 0,
    run: () => void pulled(lack.value),
  },
  {
    id: 'b-take',
    label: 'Take it in place of mine',
    key: 'Alt+Enter',
    area,
    when: editing,
    run: () => void beside.takeAll(),
  },
  {
    id: 'b-here',
    label: 'Pull behind this row of mine',
    key: 'H',
    within: 'beside',
    area,
    when: () => editing() && row.value?.mine !== undefined,
    run: () => void (beside.place = beside.place === row.value!.mine ? undefined : row.value!.mine),
  },
  { id: 'b-done', label: 'Done comparing', key: 'Escape', within: 'beside', area, run: beside.leave },
]);
onMounted(() => void go(current.value));
</script>

<template>
  <div ref="body" class="beside" data-keys="beside" @keydown="keys">
    <div role="grid" :aria-label="`Mine and ${beside.other!.name}`" aria-readonly="true">
      <div class="names" role="row">
        <span role="columnheader">Mine</span><span role="columnheader"><span class="sr-only">Both</span></span
        ><span role="columnheader" class="called">{{ beside.other!.name }}</span
        ><span role="columnheader" class="number">Min</span><span role="columnheader">Stands on</span>
      </div>
      <div
        v-for="(each, at) in beside.rows"
        :key="`${each.mine ?? ''} ${each.other ?? ''}`"
        role="row"
        class="row"
        :class="[each.kind, { current: at === current }]"
        :data-at="at"
        :data-fit="each.fit"
        :tabindex="at === current ? 0 : -1"
        :aria-selected="at === current"
        @focus="current = at"
        @click="go(at)"
      >
        <span role="gridcell" class="side">
          <template v-if="each.mine"
            ><strong>{{ own.get(each.mine)?.title }}</strong
            ><span v-if="each.mine === beside.place" class="small place">rows are pulled behind this</span
            ><span class="can">{{ own.get(each.mine)?.can }}</span></template
          ><em v-else class="quiet">not in mine</em>
        </span>
        <span role="gridcell" class="sign">
          <template v-if="each.mine"
            ><span :title="SIGNS[each.fit].words" aria-hidden="true">{{ SIGNS[each.fit].sign }}</span
            ><span class="sr-only">{{ SIGNS[each.fit].words }}{{ each.elsewhere ? ', in another module' : '' }}</span
            ><span v-if="each.elsewhere" class="small quiet" aria-hidden="true">elsewhere</span
            ><button
              v-if="each.fit === 'alike' && at === current && desk.mayEdit"
              type="button"
              class="link small"
              tabindex="-1"
              @click.stop="beside.takeWords(each)"
            >
              words <kbd>T</kbd>
            </button></template
          ><UButton
            v-else-if="desk.mayEdit"
            size="xs"
            :color="at === current ? 'primary' : 'neutral'"
            :variant="at === current ? 'solid' : 'outline'"
            tabindex="-1"
            :aria-label="`Pull ${beside.nodes.get(each.other!)?.title}`"
            @click.stop="
              current = at;
              pull(each);
            "
            >pull <kbd v-if="at === current">P</kbd></UButton
          >
        </span>
        <span role="gridcell" class="side">
          <template v-if="each.other"
            ><strong>{{ beside.nodes.get(each.other)?.title }}</strong
            ><span class="can">{{ beside.nodes.get(each.other)?.can }}</span></template
          ><em v-else class="quiet">{{ beside.other!.kind === 'drafted' ? 'not drafted' : 'not in it' }}</em>
        </span>
        <span role="gridcell" class="number">{{ minutesOf(each) }}</span>
        <span role="gridcell" class="stands">{{ standsOn(each) }}</span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.beside {
  flex: 1;
  min-width: 0;
  overflow-y: auto;
  --columns: minmax(150px, 1fr) 92px minmax(150px, 1.1fr) 40px minmax(90px, 150px);
}
.names,
.row {
  display: grid;
  grid-template-columns: var(--columns);
  column-gap: 10px;
  padding: 5px 10px 5px 15px;
  border-bottom: 1px solid var(--hair);
}
.names {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--sheet);
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-2);
}
.called {
  overflow-wrap: anywhere;
}
.row {
  padding-block: 7px;
  border-left: 3px solid transparent;
  padding-left: 12px;
  cursor: default;
}
.row.module {
  background: var(--paper);
}
.row.current {
  background: var(--moss-faint);
  border-left-color: var(--moss);
}
.row:focus-visible {
  outline: 1.5px solid var(--sky);
  outline-offset: -2px;
}
.side {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.side strong {
  font-weight: 600;
}
.place {
  border-bottom: 2px solid var(--moss);
  color: var(--ink-2);
}
.module .side strong {
  font-weight: 700;
}
.can {
  color: var(--ink-2);
  font-size: 13.5px;
}
.sign {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 2px;
}
.stands {
  color: var(--ink-2);
  font-size: 13px;
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 3;
  -webkit-box-orient: vertical;
}
kbd {
  background: transparent;
  border-color: currentColor;
  color: inherit;
}
@media (max-width: 700px) {
  .beside {
    --columns: minmax(0, 1fr) 70px minmax(0, 1fr);
  }
  .number,
  .stands,
  .names > :nth-child(n + 4) {
    display: none;
  }
}
</style>
