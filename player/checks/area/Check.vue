<script setup lang="ts">
import { computed } from 'vue';
import { lettersOf } from '../../../core/checks/area/form';
import type { CheckViews } from '../../../core/checks/markings';
import type { CheckPartProps } from '../part';

/** Areas of a picture, each with its letter; what is to be seen in them is said to who cannot see it. */
const props = defineProps<CheckPartProps<CheckViews['area'], string[]>>();
const response = defineModel<string[]>();
const letters = computed(() => lettersOf(props.check.options));
const areas = computed(() =>
  props.check.options.map((option) => ({
    ...option,
    letter: letters.value.get(option.id)!,
    style: {
      left: `${option.box.x}%`,
      top: `${option.box.y}%`,
      width: `${option.box.width}%`,
      height: `${option.box.height}%`,
    },
  })),
);
const isChosen = (id: string) => response.value?.includes(id) ?? false;
/** One takes the place of another where one is right; with none chosen there is no response. */
function choose(id: string) {
  const now = response.value ?? [];
  const next = props.check.one ? [id] : now.includes(id) ? now.filter((each) => each !== id) : [...now, id];
  response.value = next.length > 0 ? next : undefined;
}
/** Those that are said in words once it is answered: what was right, and what was chosen. */
const told = computed(() =>
  props.open ? [] : areas.value.filter(({ id }) => isChosen(id) || props.solution?.includes(id)),
);
</script>

<template>
  <p v-if="open" class="how">{{ check.one ? view.words.asks.area : view.words.asks.areas }}</p>
  <div class="up-areas" :class="{ bare: !check.ground }">
    <img
      v-if="check.ground"
      :src="view.media(check.ground.media)"
      :alt="check.ground.alt"
      :width="check.ground.media.width"
      :height="check.ground.media.height"
    />
    <label
      v-for="area in areas"
      :key="area.id"
      :style="check.ground ? area.style : undefined"
      :class="{ chosen: isChosen(area.id), off: !open, 'is-key': solution?.includes(area.id) }"
    >
      <input
        :type="check.one ? 'radio' : 'checkbox'"
        :name="check.id"
        :value="area.id"
        :checked="isChosen(area.id)"
        :disabled="!open"
        @change="choose(area.id)"
      />
      <span class="letter">{{ area.letter }}</span>
      <span :class="{ 'up-aloud': check.ground }">{{ area.text }}</span>
    </label>
  </div>
  <ul v-if="told.length > 0" class="up-areas-told">
    <li v-for="area in told" :key="area.id">
      {{ area.letter }}: {{ area.text }}
      <span v-if="solution?.includes(area.id)" class="mark">✓ {{ view.words.rightAnswer }}</span>
      <span v-else-if="solution" class="mark no">{{ view.words.yourAnswer }}</span>
    </li>
  </ul>
</template>
