import { readFileSync } from 'node:fs';
import { CONSTRUCTIONS } from '../src/core/constructions';
import { constructionsDocument, FILE } from './constructions';

test('the table of holders is what the registry says: run `npm run -s constructions` when this fails', () => {
  const written = readFileSync(FILE, 'utf8');
  expect(written).toBe(constructionsDocument());
  for (const { name } of CONSTRUCTIONS) expect(written).toContain(`\`${name}\``);
});
