/**
 * The built player, handed in from outside: its script, stylesheet, faces by file name, and the licences of all of
 * them.
 */
export interface PlayerFiles {
  script: Uint8Array;
  style: Uint8Array;
  faces: ReadonlyMap<string, Uint8Array>;
  notices: string;
}
