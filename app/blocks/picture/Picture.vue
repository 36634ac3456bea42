<script setup lang="ts">
import { NodeViewContent, NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { computed } from 'vue';
import type { PictureRef } from '~~/core/document/media';
import { mediaAddress } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/** A picture on the page: its caption is typed under it, what it shows beside it. */
const props = defineProps(nodeViewProps);
const desk = useCourse();
const ref = computed(() => props.node.attrs.picture as PictureRef);
const decorative = computed(() => props.node.attrs.decorative === true);
const wanted = computed(() => !decorative.value && String(props.node.attrs.alt).trim() === '');
</script>

<template>
  <NodeViewWrapper as="figure" class="up-picture" :class="{ 'up-banner': node.attrs.look === 'banner' }">
    <img
      :src="mediaAddress(desk.course!.id, ref)"
      :alt="decorative ? '' : String(node.attrs.alt)"
      :width="ref.width"
      :height="ref.height"
      data-drag-handle
    />
    <NodeViewContent as="figcaption" data-hint="Caption" :class="{ none: node.content.size === 0 }" />
    <div v-if="desk.mayEdit" contenteditable="false" class="under small">
      <label class="long"
        ><span :class="{ decide: wanted }">What it shows</span
        ><input
          :value="node.attrs.alt"
          :disabled="decorative"
          maxlength="1000"
          placeholder="for who cannot see it"
          @input="updateAttributes({ alt: ($event.target as HTMLInputElement).value })"
      /></label>
      <UCheckbox
        :model-value="decorative"
        label="only decorative"
        @update:model-value="updateAttributes({ decorative: !!$event })"
      />
      <UCheckbox
        :model-value="node.attrs.look === 'banner'"
        label="as a banner"
        @update:model-value="updateAttributes({ look: $event ? 'banner' : null })"
      />
    </div>
  </NodeViewWrapper>
</template>

<style scoped>
/* Beside a field a mark of the usual size is missed by a finger. */
.under :deep([role='checkbox']) {
  width: 24px;
  height: 24px;
}
</style>
