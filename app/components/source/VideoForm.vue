<script setup lang="ts">
import { api } from '~/client';
import { troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** A link to a video with what is said in it: the words become the source, the link goes along into the lessons. */
const emit = defineEmits<{ added: [notes: string[]] }>();
const desk = useCourse();
const { form, clear } = useKeptForm('video', { address: '', title: '', transcript: '' });
const busy = ref(false);
const picker = ref<HTMLInputElement | null>(null);
const trouble = ref('');
async function take(event: Event) {
  const [file] = (event.target as HTMLInputElement).files ?? [];
  if (!file) return;
  form.value.transcript = await file.text();
  form.value.title ||= file.name.replace(/\.[a-z]+$/i, '').replaceAll(/[_-]+/g, ' ');
}
async function send() {
  busy.value = true;
  trouble.value = '';
  try {
    const added = await api('POST /api/courses/:course/videos', {
      course: desk.course!.id,
      body: { address: form.value.address.trim(), title: form.value.title.trim(), transcript: form.value.transcript },
    });
    emit('added', added.same ? [`${form.value.title} says the same as “${added.same}”; it is used once.`] : []);
    clear();
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
  busy.value = false;
}
</script>

<template>
  <form class="fields" @submit.prevent="send">
    <label
      >Address of the video<UInput
        v-model="form.address"
        type="url"
        required
        maxlength="2000"
        placeholder="https://"
        class="w-full"
    /></label>
    <label>Title<UInput v-model="form.title" required maxlength="200" class="w-full" /></label>
    <label
      >What is said in it<UTextarea
        v-model="form.transcript"
        required
        :rows="8"
        class="w-full"
        placeholder="0:05 Welcome to the desk …"
    /></label>
    <p class="small">
      or <button type="button" class="link" @click="picker?.click()">take it from a file</button> (WebVTT, SRT, text)
    </p>
    <input
      ref="picker"
      type="file"
      accept=".vtt,.srt,.txt"
      class="sr-only"
      tabindex="-1"
      aria-label="Transcript file"
      @change="take"
    />
    <p class="small quiet">
      Times at the beginning of lines are understood: each passage then leads to its moment. The video is not fetched.
    </p>
    <p v-if="trouble" class="decide small" role="alert">{{ trouble }}</p>
    <div>
      <UButton
        type="submit"
        :disabled="!form.address.trim() || !form.title.trim() || !form.transcript.trim() || busy"
        >{{ busy ? 'Reading' : 'Add the talk' }}</UButton
      >
    </div>
  </form>
</template>
