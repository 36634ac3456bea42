<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
/** Who else may use a source of one's own in courses of theirs, or put newer versions of it. */
const open = defineModel<boolean>('open', { required: true });
const props = defineProps<{ source: { id: string; title: string } | null }>();
const rows = ref<AnswerOf<'GET /api/shelf/:source/people'> | null>(null);
const { trouble, trying } = useTrying();
const ITEMS = [
  { value: 'none', label: 'not at all' },
  { value: 'use', label: 'may use it' },
  { value: 'change', label: 'may use and change it' },
] as const;
const load = () =>
  trying(async () => void (rows.value = await api('GET /api/shelf/:source/people', { source: props.source!.id })));
watch(open, (now) => {
  rows.value = null;
  if (now) void load();
});
const give = (person: string, may: (typeof ITEMS)[number]['value']) =>
  trying(async () => {
    await api('PUT /api/shelf/:source/people', { source: props.source!.id, body: { person, may } });
    await load();
  });
</script>

<template>
  <UModal
    v-model:open="open"
    :title="`Share “${source?.title ?? ''}”`"
    description="Whoever works on a course reads the version it uses. To take a source into courses of their own, or to put a newer version, they need you to share it."
  >
    <template #body>
      <p v-if="trouble" class="decide small" role="alert">{{ trouble.message }}</p>
      <table v-if="rows?.length" class="lines">
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td>{{ row.name }}</td>
            <td>
              <FieldSelect
                :model-value="row.may"
                :items="ITEMS"
                class="w-48"
                :label="`What ${row.name} may do with it`"
                @update:model-value="give(row.id, $event)"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="rows" class="quiet">There is nobody else here yet.</p>
      <p v-else-if="!trouble" class="small quiet">Looking</p>
    </template>
  </UModal>
</template>
