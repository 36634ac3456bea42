<script setup lang="ts">
import { api } from '~/client';
import { troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';
import { holdsWords, sourceKind, type ShelfSource } from '~/words/sources';

/** Sources of one's other courses, to be used here too. */
const props = defineProps<{ here: readonly string[] }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ added: [string[]] }>();
const desk = useCourse();
const rows = ref<ShelfSource[] | null>(null);
const chosen = ref<string[]>([]);
const typed = ref('');
const trouble = ref('');
watch(open, async (now) => {
  if (!now) return;
  chosen.value = [];
  rows.value =
    (await api('GET /api/shelf').catch((error: unknown) => void (trouble.value = troubleOf(error).message))) ?? null;
});
const shown = computed(() =>
  (rows.value ?? []).filter(
    (row) =>
      row.may !== 'read' &&
      !row.put_away_at &&
      !props.here.includes(row.id) &&
      row.title.toLowerCase().includes(typed.value.trim().toLowerCase()),
  ),
);
async function send() {
  try {
    const { added } = await api('POST /api/courses/:course/shelf', {
      course: desk.course!.id,
      body: { sources: chosen.value },
    });
    open.value = false;
    emit('added', [`${counted(added, ['source', 'sources'])} from the shelf.`]);
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
const choose = (id: string, yes: boolean) =>
  void (chosen.value = yes ? [...chosen.value, id] : chosen.value.filter((each) => each !== id));
</script>

<template>
  <UModal
    v-model:open="open"
    title="From the shelf"
    description="Sources of yours, and those shared with you. They are read and understood already."
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <form class="fields" @submit.prevent="send">
        <UInput
          v-if="(rows?.length ?? 0) > 8"
          v-model="typed"
          size="sm"
          placeholder="Find a source by title"
          aria-label="Find a source by title"
        />
        <ul v-if="shown.length" class="choices">
          <li v-for="row in shown" :key="row.id">
            <UCheckbox :model-value="chosen.includes(row.id)" @update:model-value="choose(row.id, !!$event)"
              ><template #label
                ><strong>{{ row.title }}</strong>
                <span class="small quiet"
                  >{{ sourceKind(row.kind) }}, {{ row.words.toLocaleString('en') }} words;
                  {{ holdsWords(row.holds, 3) }}</span
                ><span v-if="row.courses.length" class="small quiet block"
                  >in {{ row.courses.map((course) => course.title).join(', ') }}</span
                ></template
              ></UCheckbox
            >
          </li>
        </ul>
        <p v-else-if="rows" class="small quiet">
          {{
            rows.length > here.length
              ? 'No source fits.'
              : 'Nothing lies on the shelf that this course does not use already.'
          }}
        </p>
        <p v-if="trouble" class="decide small" role="alert">{{ trouble }}</p>
        <div><UButton type="submit" :disabled="chosen.length === 0">Use in this course</UButton></div>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.choices {
  max-height: 340px;
  overflow-y: auto;
}
.choices li {
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
