<script setup lang="ts">
import { useBeside } from '~/stores/beside';
import { useCourse } from '~/stores/course';
import { noticeWords } from '~/words/notices';
import { counted } from '~/words/states';
import { byTopic, isHarmless, kindsTogether, kindWords, reasonWords } from '~~/core/course/left-out-words';

/** What the chosen row of two outlines stands on and where it would go, and what the other outline is as a whole. */
const props = defineProps<{ current: number }>();
const desk = useCourse();
const beside = useBeside();
const other = computed(() => beside.other!);
const row = computed(() => beside.rows[props.current]);
const chosen = computed(() => beside.nodes.get(row.value?.other ?? ''));
const stands = computed(() => other.value.stands?.[row.value?.other ?? '']);
const titles = computed(
  () =>
    new Map(
      desk.course!.modules.flatMap((module) => [
        [module.id, module.title] as const,
        ...module.lessons.map(({ id, title }) => [id, title] as const),
      ]),
    ),
);
const mine = computed(() => titles.value.get(row.value?.mine ?? '') ?? '');
/** The own row it would stand behind. */
const behind = computed(() => {
  if (!row.value || row.value.mine) return '';
  if (beside.place) return titles.value.get(beside.place) ?? '';
  const before = beside.rows.slice(0, props.current).findLast(({ mine }) => mine);
  return titles.value.get(before?.mine ?? '') ?? '';
});
/** Where pulled rows go: where they stand in the other, or behind a row pointed at. */
const THERE = 'there';
const place = computed({
  get: () => beside.place ?? THERE,
  set: (id) => void (beside.place = id === THERE ? undefined : id),
});
const places = computed(() => [
  { value: THERE, label: 'Each where it stands there' },
  ...[...titles.value].map(([value, title]) => ({ value, label: `Behind “${title}”` })),
]);
const made = computed(() => other.value.made);
const lessons = computed(() => other.value.nodes.modules.reduce((sum, module) => sum + module.lessons.length, 0));
const missed = computed(() => (made.value?.leftOut ?? []).filter((line) => !isHarmless(line.reason)));
const harmless = computed(() => (made.value?.leftOut ?? []).filter((line) => isHarmless(line.reason)));
const all = ref(false);
const reasonsOf = (lines: typeof missed.value) =>
  [...new Set(lines.map((line) => reasonWords(line.reason)))].join('; ');
/** Minutes of a long course in hours. */
const long = (value: number) => (value > 100 ? `${Math.round(value / 6) / 10} h` : `${Math.round(value)} min`);
const minutes = computed(() => Math.round(Object.values(other.value.minutes).reduce((sum, each) => sum + each, 0)));
const asked = computed(() => desk.course!.brief.size.minutes);
const WHERE = {
  same: 'the same in both',
  alike: 'worded otherwise in yours',
  mine: 'in yours alone',
  other: 'not in yours',
};
const open = computed(
  () => (other.value.nodes.answers ?? []).filter(({ lesson }) => lesson === row.value?.other).length,
);
</script>

