import Papa from 'papaparse';
import { cellOf, csv, guarded, plain, reading, readTable } from './csv';

/** Signs a spreadsheet begins a formula with; OWASP, “CSV Injection”, lists them and their full-width twins. */
const SIGNS = ['=', '+', '-', '@', '＝', '＋', '－', '＠'];

describe('cells are safe', () => {
  test.each(SIGNS.flatMap((sign) => [sign, ` ${sign}`, `'${sign}`, `name;${sign}`, `name,${sign}`, `name\n${sign}`]))(
    '%j',
    (begin) => {
      const text = `${begin}1+1`;
      const safe = guarded(text);
      // However a spreadsheet parts the cell, no part begins with a sign.
      for (const cell of safe.split(/[;,\n]/)) expect(SIGNS.includes(cell.trimStart()[0] ?? '')).toBe(false);
      expect(plain(safe)).toBe(text);
    },
  );

  test('what is no formula stays as it is', () => {
    for (const text of ['Star cards', "'quoted'", 'a = b', '3 - 4', '']) expect(guarded(text)).toBe(text);
  });

  test('a table opens with its letters and its cells in common spreadsheets', () => {
    const text = csv(['name', 'note'], [['Karte; „Ä“', 'two\nlines, and "more"']]);
    expect(text.startsWith('\uFEFF"name","note"\r\n')).toBe(true);
    const [row] = Papa.parse<Record<string, string>>(text.slice(1), { header: true }).data;
    expect(row).toEqual({ name: 'Karte; „Ä“', note: 'two\nlines, and "more"' });
  });
});

describe('a table', () => {
  const read = (text: string) => readTable(text, ['day', 'name'], 'a log');
  test.each([
    ['commas', 'day,name\n1,x\n'],
    ['semicolons', 'day;name\r\n1;x\r\n'],
    ['tabs', 'day\tname\n1\tx'],
    ['a byte order mark, capitals and blanks', '\uFEFF Day , NAME \n1,x\n\n'],
  ])('parted by %s is read', (_, text) => {
    const table = read(text);
    expect(table.ok && table.rows).toEqual([{ day: '1', name: 'x' }]);
  });

  test('that names a column twice is refused, and a column without a name is nobody’s', () => {
    expect(read('day,name,Name\n1,a,b')).toMatchObject({ ok: false, message: expect.stringContaining('“name” twice') });
    const table = read('day,name,,\n1,a,b,c');
    expect(table.ok && cellOf(table.rows[0]!, 'name')).toBe('a');
  });

  test('with names of what every object has is no trouble', () => {
    const table = read('day,name,__proto__,constructor\n1,a,b,c');
    expect(table.ok && cellOf(table.rows[0]!, 'toString')).toBe('');
  });

  test('is read in parts, and its lines keep their numbers', () => {
    const table = read(`day,name\n${'1,x\n'.repeat(1201)}`);
    const lines = reading(table, (_, line) => line);
    const parts = lines.ok ? [...lines.parts()] : [];
    expect(parts.map(({ length }) => length)).toEqual([500, 500, 201]);
    expect(parts.flat()).toEqual(Array.from({ length: 1201 }, (_, i) => i + 2));
    expect(reading(read('x'), (_, line) => line)).toMatchObject({ ok: false });
  });

  test('of too many lines is refused with how many', () => {
    expect(read(`day,name\n${'1,x\n'.repeat(20_001)}`)).toMatchObject({
      ok: false,
      message: 'This table has 20001 lines; at most 20000 are read at once.',
    });
  });
});
