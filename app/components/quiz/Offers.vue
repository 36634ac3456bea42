<script setup lang="ts">
import { placeIn } from '~~/core/course/placing';
import { offersFor } from '~~/core/course/quiz-offers';
import type { QuizLesson } from '~~/core/course/quizzes';
import type { Check } from '~~/core/checks/forms';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';
import { LEVEL_WORDS } from '~/words/quiz';

/** Questions drafted from the sources that stand nowhere yet, to be put on the quiz's page. */
const props = defineProps<{ lesson: QuizLesson }>();
const desk = useCourse();
/** So many are put in at once, and so many are listed. */
const [AT_ONCE, LISTED] = [10, 12];
const offers = computed(() => offersFor(desk.course!, props.lesson, 500));
const wishing = reactive({ wanted: false, open: false });
function wish() {
  wishing.wanted = true;
  wishing.open = true;
}
function take(checks: readonly Check[]) {
  desk.flushTyping();
  const now = desk.lessons.find(({ id }) => id === props.lesson.id);
  if (
    now &&
    desk.change(
      counted(checks.length, ['question', 'questions']) + ' taken into the quiz',
      placeIn(now, checks, freshId),
    )
  )
    desk.outside++;
}
</script>

<template>
  <section>
    <h2>
      Offers {{ offers.length
      }}<span v-if="desk.mayEdit" class="bring"
        ><button type="button" class="link small" @click="wish">More questions</button>
        <CheckBring link :into="lesson.id"
      /></span>
    </h2>
    <p v-if="offers.length === 0" class="small quiet">
      No question of these lessons is left that stands nowhere and has no flaw. Write one on the page, or draw on the
      lessons.
    </p>
    <template v-else>
      <p v-if="desk.mayEdit">
        <UButton size="sm" @click="take(offers.slice(0, AT_ONCE))"
          >Take the best {{ Math.min(AT_ONCE, offers.length) }}</UButton
        ><span class="small quiet"> spread over the lessons</span>
      </p>
      <ul>
        <li v-for="check in offers.slice(0, LISTED)" :key="check.id">
          <span
            >{{ check.stem }} <span class="small quiet">{{ LEVEL_WORDS[check.level] }}</span></span
          ><UButton
            v-if="desk.mayEdit"
            size="xs"
            color="neutral"
            variant="outline"
            :aria-label="`Take: ${check.stem}`"
            @click="take([check])"
            >Take</UButton
          >
        </li>
      </ul>
    </template>
    <LazyCheckWishDialog v-if="wishing.wanted" v-model:open="wishing.open" :about="lesson.id" />
  </section>
</template>

<style scoped>
h2 {
  display: flex;
}
.bring {
  margin-left: auto;
}
li {
  display: flex;
  gap: 8px;
  align-items: start;
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
