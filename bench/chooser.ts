/**
 * The chooser over every construction × 200 papers, beside the 1 s a person waits for a list: one question answered
 * with every holder folded and proved; 200 papers screened both ways, and the dozen best of them folded and proved.
 */
import { ONCE, usually } from './few';
import { Bench, type BenchOptions } from 'tinybench';
import { CONSTRUCTIONS } from '../src/core/constructions';
import { mm } from '../src/core/length';
import { becomes, papersFor, suggest } from '../src/core/choosing';
import { checksOf } from '../src/core/checks';
import { planFor } from '../src/core/plan';
import { readDesign } from '../src/core/design';

/** Longest a list may take, ms. */
const BOUND = 1000;
/** How many of the screened answers are folded and proved before they are shown. */
const SHOWN = 12;

const contents = { width: mm(76.2), height: mm(101.6), thickness: mm(1) };
const papers = Array.from({ length: 200 }, (_, i) => ({
  width: mm(60 + ((i * 37) % 280)),
  height: mm(60 + ((i * 61) % 320)),
}));
const prove = (construction: string, paper: (typeof papers)[number], blank: boolean): void => {
  const read = readDesign({ version: 1, construction, ...(blank ? { blank: paper } : { contents, paper }) });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  checksOf(planFor(read.design));
};

const bench = new Bench(usually<BenchOptions>({ time: 3000, warmupTime: 500 }, ONCE));
bench.add(`one card, ${CONSTRUCTIONS.length} holders folded and proved`, () => void suggest({ contents }));
bench.add(`${papers.length} papers × ${CONSTRUCTIONS.length} holders for one card, the best ${SHOWN} proved`, () => {
  for (const { construction, paper } of papersFor({ contents }, papers).slice(0, SHOWN))
    prove(construction, paper, false);
});
bench.add(`what ${papers.length} papers can become, ${CONSTRUCTIONS.length} holders, the best ${SHOWN} proved`, () => {
  for (const { construction, paper } of becomes({}, papers).slice(0, SHOWN)) prove(construction, paper, true);
});
void bench.run().then(() => {
  for (const task of bench.tasks) {
    if (task.result.state !== 'completed') throw new Error(`${task.name} did not run`);
    const { p50, p99 } = task.result.latency;
    console.log(
      `${task.name}: median ${p50.toFixed(0)} ms, ${(p50 / BOUND).toFixed(2)} of the ${BOUND} ms bound; 99th percentile ${p99.toFixed(0)} ms`,
    );
  }
});
