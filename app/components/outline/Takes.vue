<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import { isPressed, useActions } from '~/actions/registry';
import type { PassageView } from '~/components/evidence/place';
import { useCourse } from '~/stores/course';
import { useSession } from '~/stores/session';
import { lyingTakeWords, rowTakeWords } from '~/words/takes';
import { isArrangement, layTakes, takeRow, takesOfRow } from '~~/core/course/arranging';
import type { Take } from '~~/core/course/course';
import { apply } from '~~/core/course/operations';

/**
 * Other takes of a row, in its columns right below it: those that lie beside it, and those that the sources give. One
 * that is taken changes places with what stands; they stay until they are thrown away.
 */
const { row, title } = defineProps<{ row: string; title: string }>();
const emit = defineEmits<{ close: [] }>();
const desk = useCourse();
const session = useSession();
type Offer = AnswerOf<'GET /api/courses/:course/rows/:row/takes'>[number];
const offers = shallowRef<Offer[]>();
const failed = ref(false);
const box = ref<HTMLElement | null>(null);
/** Words of passages that come or go with another cut. */
const passages = shallowRef(new Map<string, PassageView>());
async function load() {
  failed.value = false;
  const found = await api('GET /api/courses/:course/rows/:row/takes', { course: desk.course!.id, row }).catch(
    () => undefined,
  );
  failed.value = found === undefined;
  offers.value = found ?? [];
}
onMounted(async () => {
  box.value?.focus();
  await desk.settleAll();
  await load();
  await step(0);
  box.value?.scrollIntoView({ block: 'nearest' });
});

interface Entry {
  take: Take;
  /** Not in the course yet: the sources give it. */
  offered: boolean;
  name: string;
  minutes?: number;
}
const entries = computed((): Entry[] => {
  const course = desk.course!;
  const says = new Map((offers.value ?? []).map((offer) => [offer.id, offer.says]));
  const made = { at: Date.now(), by: (session.person?.name ?? '').slice(0, 80), why: 'draft' as const };
  const lying = takesOfRow(course, row).map((take): Entry => {
    const known = says.get(take.id);
    const name = take.name ?? (known && take.made.why === 'draft' ? rowTakeWords(known) : lyingTakeWords(take));
    return { take, offered: false, name };
  });
  const fresh = (offers.value ?? []).map(({ id, of, field, value }): Take => ({ id, of, field, value, made }));
  const laid = layTakes(course, fresh).map((operation) => (operation.type === 'insert' ? operation.node.id : ''));
  return [
    ...lying,
    ...fresh
      .filter(({ id }) => laid.includes(id))
      .map((take): Entry => ({
        take,
        offered: true,
        name: rowTakeWords(says.get(take.id)!),
        minutes: says.get(take.id)!.minutes,
      })),
  ];
});
const at = ref(0);
const focused = computed(() => entries.value[Math.min(at.value, entries.value.length - 1)]);
async function step(by: number) {
  at.value = Math.max(0, Math.min(entries.value.length - 1, at.value + by));
  await nextTick();
  (box.value?.querySelector<HTMLElement>(`[data-take="${at.value}"]`) ?? box.value)?.focus();
}
/** The course with a take in it, and the operations that put it there where it was only offered. */
function laying({ take, offered }: Entry) {
  desk.flushTyping();
  const operations = offered ? layTakes(desk.course!, [take]) : [];
  const course = operations.reduce((now, operation) => {
    const done = apply(now, operation);
    return done.ok ? done.course : now;
  }, desk.course!);
  return { course, operations };
}
async function take(entry: Entry | undefined) {
  if (!entry) return;
  const { course, operations } = laying(entry);
  const now = course.takes.find(({ id }) => id === entry.take.id);
  if (now && desk.change(`other take of “${title}”`, [...operations, ...takeRow(course, now)])) await step(0);
}
async function drop(entry: Entry | undefined) {
  if (!entry) return;
  const { operations } = laying(entry);
  if (desk.change('take thrown away', [...operations, { type: 'remove', id: entry.take.id }])) await step(0);
}

