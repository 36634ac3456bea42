import { useEventListener } from '@vueuse/core';
import { addressOf } from '~/client';
/** What a window can be told about a course. */
interface Listeners {
  course: (revision: number) => void;
  job: () => void;
  learners: () => void;
}

/**
 * Milliseconds until a stream that was refused is asked for again; each time twice as long, up to the second: some are
 * refused for good.
 */
const [SOON, RARELY] = [3000, 60_000];

/**
 * Listens to a course while this tab is looked at; a tab in the background has no stream, and asks anew when it comes
 * back.
 */
export function useNews(course: () => string | undefined, listeners: Listeners): void {
  let stream: EventSource | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let wait = SOON;
  function close() {
    clearTimeout(again);
    stream?.close();
    stream = undefined;
  }
  function open() {
    close();
    const id = course();
    if (!id || document.visibilityState === 'hidden') return;
    stream = new EventSource(addressOf('GET /api/courses/:course/events', { course: id }));
    stream.addEventListener('course', (event) =>
      listeners.course((JSON.parse((event as MessageEvent<string>).data) as { revision: number }).revision),
    );
    stream.addEventListener('job', () => listeners.job());
    stream.addEventListener('learners', () => listeners.learners());
    // After a break, steps may have been missed.
    stream.addEventListener('open', () => {
      wait = SOON;
      listeners.job();
    });
    // The browser comes back by itself after a break, but not after an answer that is no stream: what a proxy says of a
    // server just starting.
    stream.addEventListener('error', () => {
      if (stream?.readyState !== EventSource.CLOSED) return;
      again = setTimeout(open, wait);
      wait = Math.min(RARELY, wait * 2);
    });
  }
  watch(course, open);
  useEventListener(document, 'visibilitychange', open);
  onMounted(open);
  onBeforeUnmount(close);
}
