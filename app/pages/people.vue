<script setup lang="ts">
import { useSession } from '~/stores/session';

interface Row {
  id: string;
  name: string;
  login: string;
  role: 'owner' | 'member';
}

/** Who may sign in here; for owners. */
const session = useSession();
const rows = ref<Row[] | null>(null);
const orphans = ref<{ id: string; title: string }[]>([]);
const byOneClick = ref(false);
const { trouble, trying: tried } = useTrying();
const said = ref('');
const form = reactive({ name: '', login: '', password: '' });
/** Whose password is being set, or who is being taken out. */
const resetting = ref<Row | null>(null);
const leaving = ref<Row | null>(null);
const fresh = ref('');
const STANDINGS = [
  { value: 'owner', label: 'owns this installation' },
  { value: 'member', label: 'member' },
];

/** Something is tried: what was said of the last thing goes. */
const trying = (work: () => Promise<void>) => {
  said.value = '';
  return tried(work);
};
async function look() {
  const answer = await $fetch<{ people: Row[]; byOneClick: boolean }>('/api/people');
  rows.value = answer.people;
  byOneClick.value = answer.byOneClick;
  orphans.value = await $fetch<typeof orphans.value>('/api/orphans');
}
onMounted(() => trying(look));
const add = () =>
  trying(async () => {
    await $fetch('/api/people', { method: 'POST', body: { ...form } });
    said.value = `${form.name} can sign in as “${form.login}” and chooses a password then.`;
    form.name = form.login = form.password = '';
    await look();
  });
const stand = (row: Row, role: string) =>
  trying(async () => {
    await $fetch(`/api/people/${row.id}`, { method: 'PUT', body: { role } }).finally(look);
  });
const reset = () =>
  trying(async () => {
    const row = resetting.value!;
    await $fetch(`/api/people/${row.id}`, { method: 'PUT', body: { password: fresh.value } });
    resetting.value = null;
    said.value = `${row.name} signs in with that password once, and chooses another then. Everywhere they were signed in, they are not any more.`;
  });
const remove = (name: 'keep' | 'drop') =>
  trying(async () => {
    await $fetch(`/api/people/${leaving.value!.id}`, { method: 'DELETE', query: { name } });
    leaving.value = null;
    await look();
  });
const adopt = (id: string) =>
  trying(async () => {
    await $fetch(`/api/orphans/${id}`, { method: 'POST' });
    await look();
  });
function ask(row: Row) {
  fresh.value = '';
  resetting.value = row;
}
useHead({ title: 'People – Uplift Path' });
</script>

<template>
  <div>
    <ShellTopBar title="People" />
    <ShellTroubleLine v-model="trouble" />
    <main id="work" class="open-page people">
      <h1>People</h1>
      <p v-if="said" class="small" role="status">{{ said }}</p>
      <table v-if="rows" class="lines">
        <thead>
          <tr>
            <th>Name</th>
            <th>Signs in as</th>
            <th>Standing</th>
            <th><span class="sr-only">Change</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td>{{ row.name }}</td>
            <td>{{ row.login }}</td>
            <td>
              <USelect
                :model-value="row.role"
                :items="STANDINGS"
                size="sm"
                class="w-52"
                :aria-label="`Standing of ${row.name}`"
                @update:model-value="stand(row, String($event))"
              />
            </td>
            <td class="number">
              <template v-if="row.id !== session.person?.id"
                ><button type="button" class="link small" @click="ask(row)">new password</button>
                <button type="button" class="link small" @click="leaving = row">take out</button></template
              >
            </td>
          </tr>
        </tbody>
      </table>
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
          This is the demo. Once somebody of your own is here, nobody comes in by one click any more: Ines Marlow signs
          in as “ines”, Tom Ashby as “tom”, both with the password “fernhollow-desk”.
        </p>
        <form class="fields" @submit.prevent="add">
          <label>Name<UInput v-model="form.name" required maxlength="80" class="w-full" /></label>
          <label>Signs in as<UInput v-model="form.login" required class="w-full" /></label>
          <label
            >First password<UInput
              v-model="form.password"
              type="password"
              required
              minlength="10"
              autocomplete="new-password"
              class="w-full"
          /></label>
          <div><UButton type="submit">Add</UButton></div>
        </form>
      </section>
    </main>
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
  </div>
</template>

<style scoped>
.people {
  max-width: 880px;
}
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
td .link + .link {
  margin-left: 14px;
}
</style>
