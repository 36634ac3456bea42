<script setup lang="ts">
import '~~/player/styles/page.css';
import type { Block } from '~~/core/course/blocks';
import type { Lesson } from '~~/core/course/course';
import { dropTake, pagesBeside, swapPage, swapText, textsBeside, type PageTake } from '~~/core/course/takes';
import { BlockView } from '~~/player/components/Blocks';
import { wordsFor } from '~~/player/words';
import { useActions } from '~/actions/registry';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** What is kept beside a lesson: drafts that came while it was edited, pages that stood here before, texts that lost a conflict. */
const props = defineProps<{ lesson: Lesson }>();
const desk = useCourse();
const open = ref(false);
const words = computed(() => wordsFor(desk.course!.language).words);
const pages = computed(() => pagesBeside(desk.course!, props.lesson.id));
const texts = computed(() => textsBeside(desk.course!, props.lesson));
const count = computed(() => pages.value.length + texts.value.length);
const checks = (blocks: readonly Block[]) => blocks.filter((block) => block.kind === 'check').length;
watch(() => props.lesson.id, () => void (open.value = false));

async function take(page: PageTake) {
  await desk.settleAll();
  const now = pages.value.find((each) => each.id === page.id);
  if (now && desk.course) desk.change('another page taken', swapPage(desk.course, now, freshId('t')));
  desk.outside++;
}
function swap(text: (typeof texts.value)[number]) {
  if (desk.change('another text taken', swapText(text))) desk.outside++;
}
useActions([{ id: 'l-takes', label: 'Show or hide the takes of this lesson', key: 'Alt+K', area: 'Lesson', when: () => count.value > 0, run: () => void (open.value = !open.value) }]);
</script>

<template>
  <section v-if="count" class="takes" aria-label="Takes of this lesson">
    <p class="line"><span>{{ counted(count, ['take is', 'takes are']) }} kept beside this lesson.</span> <button type="button" class="link" :aria-expanded="open" @click="open = !open">{{ open ? 'Hide' : 'Look' }}</button></p>
    <div v-if="open" class="list">
      <article v-for="page in pages" :key="page.id">
        <div class="do"><h3>A page of {{ counted(page.value.lesson.blocks.length, ['part', 'parts']) }}, {{ counted(checks(page.value.lesson.blocks), ['check', 'checks']) }}</h3>
          <span v-if="desk.mayEdit"><UButton size="sm" color="neutral" variant="outline" @click="take(page)">Put it in place of this one</UButton> <button type="button" class="link" @click="desk.change('take thrown away', dropTake(page.id))">Throw away</button></span></div>
        <div class="up-page text" tabindex="0" :lang="desk.course!.language" :dir="desk.course!.direction"><BlockView v-for="block in page.value.lesson.blocks" :key="block.id" :block="block" :words="words" /></div>
      </article>
      <article v-for="each in texts" :key="each.take.id">
        <div class="do"><h3>Another text of one part</h3><span v-if="desk.mayEdit"><UButton size="sm" color="neutral" variant="outline" @click="swap(each)">Put it in its place</UButton> <button type="button" class="link" @click="desk.change('take thrown away', dropTake(each.take.id))">Throw away</button></span></div>
        <div class="up-page text" tabindex="0" :lang="desk.course!.language" :dir="desk.course!.direction"><BlockView :block="({ ...each.block, body: each.take.value } as Block)" :words="words" /></div>
      </article>
    </div>
  </section>
</template>

<style scoped>
.takes { border-bottom: 1px solid var(--hair); background: var(--paper); font-size: 14px; }
.line { padding: 6px 18px; display: flex; gap: 12px; }
.list { max-height: 340px; overflow-y: auto; padding: 0 18px 10px; display: grid; gap: 10px; }
article { background: var(--sheet); border: 1px solid var(--hair); border-radius: 3px; }
.do { display: flex; justify-content: space-between; align-items: center; gap: 12px; padding: 6px 12px; border-bottom: 1px solid var(--hair); }
.do span { display: flex; align-items: center; gap: 12px; white-space: nowrap; }
h3 { font-size: 14px; }
.text { max-height: 220px; overflow-y: auto; padding: 8px 12px; font-size: 15px; }
</style>
