<script setup lang="ts">
import { standingIn } from '~~/core/course/conflicts';
import type { Take } from '~~/core/course/course';
import { useCourse } from '~/stores/course';
import { takeWords, valueWords } from '~/words/takes';

/** Texts of one's own that met another's change: both kept in the course, side by side until their author chooses. */
const desk = useCourse();
const theirs = (take: Take) => {
  const now = standingIn(desk.course!, take);
  return now && valueWords(desk.course!, take.of, take.field, now.value);
};
</script>

<template>
  <div v-if="desk.conflicts.length" class="conflicts">
    <section v-for="take in desk.conflicts" :key="take.id" class="conflict" role="alert">
      <p>
        {{
          theirs(take) === undefined
            ? 'The place of these words was deleted meanwhile. They are kept.'
            : 'Somebody changed the same place meanwhile. Both texts are kept until you choose.'
        }}
      </p>
      <div>
        <h3>Yours</h3>
        <p class="words">{{ takeWords(desk.course!, take) }}</p>
        <UButton size="sm" color="neutral" variant="outline" @click="desk.settleConflict(take, 'mine')">{{
          theirs(take) === undefined ? 'Put it back with its place' : 'Keep mine'
        }}</UButton>
      </div>
      <div>
        <h3>{{ theirs(take) === undefined ? 'Nothing stands there now' : 'As it stands' }}</h3>
        <p class="words">{{ theirs(take) }}</p>
        <UButton size="sm" color="neutral" variant="outline" @click="desk.settleConflict(take, 'theirs')">{{
          theirs(take) === undefined ? 'Leave it, keep the words as a take' : 'Leave it, keep mine as a take'
        }}</UButton>
      </div>
    </section>
  </div>
</template>

<style scoped>
/* Many of them leave room for the work below. */
.conflicts {
  max-height: 38vh;
  overflow-y: auto;
}
.conflict {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) minmax(0, 1fr);
  gap: 18px;
  padding: 10px 18px;
  background: var(--rust-soft);
  border-bottom: 1px solid var(--rust);
  font-size: 14px;
}
h3 {
  font-size: 13px;
}
.words {
  white-space: pre-line;
  overflow-wrap: anywhere;
  max-height: 120px;
  overflow-y: auto;
  margin-bottom: 4px;
}
@media (max-width: 820px) {
  .conflict {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
