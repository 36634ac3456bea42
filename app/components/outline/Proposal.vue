<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useProposal } from '~/stores/proposal';
import { counted } from '~/words/states';
import { byTopic, isHarmless, kindsTogether, kindWords, reasonWords } from '~~/core/course/left-out-words';
import { noticeWords } from '~/words/notices';

/** A drafted outline beside the one that stands: to be taken or left. */
const desk = useCourse();
const proposal = useProposal();
const made = computed(() => proposal.made!);
const lessons = computed(() => made.value.nodes.modules.reduce((sum, module) => sum + module.lessons.length, 0));
const have = computed(() => new Set(desk.lessons.map((lesson) => lesson.id)));
const missed = computed(() => made.value.leftOut.filter((line) => !isHarmless(line.reason)));
const harmless = computed(() => made.value.leftOut.filter((line) => isHarmless(line.reason)));
const all = ref(false);
const reasonsOf = (lines: typeof missed.value) =>
  [...new Set(lines.map((line) => reasonWords(line.reason)))].join('; ');
/** Minutes of a long course in hours. */
const long = (value: number) => (value > 100 ? `${Math.round(value / 6) / 10} h` : `${Math.round(value)} min`);
const minutes = computed(() => Math.round(Object.values(made.value.minutes).reduce((sum, each) => sum + each, 0)));
useActions([
  { id: 'p-take', label: 'Take the drafted outline', key: 'Alt+Enter', area: 'Drafted outline', run: proposal.take },
  {
    id: 'p-leave',
    label: 'Leave mine',
    key: 'Escape',
    within: 'proposal',
    area: 'Drafted outline',
    run: proposal.leave,
  },
]);
const box = ref<HTMLElement | null>(null);
onMounted(() => box.value?.focus());
</script>

<template>
  <aside ref="box" class="proposal" tabindex="-1" data-keys="proposal" aria-label="Drafted outline">
    <h2>Drafted outline</h2>
    <p class="small quiet">
      {{ counted(made.nodes.modules.length, ['module', 'modules']) }}, {{ counted(lessons, ['lesson', 'lessons']) }},
      about {{ long(minutes)
      }}{{
        desk.course!.brief.size.minutes
          ? ` of ${desk.course!.brief.size.minutes} min asked; all the sources hold would take ${long(made.full)}`
          : ', everything the sources hold'
      }}
    </p>
    <p class="do">
      <UButton @click="proposal.take">Take it <kbd>Alt ↵</kbd></UButton
      ><UButton color="neutral" variant="outline" @click="proposal.leave">Leave mine</UButton>
    </p>
    <p v-if="desk.lessons.length" class="small quiet">
      Lessons you have already keep their words and state. What this outline does not have goes to the bin; undo brings
      it back.
    </p>
    <p v-for="notice in made.notices" :key="notice.code + String(notice.parameters?.title)" class="small decide">
      {{ noticeWords(notice) }}
    </p>
    <ol class="modules">
      <li v-for="module in made.nodes.modules" :key="module.id">
        <strong>{{ module.title }}</strong>
        <ol>
          <li v-for="lesson in module.lessons" :key="lesson.id">
            <span>{{ lesson.title }}<em v-if="desk.lessons.length && !have.has(lesson.id)"> new</em></span
            ><span class="mono">{{ made.minutes[lesson.id] ?? '' }}</span>
          </li>
        </ol>
      </li>
    </ol>
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
  </aside>
</template>

<style scoped>
.proposal {
  overflow-y: auto;
  padding: 12px 16px;
  background: var(--paper);
  border-left: 1px solid var(--hair);
}
.proposal:focus {
  outline: none;
}
em {
  color: var(--moss);
  font-style: normal;
  font-weight: 600;
  font-size: 13px;
}
h2 {
  font-size: 16px;
}
h3 {
  font-size: 14px;
  margin: 14px 0 2px;
}
.do {
  display: flex;
  gap: 8px;
  margin: 10px 0;
}
.do kbd {
  background: transparent;
  border-color: currentColor;
  color: inherit;
}
.modules > li {
  margin-top: 10px;
}
.modules ol li,
.left li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 2px 0 2px 10px;
  font-size: 14px;
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
  flex-direction: column;
  gap: 0;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