<template>
  <aside class="pane" aria-label="About the row">
    <template v-if="row">
      <h2>{{ chosen?.title ?? mine }}</h2>
      <p class="small quiet">{{ WHERE[row.fit] }}{{ row.elsewhere ? ', in another module' : '' }}</p>
      <p v-if="behind" class="small">
        Goes behind <strong>{{ behind }}</strong>.
      </p>
      <p v-if="desk.mayEdit" class="small where">
        <FieldSelect v-model="place" :items="places" label="Where rows are pulled to" /> <kbd>H</kbd>
      </p>
      <p v-if="stands && Object.keys(stands.kinds).length" class="small">{{ kindWords(stands.kinds) }}</p>
      <p v-else-if="row.kind === 'lesson' && row.other && other.stands" class="small decide">
        Nothing in the sources{{ open ? `: ${counted(open, ['question', 'questions'])} to you instead` : '' }}.
      </p>
      <blockquote v-for="passage in stands?.first" :key="passage.id">
        <p>{{ passage.text }}</p>
      </blockquote>
      <p v-for="each in stands?.places" :key="each.source" class="small quiet">
        {{ [each.source, ...each.headings].join(' / ') }}
      </p>
    </template>
    <p class="small quiet keys">
      <kbd>↑ ↓</kbd> rows <kbd>P</kbd> pull <kbd>H</kbd> pull behind here <kbd>M</kbd> with its module <kbd>T</kbd> its
      words only <kbd>A</kbd> all that you lack
    </p>
    <section class="whole">
      <h3>{{ other.name }}</h3>
      <p class="small quiet">
        {{ counted(other.nodes.modules.length, ['module', 'modules']) }}, {{ counted(lessons, ['lesson', 'lessons']) }},
        about {{ long(minutes)
        }}{{
          made && asked && other.kind === 'drafted'
            ? ` of ${asked} min asked; all the sources hold would take ${long(made.full)}`
            : made && other.kind === 'drafted'
              ? ', everything the sources hold'
              : ''
        }}
      </p>
      <p v-for="notice in made?.notices" :key="notice.code + String(notice.parameters?.title)" class="small decide">
        {{ noticeWords(notice) }}
      </p>
      <p v-if="desk.mayEdit" class="take">
        <UButton color="neutral" variant="outline" @click="beside.takeAll()"
          >{{
            other.kind === 'version' ? 'Go back to it' : desk.lessons.length ? 'Take it in place of mine' : 'Take it'
          }}
          <kbd>Alt ↵</kbd></UButton
        >
      </p>
      <p v-if="desk.lessons.length && other.kind !== 'version'" class="small quiet">
        Lessons you have already keep their words and state. What it does not have goes to the bin; undo brings it back.
      </p>
      <template v-if="missed.length">
        <h3>Left out</h3>
        <p class="small decide">{{ kindWords(kindsTogether(missed)) }}</p>
        <details v-for="group in byTopic(missed)" :key="group.key" class="topic">
          <summary>
            <strong>{{ group.topic }}</strong>
            <span class="small quiet">{{ kindWords(group.kinds) }}: {{ reasonsOf(group.lines) }}</span>
          </summary>
          <ul class="left">
            <li v-for="(line, at) in group.lines" :key="at">
              <span class="said">{{ line.text }}</span>
            </li>
          </ul>
        </details>
        <p class="small quiet">Once it is taken, “What it holds” brings any of these back.</p>
      </template>
      <p v-if="harmless.length" class="small quiet">
        {{ counted(harmless.length, ['part', 'parts']) }} left out by name or said once.
        <button type="button" class="link" :aria-expanded="all" @click="all = !all">
          {{ all ? 'Fold' : 'Look through' }}
        </button>
      </p>
      <ul v-if="all" class="left">
        <li v-for="(line, at) in harmless" :key="at">
          <span class="small quiet">{{ reasonWords(line.reason) }}</span><span class="said">{{ line.text }}</span>
        </li>
      </ul>
    </section>
  </aside>
</template>

<style scoped>
.pane {
  overflow-y: auto;
  padding: 12px 16px;
  background: var(--paper);
  border-left: 1px solid var(--hair);
}
h2 {
  font-size: 16px;
}
h3 {
  font-size: 14px;
  margin: 14px 0 2px;
}
blockquote {
  border-left: 3px solid var(--sky);
  padding: 2px 0 2px 12px;
  margin: 8px 0;
  font-family: var(--font-read);
}
blockquote p {
  display: -webkit-box;
  -webkit-line-clamp: 5;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.keys {
  margin-top: 10px;
  line-height: 2;
}
.whole {
  border-top: 1px solid var(--hair);
  margin-top: 12px;
}
.take {
  margin: 8px 0;
}
.take kbd {
  background: transparent;
  border-color: currentColor;
  color: inherit;
}
summary strong {
  margin-right: 6px;
}
summary {
  cursor: pointer;
  padding: 4px 0;
  font-size: 14px;
}
.topic {
  border-bottom: 1px solid var(--hair);
}
.topic .left li:last-child {
  border-bottom: 0;
}
.said {
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.left li {
  display: flex;
  flex-direction: column;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
}
</style>
