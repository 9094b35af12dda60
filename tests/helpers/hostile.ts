import { seeded } from '../../src/core/chance';

/**
 * Files as an attacker, a broken disk or a bad editor would leave them: good ones with something done to them, and some
 * that never were good. The same seed gives the same files.
 */
export interface HostileFile {
  /** What was done, to find a failure by. */
  readonly how: string;
  readonly bytes: Uint8Array;
}

const LETTERS = new TextEncoder();
const bytesOf = (text: string): Uint8Array => LETTERS.encode(text);

/** Values nobody means. */
const VALUES: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  -0,
  1e308,
  -1e308,
  5e-324,
  0.1 + 0.2,
  2 ** 53,
  NaN,
  '',
  ' ',
  '0',
  '3²',
  '1/0',
  '-3 in',
  '1e999 mm',
  'NaN',
  'Infinity',
  '٣',
  '=1+1',
  '@SUM(A1)',
  '＝1',
  '../../etc/passwd',
  '<script>alert(1)</script>',
  ']]>',
  'javascript:alert(1)',
  '\u0000\u0007\u001b[31m',
  '\u202Egnp.exe',
  '\uD800',
  'e\u0301'.repeat(200),
  '🌛'.repeat(300),
  'x'.repeat(40_000),
  [],
  {},
  [[[[[]]]]],
  { toString: 1 },
  { length: 3 },
  Array.from({ length: 3000 }, () => 'lid'),
  Object.fromEntries(Array.from({ length: 3000 }, (_, i) => [`k${i}`, i])),
];
const KEYS = ['__proto__', 'constructor', 'prototype', 'toString', 'then', '', '\u0000', 'length', 'x'.repeat(500)];

/** Every place in a document: the thing that holds it and its key. */
function placesIn(
  value: unknown,
  found: [Record<string, unknown>, string][] = [],
): [Record<string, unknown>, string][] {
  if (typeof value !== 'object' || value === null) return found;
  for (const key of Object.keys(value)) {
    found.push([value as Record<string, unknown>, key]);
    placesIn((value as Record<string, unknown>)[key], found);
  }
  return found;
}

/** Documents that were good, with one to three places changed. */
function spoiledDocument(good: unknown, next: () => number): { how: string; text: string } {
  const document = JSON.parse(JSON.stringify(good)) as unknown;
  const pick = <T>(from: readonly T[]): T => from[Math.floor(next() * from.length)]!;
  const done: string[] = [];
  for (let n = 1 + Math.floor(next() * 3); n > 0; n--) {
    const places = placesIn(document);
    if (places.length === 0) break;
    const [holder, key] = pick(places);
    const what = next();
    if (what < 0.6) {
      // A copy: a later change of the document must not reach the values.
      const was = holder[key];
      // Half of the numbers stay numbers somebody could have meant: such files are taken, and must then be good.
      const value =
        typeof was === 'number' && next() < 0.5
          ? was * pick([0, 1e-9, 0.01, 0.3, 1.7, 12, -1])
          : structuredClone(pick(VALUES));
      holder[key] = value;
      done.push(`${key} = ${String(JSON.stringify(value)).slice(0, 40)}`);
    } else if (what < 0.75) {
      delete holder[key];
      done.push(`no ${key}`);
    } else if (what < 0.9 && !Array.isArray(holder)) {
      const odd = pick(KEYS);
      Object.defineProperty(holder, odd, {
        value: structuredClone(pick(VALUES)),
        enumerable: true,
        configurable: true,
        writable: true,
      });
      done.push(`${odd.slice(0, 20)} added to what holds ${key}`);
    } else {
      holder[key] = [holder[key], holder[key]];
      done.push(`${key} twice in a list`);
    }
  }
  return { how: done.join(', '), text: JSON.stringify(document) };
}

/** Bytes that were good, as a broken disk or a bad copy leaves them. */
function spoiledBytes(good: Uint8Array, next: () => number): HostileFile {
  const at = Math.floor(next() * good.length);
  const what = next();
  if (what < 0.3) return { how: `ends at byte ${at}`, bytes: good.slice(0, at) };
  if (what < 0.4) return { how: 'twice', bytes: new Uint8Array([...good, ...good]) };
  if (what < 0.5) return { how: `a hole at byte ${at}`, bytes: new Uint8Array(good).fill(0, at, at + 40) };
  if (what < 0.6)
    return { how: 'in UTF-16', bytes: new Uint8Array([0xff, 0xfe, ...[...good].flatMap((byte) => [byte, 0])]) };
  const bytes = new Uint8Array(good);
  const flips = 1 + Math.floor(next() * 12);
  for (let i = 0; i < flips; i++) {
    const place = Math.floor(next() * bytes.length);
    bytes[place] = bytes[place]! ^ (1 << Math.floor(next() * 8));
  }
  return { how: `${flips} bits turned`, bytes };
}

