/** The house itself: floors and their guards, circles, names that stand twice, what the texts about it say. */
import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';
import { CONSTRUCTIONS } from '../src/core/constructions';

const CORE = 'src/core';
const filesIn = (folder: string, name: RegExp): string[] =>
  readdirSync(folder, { recursive: true })
    .map((file) => join(folder, String(file)))
    .filter((file) => name.test(file))
    .sort();
/** Every source of the app, its tests left out. */
const SOURCES = filesIn('src', /(?<!\.d|\.test)\.tsx?$/);

/** What must be refused: files that are not there, each with what stands in it. */
const FLOOR_NAMES = readdirSync(CORE, { withFileTypes: true }).flatMap((entry) =>
  entry.isDirectory() ? [entry.name] : [],
);
const TOP = 'files';
const ON_FLOORS = FLOOR_NAMES.flatMap((floor): [string, string][] => [
  [`${CORE}/${floor}/tried.ts`, "import { db } from '../../data/db';\n\nexport const tried = db;\n"],
  [`${CORE}/${floor}/deep/tried.ts`, `import { tried } from '../../${TOP}';\n\nexport const again = tried;\n`],
  [`${CORE}/${floor}/tried.ts`, 'export const tried = (): number => Date.now();\n'],
]);
const ASKS_A_PANEL = 'export const tried = (panel: { readonly polygon: number }): number => panel.polygon;\n';
const DRAWN_BY_ITSELF: readonly [string, string][] = [
  ['src/ui/bench/tried.ts', "import { visibleFrom } from '@/core/fold';\n\nexport const tried = visibleFrom;\n"],
  ['src/workers/tried.ts', "import { outlineOf } from '@/core/pattern';\n\nexport const tried = outlineOf;\n"],
  ['src/app/tried.ts', 'export const tried = ({ polygon }: { readonly polygon: number }): number => polygon;\n'],
  ...['src/ui/bench', 'src/workers', 'src/app', `${CORE}/${TOP}`].map((place): [string, string] => [
    `${place}/tried.ts`,
    ASKS_A_PANEL,
  ]),
];
const MAY_ASK: readonly [string, string] = [`${CORE}/scene/tried.ts`, ASKS_A_PANEL];
/** What the linter says of each, in one go: in a house where nothing else stands. */
function told(): string[] {
  const house = mkdtempSync(join(tmpdir(), 'house-'));
  cpSync('oxlint.config.mjs', join(house, 'oxlint.config.mjs'));
  const files = [...ON_FLOORS, ...DRAWN_BY_ITSELF, MAY_ASK].map(([path, text], i) => {
    const file = path.replace('tried.ts', `tried-${i}.ts`);
    mkdirSync(join(house, dirname(file)), { recursive: true });
    writeFileSync(join(house, file), text);
    return file;
  });
  const { stdout, stderr } = spawnSync(
    process.execPath,
    [join(process.cwd(), 'node_modules/oxlint/bin/oxlint'), '-c', 'oxlint.config.mjs', '-f', 'json', '.'],
    { cwd: house, encoding: 'utf8' },
  );
  rmSync(house, { recursive: true });
  if (!stdout.startsWith('{')) throw new Error(`${stdout}${stderr}`);
  const { diagnostics } = JSON.parse(stdout) as { diagnostics: { filename: string; message: string; help?: string }[] };
  return files.map((file) =>
    diagnostics
      .filter(({ filename }) => filename === file)
      .map(({ message, help }) => `${message} ${help ?? ''}`)
      .join('\n'),
  );
}
const TOLD = told();

test.each(FLOOR_NAMES.map((floor, i) => [floor, i] as const))(
  '%s: a file there imports no storage, nothing that lies above it, and asks no clock',
  (floor, i) => {
    const [storage, above, clock] = TOLD.slice(3 * i, 3 * i + 3);
    expect(storage).toContain('may not import what stands outside src/core');
    if (floor !== TOP) expect(above).toContain(`${floor} lies below`);
    expect(clock).toContain('knows no browser and no clock');
  },
);

test('paper is drawn through a scene: a screen, a worker or a file that asks a panel or a pile is refused', () => {
  const said = TOLD.slice(ON_FLOORS.length);
  DRAWN_BY_ITSELF.forEach((_, i) => expect(said[i]).toContain('Paper is drawn through a scene'));
  expect(said).toHaveLength(DRAWN_BY_ITSELF.length + 1);
  expect(said.at(-1)).not.toContain('Paper is drawn');
});

