<script setup lang="ts">
import { mark, splitCheck } from '~~/core/checks/markings';
import type { ScenarioCheck } from '~~/core/checks/scenario/form';
import { wordsFor } from '~~/core/words';
import Story from '~~/player/checks/scenario/Check.vue';
import '~~/player/styles/checks.css';
import { mediaAddress } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/** The story as a learner takes it, of the words as they stand; nothing of it is kept. */
const props = defineProps<{ check: ScenarioCheck }>();
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
const split = computed(() => splitCheck(props.check, props.check.id));
const way = ref<string[]>([]);
const feedback = computed(() => (way.value.length > 0 ? mark(split.value.secret, way.value)?.feedback : undefined));
const view = computed(() => ({
  words: wordsFor(desk.course!.language).words,
  language: desk.course!.language,
  embeds: [],
  media: (ref: { hash: string }) => mediaAddress(desk.course!.id, ref),
}));
const asked = computed(() => split.value.view as never);
watch(open, (now) => {
  if (now) way.value = [];
});
</script>

<template>
  <UModal v-model:open="open" :title="check.stem" description="As a learner takes it. Nothing is kept.">
    <template #body>
      <div class="up-page walk">
        <div class="up-check">
          <Story :check="asked" :open="true" :wrong="false" :feedback="feedback" :view="view" @take="way = $event" />
        </div>
      </div>
      <p class="from">
        <UButton size="sm" color="neutral" variant="outline" @click="way = []">From the start</UButton>
      </p>
    </template>
  </UModal>
</template>

<style scoped>
.from {
  margin-top: 14px;
}
.walk :deep(button.first) {
  min-height: 44px;
  padding: 8px 16px;
  border-radius: 3px;
  background: var(--moss);
  color: var(--on-moss);
  font-weight: 700;
}
.walk :deep(.up-said) {
  border-left: 3px solid var(--moss);
  margin: 0 0 14px;
  padding: 2px 0 2px 14px;
}
.walk :deep(.up-check) {
  border-top: 0;
  margin: 0;
  padding-top: 0;
}
</style>
