import envPaths from 'env-paths';

/** Where the data lie: what GREY_KEEL_DATA says, or the platform's own place for a user's data. */
export const dataFolder = (): string => process.env['GREY_KEEL_DATA'] || envPaths('grey-keel', { suffix: '' }).data;
