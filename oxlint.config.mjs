/** The floors of the core, lowest first. A floor may import only the floors before it; every folder of src/core is one. */
export const FLOORS = [
  'text',
  'length',
  'progress',
  'chance',
  'geometry',
  'papers',
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
const THE_LIBRARY = { name: 'zod', message: 'Documents are read with core/text/zod, which compiles nothing.' };
const outside = {
  regex: '^(@/|(\\.\\./)+(data|ui|app|workers)(/|$))',
  message: 'The core may not import what stands outside src/core.',
};
/** What paper looks like is read off by these; only scenes ask them. */
const DRAWS_PAPER = ['visibleFrom', 'foldedBox', 'outlineOf', 'drawingOrder', 'flatStack', 'standingOf'];
const THROUGH_A_SCENE = 'Paper is drawn through a scene (core/scene), here too.';
const drawsPaper = { regex: '.', importNames: DRAWS_PAPER, message: THROUGH_A_SCENE };
const asksAPanel = ['error', { property: 'polygon', message: THROUGH_A_SCENE }];
const noRandom = { object: 'Math', property: 'random', message: 'Randomness is seeded and passed in.' };
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

const above = (floor, i) => ({
  regex: `^(\\.\\./){1,3}(${FLOORS.slice(i + 1).join('|')})(/|$)`,
  message: `Arrows run one way: ${floor} lies below what is imported. Move what both need further down.`,
});
const ROUTES_IMPORT_SCREENS = { regex: '^@/app(/|$)', message: 'Routes import screens, never the other way.' };
const LINK = {
  name: 'next/link',
  message: 'A link of ours fetches its screen when a hand comes near: ui/parts/Link.',
};
const noImport = (patterns, paths = []) => ({
  'no-restricted-imports': ['error', { patterns, paths: [THE_LIBRARY, ...paths] }],
});

const off = (rules) => Object.fromEntries(rules.map((rule) => [rule, 'off']));
const TESTS = ['**/*.test.{ts,tsx}'];

export default {
  plugins: ['typescript', 'react', 'nextjs', 'jsx-a11y', 'import', 'oxc', 'unicorn'],
  categories: { correctness: 'error' },
  ignorePatterns: ['.next/**', 'public/sw.js*', '.pw/**', '.reports/**', 'coverage/**', 'next-env.d.ts'],
  rules: {
    eqeqeq: 'error',
    'no-console': ['error', { allow: ['error'] }],
    'no-unused-vars': [
      'error',
      { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
    ],
    'no-unused-expressions': 'error',
    'no-array-constructor': 'error',
    'no-var': 'error',
    'prefer-const': 'error',
    'prefer-rest-params': 'error',
    'prefer-spread': 'error',
    'typescript/ban-ts-comment': 'error',
    'typescript/no-empty-object-type': 'error',
    'typescript/no-explicit-any': 'error',
    'typescript/no-namespace': 'error',
    'typescript/no-require-imports': 'error',
    'typescript/no-unnecessary-type-constraint': 'error',
    'typescript/no-unsafe-function-type': 'error',
    'typescript/prefer-namespace-keyword': 'error',
    // React's own rules; these are in no category that is on.
    ...Object.fromEntries(
      ['rules-of-hooks', 'display-name', 'no-unescaped-entities', 'jsx-no-comment-textnodes'].map((rule) => [
        `react/${rule}`,
        'error',
      ]),
    ),
    // What the audit of every screen in the browser looks at, where it knows the page and not only a file.
    ...off(
      [
        'label-has-associated-control',
        'control-has-associated-label',
        'prefer-tag-over-role',
        'no-autofocus',
        'no-noninteractive-tabindex',
        'no-noninteractive-element-interactions',
      ].map((rule) => `jsx-a11y/${rule}`),
    ),
    // A copy of what is changed while it is walked; characters that are looked for because they are not wanted.
    ...off(['unicorn/no-useless-spread', 'no-control-regex']),
  },
  overrides: [
    { files: ['scripts/**', 'bench/**'], rules: { 'no-console': 'off' } },
    ...FLOORS.map((floor, i) => ({
      files: [`src/core/${floor}/**/*.ts`],
      excludeFiles: TESTS,
      rules: noImport([
        outside,
        ...(i + 1 < FLOORS.length ? [above(floor, i)] : []),
        ...(floor === 'files' ? [drawsPaper] : []),
      ]),
    })),
    {
      files: ['src/core/**/*.ts'],
      excludeFiles: TESTS,
      rules: {
        'no-restricted-globals': ['error', ...noClock],
        'no-restricted-properties': ['error', noRandom],
      },
    },
    {
      files: ['src/ui/**', 'src/workers/**'],
      excludeFiles: TESTS,
      rules: noImport([ROUTES_IMPORT_SCREENS, drawsPaper], [LINK]),
    },
    { files: ['src/app/**'], excludeFiles: TESTS, rules: noImport([drawsPaper]) },
    {
      files: ['src/data/**'],
      rules: noImport([{ regex: '^@/(app|ui|workers)(/|$)', message: 'Storage knows no screen.' }]),
    },
    {
      files: ['src/app/**', 'src/ui/**', 'src/workers/**'],
      excludeFiles: TESTS,
      rules: { 'no-restricted-properties': asksAPanel },
    },
    {
      files: ['src/core/files/**'],
      excludeFiles: TESTS,
      rules: { 'no-restricted-properties': [...asksAPanel, noRandom] },
    },
  ],
};
