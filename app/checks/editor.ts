import type { Component } from 'vue';
import type { CheckFrame } from '~~/core/checks/check';

/** What the desk knows of a kind of check. */
export interface CheckEditor<Kind extends CheckFrame> {
  /** What authors call it. */
  label: string;
  /** What its first field is called. */
  stem: string;
  /** Its answers, edited in place; given the `check`, and `readonly`. */
  part: Component;
  /** What a new one has beside the frame; `id` gives ids by their letter. */
  fresh(id: (letter: string) => string): Pick<Kind, 'stem'> & Omit<Kind, keyof CheckFrame>;
}
