/**
 * For menus and lists: they close a moment after the choice, and give the focus back to what opened them; whoever went
 * on to another field or a dialog meanwhile stays there, in the middle of a word.
 */
export const staying = {
  onCloseAutoFocus(event: Event) {
    if (document.activeElement && document.activeElement !== document.body) event.preventDefault();
  },
};
