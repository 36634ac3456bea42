/** What is written and not given away yet, by where it stands (a check, a part of a page): plain JSON. */
export interface Drafts {
  /** Whoever asks looks at it: what an older page kept may have another form. */
  load(of: string): unknown;
  /** Nothing: it was given away. */
  save(of: string, draft: unknown): void;
}

/** Keeps drafts on this device, under a name that is one learner's; where that is forbidden, as long as the page. */
export function browserDrafts(
  name: () => string,
  box: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> = localStorage,
): Drafts {
  const unsaved = new Map<string, unknown>();
  const keyOf = (of: string) => `${name()}/draft/${of}`;
  return {
    load(of) {
      try {
        const kept: unknown = JSON.parse(box.getItem(keyOf(of)) ?? 'null');
        if (kept !== null) return kept;
      } catch {
        // What cannot be read was not kept.
      }
      return unsaved.get(of);
    },
    save(of, draft) {
      if (draft) unsaved.set(of, draft);
      else unsaved.delete(of);
      try {
        if (draft) box.setItem(keyOf(of), JSON.stringify(draft));
        else box.removeItem(keyOf(of));
      } catch {
        // Private windows may forbid it; the page keeps it.
      }
    },
  };
}
