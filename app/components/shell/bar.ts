/** Whether the command bar and the list of keys are open: shared by the button, the keys and the bars themselves. */
export const barOpen = ref(false);
export const keysOpen = ref(false);

export function openBar(): void {
  barOpen.value = true;
}
