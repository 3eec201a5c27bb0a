export const retiredWords: { selector: string; message: string }[];
export const notWritten: { not: string; better: string }[];
