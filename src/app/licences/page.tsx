import type { Metadata } from 'next';
import { readFileSync } from 'node:fs';
import { Licences } from '@/ui/licences/Licences';

export const metadata: Metadata = { title: 'Terms · Tuck Fold' };

/** Written before the build by scripts/licences.mjs: of each package one line, with the name of its terms. */
const FILE = 'public/licences.txt';

export default function Page() {
  const parts = [...readFileSync(FILE, 'utf8').matchAll(/^- (\S+)@(\S+) \((.+)\)$/gm)];
  return (
    <Licences parts={parts.map(([, name, version, terms]) => ({ name: name!, version: version!, terms: terms! }))} />
  );
}
