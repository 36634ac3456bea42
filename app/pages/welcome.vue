<script setup lang="ts">
import { api } from '~/client';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { useSession } from '~/stores/session';

/** Where the link of a letter leads: a password is chosen, and one is in. */
const session = useSession();
const token = useRoute().hash.slice(1);
const who = ref<{ name: string; login: string } | null>(null);
const form = reactive({ password: '', again: '' });
const differ = computed(() => form.again !== '' && form.password !== form.again);
const trouble = ref<Trouble | null>(null);
const over = ref<Trouble | null>(null);
const busy = ref(false);
onMounted(async () => {
  try {
    who.value = await api('POST /api/welcome/look', { body: { token } });
  } catch (error) {
    over.value = troubleOf(error);
  }
});
async function choose() {
  busy.value = true;
  trouble.value = null;
  try {
    session.enter(await api('POST /api/welcome', { body: { token, password: form.password } }));
    await navigateTo('/', { replace: true });
  } catch (error) {
    trouble.value = troubleOf(error);
  }
  busy.value = false;
}
useHead({ title: 'Welcome – Uplift Path' });
</script>

<template>
  <main id="work" class="page">
    <div class="box">
      <h1>Uplift Path</h1>
      <template v-if="over">
        <p role="alert">{{ over.message }}</p>
        <NuxtLink class="link" to="/sign-in">To the sign-in</NuxtLink>
      </template>
      <form v-else-if="who" class="fields" @submit.prevent="choose">
        <p>
          Welcome, {{ who.name }}. Choose a password; later you sign in as <strong>{{ who.login }}</strong>.
        </p>
        <input
          class="sr-only"
          type="text"
          autocomplete="username"
          tabindex="-1"
          :value="who.login"
          aria-hidden="true"
          readonly
        />
        <label
          >Password, ten signs or more<UInput
            v-model="form.password"
            type="password"
            required
            minlength="10"
            maxlength="200"
            autofocus
            autocomplete="new-password"
            class="w-full"
        /></label>
        <label
          >Once more<UInput v-model="form.again" type="password" required autocomplete="new-password" class="w-full"
        /></label>
        <p class="error" role="alert">{{ differ ? 'The two differ.' : trouble?.message }}</p>
        <div><UButton type="submit" :disabled="busy || differ || !form.again">Come in</UButton></div>
      </form>
    </div>
  </main>
</template>

<style scoped>
.page {
  min-height: 100vh;
  display: grid;
  place-items: center;
  background: var(--sheet);
}
.box {
  width: min(360px, calc(100vw - 32px));
  margin-bottom: 12vh;
}
h1 {
  font-size: 34px;
  margin-bottom: 14px;
}
.error {
  min-height: 20px;
  color: var(--rust);
  font-size: 13.5px;
}
</style>
