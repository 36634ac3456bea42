import type { InjectionKey } from 'vue';

/** Which entries of a long list are near what is seen of it; they alone need their fields. */
export interface Near {
  isNear: (id: string) => boolean;
  watch: (element: HTMLElement, id: string) => void;
  leave: (element: HTMLElement) => void;
}
const KEY: InjectionKey<Near> = Symbol('near');

/** Pixels beyond what is seen, above and below, that are still near: more than a page turned by key. */
const MARGIN = 700;
/** Entries that are near before anything was measured. */
const FIRST = 50;

/** Tells the entries of a list that scrolls in `root` which of them are near. `first`: its ids, as it begins. */
export function provideNear(root: Ref<HTMLElement | null>, first: readonly string[]): void {
  const near = shallowReactive(new Set(first.slice(0, FIRST)));
  const ids = new Map<Element, string>();
  let observer: IntersectionObserver | undefined;
  // The list may go and come back while its room stays.
  watch(
    root,
    (now) => {
      observer?.disconnect();
      observer = now
        ? new IntersectionObserver(
            (entries) => {
              for (const { target, isIntersecting } of entries) {
                const id = ids.get(target);
                if (id === undefined) continue;
                if (isIntersecting) near.add(id);
                else near.delete(id);
              }
            },
            { root: now, rootMargin: `${MARGIN}px 0px` },
          )
        : undefined;
      for (const element of ids.keys()) observer?.observe(element);
    },
    { flush: 'post' },
  );
  onBeforeUnmount(() => observer?.disconnect());
  provide(KEY, {
    isNear: (id) => near.has(id),
    watch(element, id) {
      ids.set(element, id);
      observer?.observe(element);
    },
    leave(element) {
      ids.delete(element);
      observer?.unobserve(element);
    },
  });
}

/** Whether an entry is near; outside of such a list everything is. */
export function useNear(element: Ref<HTMLElement | null>, id: string): ComputedRef<boolean> {
  const list = inject(KEY, undefined);
  let watched: HTMLElement | undefined;
  onMounted(() => {
    watched = element.value ?? undefined;
    if (watched) list?.watch(watched, id);
  });
  onBeforeUnmount(() => watched && list?.leave(watched));
  return computed(() => list?.isNear(id) ?? true);
}
