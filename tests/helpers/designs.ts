/** Random designs for the laws: contents, papers, tools, graduations, and every option its construction declares. */
import fc from 'fast-check';
import { z } from '../../src/core/text/zod';
import { optionFields, type Construction } from '../../src/core/constructions';
import { GRADUATIONS, INCH } from '../../src/core/length';
import { CLOSURES, LAYER_PLACES, readDesign, type DesignInput } from '../../src/core/design';
import { planFor, type Plan } from '../../src/core/plan';

const tool = fc.oneof(
  fc.record({
    kind: fc.constant('envelope-board'),
    notch: fc.double({ min: 14, max: 26, noNaN: true }),
    offset: fc.double({ min: -2, max: 2, noNaN: true }),
    rulerEnd: fc.double({ min: 60, max: 200, noNaN: true }),
    grooveEnd: fc.double({ min: 80, max: 300, noNaN: true }),
  }),
  fc.constant({ kind: 'envelope-board' }),
  fc.record({ kind: fc.constant('ruler'), notch: fc.double({ min: 14, max: 30, noNaN: true }) }),
  fc.constant({ kind: 'scoring-board' }),
  fc.record({ kind: fc.constant('scoring-board'), length: fc.double({ min: 80, max: 400, noNaN: true }) }),
  fc.record({
    kind: fc.constant('scoring-board'),
    length: fc.double({ min: 80, max: 400, noNaN: true }),
    pitch: fc.constantFrom(3.175, 5, 6.35, 10),
  }),
  fc.constant({ kind: 'edge-board' }),
  fc.record({
    kind: fc.constant('edge-board'),
    scoreFrom: fc.constantFrom(10, 12.7, 20),
    offset: fc.constantFrom(0, 0.5, -0.5),
    relief: fc.constantFrom(4, 6.35, 9),
  }),
);

/** Values worth trying for every option that has a default, read off the construction's own schema. */
function optionsOf(construction: Construction): fc.Arbitrary<Record<string, unknown>> {
  const { properties = {} } = z.toJSONSchema(construction.options, { io: 'input', unrepresentable: 'any' }) as {
    properties?: Record<
      string,
      { enum?: unknown[]; default?: unknown; unit?: string; limits?: { least: number; most: number } }
    >;
  };
  const each = Object.entries(properties).flatMap(([name, property]) => {
    if (property.enum) return [[name, fc.constantFrom(...property.enum)] as const];
    if (property.unit === 'yes-no') return [[name, fc.boolean()] as const];
    if (property.unit === 'count')
      return [[name, fc.integer({ min: property.limits!.least, max: property.limits!.most })] as const];
    return typeof property.default === 'number'
      ? [
          [
            name,
            fc.constantFrom(property.default * 0.5, property.default, property.default, property.default * 1.25),
          ] as const,
        ]
      : [];
  });
  return fc.record(Object.fromEntries(each), { requiredKeys: [] });
}

/** Layers on any faces, one on the other, with borders and papers of their own. */
export const anyLayers: fc.Arbitrary<NonNullable<DesignInput['layers']>> = fc.array(
  fc.record(
    {
      on: fc.constantFrom(...LAYER_PLACES),
      reveal: fc.constantFrom(0, 1.5, 3.175, 12),
      pull: fc.boolean(),
      paper: fc.record({ caliper: fc.constantFrom(0.12, 0.3) }),
    },
    { requiredKeys: ['on'] },
  ),
  { maxLength: 4 },
) as fc.Arbitrary<NonNullable<DesignInput['layers']>>;

const size = fc.oneof(
  fc.double({ min: 30, max: 260, noNaN: true }),
  fc.integer({ min: 10, max: 80 }).map((eighths) => (eighths * INCH) / 8),
);

/** Contents-first designs. Proportions stay where a square sheet has a chance; the long ones are tested by name. */
export const contentsFirst = (construction: Construction): fc.Arbitrary<DesignInput> =>
  fc
    .record({
      long: size,
      ratio: fc.double({ min: 0.55, max: 1, noNaN: true }),
      upright: fc.boolean(),
      thickness: fc.constantFrom(0, 0, 1, 3.175),
      tool,
      graduation: fc.constantFrom(...GRADUATIONS),
      options: optionsOf(construction),
    })
    .map(
      ({ long, ratio, upright, thickness, ...rest }) =>
        ({
          version: 1,
          construction: construction.name,
          contents: { width: upright ? long * ratio : long, height: upright ? long : long * ratio, thickness },
          ...rest,
        }) as DesignInput,
    );

const hasSetting = ({ options }: Construction): boolean => optionFields(options).some(({ name }) => name === 'setting');
/** Constructions that start from a square and refuse anything else. */
const takesSquares = (construction: Construction): boolean =>
  hasSetting(construction) || ['accordion-pocket', 'flap-mat'].includes(construction.name);

