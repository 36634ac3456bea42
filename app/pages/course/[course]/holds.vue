<script setup lang="ts">
import { kindsTogether, kindWords } from '~~/core/course/left-out-words';
import { useActions } from '~/actions/registry';
import { useAccount } from '~/stores/account';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/**
 * What the course holds of its sources: minutes asked and got, what each source gave, what is left out and why, what
 * would fill the time.
 */
const desk = useCourse();
const account = useAccount();
const all = ref(false);
const found = computed(() => account.found);
const missed = computed(() => kindWords(kindsTogether(account.missed)));
const claims = computed(() =>
  Object.values(found.value?.coverage ?? {}).reduce(
    (sum, count) => ({ taught: sum.taught + count.taught, of: sum.of + count.of }),
    { taught: 0, of: 0 },
  ),
);
const short = computed(() => (found.value?.minutes.asked ?? 0) - (found.value?.minutes.got ?? 0));
const share = (source: { words: number; taught: number }) =>
  Math.round((100 * source.taught) / Math.max(1, source.words));
/** Given and not drafted since: the lessons that hold them are drafted again to have them on their pages. */
const waiting = computed(() =>
  desk.lessons.filter(
    (lesson) => lesson.given?.length && lesson.given.some((id) => !JSON.stringify(lesson.blocks).includes(id)),
  ),
);
watch(
  () => desk.course?.id,
  () => void account.load(),
  { immediate: true },
);
useActions([
  { id: 'h-again', label: 'Count again', key: 'Alt+R', area: 'What it holds', run: () => void account.load() },
  {
    id: 'h-back',
    label: 'Bring the part back',
    key: 'B',
    within: 'holds',
    area: 'What it holds',
    when: () => desk.mayEdit,
    run: () => document.activeElement?.closest('[data-left-out]')?.querySelector<HTMLElement>('[data-back]')?.click(),
  },
]);
</script>

<template>
  <div class="holds">
    <div class="head">
      <h1>What it holds</h1>
      <span class="quiet small">of its sources, and what not</span>
      <div class="end">
        <UButton color="neutral" variant="outline" size="sm" @click="account.load()">Count again</UButton>
      </div>
    </div>
    <div class="body" data-keys="holds">
      <p v-if="account.looked === 'failed'" class="small decide">
        It could not be counted. <button type="button" class="link" @click="account.load()">Try again</button>
      </p>
      <p v-else-if="!found" class="small quiet" role="status">Counting</p>
      <template v-if="found">
        <p class="lead">
          <template v-if="missed"
            ><strong class="decide">{{ missed }}</strong> of the sources
            {{ account.missed.length === 1 ? 'is' : 'are' }} not in the course.</template
          ><template v-else-if="claims.of"
            ><strong>Nothing that the sources say is missing</strong>: all {{ claims.of }} things they claim are
            taught.</template
          ><template v-else>Nothing is drafted from the sources yet.</template>
        </p>
        <p v-if="waiting.length" class="small">
          Brought back and not on the page yet:
          <template v-for="(lesson, at) in waiting" :key="lesson.id"
            >{{ at ? ', ' : ''
            }}<NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${lesson.id}`">{{
              lesson.title
            }}</NuxtLink></template
          >. Draft {{ waiting.length === 1 ? 'it' : 'them' }} again to have it there.
        </p>
        <dl class="figures">
          <div>
            <dt>Minutes</dt>
            <dd>
              {{ found.minutes.got }}<template v-if="found.minutes.asked"> of {{ found.minutes.asked }} asked</template>
            </dd>
          </div>
          <div>
            <dt>Things claimed and taught</dt>
            <dd>{{ claims.taught }} of {{ claims.of }}</dd>
          </div>
          <div v-if="found.minutes.more">
            <dt>Left out for want of room</dt>
            <dd>about {{ found.minutes.more }} min</dd>
          </div>
        </dl>
        <p v-if="found.minutes.asked && short > found.minutes.asked * 0.1" class="small">
          The sources give {{ Math.round(short) }} min less than asked.
          {{
            found.couldFill.questions
              ? `${counted(found.couldFill.questions, ['question that is offered', 'questions that are offered'])} would fill ${found.couldFill.minutes} min; `
              : ''
          }}more sources, cases of your own or practice would fill the rest.
        </p>
        <p v-else-if="found.minutes.asked && short < -found.minutes.asked * 0.1" class="small">
          It takes {{ Math.round(-short) }} min more than asked: nothing that instructs is left out of a topic that is
          kept. To make it shorter, take whole lessons out.
        </p>
        <h2>What each source gave</h2>
        <table class="lines">
          <thead>
            <tr>
              <th>Source</th>
              <th class="number">Words</th>
              <th class="number">On a page</th>
              <th class="number">Share</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="source in found.sources" :key="source.id">
              <td>
                <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources/${source.id}`">{{
                  source.title
                }}</NuxtLink>
              </td>
              <td class="number">{{ source.words }}</td>
              <td class="number">{{ source.taught }}</td>
              <td class="number">{{ share(source) }} %</td>
            </tr>
          </tbody>
        </table>
        <template v-if="account.missed.length"
          ><h2>Left out</h2>
          <p class="small quiet">
            <kbd>↑↓</kbd> go through<template v-if="desk.mayEdit"
              >, <kbd>B</kbd> brings a part back: it is drafted with its lesson, whatever the size</template
            >.
          </p>
          <OutlineLeftOut :lines="account.missed"
        /></template>
        <template v-if="account.harmless.length"
          ><h2>Left out by name, or said once</h2>
          <p class="small quiet">
            {{ counted(account.harmless.length, ['part', 'parts']) }} that teach nothing or stand elsewhere in the
            course.
            <button type="button" class="link" :aria-expanded="all" @click="all = !all">
              {{ all ? 'Fold' : 'Look through' }}
            </button>
          </p>
          <OutlineLeftOut v-if="all" :lines="account.harmless"
        /></template>
        <p v-if="found.notShown" class="small quiet">And {{ found.notShown }} more.</p>
      </template>
    </div>
  </div>
</template>

<style scoped>
.holds {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.body {
  overflow-y: auto;
  padding: 14px 18px 40px;
  flex: 1;
}
.body > * {
  max-width: 860px;
}
.lead {
  font-size: 16.5px;
  margin-bottom: 8px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 36px;
  margin: 10px 0 8px;
}
dt {
  font-size: 13px;
  color: var(--ink-2);
}
dd {
  font-size: 19px;
  font-weight: 600;
}
h2 {
  font-size: 16px;
  margin: 22px 0 4px;
}
</style>
