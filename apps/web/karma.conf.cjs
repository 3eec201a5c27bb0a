process.env.CHROME_BIN ??= '/usr/bin/chromium';

module.exports = (config) => {
  config.set({
    frameworks: ['jasmine'],
    plugins: [require('karma-jasmine'), require('karma-chrome-launcher'), require('karma-coverage')],
    client: {
      // Nothing waits for a server here: what takes this long hangs, on the busiest machine.
      jasmine: { random: true, failSpecWithNoExpectations: true, timeoutInterval: 30_000 },
      clearContext: true,
    },
    reporters: ['dots'],
    colors: false,
    // The fonts are not served to the unit tests.
    logLevel: config.LOG_ERROR,
    browsers: ['Headless'],
    customLaunchers: {
      Headless: {
        base: 'ChromeHeadless',
        flags: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--window-size=1280,800'],
      },
    },
    browserNoActivityTimeout: 120_000,
    restartOnFileChange: false,
    singleRun: true,
  });
};
