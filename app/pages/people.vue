<script setup lang="ts">
import { useTimeoutPoll } from '@vueuse/core';
import { api, type AnswerOf } from '~/client';
import type { ListColumn } from '~/components/list/column';
import { useSession } from '~/stores/session';

type Row = AnswerOf<'GET /api/people'>['people'][number];

/** Who may sign in here; for owners. */
const session = useSession();
const rows = ref<Row[] | null>(null);
const orphans = ref<{ id: string; title: string }[]>([]);
const byOneClick = ref(false);
const mail = ref({ standsIn: true, where: '' });
const search = ref('');
const { trouble, trying: tried } = useTrying();
const said = ref('');
const form = reactive({ name: '', login: '', mail: '', password: '', by: 'letter' as 'letter' | 'password' });
/** Whose password is being set, who gets a letter, or who is being taken out. */
const resetting = ref<Row | null>(null);
const writing = ref<Row | null>(null);
const leaving = ref<Row | null>(null);
const fresh = ref('');
const STANDINGS = [
  { value: 'owner', label: 'owns this installation' },
  { value: 'member', label: 'member' },
] as const;
const WAYS = [
  { value: 'letter', label: 'They get a letter with a link and choose a password' },
  { value: 'password', label: 'You give them a first password' },
];
const COLUMNS: ListColumn<Row>[] = [
  { key: 'name', label: 'Name', value: (row) => row.name },
  { key: 'login', label: 'Signs in as', value: (row) => row.login },
  { key: 'mail', label: 'Mail', value: (row) => row.mail ?? '' },
  { key: 'role', label: 'Standing', value: (row) => row.role },
  { key: 'change', label: 'Change', hidden: true },
];

/** Something is tried: what was said of the last thing goes. */
const trying = (work: () => Promise<void>) => {
  said.value = '';
  return tried(work);
};
async function look() {
  const answer = await api('GET /api/people');
  rows.value = answer.people;
  byOneClick.value = answer.byOneClick;
  mail.value = answer.mail;
  orphans.value = await api('GET /api/orphans');
}
onMounted(() => trying(look));
// Letters are on their way for a while, and some come back later.
useTimeoutPoll(() => look().catch(() => undefined), 3000, { immediate: true });
const add = () =>
  trying(async () => {
    const { name, login, by } = form;
    await api('POST /api/people', {
      body: { name, login, ...(by === 'letter' ? { mail: form.mail } : { password: form.password }) },
    });
    said.value =
      by === 'letter'
        ? `A letter to ${name} is on its way; they sign in as “${login}” from then on.`
        : `${name} can sign in as “${login}” and chooses a password then.`;
    Object.assign(form, { name: '', login: '', mail: '', password: '' });
    await look();
  });
const stand = (row: Row, role: Row['role']) =>
  trying(async () => {
    await api('PUT /api/people/:person', { person: row.id, body: { role } }).finally(look);
  });
const reset = () =>
  trying(async () => {
    const row = resetting.value!;
    await api('PUT /api/people/:person', { person: row.id, body: { password: fresh.value } });
    resetting.value = null;
    said.value = `${row.name} signs in with that password once, and chooses another then. Everywhere they were signed in, they are not any more.`;
  });
const send = () =>
  trying(async () => {
    const row = writing.value!;
    await api('POST /api/people/:person/letter', { person: row.id, body: { mail: fresh.value } });
    writing.value = null;
    said.value = `A letter to ${row.name} is on its way; links of earlier ones work no more.`;
    await look();
  });
const remove = (name: 'keep' | 'drop') =>
  trying(async () => {
    await api('DELETE /api/people/:person', { person: leaving.value!.id, query: { name } });
    leaving.value = null;
    await look();
  });
const adopt = (id: string) =>
  trying(async () => {
    await api('POST /api/orphans/:orphan', { orphan: id });
    await look();
  });
function ask(row: Row) {
  fresh.value = '';
  resetting.value = row;
}
function write(row: Row) {
  fresh.value = row.mail ?? '';
  writing.value = row;
}
const time = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
/** How the last letter stands, in words; nothing once it did what it was for. */
function letterWords({ letter, invited }: Row): string {
  if (!letter) return invited ? 'not invited yet' : '';
  if (letter.state === 'waiting')
    return letter.problem ? `Tried again at ${time(letter.due_at)}. ${letter.problem.message}` : 'letter on its way';
  if (letter.state === 'failed') return `Not reached. ${letter.problem?.message ?? ''}`;
  return invited ? `invited ${time(letter.at)}, not come yet` : '';
}
const goesNowhere = computed(() => mail.value.standsIn);
</script>

