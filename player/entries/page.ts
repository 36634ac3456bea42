import { createApp, type Component } from 'vue';

/** The data that stand in the page itself, so that nothing has to be fetched. */
export function pageData<T>(): T {
  return JSON.parse(document.getElementById('uplift-data')!.textContent!) as T;
}

/** Light or dark as the reader's system is, and when it changes. */
export function followColours(): void {
  const query = window.matchMedia('(prefers-color-scheme: dark)');
  const apply = () => void document.documentElement.classList.toggle('dark', query.matches);
  apply();
  query.addEventListener('change', apply);
}

/** Shows a component in the page. */
export function show(component: Component, props: Record<string, unknown> = {}): void {
  const app = createApp(component, props);
  app.mount('#player');
}
