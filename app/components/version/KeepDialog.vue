<script setup lang="ts">
import { api } from '~/client';
import { useCourse } from '~/stores/course';

/** Keeps the course as it stands under a name, to go back to. */
const open = defineModel<boolean>('open', { required: true });
const { suggested } = defineProps<{ suggested: string }>();
const emit = defineEmits<{ kept: [] }>();
const desk = useCourse();
const name = ref('');
watch(open, (now) => now && (name.value = suggested));
async function keep() {
  open.value = false;
  await desk.settleAll();
  await desk.asking(async () => {
    await api('POST /api/courses/:course/versions', { course: desk.course!.id, body: { name: name.value.trim() } });
    emit('kept');
  });
}
</script>

<template>
  <UModal v-model:open="open" title="Keep as a version" description="The course as it stands, to go back to by name.">
    <template #body
      ><form class="flex gap-2" @submit.prevent="keep">
        <UInput
          v-model="name"
          required
          maxlength="120"
          autofocus
          class="flex-1"
          aria-label="Name of the version"
          placeholder="Before the second review"
        /><UButton type="submit" :disabled="!name.trim()">Keep</UButton>
      </form></template
    >
  </UModal>
</template>
