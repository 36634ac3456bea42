import { api } from '~/client';
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
    const answer = await api('GET /api/start').catch((error: unknown) => {
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
  /** Takes on whom the server let in. */
  const enter = (who: NonNullable<typeof person.value>) => void (person.value = who);
  async function leave() {
    await api('POST /api/sign-out');
    person.value = null;
    await start();
  }
  return { person, needsOwner, demoPeople, known, trouble, start, enter, leave };
});
