import { defineConfig, globalIgnores } from 'eslint/config';
import nextVitals from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';

/** The floors of the core, lowest first. A floor may import only the floors before it; every folder of src/core is one. */
export const FLOORS = [
  'text',
  'length',
  'progress',
  'chance',
  'geometry',
  'pattern',
  'fold',
  'constructions',
  'tools',
  'fit',
  'cutting',
  'scene',
  'mending',
  'design',
  'plan',
  'looks',
  'making',
  'checks',
  'choosing',
  'document',
  'sets',
  'hands',
  'rescue',
  'files',
];
/** Packages the core may use: computation only, nothing that draws, stores or asks a clock. */
const CORE_PACKAGES = [
  'zod',
  'clipper2-ts',
  'd3-polygon',
  'd3-random',
  '@cantoo/pdf-lib',
  '@cantoo/fontkit',
  'papaparse',
  'highs',
  '@tarikjabiri/dxf',
  'fflate',
  'crc-32',
];

const outside = [
  {
    regex: `^(?!\\.|${CORE_PACKAGES.map((name) => `${name}$`).join('|')})`,
    message: `The core is pure: besides itself it may import only ${CORE_PACKAGES.join(', ')}.`,
  },
  {
    // A room may have rooms of its own: two steps up is then still the core.
    regex: `^(\\.\\./){2,}(?!core/|(${FLOORS.join('|')})(/|$))`,
    message: 'The core may not import what stands outside src/core.',
  },
];
const floorRule = (floor, i) => ({
  files: [`src/core/${floor}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...outside,
          ...FLOORS.slice(i + 1).map((upper) => ({
            regex: `^(\\.\\./){1,3}${upper}(/|$)`,
            message: `Arrows run one way: ${floor} lies below ${upper}. Move what both need further down.`,
          })),
        ],
      },
    ],
  },
});
const noClock = [
  'Date',
  'window',
  'document',
  'navigator',
  'localStorage',
  'indexedDB',
  'fetch',
  'performance',
  'setTimeout',
].map((name) => ({ name, message: 'The core knows no browser and no clock; pass what it needs as an argument.' }));

/** What paper looks like is read off by these; only scenes ask them. */
const DRAWS_PAPER = ['visibleFrom', 'foldedBox', 'outlineOf', 'drawingOrder', 'flatStack', 'standingOf'];

/** Where React is: its rules read a whole file each, and in the core there is none. */
const WITH_REACT = ['src/{app,ui}/**', 'src/**/*.tsx'];

export default defineConfig([
  ...nextVitals.map((config) => (config.rules ? { ...config, files: WITH_REACT } : config)),
  ...nextTs,
  globalIgnores(['.next/**', 'public/sw.js*', '.pw/**', '.reports/**', 'coverage/**', 'next-env.d.ts']),
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  { files: ['scripts/**', 'bench/**'], rules: { 'no-console': 'off' } },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...noClock],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is seeded and passed in.' },
      ],
    },
  },
  ...FLOORS.map(floorRule),
  {
    files: ['src/ui/**/*.{ts,tsx}', 'src/workers/**/*.ts', 'src/data/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [{ regex: '^@/app(/|$)', message: 'Routes import screens, never the other way.' }],
          paths: [
            { name: 'next/link', message: 'A link of ours fetches its screen when a hand comes near: ui/parts/Link.' },
          ],
        },
      ],
    },
  },
  {
    // There is one drawing of paper: what shows it asks the scene, and never a panel, a pile or a leaf.
    files: ['src/app/**', 'src/ui/**', 'src/workers/**', 'src/core/files/**'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          `ImportSpecifier[imported.name=/^(${DRAWS_PAPER.join('|')})$/]`,
          "MemberExpression[property.name='polygon']",
          "ObjectPattern > Property[key.name='polygon']",
        ].map((selector) => ({ selector, message: 'Paper is drawn through a scene (core/scene), here too.' })),
      ],
    },
  },
  { files: ['src/ui/parts/Link.tsx'], rules: { 'no-restricted-imports': 'off' } },
  {
    files: ['src/data/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^@/(app|ui|workers)(/|$)', message: 'Storage knows no screen.' }] },
      ],
    },
  },
]);
