import nextJest from 'next/jest.js';

const createConfig = nextJest({ dir: './' });
/** Packages published as ES modules only; Jest must transform them. */
const esm = [
  '@ant-design/colors',
  'clipper2-ts',
  'd3(-[a-z-]+)?',
  'internmap',
  'delaunator',
  'robust-predicates',
  'jsts',
  'three',
];

const seed = '<rootDir>/tests/helpers/seed.ts';

/**
 * The core, which needs neither a browser nor words of Jest's to replace a module: its tests share what they have loaded,
 * outside of Jest's own contexts, where each look at a global takes long. So they take half as long.
 */
const core = {
  runner: 'jest-light-runner/child-process',
  setupFiles: ['<rootDir>/tests/helpers/typescript.mjs', seed],
  testMatch: ['<rootDir>/src/core/**/*.test.ts'],
};

/** Everything else, each file by itself. */
async function around() {
  const config = await createConfig({
    testEnvironment: 'node',
    setupFiles: [seed],
    testMatch: ['<rootDir>/{src,scripts,tests}/**/*.test.{ts,tsx}'],
    testPathIgnorePatterns: ['/node_modules/', '<rootDir>/src/core/'],
    moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  })();
  config.transformIgnorePatterns = [`/node_modules/(?!(${esm.join('|')})/)`, '^.+\\.module\\.(css|sass|scss)$'];
  return config;
}

export default async () => ({
  projects: [core, await around()],
  // What has to come may take its time on a loaded machine.
  testTimeout: 120_000,
});
