import { ref } from 'vue';
import { troubleOf, type Trouble } from './useApi';

/**
 * Runs requests of a page or dialog by itself: what goes wrong is kept for it to show, and goes with the next one that
 * does not.
 */
export function useTrying() {
  const trouble = ref<Trouble | null>(null);
  /** Whether it went well. */
  async function trying(work: () => Promise<void>): Promise<boolean> {
    try {
      await work();
      trouble.value = null;
      return true;
    } catch (error) {
      trouble.value = troubleOf(error);
      return false;
    }
  }
  return { trouble, trying };
}
