<script setup lang="ts">
import { inPicture, type AreaCheck } from '~~/core/checks/area/form';
import { MORE_WORDS } from '~~/core/checks/fresh';
import { useCheckEditing } from '../editing';

/** The areas of a picture in words, as their author works on them; where they lie is shown over the picture. */
const props = defineProps<{ check: AreaCheck; readonly?: boolean }>();
const { mayEdit, set } = useCheckEditing<AreaCheck>(props);
/** A new one lies where the last one ends, or at the left again. */
const fresh = computed(() => {
  const last = props.check.options.at(-1)?.box ?? { x: 0, y: 0, width: 20, height: 20 };
  const x = last.x + last.width + 20 > 100 ? 4 : last.x + last.width;
  return { text: MORE_WORDS.area, box: inPicture({ ...last, x, width: 20, height: 20 }) };
});
</script>

<template>
  <div>
    <p v-if="!check.picture && mayEdit" class="small">
      <CheckPictureFile label="Choose the picture" @take="set('picture', 'picture', $event)" />
    </p>
    <CheckOptions :check="check" :readonly="readonly" one="area" :fresh="fresh" lettered />
  </div>
</template>
