<script setup lang="ts">
import type { Block } from '~~/core/blocks/forms';
import type { Lesson } from '~~/core/course/course';
import { sameData } from '~~/core/document/canonical';
import type { Aim, Proposal } from '~~/core/rewrite';
import { api } from '~/client';
import { freshId, troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { changedWords } from '~/words/differences';
import { AIM_WORDS, KEPT, NOTHING } from '~/words/rewrite';

/** Proposals for parts of a page, each under the part it is about: taken, kept beside it, or left. */
const props = defineProps<{
  lesson: Lesson;
  /** A place under a part of the page, to stand in; without one, what stood there goes. */
  place: (block: string, stands: boolean) => HTMLElement | undefined;
}>();
const emit = defineEmits<{ take: [string, Block]; both: [string, Block] }>();
const desk = useCourse();

interface Open extends Proposal {
  /** The part as it was when it was asked for. */
  of: Block;
  at: HTMLElement;
  parts: ReturnType<typeof changedWords>[];
}
const open = shallowRef<Open[]>([]);
const said = ref('');
const aim = ref<Aim>('shorter');
const asking = ref(false);

function clear() {
  for (const { block } of open.value) props.place(block, false);
  open.value = [];
}
/** Asks for proposals for some parts of the page, or for all of it. */
async function propose(towards: Aim, blocks: readonly string[]) {
  clear();
  aim.value = towards;
  asking.value = true;
  said.value = '';
  try {
    await desk.settleAll();
    const lesson = props.lesson.id;
    const answer = await api('POST /api/courses/:course/lessons/:lesson/rewrite', {
      course: desk.course!.id,
      lesson,
      body: { aim: towards, blocks: [...blocks] },
    });
    if (lesson !== props.lesson.id) return;
    const known = new Map(props.lesson.blocks.map((block) => [block.id, block]));
    const kept = answer.proposals.flatMap((proposal) => proposal.kept);
    open.value = answer.proposals
      .filter(({ block, changes }) => changes.length > 0 && known.has(block))
      .map((proposal) => ({
        ...proposal,
        of: known.get(proposal.block)!,
        at: props.place(proposal.block, true)!,
        parts: proposal.changes.map(({ was, now }) => changedWords(was, now)),
      }));
    said.value = !answer.known
      ? 'This language can be drafted, but not reworded yet.'
      : open.value.length === 0
        ? [NOTHING[towards], ...kept.slice(0, 2).map(({ text, why }) => `“${text}” stays: ${KEPT[why]}.`)].join(' ')
        : '';
    await nextTick();
    open.value[0]?.at.scrollIntoView({ block: 'center' });
  } catch (error) {
    desk.trouble = troubleOf(error);
  } finally {
    asking.value = false;
  }
}
/** A part as it stands now, with what was typed a moment ago. */
function now(block: string): Block | undefined {
  desk.flushTyping();
  return desk.lessons.find(({ id }) => id === props.lesson.id)?.blocks.find(({ id }) => id === block);
}
function settle(proposal: Open, how: 'take' | 'both' | 'leave') {
  open.value = open.value.filter((each) => each !== proposal);
  props.place(proposal.block, false);
  if (how === 'leave') return;
  const stands = now(proposal.block);
  if (!stands || !sameData(stands, proposal.of))
    return void (said.value = 'That part was changed meanwhile and stays as it is. Ask again for what it says now.');
  if (how === 'take') emit('take', proposal.block, proposal.becomes);
  else emit('both', proposal.block, { ...proposal.becomes, id: freshId('b') } as Block);
}
const all = (how: 'take' | 'leave') => [...open.value].forEach((proposal) => settle(proposal, how));
watch(
  () => props.lesson.id,
  () => {
    clear();
    said.value = '';
  },
);
onBeforeUnmount(clear);
defineExpose({ propose });
</script>

<template>
  <p v-if="asking || said || open.length > 1" class="said small" role="status">
    <template v-if="asking">Looking for what can be changed safely.</template>
    <template v-else-if="open.length > 1">
      {{ AIM_WORDS[aim].label }}: {{ open.length }} parts.
      <button type="button" class="link" @click="all('take')">Take all</button>
      <button type="button" class="link" @click="all('leave')">Leave all as they are</button>
    </template>
    <template v-else>{{ said }} <button type="button" class="link" @click="said = ''">Close</button></template>
  </p>
  <Teleport v-for="proposal in open" :key="proposal.block" :to="proposal.at">
    <div class="proposal" contenteditable="false" role="group" :aria-label="`Proposal: ${AIM_WORDS[aim].label}`">
      <p class="small quiet">{{ AIM_WORDS[aim].label }}</p>
      <p v-for="(parts, line) in proposal.parts" :key="line" class="words">
        <component :is="part.tag" v-for="(part, at) in parts" :key="at">{{ part.text }}</component>
      </p>
      <p v-for="each in proposal.kept" :key="each.text" class="small quiet">
        “{{ each.text }}” stays: {{ KEPT[each.why] }}.
      </p>
      <p class="does">
        <UButton size="xs" @click="settle(proposal, 'take')">Take it</UButton>
        <UButton size="xs" color="neutral" variant="outline" @click="settle(proposal, 'both')">Keep both</UButton>
        <UButton size="xs" color="neutral" variant="outline" @click="settle(proposal, 'leave')">Leave mine</UButton>
      </p>
    </div>
  </Teleport>
</template>

<style scoped>
.said {
  padding: 6px 16px;
  border-bottom: 1px solid var(--hair);
}
.said .link {
  margin-left: 8px;
}
.proposal {
  border-inline-start: 3px solid var(--moss);
  background: var(--moss-faint);
  padding: 6px 12px 8px;
  margin: -4px 0 14px;
}
.words {
  margin: 2px 0 4px;
  font-size: 0.96em;
}
ins {
  background: var(--moss-soft);
  text-decoration: none;
}
del {
  color: var(--rust);
}
.proposal > .small,
.does :deep(button) {
  font-family: var(--font-sans);
}
.does {
  display: flex;
  gap: 6px;
  margin-top: 6px;
}
</style>
