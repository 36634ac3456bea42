import { defineStore } from 'pinia';
import { ref } from 'vue';
import { troubleOf } from '~/composables/useApi';

interface Named {
  id: string;
  name: string;
}

/** Who is signed in, and what the sign-in page needs. */
export const useSession = defineStore('session', () => {
  const person = ref<(Named & { role: string; mustChange: boolean }) | null>(null);
  /** Why the server cannot work at all, in its words. */
  const trouble = ref('');
  const needsOwner = ref(false);
  const demoPeople = ref<Named[]>([]);
  const known = ref(false);

  async function start() {
    const answer = await $fetch<{ person: typeof person.value; needsOwner: boolean; demoPeople: Named[] }>(
      '/api/start',
    ).catch((error: unknown) => {
      trouble.value = troubleOf(error).message;
      return null;
    });
    if (!answer) return;
    trouble.value = '';
    person.value = answer.person;
    needsOwner.value = answer.needsOwner;
    demoPeople.value = answer.demoPeople;
    known.value = true;
  }
  async function enter(path: string, body: Record<string, string>) {
    person.value = await $fetch<NonNullable<typeof person.value>>(path, { method: 'POST', body });
  }
  async function leave() {
    await $fetch('/api/sign-out', { method: 'POST' });
    person.value = null;
    await start();
  }
  return { person, needsOwner, demoPeople, known, trouble, start, enter, leave };
});
