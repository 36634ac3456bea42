<script setup lang="ts">
import { NodeViewContent, NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { WEB_ADDRESS } from '~~/core/blocks/event/form';
import { useCourse } from '~/stores/course';
import { allZones, zonedTime } from './zoned';

/** A live event on the page: what it is is typed in it, when and where is set under it. */
const props = defineProps(nodeViewProps);
const desk = useCourse();
const attrs = computed(() => props.node.attrs as Record<'start' | 'zone' | 'minutes' | 'address', string>);
const wrong = ref('');
const zones = allZones();

function at(local: string, zone: string) {
  const start = zonedTime(local, zone);
  wrong.value = start ? '' : 'That is no day and time.';
  if (start) props.updateAttributes({ start, zone });
}
function lasts(typed: string) {
  const minutes = Number(typed);
  const good = Number.isInteger(minutes) && minutes >= 1 && minutes <= 10_080;
  wrong.value = good ? '' : 'Whole minutes, from 1 to 10,080 (a week).';
  if (good) props.updateAttributes({ minutes: String(minutes) });
}
function leads(typed: string) {
  const address = typed.trim();
  const good = address === '' || WEB_ADDRESS.test(address);
  wrong.value = good ? '' : 'An address begins with https:// or http://.';
  if (good) props.updateAttributes({ address });
}
const valueOf = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <NodeViewWrapper as="section" class="up-event">
    <NodeViewContent />
    <div v-if="desk.mayEdit" contenteditable="false" class="under small">
      <label
        ><span>When</span
        ><input type="datetime-local" :value="attrs.start.slice(0, 16)" @change="at(valueOf($event), attrs.zone)"
      /></label>
      <label
        ><span>Zone</span
        ><USelectMenu
          :model-value="attrs.zone"
          :items="zones.includes(attrs.zone) ? zones : [attrs.zone, ...zones]"
          size="sm"
          class="w-44"
          aria-label="Time zone"
          @update:model-value="at(attrs.start.slice(0, 16), String($event))"
      /></label>
      <label
        ><span>Minutes</span
        ><input class="short" inputmode="numeric" :value="attrs.minutes" @change="lasts(valueOf($event))"
      /></label>
      <label class="long"
        ><span>Link</span><input :value="attrs.address" placeholder="https://" @change="leads(valueOf($event))"
      /></label>
      <p v-if="wrong" class="decide" role="alert">{{ wrong }}</p>
    </div>
  </NodeViewWrapper>
</template>
