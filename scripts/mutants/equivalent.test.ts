import { existsSync, readFileSync } from 'node:fs';

interface Equivalent {
  readonly file: string;
  readonly line: string;
}

test('what is listed as making no difference still stands in the code', () => {
  const listed = JSON.parse(readFileSync('scripts/mutants/equivalent.json', 'utf8')) as Equivalent[];
  expect(listed.length).toBeGreaterThan(0);
  expect(listed.filter(({ file, line }) => !existsSync(file) || !readFileSync(file, 'utf8').includes(line))).toEqual(
    [],
  );
});
