/** The server without the list of scripts that its pages may run. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

test('without the list that the content policy is made of nothing is served, and it says what to do', () => {
  const empty = mkdtempSync(join(tmpdir(), 'tuck-fold-unbuilt-'));
  const { status, stderr } = spawnSync(process.execPath, [resolve('scripts/serve.mjs'), '4398'], {
    cwd: empty,
    encoding: 'utf8',
    timeout: 60_000,
  });
  expect(status).toBe(1);
  expect(stderr).toContain('.next/csp-hashes.json is missing');
  expect(stderr).toContain('npm run build');
});
