/** What a window can be told about a course. */
interface Listeners {
  course: (revision: number) => void;
  job: () => void;
  learners: () => void;
}

/** Listens to a course while this tab is looked at; a tab in the background has no stream, and asks anew when it comes back. */
export function useNews(course: () => string | undefined, listeners: Listeners): void {
  let stream: EventSource | undefined;
  function close() {
    stream?.close();
    stream = undefined;
  }
  function open() {
    close();
    const id = course();
    if (!id || document.visibilityState === 'hidden') return;
    stream = new EventSource(`/api/courses/${id}/events`);
    stream.addEventListener('course', (event) => listeners.course((JSON.parse((event as MessageEvent<string>).data) as { revision: number }).revision));
    stream.addEventListener('job', () => listeners.job());
    stream.addEventListener('learners', () => listeners.learners());
    // After a break, steps may have been missed.
    stream.addEventListener('open', () => listeners.job());
  }
  watch(course, open);
  onMounted(() => {
    document.addEventListener('visibilitychange', open);
    open();
  });
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', open);
    close();
  });
}
