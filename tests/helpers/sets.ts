/** Random sets for the laws: things in things, to five deep, with counts, layers and papers of their own. */
import fc from 'fast-check';
import { type PartInput, type SetInput, LIES } from '../../src/core/sets';

const PAPERS: NonNullable<SetInput['papers']> = [
  { id: 'thin', name: 'Thin', width: 500, height: 700, caliper: 0.12 },
  { id: 'card', name: 'Card', width: 500, height: 700, caliper: 0.28 },
  { id: 'stiff', name: 'Stiff', width: 700, height: 1000, caliper: 0.5 },
];
const paper = fc.constantFrom(...PAPERS.map(({ id }) => id));

/** What holds flat things, and what holds a pile. */
const FLAT = ['seam-envelope', 'tab-envelope', 'card-holder', 'sleeve', 'diagonal-envelope', 'patch-pocket'] as const;
const DEEP = ['tray-box', 'folio'] as const;

const holder = fc.record({
  construction: fc.oneof({ weight: 4, arbitrary: fc.constantFrom(...FLAT) }, fc.constantFrom(...DEEP)),
  count: fc.integer({ min: 1, max: 4 }),
  lie: fc.constantFrom(...LIES),
  turn: fc.boolean(),
  paper,
  layers: fc.array(fc.record({ on: fc.constantFrom('front' as const, 'back' as const, 'inside' as const), paper }), {
    maxLength: 2,
  }),
});

/** A set as a chain: the innermost given or a card, each next one holds so many of the last, a band round it all perhaps. */
export const anyChain: fc.Arbitrary<SetInput> = fc
  .record({
    width: fc.integer({ min: 40, max: 140 }),
    height: fc.integer({ min: 40, max: 180 }),
    thickness: fc.constantFrom(0, 0.3, 1, 4),
    made: fc.boolean(),
    holders: fc.array(holder, { minLength: 1, maxLength: 4 }),
    band: fc.boolean(),
    graduation: fc.constantFrom('1/8 in' as const, '1 mm' as const, 'exact' as const),
  })
  .map(({ width, height, thickness, made, holders, band, graduation }): SetInput => {
    // How many of each the whole takes: counted from the outside.
    const quantities: number[] = [];
    holders.reduceRight((all, { count }, i) => ((quantities[i] = all * count), all * count), 1);
    const parts: PartInput[] = [
      {
        id: 'part-0',
        quantity: quantities[0] ?? 1,
        ...(made
          ? { design: { construction: 'folded-card', contents: { width, height } }, paper: 'card' }
          : { given: { width, height, thickness } }),
      },
      ...holders.map(({ construction, count, lie, turn, paper: own, layers }, i): PartInput => ({
        id: `part-${i + 1}`,
        quantity: quantities[i + 1] ?? 1,
        paper: own,
        design: { construction },
        holds: [{ part: `part-${i}`, count, lie, turn }],
        layers,
      })),
      ...(band
        ? [{ id: 'band', design: { construction: 'belly-band' }, paper: 'thin', round: `part-${holders.length}` }]
        : []),
    ];
    return { version: 1, set: 'chain', graduation, tool: { kind: 'ruler' }, papers: PAPERS, parts };
  });
