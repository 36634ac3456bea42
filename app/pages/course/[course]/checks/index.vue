<script setup lang="ts">
import { checkIn, checksOn } from '~~/core/blocks/forms';
import { placedChecks } from '~~/core/course/course';
import { offersOf, refusedIn } from '~~/core/course/offers';
import { placeWhereTaught } from '~~/core/course/placing';
import { checkFormOf, type Check } from '~~/core/checks/forms';
import { useActions } from '~/actions/registry';
import { staying } from '~/composables/staying';
import { freshId } from '~/composables/useApi';
import { useQuestionFiles } from '~/composables/useQuestionFiles';
import { useCourse } from '~/stores/course';
import { useFlaws } from '~/stores/flaws';
import { useStale } from '~/stores/stale';
import { becauseOf } from '~/words/asking';
import { counted } from '~/words/states';

/** All questions of the course: those that stand in lessons, and offers to be taken or refused. */
const desk = useCourse();
const stale = useStale();
const flaws = useFlaws();
const what = ref<'offers' | 'placed' | 'mend' | 'refused'>('offers');
const current = ref<string | null>(null);
const offers = computed(() =>
  offersOf(desk.course!).toSorted((a, b) => (b.drafted?.score ?? 1) - (a.drafted?.score ?? 1)),
);
const refused = computed(() => refusedIn(desk.course!));
const standing = computed(() => placedChecks(desk.course!));
/** Those in lessons that something is wrong with. */
const flawed = computed(() =>
  standing.value.filter(({ id }) => flaws.of(id).some(({ code }) => code !== 'no-evidence')),
);
const tabs = computed(() => [
  { value: 'offers' as const, label: `Offers ${offers.value.length}` },
  { value: 'placed' as const, label: `In lessons ${standing.value.length}` },
  { value: 'mend' as const, label: `To mend ${flawed.value.length}` },
  { value: 'refused' as const, label: `Refused ${refused.value.length}` },
]);
const list = computed(
  () => ({ offers: offers.value, placed: standing.value, mend: flawed.value, refused: refused.value })[what.value],
);
const lessonOf = (check: Check) =>
  desk.lessons.find((lesson) => checksOn(lesson).includes(check.id)) ??
  desk.lessons.find((lesson) => lesson.id === check.lessonId);
const bring = ref<{ paste: () => void; look: () => void } | null>(null);
const { saveQuestions } = useQuestionFiles();
/** QTI has no item for a story or a task: what stays behind is said where it is saved. */
const save = computed(() => {
  const without = standing.value.some((check) => checkFormOf(check).standsAlone) ? ', without scenarios and tasks' : '';
  return [
    [
      { label: `QTI 3.0${without}`, onSelect: () => void saveQuestions('qti30') },
      { label: `QTI 2.1${without}`, onSelect: () => void saveQuestions('qti21') },
    ],
  ];
});
const EMPTY = {
  offers: {
    title: 'No offers',
    says: 'Questions are drafted together with lessons. Only those that are likely to be good are offered; fewer than asked is normal.',
  },
  placed: { title: 'No checks yet', says: 'Take an offer, or write a question in a lesson.' },
  refused: { title: 'Nothing refused', says: 'What you refuse is kept here, with why, and is not offered again.' },
  mend: { title: 'Nothing to mend', says: 'No check in a lesson has a flaw that can be told from its words.' },
};
watch(
  list,
  (now) => {
    if (!now.some((check) => check.id === current.value)) current.value = now[0]?.id ?? null;
  },
  { immediate: true },
);

