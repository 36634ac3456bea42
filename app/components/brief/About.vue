<script setup lang="ts">
import { useCourse } from '~/stores/course';
import type { CourseAbout } from '~~/core/course/course';

/** How the course is announced to learners, and filed where there are many. Saved as typed. */
const desk = useCourse();
const about = computed(() => desk.course!.about ?? {});
type Key = keyof CourseAbout;
const wordsOf = (key: Key) => [about.value[key] ?? []].flat().join(', ');
/** With other words for a field; empty ones take it away, and the last takes all away. */
function withWords(key: Key, words: string): CourseAbout | null {
  const next = { ...about.value };
  const tags = words
    .split(',')
    .map((tag) => tag.trim())
    .filter(Boolean);
  if (tags.length === 0) delete next[key];
  else if (key === 'tags') next.tags = tags;
  else next[key] = words.trim();
  return Object.keys(next).length > 0 ? (JSON.parse(JSON.stringify(next)) as CourseAbout) : null;
}
const save = (key: Key) => (words: string, was: string, group: string) =>
  desk.type(
    'how it is announced',
    [{ type: 'set', id: desk.course!.id, field: 'about', value: withWords(key, words), was: withWords(key, was) }],
    group,
  );
</script>

<template>
  <div class="about">
    <h2>How it is announced and filed</h2>
    <label for="b-description">Description</label>
    <div>
      <FieldInPlace
        id="b-description"
        :value="wordsOf('description')"
        :save="save('description')"
        lines
        boxed
        maxlength="4000"
        placeholder="What somebody reads who decides whether to begin"
      />
      <p class="small quiet">Empty, learners read the promise. It goes along in packages.</p>
    </div>
    <label for="b-tags">Tags</label
    ><FieldInPlace id="b-tags" :value="wordsOf('tags')" :save="save('tags')" boxed placeholder="safety, first week" />
    <label for="b-code">Code</label>
    <div class="row">
      <FieldInPlace
        id="b-code"
        :value="wordsOf('code')"
        :save="save('code')"
        boxed
        maxlength="100"
        placeholder="HR-014"
      /><label for="b-category">Category</label
      ><FieldInPlace
        id="b-category"
        :value="wordsOf('category')"
        :save="save('category')"
        boxed
        maxlength="200"
        placeholder="Joining us"
      />
    </div>
  </div>
</template>

<style scoped>
.about {
  display: contents;
}
h2 {
  grid-column: 1 / -1;
  margin-top: 10px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
  font-size: 16px;
}
label {
  font-weight: 600;
  font-size: 14px;
  padding-top: 6px;
}
.row {
  display: flex;
  gap: 10px;
}
.row label {
  white-space: nowrap;
}
</style>
