/**
 * What a killed browser had kept: `npm run build && npm run bench kills`, or with how many: `npm run bench kills 200`. Edits of
 * every kind, and one of every field that walking the screens finds, made as a person makes them; the browser is killed, all its
 * processes at once, at a random moment from 0 to 300 ms after the edit could be seen. What is promised counts from 50 ms on;
 * earlier kills are told apart. It takes more than an hour: what came of each kill is written down, and the next run of the same
 * build goes on from there.
 */
import { appendFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { FEW, usually } from './few';
import { served } from './served';
import { EDITS, Killable, killDuring, walkedEdits, type Edit, type Killed } from '../e2e/killing';

const KILLS = Number(process.argv[2] ?? usually(1000, 2));
const PORT = 4340;
const BROWSERS = 2;
/** The same kills every time. */
const SEED = 20261127;
/** What came of the kills of this build so far: a line each. */
const WRITTEN = '.reports/kills.jsonl';
const BUILD = readFileSync('.next/BUILD_ID', 'utf8').trim();

/** A small generator of random numbers (Park and Miller's), for moments that can be had again. */
function* randoms(seed: number): Generator<number> {
  for (let state = seed % 2147483647; ;) {
    state = (state * 48271) % 2147483647;
    yield state / 2147483647;
  }
}

/** A kill, by its number, as it is written down. */
type Line = { readonly n: number; readonly build: string } & (
  | Killed
  | { readonly edit: string; readonly unmade: string }
);
function written(): Line[] {
  if (FEW || !existsSync(WRITTEN)) return [];
  const lines = readFileSync(WRITTEN, 'utf8').trim().split('\n').filter(Boolean);
  return lines.map((line) => JSON.parse(line) as Line).filter(({ build }) => build === BUILD);
}
function write(line: Line): void {
  if (FEW) return;
  mkdirSync('.reports', { recursive: true });
  appendFileSync(WRITTEN, `${JSON.stringify(line)}\n`);
}

/** Every field there is, found by walking. */
async function walked(base: string): Promise<Edit[]> {
  const browser = new Killable(base);
  const page = await browser.start();
  await page.goto('/');
  const edits = await walkedEdits(page);
  await browser.end();
  return edits;
}

async function main(): Promise<void> {
  const { base, end } = await served(PORT);
  const started = Date.now();
  const before = written();
  const done = new Set(before.map(({ n }) => n));
  const killed: Killed[] = before.flatMap((line) => ('after' in line ? [line] : []));
  const random = randoms(SEED);
  const moments = Array.from({ length: KILLS }, () => random.next().value * 300);
  const all = FEW ? EDITS : [...EDITS, ...(await walked(base))];
  console.log(`${all.length} edits, ${done.size} kills of this build before`);
  let next = 0;
  const part = async (): Promise<void> => {
    let browser = new Killable(base);
    let page = await browser.start();
    while (next < KILLS) {
      const n = next++;
      if (done.has(n)) continue;
      const edit = all[n % all.length]!;
      try {
        const outcome = await killDuring(browser, page, edit, Math.floor(n / all.length) + 1, moments[n]!);
        page = outcome.page;
        killed.push(outcome.killed);
        write({ n, build: BUILD, ...outcome.killed });
        if (outcome.killed.lost) console.log(`lost: ${JSON.stringify(outcome.killed)}`);
      } catch (error) {
        // The edit itself could not be made: said, and begun anew with a fresh browser.
        console.log(`not made: ${edit.name}: ${String(error).split('\n')[0]}`);
        write({ n, build: BUILD, edit: edit.name, unmade: String(error).split('\n')[0]! });
        await browser.end();
        browser = new Killable(base);
        page = await browser.start();
      }
      if (killed.length % 100 === 0)
        console.log(`${killed.length} kills, ${killed.filter(({ lost }) => lost).length} lost`);
    }
    await browser.end();
  };
  await Promise.all(Array.from({ length: BROWSERS }, part));
  end();
  const rows = all.map(({ name }) => {
    const own = killed.filter(({ edit }) => edit === name);
    const [early, late] = [own.filter(({ after }) => after < 50), own.filter(({ after }) => after >= 50)];
    const lost = (some: readonly Killed[]): number => some.filter((one) => one.lost !== null).length;
    return {
      edit: name,
      'from 50 ms': late.length,
      lost: lost(late),
      'before 50 ms': early.length,
      'lost there': lost(early),
    };
  });
  // Edits whose turn has not come say nothing.
  console.table(rows.filter((row) => row['from 50 ms'] + row['before 50 ms'] > 0));
  const sum = (key: 'from 50 ms' | 'lost' | 'before 50 ms' | 'lost there'): number =>
    rows.reduce((all, row) => all + row[key], 0);
  console.log(
    `${killed.length} kills in ${((Date.now() - started) / 60_000).toFixed(1)} minutes. From 50 ms after the edit was seen: ${sum('lost')} of ${sum('from 50 ms')} lost. Earlier: ${sum('lost there')} of ${sum('before 50 ms')}.`,
  );
  process.exit(sum('lost') > 0 ? 1 : 0);
}
void main();
