/** Hands a file to the user. */
export const saveFile = (content: Blob, name: string): void => {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
};

export const fileNameOf = (boat: string, ending: string): string =>
  `${boat.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-+|-+$/g, '') || 'boat'}${ending}`;
