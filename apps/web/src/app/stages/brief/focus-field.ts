/** Puts the keyboard into a field that the next frame draws, with all of its text selected. */
export const focusField = (id: string): void => {
  requestAnimationFrame(() => {
    const field = document.getElementById(id);
    field?.focus();
    if (field instanceof HTMLInputElement) field.select();
  });
};
