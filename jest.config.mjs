// Unit tests of the core and of the web store; the browser tests are Playwright's (e2e/).
export default {
  roots: ['<rootDir>/core/src', '<rootDir>/web/src', '<rootDir>/server/src'],
  // alone on the machine: all of its cores
  maxWorkers: '100%',
  testEnvironment: 'node',
  // Jest's proxies over torn-down globals recurse without end under Dexie
  testEnvironmentOptions: { globalsCleanup: 'off' },
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(culori|colorjs\\.io|immer|comlink|suncalc|minisearch|flatqueue|ical\\.js|@scure|@zip\\.js)/)',
  ],
  // jest resolves with “require”, for which this package exports no single files
  moduleNameMapper: {
    '^colorjs\\.io/src/(.*)$': '<rootDir>/node_modules/colorjs.io/src/$1',
    '^@zip\\.js/zip\\.js/lib/zip-core-native\\.js$': '<rootDir>/node_modules/@zip.js/zip.js/lib/zip-core-native.js',
  },
  moduleFileExtensions: ['ts', 'tsx', 'js', 'mjs', 'cjs', 'json'],
};
