import { strToU8, unzipSync, zipSync } from 'fflate';
import { buf as crc32 } from 'crc-32';
import fc from 'fast-check';
import { readBackup, writeBackup, type Backup } from './backup';

const sample: Backup = {
  writtenAt: 1_764_000_000_000,
  dataVersion: 4,
  tables: {
    projects: [
      { id: 'b', name: 'Ζωή', design: { z: 1, a: [1, { y: 2, x: 3 }] } },
      { id: 'a', name: 'Жук 🌛' },
    ],
    settings: [],
  },
  photos: new Map([['l-1', new Uint8Array([255, 216, 255, 0, 1])]]),
};
const read = (bytes: Uint8Array): Backup => {
  const result = readBackup(bytes);
  if (!result.ok) throw new Error(result.message);
  return result.backup;
};

test('everything comes back as it was', () => {
  const back = read(writeBackup(sample));
  expect(back).toMatchObject({ writtenAt: sample.writtenAt, dataVersion: 4, photos: sample.photos });
  const sorted = (records: readonly object[]): string[] => records.map((one) => JSON.stringify(one)).sort();
  expect(back.tables.projects).toHaveLength(2);
  expect(back.tables.projects).toEqual(expect.arrayContaining([...sample.tables.projects!]));
  expect(sorted(back.tables.settings!)).toEqual([]);
});

test('the same data gives the same bytes, whatever order it comes in', () => {
  const turned: Backup = {
    ...sample,
    tables: {
      settings: [],
      projects: [
        { name: 'Жук 🌛', id: 'a' },
        { design: { a: [1, { x: 3, y: 2 }], z: 1 }, name: 'Ζωή', id: 'b' },
      ],
    },
  };
  expect(writeBackup(turned)).toEqual(writeBackup(sample));
});

test('any records and pictures survive', () => {
  fc.assert(
    fc.property(
      fc.array(fc.dictionary(fc.string(), fc.jsonValue()), { maxLength: 6 }),
      fc.uint8Array({ maxLength: 200 }),
      (records, image) => {
        const back = read(writeBackup({ ...sample, tables: { log: records }, photos: new Map([['p', image]]) }));
        const texts = (list: readonly unknown[]): unknown[] =>
          list.map((one) => JSON.parse(JSON.stringify(one)) as unknown);
        expect(texts(back.tables.log!)).toEqual(expect.arrayContaining(texts(records)));
        expect(back.photos.get('p')).toEqual(image);
      },
    ),
  );
});

describe('what is damaged or foreign is refused whole', () => {
  const refused = (bytes: Uint8Array): string => {
    const result = readBackup(bytes);
    if (result.ok) throw new Error('it was read');
    return result.message;
  };
  const zipped = (files: Record<string, string>): Uint8Array =>
    zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));

  test('a single bit changed anywhere is noticed, or changes nothing', () => {
    const bytes = writeBackup(sample);
    for (let at = 0; at < bytes.length; at++) {
      const bent = bytes.slice();
      bent[at]! ^= 1 << (at % 8);
      const result = readBackup(bent);
      // Zip tells some things twice; where only the copy is bent the data is whole.
      if (result.ok) expect(result.backup).toEqual(read(bytes));
      else expect(result.message).toMatch(/\.$/);
    }
  });

  test('cut short at any length', () => {
    const bytes = writeBackup(sample);
    for (let length = 0; length < bytes.length; length += 7) expect(refused(bytes.slice(0, length))).toMatch(/\.$/);
  });

  test.each<[string, Uint8Array, RegExp]>([
    ['a text', strToU8('hello'), /not a backup/],
    ['nothing', new Uint8Array(), /not a backup/],
    ['another zip', zipped({ 'a.txt': 'b' }), /not a backup/],
    ['a zip that says it is another thing', zipped({ 'backup.json': '{"format":"x"}' }), /something else/],
    [
      'one of a later version',
      zipped({ 'backup.json': '{"format":"tuck-fold-backup","version":2,"dataVersion":9,"writtenAt":1,"files":[]}' }),
      /another version/,
    ],
    ['one whose list is not JSON', zipped({ 'backup.json': '{' }), /damaged/],
  ])('%s', (_, bytes, message) => expect(refused(bytes)).toMatch(message));

  test('files it does not list, or lists and has not', () => {
    const files = unzipSync(writeBackup(sample));
    expect(refused(zipSync({ ...files, 'data/more.json': strToU8('[]') }))).toMatch(/damaged/);
    const { 'data/projects.json': _, ...less } = files;
    expect(refused(zipSync(less))).toMatch(/damaged/);
  });

  test('a path that leads elsewhere', () => {
    expect(refused(writeBackup({ ...sample, tables: { '../../x': [] } }))).toMatch(/no backup has/);
    // An id that looks like a path is an id.
    const photos = new Map([['../../x', new Uint8Array(1)]]);
    expect(read(writeBackup({ ...sample, photos })).photos).toEqual(photos);
  });

  test('more than any backup holds is not unpacked', () => {
    // A small zip whose directory says that one of its files unpacks to 2 GB.
    const bytes = writeBackup(sample);
    const directory = Buffer.from(bytes).lastIndexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02]));
    new DataView(bytes.buffer, bytes.byteOffset).setUint32(directory + 24, 2_000_000_000, true);
    expect(refused(bytes)).toMatch(/More would come out/);
  });

  /** A backup whose lists hold this text, its sums as they should be. */
  const telling = (texts: Readonly<Record<string, string>>): Uint8Array => {
    const files = Object.entries(texts).map(([name, text]) => [name, strToU8(text)] as const);
    const said = {
      format: 'tuck-fold-backup',
      version: 1,
      dataVersion: 5,
      writtenAt: 1,
      files: files.map(([name, bytes]) => ({ name, bytes: bytes.length, crc32: crc32(bytes) })),
    };
    const what = { ...said, crc32: crc32(strToU8(JSON.stringify(said))) };
    return zipSync({ 'backup.json': strToU8(JSON.stringify(what)), ...Object.fromEntries(files) });
  };

  test('what lies too deep in itself, swells, or is more than anyone keeps', () => {
    const deep = (levels: number): string => `[{"id":"[x","a":${'['.repeat(levels)}${']'.repeat(levels)}}]`;
    expect(refused(telling({ 'data/log.json': deep(100_000) }))).toMatch(/“data\/log.json” lies deeper in itself/);
    expect(readBackup(telling({ 'data/log.json': deep(50) })).ok).toBe(true);
    expect(refused(telling({ 'data/log.json': `[${' '.repeat(3_000_000)}]` }))).toMatch(/More would come out/);
    const things = (count: number): string => `[${Array.from({ length: count }, (_, i) => `{"id":${i}}`).join()}]`;
    expect(refused(telling({ 'data/log.json': things(30_000), 'data/papers.json': things(20_001) }))).toMatch(
      /more than 50000 things/,
    );
    const many = Object.fromEntries(Array.from({ length: 20_002 }, (_, i) => [`photos/${i}.jpg`, 'x']));
    expect(refused(telling(many))).toMatch(/more than 20000 files/);
  });

  test('a record that names what every object has is data, no more', () => {
    const back = read(
      writeBackup({
        ...sample,
        tables: { log: [JSON.parse('{"__proto__": {"admin": true}, "id": "x"}') as object] } as never,
      }),
    );
    expect(({} as { admin?: boolean }).admin).toBeUndefined();
    expect(back.tables.log).toHaveLength(1);
  });
});
