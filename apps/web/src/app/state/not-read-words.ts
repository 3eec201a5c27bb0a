const changes = (count: number): string => (count === 1 ? 'One change that waited' : `${count} changes that waited`);

/** What is said of things that wait and cannot be sent. */
export const notReadWords = (damaged: number, outdated: number): string =>
  [
    ...(damaged > 0 ? [`${changes(damaged)} in this browser could not be read.`] : []),
    ...(outdated > 0
      ? [
          `${changes(outdated)} in this browser fit the updated program no more: look the boat over and make them again.`,
        ]
      : []),
    ...(damaged + outdated > 0
      ? ['What can be read is sent; the rest is put aside in the browser under "grey-keel-damaged".']
      : []),
  ].join(' ');
