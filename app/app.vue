<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core';
import { runKey } from '~/actions/registry';
import { useSession } from '~/stores/session';

const session = useSession();
const go = useGo();
const route = useRoute();
/** Milliseconds between two looks whether a server that was unwell works again. */
const AGAIN = 5000;
useIntervalFn(async () => {
  if (!session.trouble) return;
  await session.start();
  if (!session.trouble && !session.person) go('/sign-in');
  else if (!session.trouble) go(route.fullPath);
}, AGAIN);

// Before the editor hears of it: what an action stands for is not also typed.
useEventListener(window, 'keydown', (event) => void (event.defaultPrevented || runKey(event)), { capture: true });
</script>

<template>
  <UApp :toaster="null">
    <main v-if="session.trouble" id="work" class="unwell">
      <h1>Uplift Path cannot work at the moment</h1>
      <p role="alert">{{ session.trouble }}</p>
      <p class="quiet">This page looks again by itself. What you typed before is kept in this browser.</p>
    </main>
    <NuxtLayout v-else>
      <NuxtPage />
    </NuxtLayout>
    <ShellCommandBar />
    <ShellKeyList />
  </UApp>
</template>

<style scoped>
.unwell {
  max-width: 52ch;
  margin: 12vh auto;
  padding: 0 16px;
}
.unwell h1 {
  font-size: 24px;
  margin-bottom: 12px;
}
.unwell p {
  margin-bottom: 12px;
}
</style>