<template>
  <ShellOpenPage v-model:trouble="trouble" title="People" :width="1000">
    <template #beside>
      <UInput
        v-if="(rows?.length ?? 0) > 5"
        v-model="search"
        size="sm"
        placeholder="Find a name"
        aria-label="Find a name"
      />
    </template>
    <p v-if="said" class="small" role="status">{{ said }}</p>
    <ListTable v-if="rows" v-model:search="search" :rows="rows" :columns="COLUMNS" label="People">
      <template #mail="{ row }"
        >{{ row.mail
        }}<span
          v-if="letterWords(row)"
          class="small block"
          :class="row.letter?.state === 'failed' ? 'decide' : 'quiet'"
          >{{ letterWords(row) }}</span
        ></template
      >
      <template #role="{ row }">
        <FieldSelect
          :model-value="row.role"
          :items="STANDINGS"
          class="w-48"
          :label="`Standing of ${row.name}`"
          @update:model-value="stand(row, $event)"
        />
      </template>
      <template #change="{ row }">
        <span v-if="row.id !== session.person?.id" class="actions"
          ><button type="button" class="link small" @click="write(row)">
            {{ row.invited ? 'invite again' : 'send a link' }}</button
          ><button type="button" class="link small" @click="ask(row)">new password</button
          ><button type="button" class="link small" @click="leaving = row">take out</button></span
        >
      </template>
    </ListTable>
    <section v-if="orphans.length">
      <h2>Courses without an author</h2>
      <table class="lines">
        <tbody>
          <tr v-for="course in orphans" :key="course.id">
            <td>{{ course.title }}</td>
            <td class="number">
              <button type="button" class="link small" @click="adopt(course.id)">take it on</button>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section>
      <h2>Add somebody</h2>
      <p v-if="byOneClick" class="small quiet note">
        This is the demo. Once somebody of your own is here, nobody comes in by one click any more: Ines Marlow signs in
        as “ines”, Tom Ashby as “tom”, both with the password “fernhollow-desk”.
      </p>
      <form class="fields" @submit.prevent="add">
        <label>Name<UInput v-model="form.name" required maxlength="80" class="w-full" /></label>
        <label>Signs in as<UInput v-model="form.login" required class="w-full" /></label>
        <URadioGroup v-model="form.by" :items="WAYS" aria-label="How they come in" />
        <label v-if="form.by === 'letter'"
          >Mail address<UInput v-model="form.mail" type="email" required maxlength="200" class="w-full" /><span
            class="small quiet font-normal"
            >Letters go to {{ mail.where
            }}<template v-if="goesNowhere"
              >, nowhere else: <NuxtLink class="link" to="/services">look at them there</NuxtLink></template
            >.</span
          ></label
        >
        <label v-else
          >First password<UInput
            v-model="form.password"
            type="password"
            required
            minlength="10"
            autocomplete="new-password"
            class="w-full"
        /></label>
        <div>
          <UButton type="submit">{{ form.by === 'letter' ? 'Invite' : 'Add' }}</UButton>
        </div>
      </form>
    </section>
    <UModal
      :open="writing !== null"
      :title="writing?.invited ? `Invite ${writing.name} again` : `A link for ${writing?.name ?? ''}`"
      description="The letter has a link by which they choose a password. It works once, for seven days; links of earlier letters work no more."
      @update:open="writing = null"
    >
      <template #body
        ><form class="fields" @submit.prevent="send">
          <label
            >Mail address<UInput v-model="fresh" type="email" required maxlength="200" autofocus class="w-full"
          /></label>
          <div><UButton type="submit">Send</UButton></div>
        </form></template
      >
    </UModal>
    <UModal
      :open="resetting !== null"
      :title="`New password for ${resetting?.name ?? ''}`"
      description="They sign in with it once and choose one of their own then."
      @update:open="resetting = null"
    >
      <template #body
        ><form class="fields" @submit.prevent="reset">
          <label
            >Password, ten signs or more<UInput
              v-model="fresh"
              type="password"
              required
              minlength="10"
              autofocus
              autocomplete="new-password"
              class="w-full"
          /></label>
          <div><UButton type="submit">Set it</UButton></div>
        </form></template
      >
    </UModal>
    <UModal
      :open="leaving !== null"
      :title="`Take ${leaving?.name ?? ''} out`"
      description="They cannot sign in any more and have no part in any course. What they made stays; their sources become yours."
      @update:open="leaving = null"
    >
      <template #body
        ><div class="flex gap-3">
          <UButton @click="remove('keep')">Take out, what they did keeps their name</UButton
          ><UButton color="neutral" variant="outline" @click="remove('drop')">Take out without the name</UButton>
        </div></template
      >
    </UModal>
  </ShellOpenPage>
</template>

<style scoped>
section {
  margin-top: 30px;
}
h2 {
  font-size: 17px;
  margin-bottom: 8px;
}
section .fields {
  max-width: 420px;
}
.note {
  max-width: 62ch;
  margin-bottom: 10px;
}
.actions {
  display: flex;
  gap: 14px;
  justify-content: flex-end;
  white-space: nowrap;
}
</style>
