import type { Component } from 'vue';

/** What the desk knows of a kind of check; what a new one holds is in `core/checks/fresh`. */
export interface CheckEditor {
  /** What authors call it. */
  label: string;
  /** What its first field is called. */
  stem: string;
  /** Its answers, edited in place; given the `check`, and `readonly`. */
  part: Component;
  /** Its part says what is wrong with each of its parts, or where that is said. */
  saysFlaws?: true;
  /** What lies over its picture, where it is answered there; given the same. */
  over?: Component;
}
