/** What a change does to words. */
export type ChangeKind = 'reference' | 'plain' | 'brief' | 'contract' | 'expand' | 'order' | 'split';

/** Characters `from` to `to` of a text become `with`. */
export interface Change {
  from: number;
  to: number;
  with: string;
  kind: ChangeKind;
}
