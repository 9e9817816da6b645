import base from '../playwright.config';

export default {
  ...base,
  testDir: '.',
  globalSetup: '../tests/demo-template.ts',
  testMatch: '*.shots.ts',
  reporter: 'list',
  outputDir: '../test-results/shots',
};
