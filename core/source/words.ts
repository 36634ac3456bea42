/** Words of a text as a reader counts them; a script without spaces counts two characters as a word. */
export function roughWords(text: string): number {
  const dense = text.match(/[\u3040-\u30ff\u3400-\u9fff\uf900-\ufaff\uac00-\ud7af]/g)?.length ?? 0;
  const spaced = text.replace(/[\u3040-\u30ff\u3400-\u9fff\uf900-\ufaff\uac00-\ud7af]/g, ' ').match(/[\p{L}\p{N}][^\s]*/gu)?.length ?? 0;
  return spaced + Math.ceil(dense / 2);
}
