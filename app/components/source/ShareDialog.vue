<script setup lang="ts">
/** Who else may use a source of one's own in courses of theirs, or put newer versions of it. */
const open = defineModel<boolean>('open', { required: true });
const props = defineProps<{ source: { id: string; title: string } | null }>();
const rows = ref<{ id: string; name: string; may: string }[] | null>(null);
const { trouble, trying } = useTrying();
const ITEMS = [
  { value: 'none', label: 'not at all' },
  { value: 'use', label: 'may use it' },
  { value: 'change', label: 'may use and change it' },
];
const at = () => `/api/shelf/${props.source!.id}/people`;
const load = () => trying(async () => void (rows.value = await $fetch<NonNullable<typeof rows.value>>(at())));
watch(open, (now) => {
  rows.value = null;
  if (now) void load();
});
const give = (person: string, may: string) =>
  trying(async () => {
    await $fetch(at(), { method: 'PUT', body: { person, may } });
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
              <USelect
                :model-value="row.may"
                :items="ITEMS"
                size="sm"
                class="w-48"
                :aria-label="`What ${row.name} may do with it`"
                @update:model-value="give(row.id, String($event))"
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
