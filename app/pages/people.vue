<script setup lang="ts">
import { troubleOf, type Trouble } from '~/composables/useApi';

/** Who may sign in here; for the owner. */
const rows = ref<{ id: string; name: string; login: string; role: string }[] | null>(null);
const trouble = ref<Trouble | null>(null);
const form = reactive({ name: '', login: '', password: '' });

async function load() {
  rows.value = await $fetch<NonNullable<typeof rows.value>>('/api/people').catch((error: unknown) => {
    trouble.value = troubleOf(error);
    return null;
  });
}
onMounted(load);
async function add() {
  try {
    await $fetch('/api/people', { method: 'POST', body: { ...form } });
    trouble.value = null;
    form.name = form.login = form.password = '';
    await load();
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
useHead({ title: 'People – Uplift Path' });
</script>

<template>
  <div>
    <ShellTopBar />
    <ShellTroubleLine v-model="trouble" />
    <main id="work" class="open-page">
      <h1>People</h1>
      <table v-if="rows" class="lines">
        <thead><tr><th>Name</th><th>Signs in as</th><th>Standing</th></tr></thead>
        <tbody><tr v-for="row in rows" :key="row.id"><td>{{ row.name }}</td><td>{{ row.login }}</td><td>{{ row.role === 'owner' ? 'owns this installation' : 'member' }}</td></tr></tbody>
      </table>
      <form v-if="rows" class="fields" @submit.prevent="add">
        <h2>Add somebody</h2>
        <label>Name<UInput v-model="form.name" required maxlength="80" class="w-full" /></label>
        <label>Signs in as<UInput v-model="form.login" required minlength="2" maxlength="80" class="w-full" autocomplete="off" /></label>
        <label>First password<UInput v-model="form.password" type="password" required minlength="10" maxlength="200" class="w-full" autocomplete="new-password" /></label>
        <p class="small quiet">Ten letters or more. Tell it to them yourself.</p>
        <UButton type="submit">Add</UButton>
      </form>
    </main>
  </div>
</template>

<style scoped>
.open-page { max-width: 760px; }
form { justify-items: start; max-width: 340px; margin-top: 28px; }
h2 { font-size: 17px; }
</style>
