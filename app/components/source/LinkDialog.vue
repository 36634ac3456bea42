<script setup lang="ts">
import { api } from '~/client';
import { troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** A page of the web, or a contents page with what hangs below it, becomes a source. */
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ added: [notes: string[]] }>();
const desk = useCourse();
const form = reactive({ address: '', below: false });
const KINDS = [
  { value: 'page', label: 'A page' },
  { value: 'video', label: 'A video with its transcript' },
] as const;
const kind = ref<(typeof KINDS)[number]['value']>('page');
const busy = ref(false);
const trouble = ref('');
/** In the demo, where links can be tried. */
const site = ref<string>();
watch(open, async (shown) => {
  trouble.value = '';
  if (shown)
    site.value ??= (
      await api('GET /api/courses/:course/links', { course: desk.course!.id }).catch(() => ({ address: undefined }))
    ).address;
});
function example(path: string, below: boolean) {
  form.address = `${site.value}${path}`;
  form.below = below;
}
function said(notes: string[]) {
  open.value = false;
  emit('added', notes);
}
async function send() {
  busy.value = true;
  trouble.value = '';
  const address = form.address.trim();
  try {
    const added = await api('POST /api/courses/:course/links', {
      course: desk.course!.id,
      body: { address, below: form.below },
    });
    open.value = false;
    form.address = '';
    emit('added', [
      ...(added.same ? [`${address} holds the same as “${added.same}”; it is used once.`] : []),
      ...(added.left
        ? [`${address}: ${counted(added.left, ['page', 'pages'])} below it could not be had or were too many.`]
        : []),
    ]);
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
  busy.value = false;
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Add a link"
    :description="
      kind === 'page'
        ? 'The page is fetched once, by this server, and kept; what stands around its matter is left out.'
        : 'What is said in it becomes the source; its link goes along into the lessons.'
    "
    :ui="{ content: 'max-w-xl' }"
  >
    <template #body>
      <FieldTabs v-model="kind" :items="KINDS" class="mb-3" />
      <SourceVideoForm v-if="kind === 'video'" @added="said" />
      <form v-else class="fields" @submit.prevent="send">
        <label
          >Address<UInput
            v-model="form.address"
            type="url"
            required
            maxlength="2000"
            placeholder="https://"
            class="w-full"
        /></label>
        <UCheckbox v-model="form.below" label="with the pages below it that it links to, up to 40, as one source" />
        <p v-if="site" class="small quiet">
          In this demo,
          <button type="button" class="link" @click="example('/opening-hours', false)">{{ site }}/opening-hours</button>
          can be tried; <button type="button" class="link" @click="example('/', true)">{{ site }}/</button> is its
          contents page.
        </p>
        <p v-if="trouble" class="decide small" role="alert">{{ trouble }}</p>
        <div>
          <UButton type="submit" :disabled="!form.address.trim() || busy">{{
            busy ? 'Fetching and reading' : 'Fetch it'
          }}</UButton>
        </div>
      </form>
    </template>
  </UModal>
</template>
