/** Unit and server tests run on the sources; the server's own tests need ZAKAT_TEST_DATABASE_URL (scripts/test.mjs gives one). */
const swc = {
  jsc: {
    parser: { syntax: 'typescript', tsx: true, decorators: true },
    transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
    target: 'es2022',
    keepClassNames: true,
  },
  module: { type: 'es6' },
};
const shared = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx?$': ['@swc/jest', swc] },
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testEnvironmentOptions: { customExportConditions: ['zakat-source', 'node', 'node-addons'] },
};
/**
 * Loading the modules of a suite takes longer than running it, so `npm test` gathers the suites of some projects into a
 * few files that import them (scripts/test-groups.mjs) and share what they load; alone, a suite runs as any other.
 */
const isGathered = process.env['ZAKAT_TEST_GROUPS'] === 'yes';
const gathered = isGathered ? { testMatch: ['<rootDir>/.test-groups/*.test.ts'] } : {};
const project = (displayName, folder, more = {}) => ({
  ...shared,
  displayName,
  rootDir: folder,
  testEnvironment: `${import.meta.dirname}/scripts/jest/plain-environment.mjs`,
  testMatch: ['<rootDir>/**/*.test.ts', '<rootDir>/**/*.test.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/', ...(isGathered ? [] : ['/.test-groups/'])],
  ...more,
});

export default {
  testSequencer: `${import.meta.dirname}/scripts/jest/longest-first.mjs`,
  // A test that waits for an agency's answer may take a while on a busy machine.
  testTimeout: 120_000,
  projects: [
    project('core', './packages/core', gathered),
    project('contract', './packages/contract'),
    project('agencies', './apps/agencies'),
    project('web', './apps/web', {
      ...gathered,
      testEnvironment: `${import.meta.dirname}/scripts/jest/dom-environment.mjs`,
      setupFiles: ['<rootDir>/test/browser.ts'],
      setupFilesAfterEnv: ['<rootDir>/test/patience.ts'],
      moduleNameMapper: { '\\.css$': '<rootDir>/test/style.ts', '^(\\.{1,2}/.*)\\.js$': '$1' },
      testEnvironmentOptions: { customExportConditions: ['zakat-source', 'browser'] },
    }),
    project('server', './apps/server', gathered),
    project('repository', './scripts'),
  ],
};
