const swc = decorators => [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true, decorators },
      transform: {
        legacyDecorator: decorators,
        decoratorMetadata: decorators,
        react: { runtime: 'automatic' },
      },
      keepClassNames: true,
      target: 'es2022',
    },
    module: { type: 'es6' },
  },
];

const project = (displayName, rootDir, { environment = 'node', decorators = false, ...more } = {}) => ({
  displayName,
  rootDir,
  testEnvironment: environment,
  testMatch: ['<rootDir>/**/*.test.{ts,tsx}'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx?$': swc(decorators) },
  transformIgnorePatterns: ['/node_modules/'],
  ...more,
});

export default {
  projects: [
    project('core', 'packages/core', { setupFilesAfterEnv: ['<rootDir>/test/support/setup.mjs'] }),
    project('server', 'apps/server', {
      decorators: true,
      globalSetup: '<rootDir>/test/support/globalSetup.mjs',
      globalTeardown: '<rootDir>/test/support/globalTeardown.mjs',
      setupFilesAfterEnv: ['<rootDir>/test/support/setup.mjs'],
    }),
    project('web', 'apps/web', {
      environment: 'jsdom',
      setupFiles: ['<rootDir>/test/setup.mjs'],
      setupFilesAfterEnv: ['<rootDir>/test/patience.mjs'],
    }),
    project('e2e', 'e2e', {
      environment: '<rootDir>/support/environment.mjs',
      globalSetup: '<rootDir>/support/globalSetup.mjs',
      globalTeardown: '<rootDir>/support/globalTeardown.mjs',
      setupFilesAfterEnv: ['<rootDir>/support/setup.mjs'],
    }),
  ],
};
