import base from '../playwright.config';

export default {
  ...base,
  testDir: '.',
  testMatch: '*.shots.ts',
  reporter: 'list',
  outputDir: '../test-results/shots',
};