/** Paper-first designs: a sheet and, now and then, a setting. */
export const paperFirst = (construction: Construction): fc.Arbitrary<DesignInput> =>
  fc
    .record({
      side: fc.double({ min: 90, max: 320, noNaN: true }),
      ratio: fc.constantFrom(1, 1, 0.8, 1.3, 2),
      at: fc.option(fc.double({ min: 0.38, max: 0.62, noNaN: true }), { nil: undefined }),
      thickness: fc.constantFrom(0, 2),
      tool,
      options: optionsOf(construction),
    })
    .map(
      ({ side, ratio, at, thickness, tool: t, options }) =>
        ({
          version: 1,
          construction: construction.name,
          blank: { width: side, height: takesSquares(construction) ? side : side * ratio },
          contents: { thickness },
          tool: t,
          graduation: 'exact',
          options: { ...options, ...(at === undefined || !hasSetting(construction) ? {} : { setting: side * at }) },
        }) as DesignInput,
    );

/** Lengths over several powers of ten, as many small ones as large. */
const anyLength = (least: number, most: number): fc.Arbitrary<number> =>
  fc
    .integer({ min: 0, max: 100_000 })
    .map((share) => Math.exp(Math.log(least) + (Math.log(most / least) * share) / 100_000));
/** Sizes as people type them, small ones often, and any other a document may name. */
const typed = fc.oneof(
  fc.integer({ min: 1, max: 160 }).map((eighths) => (eighths * INCH) / 8),
  fc.integer({ min: 1, max: 24 }).map((eighths) => (eighths * INCH) / 8),
  fc.integer({ min: 1, max: 300 }),
  anyLength(5, 600),
  anyLength(0.1, 10_000),
);

/** A hair inside either end of what is allowed, mm. */
const HAIR = 0.01;

/** Every option anywhere between its limits. */
function anyOptions(construction: Construction): fc.Arbitrary<Record<string, unknown>> {
  const each = optionFields(construction.options).map(({ name, unit, choices, limits, fallback }) => {
    if (unit === 'choice') return [name, fc.constantFrom<unknown>(...choices)] as const;
    if (unit === 'yes-no') return [name, fc.boolean()] as const;
    const [least, most] = [limits?.least ?? (limits?.over ?? 0) + 0.01, limits?.most ?? 10_000];
    if (unit === 'count') return [name, fc.integer({ min: least, max: most })] as const;
    const usual = typeof fallback === 'number' ? fallback : INCH;
    return [
      name,
      fc.oneof(
        fc.constantFrom(least, Math.min(most, least + HAIR), Math.max(least, most - HAIR), most),
        anyLength(Math.max(least, 0.01), most),
        fc.integer({ min: 1, max: 30 }).map((tenths) => Math.min(most, Math.max(least, (tenths / 10) * usual))),
      ),
    ] as const;
  });
  return fc.record(Object.fromEntries(each), { requiredKeys: [] });
}

const anyTool = fc.oneof(
  tool,
  fc.record({
    kind: fc.constant('envelope-board'),
    notch: anyLength(5, 60),
    offset: fc.integer({ min: -200, max: 200 }).map((tenths) => tenths / 10),
    rulerEnd: anyLength(20, 1000),
    grooveEnd: anyLength(20, 1000),
  }),
  fc.record({ kind: fc.constant('scoring-board'), length: anyLength(50, 2000), pitch: anyLength(0.5, 60) }),
  fc.record({ kind: fc.constant('edge-board'), scoreFrom: anyLength(2, 100), relief: anyLength(1, 50) }),
);

/** Designs of any size at all, with everything that can be chosen beside: sense is not asked for, an answer is. */
export const anyDesign = (construction: Construction): fc.Arbitrary<DesignInput> =>
  fc
    .record({
      paperFirst: fc.boolean(),
      width: typed,
      height: typed,
      square: fc.boolean(),
      thickness: fc.oneof(fc.constant(0), anyLength(0.01, 200)),
      ease: fc.option(fc.record({ width: fc.constantFrom(0, 1, 6.35, 50), height: fc.constantFrom(0, 3, 200) }), {
        nil: undefined,
      }),
      tool: anyTool,
      graduation: fc.constantFrom(...GRADUATIONS),
      options: fc.oneof(fc.constant({}), anyOptions(construction)),
      paper: fc.record(
        { caliper: anyLength(0.01, 5), sided: fc.constantFrom(1, 2), directional: fc.boolean() },
        { requiredKeys: [] },
      ),
      closure: fc.record({ kind: fc.constantFrom(...CLOSURES), disc: anyLength(1, 60) }),
      sheets: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined, freq: 3 }),
      cardToo: fc.boolean(),
      layers: anyLayers,
    })
    .map(({ paperFirst, width, height, square, thickness, ease, options, sheets, cardToo, ...rest }) => {
      const onPaper = optionFields(construction.options).flatMap(({ name, onPaper: on }) => (on ? [name] : []));
      const own = Object.entries(options).filter(([name]) => paperFirst || !onPaper.includes(name));
      return {
        version: 1,
        construction: construction.name,
        ...(paperFirst
          ? {
              blank: { width, height: square ? width : height },
              contents: { thickness, ...(cardToo && { width: width / 2, height: height / 3 }) },
              ...(sheets !== undefined && { sheets }),
            }
          : { contents: { width, height, thickness } }),
        ...(ease ? { ease } : {}),
        ...rest,
        options: Object.fromEntries(own),
      } as DesignInput;
    });

/** Plans a document that must be sound; the error says which was not. */
export function planOf(input: unknown): Plan {
  const read = readDesign(input);
  if (!read.ok) throw new Error(`${JSON.stringify(input)}: ${JSON.stringify(read.issues)}`);
  return planFor(read.design);
}