/** What comes and goes with another cut of a lesson's matter. */
function cut({ field, value }: Take): { more: string[]; less: string[]; order: boolean } {
  if (field !== 'plannedPassages') return { more: [], less: [], order: false };
  const now = desk.lessons.find(({ id }) => id === row)?.plannedPassages ?? [];
  const ids = value as string[];
  const more = ids.filter((id) => !now.includes(id));
  const less = now.filter((id) => !ids.includes(id));
  return { more, less, order: more.length + less.length === 0 };
}
const needed = computed(() => [
  ...new Set(entries.value.flatMap(({ take: each }) => [...cut(each).more.slice(0, 3), ...cut(each).less.slice(0, 3)])),
]);
watch(needed, async (ids) => {
  const missing = ids.filter((id) => !passages.value.has(id)).slice(0, 40);
  if (missing.length === 0) return;
  const found = await api('GET /api/courses/:course/passages', {
    course: desk.course!.id,
    query: { ids: missing },
  }).catch(() => []);
  passages.value = new Map([...passages.value, ...found.map((view) => [view.passage.id, view] as const)]);
});
const begins = (id: string) => {
  const words = passages.value.get(id)?.passage.text ?? '…';
  return words.length > 80 ? `${words.slice(0, 80).replace(/\s\S*$/, '')} …` : words;
};
/** The lessons of another arrangement, module by module. */
function arranged({ value }: Take): { title: string; lessons: string }[] {
  const titles = new Map(desk.lessons.map((lesson) => [lesson.id, lesson.title]));
  return (value as { modules: { title: string; lessons: string[] }[] }).modules.map((module) => ({
    title: module.title,
    lessons: module.lessons.flatMap((id) => titles.get(id) ?? []).join(', '),
  }));
}
function keys(event: KeyboardEvent) {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
  if (by !== undefined && !event.altKey) {
    event.preventDefault();
    void step(by);
  } else if (event.key === 'Enter' && !isPressed(event.target as Element)) {
    event.preventDefault();
    void take(focused.value);
  } else if (event.key === 'Escape') {
    event.preventDefault();
    emit('close');
  }
}
const may = () => desk.mayEdit && focused.value !== undefined;
useActions([
  {
    id: 't-take',
    label: 'Take it',
    key: 'T',
    within: 'takes',
    area: 'Other takes',
    when: may,
    run: () => void take(focused.value),
  },
  {
    id: 't-drop',
    label: 'Throw the take away',
    key: 'Delete',
    within: 'takes',
    area: 'Other takes',
    when: may,
    run: () => void drop(focused.value),
  },
]);
</script>

<template>
  <div ref="box" class="takes" role="gridcell" aria-colspan="5" data-keys="takes" tabindex="-1" @keydown="keys">
    <p class="head small">
      <b>Other takes of “{{ title }}”</b>
      <span v-if="failed" class="decide"
        >The sources could not be looked at. <button type="button" class="link" @click="load">Look again</button></span
      ><span v-else-if="!offers" class="quiet">Looking</span
      ><span v-else-if="!entries.length" class="quiet">The sources give none that differs.</span
      ><span v-else class="quiet"
        ><kbd>T</kbd> takes it, <kbd>Del</kbd> throws it away; what stood here stays beside it</span
      ><button type="button" class="link" @click="emit('close')">Close</button>
    </p>
    <div
      v-for="(entry, nth) in entries"
      :key="entry.take.id"
      class="take"
      role="group"
      :aria-label="entry.name"
      :data-take="nth"
      :tabindex="entry === focused ? 0 : -1"
      @focus="at = nth"
    >
      <div>
        <p v-if="entry.take.field === 'title'">{{ entry.take.value }}</p>
        <p class="small quiet">{{ entry.name }}</p>
      </div>
      <div class="small">
        <p v-if="entry.take.field === 'text'" class="aim">{{ entry.take.value }}</p>
        <template v-if="entry.take.field === 'plannedPassages'">
          <p v-for="id in cut(entry.take).more.slice(0, 3)" :key="id">+ {{ begins(id) }}</p>
          <p v-for="id in cut(entry.take).less.slice(0, 3)" :key="id" class="less">− {{ begins(id) }}</p>
          <p v-if="cut(entry.take).order" class="quiet">the same, in another order</p>
        </template>
        <template v-if="isArrangement(entry.take)">
          <p v-for="module in arranged(entry.take)" :key="module.title">
            <b>{{ module.title }}</b>: {{ module.lessons }}
          </p>
        </template>
      </div>
      <span class="number">{{ entry.minutes }}</span>
      <span class="do"
        ><button type="button" class="link" tabindex="-1" @click="take(entry)">take it</button
        ><button type="button" class="link" tabindex="-1" @click="drop(entry)">throw away</button></span
      >
    </div>
  </div>
</template>

<style scoped>
.takes {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: subgrid;
  margin: 4px 0 2px;
  background: var(--sheet);
  border-top: 1px dashed var(--hair);
}
.head {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  column-gap: 12px;
  padding: 5px 0 3px 38px;
}
.head .link {
  margin-left: auto;
}
.take {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: subgrid;
  padding: 4px 0;
  border-top: 1px solid var(--hair);
}
.take > :first-child {
  padding-left: 38px;
}
.take:focus {
  outline: 1.5px solid var(--sky);
  outline-offset: -1.5px;
}
.aim {
  font-size: 13.5px;
}
.less {
  color: var(--ink-2);
}
.do {
  grid-column: 4 / -1;
  display: flex;
  flex-wrap: wrap;
  column-gap: 12px;
  font-size: 13.5px;
}
</style>
