<script setup lang="ts">
import { api } from '~/client';
import { useSession } from '~/stores/session';
import { counted } from '~/words/states';

interface SessionLine {
  id: string;
  here: boolean;
  about: string;
  address: string;
  created_at: number;
  seen_at: number;
}

/** One's own password, and where one is signed in. */
const session = useSession();
const route = useRoute();
const rows = ref<SessionLine[]>([]);
const { trouble, trying: tried } = useTrying();
const said = ref('');
const form = reactive({ old: '', fresh: '', again: '' });
const differ = computed(() => form.again !== '' && form.fresh !== form.again);
const others = computed(() => rows.value.filter((row) => !row.here).length);
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** Something is tried: what was said of the last thing goes. */
const trying = (work: () => Promise<void>) => {
  said.value = '';
  return tried(work);
};
const load = () =>
  trying(async () => {
    if (!session.person?.mustChange) rows.value = await api('GET /api/me/sessions');
  });
onMounted(load);
const change = () =>
  trying(async () => {
    await api('PUT /api/me/password', { body: { old: form.old, fresh: form.fresh } });
    form.old = form.fresh = form.again = '';
    const first = session.person?.mustChange;
    await session.start();
    const to = typeof route.query.to === 'string' && /^\/(?!\/)/.test(route.query.to) ? route.query.to : '/';
    if (first) return void (await navigateTo(to));
    await load();
    said.value = 'Your password is changed. Everywhere else you have to sign in anew.';
  });
const end = (row: SessionLine) =>
  trying(async () => {
    await api('DELETE /api/me/sessions/:session', { session: row.id });
    await load();
  });
const endAll = () =>
  trying(async () => {
    await api('DELETE /api/me/sessions');
    await load();
  });
</script>

<template>
  <ShellOpenPage v-model:trouble="trouble" title="Your account" :width="760">
    <p v-if="session.person?.mustChange" class="first">
      Your password was chosen by somebody else. Choose one of your own to go on.
    </p>
    <section>
      <h2>Password</h2>
      <form class="fields" @submit.prevent="change">
        <label
          >The one you have<UInput
            v-model="form.old"
            type="password"
            required
            autocomplete="current-password"
            class="w-full"
        /></label>
        <label
          >A new one, ten signs or more<UInput
            v-model="form.fresh"
            type="password"
            required
            minlength="10"
            maxlength="200"
            autocomplete="new-password"
            class="w-full"
        /></label>
        <label
          >Once more<UInput v-model="form.again" type="password" required autocomplete="new-password" class="w-full"
        /></label>
        <p v-if="differ" class="decide small">The two differ.</p>
        <div><UButton type="submit" :disabled="differ || !form.again">Change it</UButton></div>
        <p v-if="said" class="small" role="status">{{ said }}</p>
      </form>
    </section>
    <section v-if="rows.length">
      <h2>Where you are signed in</h2>
      <table class="lines">
        <thead>
          <tr>
            <th>Device</th>
            <th>From</th>
            <th>Signed in</th>
            <th>Last used</th>
            <th><span class="sr-only">End</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td>{{ row.about || 'Browser' }}<strong v-if="row.here" class="small">, this one</strong></td>
            <td class="mono">{{ row.address }}</td>
            <td class="small quiet">{{ when(row.created_at) }}</td>
            <td class="small quiet">{{ when(row.seen_at) }}</td>
            <td class="number">
              <button
                v-if="!row.here"
                type="button"
                class="link small"
                :aria-label="`Sign out ${row.about}`"
                @click="end(row)"
              >
                sign out
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <UButton v-if="others" color="neutral" variant="outline" size="sm" class="mt-3" @click="endAll"
        >Sign out on {{ counted(others, ['other device', 'other devices']) }}</UButton
      >
    </section>
  </ShellOpenPage>
</template>

<style scoped>
section {
  margin-bottom: 34px;
}
h2 {
  font-size: 17px;
  margin-bottom: 10px;
}
.fields {
  max-width: 340px;
}
.first {
  padding: 8px 12px;
  margin-bottom: 18px;
  background: var(--rust-soft);
  border-left: 3px solid var(--rust);
}
</style>
