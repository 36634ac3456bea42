<script setup lang="ts">
import type { Section } from '~~/core/source/source';
import { correctionWords, type Corrections } from '~/composables/useCorrections';
import { useCourse } from '~/stores/course';

/** A heading of a source, and, while it is the current one, how to correct it or what stands under it. */
const props = defineProps<{ section: Section; corrections: Corrections; current: boolean }>();
const desk = useCourse();
const own = computed(() => props.corrections.at(props.section.id));
const words = computed(() => own.value.find((each) => each.kind === 'heading'));
const none = computed(() => own.value.find((each) => each.kind === 'no-heading'));
const use = computed(() => props.corrections.useOf(props.section.id));
const renaming = ref(false);
const title = ref('');
function rename() {
  title.value = words.value?.title ?? props.section.title;
  renaming.value = true;
}
function keep() {
  const said = title.value.trim();
  renaming.value = false;
  if (words.value && said === props.section.title) props.corrections.back(words.value.id);
  else if (said && said !== (words.value?.title ?? props.section.title))
    props.corrections.add('heading', props.section.id, { title: said });
}
defineExpose({ rename });
</script>

<template>
  <div :id="section.id" class="heading" :class="{ current, none, out: use && use.kind !== 'focus' }">
    <form v-if="renaming" @submit.prevent="keep">
      <UInput
        v-model="title"
        autofocus
        size="sm"
        aria-label="The right words of the heading"
        class="w-full"
        maxlength="200"
        @keydown.esc.stop="renaming = false"
        @blur="keep"
      />
    </form>
    <component :is="section.level === 1 ? 'h2' : 'h3'" v-else
      >{{ section.number ? `${section.number} ` : '' }}{{ words?.title ?? section.title
      }}<span v-for="each in own" :key="each.id" class="state">{{
        each.kind === 'heading' ? `read as “${section.title}”` : correctionWords(each)
      }}</span></component
    >
    <div v-if="current && desk.mayEdit && !renaming" class="tools small">
      <button v-if="use" type="button" class="link" @click="corrections.back(use.id)">
        {{ use.kind === 'focus' ? 'Out of focus' : 'Use it again' }}
      </button>
      <template v-else
        ><button type="button" class="link" @click="corrections.add('focus', section.id)">
          Focus on this part <kbd>F</kbd></button
        ><button type="button" class="link" @click="corrections.add('leave-out', section.id)">
          Leave this part out <kbd>X</kbd>
        </button></template
      >
      <button v-if="none" type="button" class="link" @click="corrections.back(none.id)">It is a heading</button>
      <button v-else type="button" class="link" @click="corrections.add('no-heading', section.id)">
        Not a heading <kbd>H</kbd>
      </button>
      <button type="button" class="link" @click="rename">Other words <kbd>F2</kbd></button>
    </div>
  </div>
</template>

<style scoped>
.heading {
  padding: 2px 0;
  margin-top: 12px;
}
.heading.current {
  background: var(--shade);
}
h2 {
  font-size: 17px;
}
h3 {
  font-size: 15px;
}
.none h2,
.none h3 {
  font-weight: 400;
  font-style: italic;
}
.out h2,
.out h3 {
  text-decoration: line-through;
  text-decoration-thickness: 1px;
  color: var(--ink-3);
}
.state {
  margin-left: 12px;
  font-family: var(--font-sans);
  font-size: 12.5px;
  font-weight: 600;
  font-style: normal;
  display: inline-block;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding: 2px 0 4px;
}
</style>
