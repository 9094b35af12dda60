/** Before `next build`: public/licences.txt, the terms of every package and font that the app is made of. They go with it. */
import { readFileSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { promisify } from 'node:util';
import { init } from 'license-checker-rseidelsohn';

/** Terms of packages that hold no file of them: their package.json names them. (SPDX licence list, MIT.) */
const TERMS = {
  MIT: `Permission is hereby granted, free of charge, to any person obtaining a copy of this software and associated documentation files (the "Software"), to deal in the Software without restriction, including without limitation the rights to use, copy, modify, merge, publish, distribute, sublicense, and/or sell copies of the Software, and to permit persons to whom the Software is furnished to do so, subject to the following conditions:

The above copyright notice and this permission notice shall be included in all copies or substantial portions of the Software.

THE SOFTWARE IS PROVIDED "AS IS", WITHOUT WARRANTY OF ANY KIND, EXPRESS OR IMPLIED, INCLUDING BUT NOT LIMITED TO THE WARRANTIES OF MERCHANTABILITY, FITNESS FOR A PARTICULAR PURPOSE AND NONINFRINGEMENT. IN NO EVENT SHALL THE AUTHORS OR COPYRIGHT HOLDERS BE LIABLE FOR ANY CLAIM, DAMAGES OR OTHER LIABILITY, WHETHER IN AN ACTION OF CONTRACT, TORT OR OTHERWISE, ARISING FROM, OUT OF OR IN CONNECTION WITH THE SOFTWARE OR THE USE OR OTHER DEALINGS IN THE SOFTWARE.`,
};

/** True where a package brings its terms along in a file of their own. */
const ownFile = ({ licenseFile = '' }) => /licen[sc]e|copying/i.test(basename(licenseFile));

const own = JSON.parse(readFileSync('package.json', 'utf8')).name;
const found = Object.entries(await promisify(init)({ start: '.', production: true }))
  .filter(([name]) => !name.startsWith(`${own}@`))
  .sort(([a], [b]) => (a < b ? -1 : 1));
const unknown = found.filter(
  ([, one]) => !ownFile(one) && !TERMS[one.licenses] && !String(one.licenses).startsWith('LGPL'),
);
if (unknown.length > 0) {
  console.error(`No terms are known of ${unknown.map(([name, one]) => `${name} (${one.licenses})`).join(', ')}.`);
  process.exit(1);
}
const termsOf = (one) =>
  ownFile(one)
    ? readFileSync(one.licenseFile, 'utf8').replace(/\r\n?/g, '\n').trim()
    : `Copyright ${one.publisher ?? 'its authors'}. The package holds no file of its terms and names these: ${one.licenses}.\n\n${TERMS[one.licenses] ?? readFileSync(one.licenseFile, 'utf8').trim()}`;

/** Packages that share their terms to the letter stand together. */
const together = new Map();
for (const [name, one] of found) {
  const terms = termsOf(one);
  together.set(terms, [...(together.get(terms) ?? []), `${name} (${one.licenses})`]);
}
writeFileSync(
  'public/licences.txt',
  `Tuck Fold is made of these packages and fonts, each under its own terms.\n\n${[...together]
    .map(([terms, names]) => `${'='.repeat(78)}\n${names.map((name) => `- ${name}`).join('\n')}\n\n${terms}\n`)
    .join('\n')}`,
);
console.log(`Licences: ${found.length} packages, ${together.size} texts`);
