/**
 * What a make asks of the hands: steps told, and turns of a sheet among them, for every holder round one card, and for
 * three that used to take the most. Beside each stands what it took before marks were made edge by edge, scores of one
 * edge and pieces alike told together; the three must have lost what is said of them.
 * Then what many made at once ask for, cut as their sheets are laid out: stops, and the marks that are ticked off at them, beside
 * the most they may.
 */
import { CONSTRUCTIONS } from '../src/core/constructions';
import { planFor } from '../src/core/plan';
import { readDesign, type DesignInput } from '../src/core/design';
import { sayer } from '../src/core/length';
import { stepsOf } from '../src/core/making';
import { planSet, readSet, setOf, stepsAt, walkOf, type SetInput } from '../src/core/sets';
import { DEMO_SHELF } from '../src/data/demo';
import { laidFirst } from '../tests/helpers/laid';

const say = sayer('in', '1/8 in');
const board = { kind: 'scoring-board' } as const;
/** What each of the three must have lost. The box’s tabs are cut a hair short since, so that two on one wall never meet: that takes marks. */
const LOST: Readonly<Record<string, number>> = {
  'a folio for a notebook': 1 / 3,
  'a box for truffles': 1 / 6,
  'an accordion for cards': 1 / 3,
};
/** What was counted before had neither lid nor liner. */
const PLAIN: Readonly<Record<string, object>> = { 'diagonal-box': { top: 'closed', liner: false } };

const heavy: readonly (readonly [string, DesignInput])[] = [
  [
    'a folio for a notebook',
    {
      version: 1,
      construction: 'folio',
      contents: { width: '3 in', height: '5 in', thickness: '1/4 in' },
      tool: board,
    },
  ],
  [
    'a box for truffles',
    {
      version: 1,
      construction: 'tray-box',
      contents: { width: '2 1/2 in', height: '2 1/2 in', thickness: '1 1/4 in' },
      tool: board,
    },
  ],
  [
    'an accordion for cards',
    {
      version: 1,
      construction: 'accordion-pocket',
      contents: { width: '4 1/4 in', height: '5 1/2 in', thickness: '1/2 in' },
      tool: board,
    },
  ],
];
const everyday = CONSTRUCTIONS.map(
  ({ name }) =>
    [
      name,
      {
        version: 1,
        construction: name,
        contents: { width: '3 in', height: '4 in', thickness: '1/8 in' },
        tool: board,
        options: PLAIN[name] ?? {},
      },
    ] as readonly [string, DesignInput],
);

/** Steps and turns before, counted by this file on the state of 2026-11-28. */
const BEFORE: Readonly<Record<string, readonly [number, number]>> = {
  'a folio for a notebook': [62, 4],
  'a box for truffles': [40, 4],
  'an accordion for cards': [35, 4],
  'diagonal-envelope': [23, 3],
  'coin-envelope': [36, 3],
  'seam-envelope': [23, 2],
  'tab-envelope': [22, 2],
  'card-holder': [19, 2],
  'library-pocket': [15, 2],
  'patch-pocket': [18, 2],
  packet: [39, 4],
  'accordion-pocket': [35, 4],
  'storage-pocket': [67, 4],
  'slider-set': [25, 2],
  sleeve: [6, 2],
  'belly-band': [10, 0],
  'tray-box': [40, 4],
  'diagonal-box': [38, 3],
  'pad-holder': [15, 0],
  folio: [62, 4],
  'desk-file': [35, 2],
  'cover-board': [31, 2],
  'folded-card': [3, 0],
  mat: [3, 0],
  'flap-mat': [5, 0],
};

let missed = 0;
console.log('steps and turns, before and now');
for (const [name, input] of [...heavy, ...everyday]) {
  const read = readDesign(input);
  if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.issues)}`);
  const steps = stepsOf(planFor(read.design), say);
  const now = [steps.length, steps.filter(({ action }) => action === 'turn').length] as const;
  const before = BEFORE[name] ?? now;
  const lost = 1 - now[0] / before[0];
  const must = LOST[name];
  if (must !== undefined && lost < must) missed++;
  console.log(
    `${name.padEnd(26)} ${before.join(' + ').padStart(8)} → ${now.join(' + ').padStart(8)}   ${Math.round(100 * lost)} % fewer${must !== undefined ? ` (${Math.round(100 * must)} % are asked)` : ''}`,
  );
}
/** Many of a thing, and the taps they may take: a press of Next each stop, and one each mark after the first. */
const packets: DesignInput = {
  version: 1,
  construction: 'packet',
  contents: { width: '80 mm', height: '110 mm', thickness: '2 mm' },
  graduation: '1 mm',
  paper: { name: 'A4', width: 210, height: 297 },
};
const boxed = DEMO_SHELF.find(({ name }) => name.startsWith('Comet letters'))!.set;
const foldOut: DesignInput = {
  version: 1,
  construction: 'envelope-trio',
  contents: { width: '3 in', height: '4 in' },
  tool: board,
};
const MANY: readonly (readonly [string, SetInput, number, number])[] = [
  ['six boxed sets of four letters', boxed, 6, 120],
  ['twenty seed packets', setOf({ ...packets, tool: board }), 20, 40],
  // Marks for every score: more than was asked for is no fault of the telling.
  ['the same by ruler', setOf(packets), 20, Infinity],
  ['twelve fold-outs', setOf(foldOut), 12, 170],
];
console.log('\nmany made at once: stops and marks, beside sheet by sheet');
for (const [name, input, copies, most] of MANY) {
  const read = readSet(input);
  if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.issues)}`);
  const plan = planSet(read.set);
  const walk = walkOf(plan, say, copies, 'by-setting', laidFirst(plan, copies));
  const marks = walk
    .flatMap(stepsAt)
    .reduce((sum, { action, readings }) => sum + (action === 'mark' ? Math.max(0, readings.length - 1) : 0), 0);
  const taps = walk.length + marks;
  if (taps > most) missed++;
  console.log(
    `${name.padEnd(32)} ${walk.length} + ${marks} = ${taps} (${Number.isFinite(most) ? `${most} at most` : 'no bound'}); sheet by sheet ${walkOf(plan, say, copies, 'together').length}`,
  );
}
process.exitCode = missed > 0 ? 1 : 0;