/** Tables that were good, with cells changed, lines moved and marks misused. */
function spoiledTable(good: string, next: () => number): { how: string; text: string } {
  const pick = <T>(from: readonly T[]): T => from[Math.floor(next() * from.length)]!;
  const lines = good.split('\n');
  const done: string[] = [];
  for (let n = 1 + Math.floor(next() * 4); n > 0; n--) {
    const at = Math.floor(next() * lines.length);
    const cells = (lines[at] ?? '').split(',');
    const what = next();
    if (what < 0.55) {
      const cell = Math.floor(next() * cells.length);
      const value = pick(VALUES);
      cells[cell] = typeof value === 'string' ? value : String(JSON.stringify(value));
      lines[at] = cells.join(',');
      done.push(`line ${at + 1}, cell ${cell + 1}: ${cells[cell].slice(0, 30)}`);
    } else if (what < 0.65) {
      lines[at] = `"${lines[at]}`;
      done.push(`line ${at + 1} opens a quote`);
    } else if (what < 0.75) {
      lines[at] = cells.join(pick([';', '\t', '|', ',,', ' , ']));
      done.push(`line ${at + 1} parted otherwise`);
    } else if (what < 0.85) {
      lines.splice(at, 1);
      done.push(`line ${at + 1} gone`);
    } else {
      lines[0] = `${lines[0]},${pick([...KEYS, 'day', 'name', 'width'])}`;
      done.push('a column more');
    }
  }
  return { how: done.join('; '), text: lines.join(pick(['\n', '\r\n', '\r'])) };
}

/** What never was a file of the app. */
const STRANGERS: readonly (readonly [string, string])[] = [
  ['empty', ''],
  ['blanks', ' \n\t '],
  ['a byte order mark', '\uFEFF'],
  ['NUL', '\u0000'.repeat(1000)],
  ['null', 'null'],
  ['a number', '42'],
  ['a text', '"tuck-fold-project"'],
  ['a list', '[]'],
  ['a thing', '{}'],
  ['a deep list', `${'['.repeat(60_000)}${']'.repeat(60_000)}`],
  ['a deep thing', `${'{"a":'.repeat(30_000)}1${'}'.repeat(30_000)}`],
  ['an endless quote', `day,name,holder,width,height\n"${'x'.repeat(100_000)}`],
  ['only commas', ','.repeat(50_000)],
  ['only line ends', '\n'.repeat(50_000)],
  ['a web page', '<!doctype html><title>Sign in</title><script>document.write(1)</script>'],
  ['an image', '\u0089PNG\r\n\u001a\n'],
  ['a column ten thousand times', Array.from({ length: 10_000 }, () => 'width').join()],
];

/** Good files of one kind: documents as values, tables as text, others as bytes. */
export interface Good {
  readonly documents?: readonly unknown[];
  readonly tables?: readonly string[];
  readonly bytes?: readonly Uint8Array[];
}

/** So many hostile files made of good ones, always the same for a seed. */
export function hostileFiles(
  { documents = [], tables = [], bytes = [] }: Good,
  seed: number,
  count: number,
): HostileFile[] {
  const next = seeded(seed);
  const strangers = STRANGERS.map(([how, text]) => ({ how, bytes: bytesOf(text) }));
  const noise = Array.from({ length: 8 }, (_, i) => ({
    how: `noise ${i + 1}`,
    bytes: Uint8Array.from({ length: 1 + Math.floor(next() * 3000) }, () => Math.floor(next() * 256)),
  }));
  const goods = [...documents.map((document) => bytesOf(JSON.stringify(document))), ...tables.map(bytesOf), ...bytes];
  const made: HostileFile[] = [...strangers, ...noise];
  while (made.length < count) {
    const kind = next();
    const from = made.length;
    if (documents.length > 0 && kind < 0.7) {
      const { how, text } = spoiledDocument(documents[from % documents.length], next);
      made.push({ how, bytes: bytesOf(text) });
    } else if (tables.length > 0 && kind < 0.7) {
      const { how, text } = spoiledTable(tables[from % tables.length]!, next);
      made.push({ how, bytes: bytesOf(text) });
    } else made.push(spoiledBytes(goods[from % goods.length]!, next));
  }
  return made;
}
