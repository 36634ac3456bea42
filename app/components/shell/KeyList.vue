<script setup lang="ts">
import { actions, shownKey } from '~/actions/registry';
import { keysOpen } from './bar';

const areas = computed(() => {
  const found = new Map<string, { label: string; key: string }[]>();
  for (const { area, label, key } of actions.value)
    if (key) found.set(area, [...(found.get(area) ?? []), { label, key: shownKey(key) }]);
  return [...found];
});
</script>

<template>
  <UModal
    v-model:open="keysOpen"
    title="Keys"
    description="What can be done here by key"
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <div class="areas">
        <section v-for="[area, list] in areas" :key="area">
          <h3>{{ area }}</h3>
          <dl>
            <template v-for="entry in list" :key="entry.label"
              ><dt>
                <kbd v-for="part in entry.key.split(' ')" :key="part">{{ part }}</kbd>
              </dt>
              <dd>{{ entry.label }}</dd></template
            >
          </dl>
        </section>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.areas {
  columns: 2;
  column-gap: 28px;
}
section {
  break-inside: avoid;
  margin-bottom: 16px;
}
h3 {
  font-size: 14px;
  margin-bottom: 4px;
}
dl {
  display: grid;
  grid-template-columns: 124px 1fr;
  gap: 3px 8px;
  font-size: 13.5px;
}
dt {
  display: flex;
  gap: 3px;
}
</style>
