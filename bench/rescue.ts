/**
 * Time of seeking ways out of seven mishaps, on one core: until the first that is not a new sheet beside one second, until all
 * are known beside ten.
 */
import { usually } from './few';
import { inches, sayer } from '../src/core/length';
import { readRescue, waysOut, type Mishap } from '../src/core/rescue';

/** What the first way and all of them may take, ms. */
const FIRST = 1000;
const ALL = 10_000;

const ENVELOPE = { construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } };
const TABS = {
  construction: 'tab-envelope',
  contents: { width: '3 in', height: '4 in' },
  tool: { kind: 'scoring-board' },
};
const BOX = { construction: 'tray-box', contents: { width: '3 in', height: '4 in', thickness: '1 in' } };
const torn = (x: number, y: number) => ({
  kind: 'torn',
  polygon: [
    [x, y],
    [x + 14, y],
    [x + 6, y + 16],
  ],
});
const MISHAPS: readonly (readonly [string, object, readonly object[]])[] = [
  ['cut a quarter inch short', ENVELOPE, [{ kind: 'blank', width: '5 3/4 in', height: '6 in' }]],
  ['punched at the mirror', ENVELOPE, [{ kind: 'notch', edge: 1, at: '2 5/8 in', instead: '3 3/8 in' }]],
  ['a cut that ran on', ENVELOPE, [{ kind: 'slit', edge: 1, at: '2 in', deep: '2 1/2 in' }]],
  ['a score too many', TABS, [{ kind: 'score', edge: 2, at: '5 in' }]],
  ['torn in the front', TABS, [torn(40, 60)]],
  ['a tab stuck', TABS, [{ kind: 'glued', panel: 'left tab' }]],
  ['a box’s wall torn', BOX, [torn(40, inches(0.1))]],
];
const say = sayer('in', '1/8 in');

function sought(mishap: Mishap): { readonly first: number; readonly all: number; readonly ways: number } {
  const from = performance.now();
  let first: number | null = null;
  const going = waysOut(mishap, say);
  for (;;) {
    const { value, done } = going.next();
    if (value.ways.length > 1) first ??= performance.now() - from;
    const all = performance.now() - from;
    if (done) return { first: first ?? all, all, ways: value.ways.length };
  }
}

for (const [name, design, wrong] of usually(MISHAPS, MISHAPS.slice(3, 4))) {
  const read = readRescue({ version: 1, design, wrong });
  if (!read.ok) throw new Error(`the mishap must be sound: ${JSON.stringify(read.issues)}`);
  const { first, all, ways } = sought(read.mishap);
  console.log(
    `${name.padEnd(26)} first ${first.toFixed(0).padStart(5)} ms  ${(first / FIRST).toFixed(2)} of the bound   all ${ways} ${all.toFixed(0).padStart(6)} ms  ${(all / ALL).toFixed(2)} of it`,
  );
}
