import { computed, onBeforeUnmount, onMounted, shallowRef } from 'vue';

/** Something an author can do: the one source of buttons, keys, the list of keys and the command bar. */
export interface Action {
  id: string;
  label: string;
  /** "Ctrl+K", "Alt+ArrowUp", "F2", "?"; a plain letter acts only inside `within`. */
  key?: string;
  /** Where a plain letter key acts: focus inside an element with this `data-keys`. */
  within?: string;
  /** Under which heading it is listed. */
  area: string;
  when?: () => boolean;
  run: () => void;
}

const groups = shallowRef<readonly (readonly Action[])[]>([]);

/** Every action that can be done now. */
export const actions = computed(() => groups.value.flat().filter((action) => action.when?.() ?? true));

/** Offers actions; what comes back takes them away again. */
export function offerActions(list: readonly Action[]): () => void {
  groups.value = [...groups.value, list];
  return () => void (groups.value = groups.value.filter((each) => each !== list));
}

/** Offers actions while a component lives. */
export function useActions(list: readonly Action[]): void {
  let takeAway: (() => void) | undefined;
  onMounted(() => void (takeAway = offerActions(list)));
  onBeforeUnmount(() => takeAway?.());
}

/** What a key event is called in an action's `key`. */
export function keyName(event: KeyboardEvent): string {
  const plain = event.key.length === 1 ? event.key.toUpperCase() : event.key;
  const shift = event.shiftKey && (event.key.length > 1 || event.ctrlKey || event.altKey || event.metaKey);
  return [event.ctrlKey || event.metaKey ? 'Ctrl' : '', event.altKey ? 'Alt' : '', shift ? 'Shift' : '', plain]
    .filter(Boolean)
    .join('+');
}

/** Whether something is pressed by Enter: a button, a link, what opens and closes. */
export const isPressed = (target: Element): boolean =>
  target.closest('button, a, summary, [role^="menuitem"]') !== null;

/** Runs the action a key stands for; true when there was one. */
export function runKey(event: KeyboardEvent): boolean {
  const name = keyName(event);
  const target = event.target as HTMLElement | null;
  // A dialog has keys of its own; what lies behind it stays as it is.
  if (target?.closest('[role="dialog"]')) return false;
  // A button or a link is pressed by Enter alone, whatever it stands in.
  if (name === 'Enter' && target && isPressed(target)) return false;
  const typing = target?.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target?.tagName ?? '');
  const bare = !name.includes('+');
  const found = actions.value.find((action) => {
    if (action.key !== name) return false;
    // What lies open within something else has keys of its own.
    if (action.within)
      return target?.closest<HTMLElement>('[data-keys]')?.dataset.keys === action.within && !(bare && typing);
    return !(bare && typing && !/^F\d+$/.test(name));
  });
  if (!found) return false;
  event.preventDefault();
  found.run();
  return true;
}

/** A key as a person reads it. */
export function shownKey(key: string): string {
  return key
    .replaceAll('ArrowUp', '↑')
    .replaceAll('ArrowDown', '↓')
    .replaceAll('ArrowLeft', '←')
    .replaceAll('ArrowRight', '→')
    .replaceAll('+', ' ')
    .replace('PageUp', 'PgUp')
    .replace('PageDown', 'PgDn')
    .replace('Delete', 'Del')
    .replace('Escape', 'Esc')
    .replace('Enter', '↵');
}