function place(check: Check | undefined) {
  if (!check) return;
  desk.change('check taken', placeWhereTaught(desk.course!, [check], freshId));
}
function unplace(check: Check) {
  const lesson = lessonOf(check);
  const block = lesson?.blocks.find((each) => checkIn(each) === check.id);
  if (block) desk.change('check taken out of the lesson', [{ type: 'remove', id: block.id }]);
}
/** The offer whose reasons are shown. */
const refusing = ref<string | null>(null);
const wishing = reactive({ wanted: false, open: false });
function wish() {
  wishing.wanted = true;
  wishing.open = true;
}
function step(by: number) {
  const at = list.value.findIndex((check) => check.id === current.value);
  current.value = list.value[Math.min(list.value.length - 1, Math.max(0, at + by))]?.id ?? null;
  void nextTick(() => document.querySelector<HTMLElement>(`[data-card="${current.value}"]`)?.focus());
}
const at = () => list.value.find((check) => check.id === current.value);
useActions([
  {
    id: 'c-bring',
    label: 'Bring questions from elsewhere',
    key: 'Alt+Shift+I',
    area: 'Checks',
    when: () => desk.mayEdit,
    run: () => bring.value?.paste(),
  },
  {
    id: 'c-more',
    label: 'More questions',
    key: 'Alt+Shift+W',
    area: 'Checks',
    when: () => desk.mayEdit,
    run: wish,
  },
  {
    id: 'c-pool',
    label: 'Take questions of my other courses',
    key: 'Alt+Shift+K',
    area: 'Checks',
    when: () => desk.mayEdit,
    run: () => bring.value?.look(),
  },
  { id: 'c-next', label: 'Next check', key: 'ArrowDown', within: 'checks', area: 'Checks', run: () => step(1) },
  { id: 'c-before', label: 'Check before', key: 'ArrowUp', within: 'checks', area: 'Checks', run: () => step(-1) },
  {
    id: 'c-take',
    label: 'Take the offer',
    key: 'T',
    within: 'checks',
    area: 'Checks',
    when: () => desk.mayEdit && what.value === 'offers',
    run: () => place(at()),
  },
  {
    id: 'c-refuse',
    label: 'Refuse the offer',
    key: 'R',
    within: 'checks',
    area: 'Checks',
    when: () => desk.mayEdit && what.value === 'offers',
    run: () => void (refusing.value = current.value),
  },
]);
</script>

<template>
  <div class="checks">
    <div class="head">
      <h1>Checks</h1>
      <FieldTabs v-model="what" :items="tabs" />
      <div class="end">
        <UDropdownMenu v-if="standing.length" :items="save" :content="staying"
          ><UButton size="sm" color="neutral" variant="outline">Save as</UButton></UDropdownMenu
        ><CheckBring v-if="desk.mayEdit" ref="bring" /><UButton v-if="desk.mayEdit" size="sm" @click="wish"
          >More questions</UButton
        >
      </div>
    </div>
    <div v-if="list.length" class="list" data-keys="checks">
      <p class="small quiet">
        {{
          what === 'offers'
            ? 'Drafted from your sources or brought in, best first, and in no lesson yet.'
            : what === 'placed'
              ? `${counted(standing.length, ['check', 'checks'])}, in the order of the lessons.`
              : what === 'refused'
                ? 'Kept, not offered again, and not seen by learners.'
                : 'Checks in lessons that learners could see through, or misread; each says what mends it.'
        }}
        <template v-if="what === 'offers' && desk.mayEdit"
          ><kbd>↑↓</kbd> go through, <kbd>T</kbd> take, <kbd>R</kbd> refuse.</template
        >
      </p>
      <article
        v-for="check in list"
        :key="check.id"
        :data-card="check.id"
        tabindex="0"
        :class="{ current: check.id === current }"
        @focusin="current = check.id"
      >
        <CheckCard :check="check" />
        <CheckRefused v-if="what === 'refused'" :check="check" />
        <div class="about small">
          <NuxtLink
            v-if="lessonOf(check)"
            class="link"
            :to="`/course/${desk.course!.id}/lessons/${lessonOf(check)!.id}`"
            >{{ lessonOf(check)!.title }}</NuxtLink><span class="quiet">{{ becauseOf(check) }}</span
          ><span v-if="check.evidence.some((range) => stale.ids.has(range.id))" class="decide"
            >The source says this differently now.</span
          >
          <span v-if="desk.mayEdit" class="do"
            ><template v-if="what === 'offers'"
              ><UButton size="sm" @click="place(check)">Take</UButton
              ><CheckRefuse
                :check="check"
                :open="refusing === check.id"
                @update:open="refusing = $event ? check.id : null" /></template
            ><UButton v-else-if="what !== 'refused'" size="sm" color="neutral" variant="outline" @click="unplace(check)"
              >Take out</UButton
            ></span
          >
        </div>
      </article>
    </div>
    <LazyCheckWishDialog v-if="wishing.wanted" v-model:open="wishing.open" />
    <div v-if="list.length === 0" class="empty">
      <h2>{{ EMPTY[what].title }}</h2>
      <p>
        {{ EMPTY[what].says }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.checks {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.list {
  overflow-y: auto;
  padding: 12px 18px 40px;
}
article {
  max-width: 820px;
  padding: 14px 12px;
  border-bottom: 1px solid var(--hair);
  border-left: 3px solid transparent;
}
article.current {
  border-left-color: var(--moss);
  background: var(--moss-faint);
}
.about {
  display: flex;
  align-items: center;
  gap: 14px;
}
.about .link {
  display: inline-flex;
  align-items: center;
  min-height: 24px;
}
.do {
  margin-left: auto;
  display: flex;
  gap: 8px;
}
</style>
