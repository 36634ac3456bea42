<script setup lang="ts">
import { runKey } from '~/actions/registry';

const listen = (event: KeyboardEvent) => void (event.defaultPrevented || runKey(event));
// Before the editor hears of it: what an action stands for is not also typed.
onMounted(() => window.addEventListener('keydown', listen, { capture: true }));
onBeforeUnmount(() => window.removeEventListener('keydown', listen, { capture: true }));
</script>

<template>
  <UApp :toaster="null">
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
    <ShellCommandBar />
    <ShellKeyList />
  </UApp>
</template>
