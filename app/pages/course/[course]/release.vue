<script setup lang="ts">
import { hasForLearners } from '~~/core/course/quizzes';
import { addressOf } from '~/client';
import { PACKAGE_FORMATS, PACKAGES, type PackageFormat } from '~~/core/learning/packages';
import { checksOn } from '~~/core/blocks/forms';
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useReleases, type ReleaseLine } from '~/stores/releases';
import { useStale } from '~/stores/stale';
import { staleWords } from '~/words/sources';
import { ACCESS, COURSE_RULES, LESSON_RULES, MOVES, ORDERS, ruleLine, TRIES, type Access } from '~/words/releases';
import { itemsOf } from '~/words/items';
import { counted } from '~/words/states';

/** What learners get: the course as it stands, frozen; who may take it, and how it counts. */
const desk = useCourse();
const all = useReleases();
const { form } = useKeptForm('release', {
  note: '',
  access: 'people' as Access,
  lesson: 'answered' as keyof typeof LESSON_RULES,
  course: 'passed' as keyof typeof COURSE_RULES,
  percent: 80,
  order: 'free' as keyof typeof ORDERS,
  tries: '2' as (typeof TRIES)[number]['value'],
  move: 'stay' as keyof typeof MOVES,
});
const busy = ref(false);
const copied = ref(false);
watch(
  () => desk.course?.id,
  () => void all.load(),
  { immediate: true },
);
watch(
  () => desk.savedAt,
  () => void all.load(),
);

const blank = computed(() => desk.lessons.filter((lesson) => !hasForLearners(desk.course!, lesson)));
const filled = computed(() => desk.lessons.length - blank.value.length);
const open = computed(
  () => desk.lessons.filter((lesson) => lesson.blocks.length > 0 && lesson.state !== 'approved').length,
);
const checks = computed(() => new Set(desk.lessons.flatMap((lesson) => checksOn(lesson))).size);
const address = computed(() => (all.link ? `${window.location.origin}/learn/${all.link}` : ''));
/** An address that only this machine can open reaches nobody else. */
const local = computed(() => /^(?:localhost|127\.|\[::1\])/.test(window.location.hostname));
const stale = useStale();
watch(
  () => desk.course?.id,
  () => void stale.load(),
  { immediate: true },
);
const staleLessons = computed(() =>
  [...stale.lessons.entries()].filter(([id]) =>
    desk.lessons.some((lesson) => lesson.id === id && lesson.blocks.length > 0),
  ),
);
const shares = computed(() => form.value.lesson === 'passed' || form.value.course === 'passed');
const title = (id: string) => desk.lessons.find((lesson) => lesson.id === id)?.title ?? 'a deleted lesson';
const some = (ids: string[]) =>
  `${ids
    .slice(0, 4)
    .map((id) => `“${title(id)}”`)
    .join(', ')}${ids.length > 4 ? ` and ${ids.length - 4} more` : ''}`;
const changes = computed(() => {
  if (!all.meaning) return [];
  const { same, changed, added, gone } = all.meaning.lessons;
  return [
    ...(same.length ? [`${counted(same.length, ['lesson', 'lessons'])} as before`] : []),
    ...(changed.length ? [`${changed.length} changed: ${some(changed)}`] : []),
    ...(added.length ? [`${added.length} new: ${some(added)}`] : []),
    ...(gone.length ? [`${gone.length} no longer in it`] : []),
  ];
});

async function make() {
  if (busy.value) return;
  busy.value = true;
  const { access, lesson, course, percent, order, tries, move } = form.value;
  const made = await all.make({
    note: form.value.note,
    access,
    rules: { lesson, course, share: percent / 100, order, ...(Number(tries) > 0 && { tries: Number(tries) }) },
    move: move === 'move',
  });
  // The rules stay as they were chosen for the next release; what is new in it, and who goes on with it, is said anew.
  if (made) Object.assign(form.value, { note: '', move: 'stay' });
  busy.value = false;
}
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const state = (row: ReleaseLine) =>
  row.withdrawn_at !== null ? `withdrawn ${when(row.withdrawn_at)}` : ACCESS[row.access];
async function copy() {
  await navigator.clipboard.writeText(address.value);
  copied.value = true;
}
useActions([
  {
    id: 'r-make',
    label: 'Make available',
    key: 'Ctrl+Enter',
    area: 'Release',
    when: () => desk.mayEdit && filled.value > 0,
    run: () => void make(),
  },
]);
/** What somebody holds the course by. */
const roomAt = (as: 'deck' | 'docx' | 'txt') =>
  as === 'deck'
    ? addressOf('GET /api/courses/:course/deck', { course: desk.course!.id })
    : addressOf('GET /api/courses/:course/script', { course: desk.course!.id, query: { as } });
