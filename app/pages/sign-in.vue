<script setup lang="ts">
import { api } from '~/client';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { useSession } from '~/stores/session';

const session = useSession();
const route = useRoute();
const form = reactive({ name: '', login: '', password: '' });
const trouble = ref<Trouble | null>(null);
const busy = ref(false);

async function enter(asking: () => Promise<Parameters<typeof session.enter>[0]>) {
  busy.value = true;
  try {
    session.enter(await asking());
    const to = typeof route.query.to === 'string' && /^\/(?!\/)/.test(route.query.to) ? route.query.to : '/';
    // A learner's page is not one of the desk's.
    await navigateTo(to, { external: to.startsWith('/learn/') });
  } catch (error) {
    trouble.value = troubleOf(error);
  }
  busy.value = false;
}
const send = () =>
  enter(() =>
    session.needsOwner
      ? api('POST /api/first-owner', { body: { ...form } })
      : api('POST /api/sign-in', { body: { login: form.login, password: form.password } }),
  );
const comeInAs = (person: string) => enter(() => api('POST /api/sign-in-as', { body: { person } }));
useHead({ title: 'Sign in – Uplift Path' });
</script>

<template>
  <main id="work" class="page">
    <svg class="hill" viewBox="0 0 400 60" preserveAspectRatio="none" aria-hidden="true">
      <path d="M0,52 L70,44 L110,46 L170,26 L230,30 L300,12 L400,6 V60 H0 Z" fill="var(--moss-faint)" />
      <path
        d="M0,52 L70,44 L110,46 L170,26 L230,30 L300,12 L400,6"
        fill="none"
        stroke="var(--moss)"
        stroke-width="1.6"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <div class="box">
      <h1>Uplift Path</h1>
      <template v-if="session.demoPeople.length">
        <p class="quiet">This is the demo. Come in as</p>
        <ul>
          <li v-for="person in session.demoPeople" :key="person.id">
            <UButton color="neutral" variant="outline" :disabled="busy" @click="comeInAs(person.id)">{{
              person.name
            }}</UButton>
          </li>
        </ul>
        <p class="quiet small">or sign in by name and password:</p>
      </template>
      <p v-else-if="session.needsOwner" class="quiet">Nobody is here yet. Who you enter now owns this installation.</p>
      <form class="fields" @submit.prevent="send">
        <label v-if="session.needsOwner"
          >Your name<UInput v-model="form.name" required autocomplete="name" class="w-full"
        /></label>
        <label>Sign-in name<UInput v-model="form.login" required autocomplete="username" class="w-full" /></label>
        <label
          >Password<UInput
            v-model="form.password"
            type="password"
            required
            :minlength="session.needsOwner ? 10 : 1"
            :autocomplete="session.needsOwner ? 'new-password' : 'current-password'"
            class="w-full"
        /></label>
        <p class="error" role="alert">{{ trouble?.message }}</p>
        <UButton type="submit" :disabled="busy">{{ session.needsOwner ? 'Begin' : 'Sign in' }}</UButton>
      </form>
    </div>
  </main>
</template>

<style scoped>
.page {
  position: relative;
  min-height: 100vh;
  display: grid;
  place-items: center;
  background: var(--sheet);
}
.hill {
  position: absolute;
  bottom: 0;
  width: 100%;
  height: 34vh;
}
.box {
  position: relative;
  width: 330px;
  margin-bottom: 16vh;
}
h1 {
  font-size: 34px;
  margin-bottom: 14px;
}
ul {
  display: flex;
  gap: 8px;
  margin: 6px 0 16px;
}
form {
  margin-top: 6px;
  justify-items: start;
}
.error {
  min-height: 20px;
  color: var(--rust);
  font-size: 13.5px;
}
</style>
