<script setup lang="ts">
import { useBeside } from '~/stores/beside';
import { counted } from '~/words/states';
import { outlineFromText } from '~~/core/own/lines';

/** The author's own outline from elsewhere, pasted or as a file, to be laid beside the one that stands. */
const open = defineModel<boolean>('open', { required: true });
const beside = useBeside();
const { form, clear } = useKeptForm('own-outline', { text: '' });
const picker = ref<HTMLInputElement | null>(null);
const name = ref('');
const ACCEPT = '.txt,.md,.markdown,.csv,.xlsx,.opml,.docx,.odt';
/** What the lines make, while they are typed. */
const made = computed(() => outlineFromText(form.value.text, 'Lessons'));
const said = computed(() => {
  const { modules } = made.value;
  const lessons = modules.flatMap((module) => module.lessons);
  const points = lessons.reduce((sum, lesson) => sum + lesson.points.length, 0);
  return [
    counted(modules.length, ['module', 'modules']),
    counted(lessons.length, ['lesson', 'lessons']),
    ...(points ? [counted(points, ['point', 'points'])] : []),
  ].join(', ');
});
/** What is pasted with its form keeps its levels. */
async function paste(event: ClipboardEvent) {
  const html = event.clipboardData?.getData('text/html') ?? '';
  if (!/<(?:h[1-6]|li)[\s>]/i.test(html)) return;
  event.preventDefault();
  const box = event.target as HTMLTextAreaElement;
  const [from, to] = [box.selectionStart, box.selectionEnd];
  const { markdownOf } = await import('~/words/pasted');
  form.value.text = form.value.text.slice(0, from) + markdownOf(html) + form.value.text.slice(to);
}
async function lay() {
  if (await beside.read('Pasted outline.txt', new TextEncoder().encode(form.value.text))) {
    open.value = false;
    clear();
  }
}
async function picked(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  name.value = file.name;
  if (await beside.read(file.name, new Uint8Array(await file.arrayBuffer()))) open.value = false;
  name.value = '';
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="An outline of your own"
    description="It is laid beside yours here: each of its lessons with what the sources say about it. Nothing changes until you pull or take it."
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <form class="fields" @submit.prevent="lay">
        <label
          >Its lines, as they are: indented, numbered, as headings or a list<UTextarea
            v-model="form.text"
            :rows="11"
            class="w-full lines"
            maxlength="200000"
            placeholder="Taking the job in
  What to ask first
  Writing it down
When it is late"
            @paste="paste"
        /></label>
        <div class="flex gap-3 items-center flex-wrap">
          <UButton type="submit" :disabled="made.modules.length === 0 || beside.busy">{{
            beside.busy ? 'Holding it against the sources' : 'Lay it beside mine'
          }}</UButton><span class="small quiet">{{ made.modules.length ? said : '' }}</span
          ><UButton
            type="button"
            color="neutral"
            variant="outline"
            class="file"
            :disabled="beside.busy"
            @click="picker?.click()"
            >Choose a file</UButton
          >
          <input ref="picker" type="file" :accept="ACCEPT" hidden aria-label="File with an outline" @change="picked" />
        </div>
        <p class="small quiet">
          Files: text, Markdown, CSV, XLSX, OPML; of a Word or ODT document its headings and lists.{{
            name ? ` Reading ${name}.` : ''
          }}
        </p>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.lines :deep(textarea) {
  font-weight: 400;
}
.file {
  margin-left: auto;
}
</style>
