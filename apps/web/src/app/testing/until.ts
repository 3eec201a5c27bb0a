/** Waits until something is so, and no longer than a spec may take; the expectation after it says what was not. */
export const until = async (good: () => boolean): Promise<void> => {
  for (let i = 0; i < 200 && !good(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
  expect(good()).toBeTrue();
};