/** The file a relative import, or one from the root of the sources, names. */
function imported(from: string, name: string): string | null {
  if (!/^(\.|@\/)/.test(name)) return null;
  const base = name.startsWith('@/') ? join('src', name.slice(2)) : join(dirname(from), name);
  const found = ['.ts', '.tsx', '/index.ts'].map((end) => base + end).find((path) => existsSync(path));
  return found ?? null;
}
const importsOf = (text: string): string[] =>
  ts.preProcessFile(text, true, true).importedFiles.map(({ fileName }) => fileName);
const arrows = new Map(
  SOURCES.map((file) => {
    const names = importsOf(readFileSync(file, 'utf8'));
    return [file, names.flatMap((name) => imported(file, name) ?? [])] as const;
  }),
);

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
const notForTheCore = (text: string): string[] =>
  importsOf(text).filter((name) => !name.startsWith('.') && !CORE_PACKAGES.includes(name));

test('the core is pure: besides itself it imports packages that only compute', () => {
  expect(notForTheCore("import React from 'react';\nimport { z } from 'zod';\nexport * from './a';")).toEqual([
    'react',
  ]);
  const inTheCore = SOURCES.filter((file) => file.startsWith(`${CORE}/`));
  const strange = inTheCore.flatMap((file) =>
    notForTheCore(readFileSync(file, 'utf8')).map((name) => `${file}: ${name}`),
  );
  expect(inTheCore.length).toBeGreaterThan(300);
  expect(strange).toEqual([]);
  // None is allowed for nothing.
  const used = new Set(inTheCore.flatMap((file) => importsOf(readFileSync(file, 'utf8'))));
  expect(CORE_PACKAGES.filter((name) => !used.has(name))).toEqual([]);
});

/** Paths that come round to where they began, of a graph. */
function circles(graph: ReadonlyMap<string, readonly string[]>): string[] {
  const found: string[] = [];
  const done = new Set<string>();
  const walk = (at: string, path: readonly string[]): void => {
    const begun = path.indexOf(at);
    if (begun >= 0) return void found.push([...path.slice(begun), at].join(' → '));
    if (done.has(at)) return;
    for (const next of graph.get(at) ?? []) walk(next, [...path, at]);
    done.add(at);
  };
  for (const at of graph.keys()) walk(at, []);
  return found;
}

test('a circle is found where there is one', () => {
  expect(
    circles(
      new Map([
        ['a', ['b']],
        ['b', ['c']],
        ['c', ['b']],
      ]),
    ),
  ).toEqual(['b → c → b']);
  expect(
    circles(
      new Map([
        ['a', ['b', 'c']],
        ['b', ['c']],
        ['c', []],
      ]),
    ),
  ).toEqual([]);
});

test('no file of the app comes round to itself by its imports', () => {
  expect([...arrows.values()].flat().length).toBeGreaterThan(1000);
  expect(circles(arrows)).toEqual([]);
});

test('no two folders of the core name each other', () => {
  const between = new Map<string, Set<string>>();
  for (const [file, others] of arrows)
    for (const other of others) {
      const [from, to] = [dirname(file), dirname(other)];
      if (from !== to && from.startsWith(CORE) && to.startsWith(CORE))
        between.set(from, (between.get(from) ?? new Set()).add(to));
    }
  const both = [...between].flatMap(([from, all]) =>
    [...all].filter((to) => from < to && between.get(to)?.has(from)).map((to) => `${from} ↔ ${to}`),
  );
  expect(both).toEqual([]);
});

