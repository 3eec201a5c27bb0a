export const retiredWords: { selector: string; message: string }[];
