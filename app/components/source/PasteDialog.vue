<script setup lang="ts">
import { api } from '~/client';
import { troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** Text that is pasted or typed becomes a source. */
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ added: [] }>();
const desk = useCourse();
const { form, clear } = useKeptForm('text', { title: '', text: '' });
const trouble = ref('');

/** What is pasted with its form keeps it: headings, lists, tables and emphasis, as the signs that stand for them. */
async function paste(event: ClipboardEvent) {
  const html = event.clipboardData?.getData('text/html') ?? '';
  if (!/<(?:h[1-6]|li|table|strong|b|blockquote)[\s>]/i.test(html)) return;
  event.preventDefault();
  const box = event.target as HTMLTextAreaElement;
  const [from, to] = [box.selectionStart, box.selectionEnd];
  const { markdownOf } = await import('~/words/pasted');
  const words = markdownOf(html);
  form.value.text = form.value.text.slice(0, from) + words + form.value.text.slice(to);
  await nextTick();
  box.setSelectionRange(from + words.length, from + words.length);
}
async function send() {
  trouble.value = '';
  try {
    await api('POST /api/courses/:course/sources', {
      course: desk.course!.id,
      body: { title: form.value.title.trim(), text: form.value.text },
    });
    open.value = false;
    clear();
    emit('added');
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Paste or type text"
    description="It becomes a source like a file. What you paste from a page or document keeps its headings, lists and tables: # is a heading, - an item."
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <form class="fields" @submit.prevent="send">
        <label>Title<UInput v-model="form.title" required maxlength="200" class="w-full" /></label>
        <label>Text<UTextarea v-model="form.text" required :rows="12" class="w-full" @paste="paste" /></label>
        <p v-if="trouble" class="decide small" role="alert">{{ trouble }}</p>
        <div><UButton type="submit" :disabled="!form.title.trim() || !form.text.trim()">Add as a source</UButton></div>
      </form>
    </template>
  </UModal>
</template>
