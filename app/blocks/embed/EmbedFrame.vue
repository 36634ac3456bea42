<script setup lang="ts">
import { NodeViewContent, NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { hostOf, mayEmbed } from '~~/core/blocks/embed/form';
import { useEmbeds } from '~/composables/useEmbeds';
import { useCourse } from '~/stores/course';
import { useSession } from '~/stores/session';
import { readEmbed } from './code';

/** A page of the web on the page: where it is, what it is called, and what learners will get of it. */
const props = defineProps(nodeViewProps);
const desk = useCourse();
const session = useSession();
const { hosts } = useEmbeds();
const attrs = computed(
  () => props.node.attrs as { address: string; title: string; width: string | null; height: string | null },
);
const wrong = ref(false);
const host = computed(() => hostOf(attrs.value.address));
const may = computed(() => mayEmbed(attrs.value.address, hosts.value));
const shape = computed(() => `${attrs.value.width ?? 16} / ${attrs.value.height ?? 9}`);

function take(typed: string) {
  const read = readEmbed(typed);
  wrong.value = typed.trim() !== '' && !read;
  if (!read) return;
  const { address, title, width, height } = read;
  props.updateAttributes({
    address,
    ...(title && { title }),
    ...(width && height && { width: String(width), height: String(height) }),
  });
}
const valueOf = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <NodeViewWrapper as="figure" class="up-embed">
    <div class="shape" contenteditable="false" data-drag-handle :style="{ aspectRatio: shape }">
      <p>
        <strong>{{ attrs.title }}</strong>
      </p>
      <p v-if="!attrs.address" class="decide small">No address is given yet.</p>
      <p v-else-if="may" class="small quiet">From {{ host }}. Learners load it with one press.</p>
      <p v-else class="small decide">
        Pages of {{ host }} are not allowed here, so learners get a link to it.
        <NuxtLink v-if="session.person?.role === 'owner'" class="link" to="/services">Allow sites</NuxtLink
        ><template v-else>Whoever runs this installation can allow it.</template>
      </p>
    </div>
    <NodeViewContent as="figcaption" data-hint="Caption" :class="{ none: node.content.size === 0 }" />
    <div v-if="desk.mayEdit" contenteditable="false" class="under small">
      <label class="long"
        ><span>Address or embed code</span
        ><input :value="attrs.address" placeholder="https://" @change="take(valueOf($event))"
      /></label>
      <label class="long"
        ><span>What it is</span
        ><input
          :value="attrs.title"
          maxlength="300"
          @change="updateAttributes({ title: valueOf($event).trim() || attrs.title })"
      /></label>
      <p v-if="wrong" class="decide" role="alert">
        Neither an address that begins with https:// nor embed code with one in it.
      </p>
    </div>
  </NodeViewWrapper>
</template>

<style scoped>
.shape {
  display: grid;
  place-content: center;
  text-align: center;
  gap: 4px;
  max-height: 220px;
  width: 100%;
  padding: 12px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--paper);
  font-family: var(--font-sans);
}
.shape p {
  margin: 0;
}
</style>