const packageAt = (release: string, format: PackageFormat) =>
  addressOf('GET /api/courses/:course/releases/:release/package', {
    course: desk.course!.id,
    release,
    query: { format },
  });
</script>

<template>
  <div class="release">
    <div class="head">
      <h1>Release</h1>
      <span class="small quiet">{{
        all.releases?.length
          ? `last: release ${all.releases[0]!.number}, ${when(all.releases[0]!.made_at)}`
          : all.releases
            ? 'not available to learners yet'
            : ''
      }}</span>
    </div>
    <div v-if="desk.mayEdit && filled === 0" class="empty">
      <h2>Nothing to take yet</h2>
      <p>Learners get lessons with text; there is none so far.</p>
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons`">To the lessons</NuxtLink>
    </div>
    <form v-else-if="desk.mayEdit" class="make" @submit.prevent="make">
      <div>
        <p>
          Learners get the course as it stands now:
          <strong>{{ counted(filled, ['lesson', 'lessons']) }}, {{ counted(checks, ['check', 'checks']) }}</strong
          >. What you change later reaches them with the next release.
        </p>
        <p v-if="blank.length" class="small">
          <span class="decide">{{ counted(blank.length, ['blank lesson stays', 'blank lessons stay']) }} out:</span>
          {{ some(blank.map((lesson) => lesson.id)) }}
        </p>
        <div v-if="staleLessons.length" class="small">
          <span class="decide">Standing on words that a newer version of a source changed or dropped:</span>
          <ul>
            <li v-for="[id, count] in staleLessons.slice(0, 6)" :key="id">
              <NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${id}`">{{ title(id) }}</NuxtLink>:
              {{ staleWords(count) }}
            </li>
          </ul>
          <span v-if="staleLessons.length > 6" class="quiet">and {{ staleLessons.length - 6 }} lessons more</span>
        </div>
        <p v-if="open" class="small quiet">{{ counted(open, ['lesson is', 'lessons are']) }} not approved yet.</p>
        <fieldset>
          <legend>Who may take it</legend>
          <URadioGroup v-model="form.access" :items="itemsOf(ACCESS)" aria-label="Who may take it" />
        </fieldset>
        <fieldset v-if="all.meaning">
          <legend>Against release {{ all.meaning.since }}</legend>
          <ul class="small">
            <li v-for="line in changes" :key="line">{{ line }}</li>
          </ul>
          <template v-if="all.meaning.underWay">
            <p class="small">{{ counted(all.meaning.underWay, ['learner is', 'learners are']) }} under way.</p>
            <URadioGroup v-model="form.move" :items="itemsOf(MOVES)" aria-label="Learners under way" />
          </template>
        </fieldset>
      </div>
      <div>
        <fieldset class="rules">
          <legend>How it counts</legend>
          <span>A lesson is done when</span>
          <FieldSelect v-model="form.lesson" :items="itemsOf(LESSON_RULES)" label="A lesson is done when" />
          <span>The course is completed when</span>
          <FieldSelect v-model="form.course" :items="itemsOf(COURSE_RULES)" label="The course is completed when" />
          <template v-if="shares"
            ><span>Enough is, in percent</span
            ><UInputNumber
              v-model="form.percent"
              :min="1"
              :max="100"
              size="sm"
              aria-label="Enough is, in percent"
              class="w-32"
          /></template>
          <span>Lessons are taken</span>
          <FieldSelect v-model="form.order" :items="itemsOf(ORDERS)" label="Lessons are taken" />
          <span>Tries at a check</span>
          <FieldSelect v-model="form.tries" :items="TRIES" label="Tries at a check" />
        </fieldset>
        <label class="note"
          >What is new in it, for you<UInput v-model="form.note" maxlength="400" class="w-full"
        /></label>
        <UButton type="submit" :disabled="busy || !all.releases">{{
          busy
            ? 'Freezing it'
            : all.releases
              ? `Make available as release ${(all.releases[0]?.number ?? 0) + 1}`
              : 'Make available'
        }}</UButton>
      </div>
    </form>
    <p v-if="address" class="address">
      <span>Learners come in at</span> <code>{{ address }}</code>
      <button type="button" class="link" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</button><span
        v-if="local"
        class="small decide"
        >Only this machine can open it: start the desk on a network address (HOST, UPLIFT_HOSTS) for others.</span
      >
    </p>
    <table v-if="all.releases?.length" class="lines">
      <thead>
        <tr>
          <th class="number">Release</th>
          <th>Made</th>
          <th>What learners get</th>
          <th>Who may take it</th>
          <th>Packages</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in all.releases" :key="row.id">
          <td class="number">
            <strong>{{ row.number }}</strong>
          </td>
          <td class="small">
            {{ when(row.made_at) }}<br /><span class="quiet">{{ row.note }}</span>
          </td>
          <td class="small">
            {{ counted(row.figures.lessons, ['lesson', 'lessons']) }},
            {{ counted(row.figures.checks, ['check', 'checks']) }}, {{ row.figures.minutes }} min<br /><span
              class="quiet"
              >{{ ruleLine(row.rules) }}</span
            >
          </td>
          <td class="small">
            <FieldSelect
              v-if="desk.mayEdit && row.withdrawn_at === null"
              :model-value="row.access"
              :items="itemsOf(ACCESS)"
              :label="`Who may take release ${row.number}`"
              class="w-56"
              @update:model-value="all.setAccess(row, $event, false)"
            /><template v-else>{{ state(row) }}</template>
          </td>
          <td class="small packages">
            <template v-if="desk.mayEdit"
              ><a
                v-for="format in PACKAGE_FORMATS"
                :key="format"
                class="link"
                :href="packageAt(row.id, format)"
                download
                >{{ PACKAGES[format].label }}</a
              ></template
            >
          </td>
          <td class="small">
            <button
              v-if="desk.mayEdit"
              type="button"
              class="link small"
              @click="all.setAccess(row, row.access, row.withdrawn_at === null)"
            >
              {{ row.withdrawn_at === null ? 'Withdraw' : 'Make available again' }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="all.releases?.length" class="small quiet foot">
      Packages work without this app: a site that opens from a file, or a package for a learning platform. They mark
      answers by themselves, so they carry the right answers; open answers and tasks that a person would mark are
      compared by the learners themselves there, no files are handed in, and feedback forms are left out. Withdrawing a
      release shuts it here; what learners did is kept.
    </p>
    <section class="room">
      <h2>For a room</h2>
      <p class="small">
        The course as it stands, to be held by somebody:
        <a class="link" :href="roomAt('deck')" download>slides with speaker notes (PPTX)</a>
        <a class="link" :href="roomAt('docx')" download>script (DOCX)</a>
        <a class="link" :href="roomAt('txt')" download>script (text)</a>
      </p>
    </section>
  </div>
</template>

<style scoped>
.release {
  flex: 1;
  overflow-y: auto;
}
.make {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
  padding: 14px 18px 18px;
  border-bottom: 1px solid var(--hair);
}
.make p {
  margin-bottom: 6px;
}
fieldset {
  margin-top: 10px;
}
legend {
  font-weight: 600;
  font-size: 14px;
}
fieldset ul {
  list-style: disc;
  padding-left: 18px;
}
.rules {
  margin-top: 0;
  display: grid;
  grid-template-columns: 200px 1fr;
  gap: 7px 10px;
  align-items: center;
  font-size: 14px;
}
.rules legend {
  margin-bottom: 6px;
}
.note {
  display: grid;
  gap: 4px;
  font-size: 14px;
  margin: 10px 0 12px;
}
.address {
  padding: 10px 18px;
  background: var(--moss-faint);
  font-size: 14px;
  display: flex;
  gap: 10px;
  align-items: baseline;
  flex-wrap: wrap;
}
.address code {
  font-family: var(--font-mono);
  font-size: 13px;
  overflow-wrap: anywhere;
}
.room {
  padding: 4px 18px 30px;
}
.room h2 {
  font-size: 15px;
  margin: 8px 0 4px;
}
.room .link {
  display: inline-block;
  min-height: 24px;
  margin-inline: 6px;
}
.packages a {
  white-space: nowrap;
  margin-right: 8px;
  display: inline-block;
  min-height: 24px;
}
td button.link {
  min-height: 24px;
}
.lines {
  margin-top: 4px;
}
.foot {
  padding: 12px 18px;
  max-width: 86ch;
}
@media (max-width: 1000px) {
  .make {
    grid-template-columns: 1fr;
  }
}
</style>
