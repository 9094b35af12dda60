import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, extname, join } from 'node:path';

/**
 * Holds a text against the one a person has read and approved, in tests/approved (a name without an ending is a text). `APPROVE=1 npx jest told` writes what
 * has changed: read the difference before it is committed.
 */
export function expectApproved(name: string, text: string): void {
  const file = join('tests/approved', extname(name) ? name : `${name}.txt`);
  const before = existsSync(file) ? readFileSync(file, 'utf8') : '';
  if (process.env.APPROVE && before !== text) {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, text);
    return;
  }
  expect(text.split('\n')).toEqual(before.split('\n'));
}