test('no type that is exported stands twice', () => {
  const where = new Map<string, string[]>();
  for (const file of SOURCES)
    for (const [, name] of readFileSync(file, 'utf8').matchAll(/^export (?:interface|type) (\w+)\b(?=[^;]*[={<])/gm))
      where.set(name!, [...(where.get(name!) ?? []), file]);
  expect(where.size).toBeGreaterThan(300);
  expect([...where].filter(([, files]) => files.length > 1)).toEqual([]);
});

/** What is typed into, and the files that make it: those hold what is half typed. (A view that is chosen is none of it.) */
const FIELDS = /^(LengthField|NumberField|TextField|SearchField|Input|Input\.\w+|InputNumber)$/;
const FIELD_FILES = /ui\/parts\/\w+Field\.tsx$/;
/** Fields of this source whose change is written into the state of the page alone: a reload would lose it. */
function heldInMemory(path: string, text: string): string[] {
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const setters = new Set<string>();
  const found: string[] = [];
  const look = (node: ts.Node): void => {
    if (
      ts.isVariableDeclaration(node) &&
      ts.isArrayBindingPattern(node.name) &&
      /^use(State|Reducer)\b/.test(node.initializer?.getText(source) ?? '')
    )
      setters.add(node.name.elements[1]?.getText(source) ?? '');
    node.forEachChild(look);
  };
  const fields = (node: ts.Node): void => {
    if ((ts.isJsxSelfClosingElement(node) || ts.isJsxOpeningElement(node)) && FIELDS.test(node.tagName.getText(source)))
      for (const one of node.attributes.properties)
        if (ts.isJsxAttribute(one) && /^on(Change|Commit|Move)/.test(one.name.getText(source))) {
          const names = (one.initializer?.getText(source) ?? '').match(/[A-Za-z_$][\w$]*/g) ?? [];
          if (names.some((name) => setters.has(name))) found.push(`${path}: ${node.tagName.getText(source)}`);
        }
    node.forEachChild(fields);
  };
  look(source);
  fields(source);
  return found;
}

test('what is typed into a field is kept: no field writes into the state of the page alone', () => {
  const tried = (by: string): string =>
    `const Tried = () => { const [at, setAt] = ${by}; return <TextField value={at} onChange={(to) => setAt(to)} />; };`;
  expect(heldInMemory('tried.tsx', tried("useState('')"))).toEqual(['tried.tsx: TextField']);
  expect(heldInMemory('tried.tsx', tried("useInAddress('words')"))).toEqual([]);
  const screens = SOURCES.filter((file) => file.endsWith('.tsx') && !FIELD_FILES.test(file));
  expect(screens.flatMap((file) => heldInMemory(file, readFileSync(file, 'utf8')))).toEqual([]);
});

test('every class a screen names stands in its style sheet', () => {
  let named = 0;
  for (const file of SOURCES) {
    const text = readFileSync(file, 'utf8');
    for (const [, name, sheet] of text.matchAll(/import (\w+) from '([^']+\.module\.css)'/g)) {
      const css = readFileSync(join(dirname(file), sheet!), 'utf8');
      const there = new Set([...css.matchAll(/\.([\w-]+)/g)].map(([, one]) => one));
      const used = [...text.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))].map(([, one]) => one!);
      named += used.length;
      expect([file, used.filter((one) => !there.has(one))]).toEqual([file, []]);
    }
  }
  expect(named).toBeGreaterThan(500);
});

describe('what is written about the house', () => {
  const texts = ['README.md', 'CONTRIBUTING.md', 'CHANGELOG.md', ...filesIn('docs', /\.md$/)];
  test('every link leads somewhere, and every path that is named is there', () => {
    const lost = texts.flatMap((text) => {
      const said = readFileSync(text, 'utf8');
      const links = [...said.matchAll(/\]\(([^)#]+)/g)].flatMap(([, link]) =>
        /^\w+:/.test(link!) || existsSync(join(dirname(text), link!)) ? [] : [`${text}: ${link}`],
      );
      const paths = [...said.matchAll(/`((?:src|docs|tests|scripts|bench|e2e)\/[\w./[\]-]+)`/g)].flatMap(([, path]) =>
        existsSync(path!) ? [] : [`${text}: ${path}`],
      );
      // What changed is told of the files there were then.
      return text === 'CHANGELOG.md' ? links : [...links, ...paths];
    });
    expect(lost).toEqual([]);
  });
  test('documents named in the code are there', () => {
    const lost = SOURCES.flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/\bdocs\/[\w./-]*\w/g)].flatMap(([path]) =>
        existsSync(path) ? [] : [`${file}: ${path}`],
      ),
    );
    expect(lost).toEqual([]);
  });
  const WORDS = [
    'twenty',
    'twenty-one',
    'twenty-two',
    'twenty-three',
    'twenty-four',
    'twenty-five',
    'twenty-six',
    'twenty-seven',
    'twenty-eight',
    'twenty-nine',
    'thirty',
  ];
  test('the things to make are counted as the registry counts them', () => {
    const [, count] = /([\w-]+) things to make/i.exec(readFileSync('README.md', 'utf8'))!;
    expect(20 + WORDS.indexOf(count!.toLowerCase())).toBe(CONSTRUCTIONS.length);
  });
  test('every room of the core stands in the table of rooms, and no other', () => {
    const told = [...readFileSync('docs/architecture.md', 'utf8').matchAll(/^\| `src\/core\/(\w+)`/gm)].map(
      ([, room]) => room,
    );
    expect(told.sort()).toEqual(readdirSync(CORE).sort());
  });
  test('a comment for documentation stands before what it is about', () => {
    const alone = SOURCES.flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/\*\/\n(?:\n|(?=\/\*\*))/g)].flatMap(({ index, 0: end }) => {
        const before = readFileSync(file, 'utf8').slice(0, index);
        // The first comment of a file may be about all of it; two that follow each other are about one thing.
        const first = !before.includes('*/') && end.endsWith('\n\n');
        return first ? [] : [`${relative('.', file)}: ${before.split('\n').at(-1)}${end.trim()}`];
      }),
    );
    expect(alone).toEqual([]);
  });
});
