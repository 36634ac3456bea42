import type { HandedIn } from '../../core/checks/markings';

/** What is written for a task and not handed in yet, by its check. */
export interface Drafts {
  load(check: string): HandedIn | undefined;
  /** Nothing: it was handed in. */
  save(check: string, draft: HandedIn | undefined): void;
}

/** Keeps drafts on this device, under a name that is one learner's; where that is forbidden, as long as the page. */
export function browserDrafts(
  name: () => string,
  box: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> = localStorage,
): Drafts {
  const unsaved = new Map<string, HandedIn>();
  const keyOf = (check: string) => `${name()}/draft/${check}`;
  return {
    load(check) {
      try {
        const kept = JSON.parse(box.getItem(keyOf(check)) ?? 'null') as Partial<HandedIn> | null;
        if (typeof kept?.text === 'string' && Array.isArray(kept.files)) return { text: kept.text, files: kept.files };
      } catch {
        // What cannot be read was not kept.
      }
      return unsaved.get(check);
    },
    save(check, draft) {
      if (draft) unsaved.set(check, draft);
      else unsaved.delete(check);
      try {
        if (draft) box.setItem(keyOf(check), JSON.stringify(draft));
        else box.removeItem(keyOf(check));
      } catch {
        // Private windows may forbid it; the page keeps it.
      }
    },
  };
}
