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

const jestConfig = async () => {
  const config = await createConfig({
    testEnvironment: 'node',
    // What has to come may take its time on a loaded machine.
    testTimeout: 120_000,
    setupFiles: ['<rootDir>/tests/helpers/seed.ts'],
    testMatch: ['<rootDir>/{src,scripts,tests}/**/*.test.{ts,tsx}'],
    moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
    // Tests run in a context of their own, where each look at a global takes long: geometry looks at this one all the time.
    sandboxInjectedGlobals: ['Math'],
  })();
  config.transformIgnorePatterns = [`/node_modules/(?!(${esm.join('|')})/)`, '^.+\\.module\\.(css|sass|scss)$'];
  return config;
};
export default jestConfig;
