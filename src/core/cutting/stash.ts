import { z } from '../text/zod';
import { lengthSchema, mm, USUAL_CALIPER } from '../length';
import { lineSchema, linesSchema, nameSchema } from '../text';
import type { CutList, Layout, SheetKind } from './cut-list';

/** A paper on hand: sheets of one size and kind. Lengths in millimetres. */
export const stashPaperSchema = z.strictObject({
  name: nameSchema(80, 'It needs a name.'),
  width: lengthSchema({ over: 0 }),
  height: lengthSchema({ over: 0 }),
  count: z.int('A whole number of sheets.').min(0, 'At least 0 sheets.').max(9999, 'At most 9999 sheets.'),
  caliper: lengthSchema({ over: 0, most: 5 }),
  sided: z.union([z.literal(1), z.literal(2)], { error: 'Paper is printed on 1 or 2 sides.' }),
  directional: z.boolean(),
  colour: lineSchema(40),
  price: z.number('A price is a number.').min(0, 'A price is not below 0.').max(10_000, 'At most 10000 a sheet.'),
  made: z.enum(['plain', 'laminated', 'joined'], { error: 'A paper is plain, laminated or joined.' }),
  of: lineSchema(120),
  note: linesSchema(500),
});
export type StashPaper = z.output<typeof stashPaperSchema>;

/** A paper of the stash as it is kept. */
export interface KeptPaper extends StashPaper {
  readonly id: string;
  /** True for what was left of a cutting. */
  readonly offcut: boolean;
}

/**
 * The sheets a cutting may take, and which paper each is. Names are made different where two papers share one. With
 * offcuts first, a new sheet is taken only where the offcuts do not save it.
 */
export function sheetsFrom(
  papers: readonly KeptPaper[],
  offcutsFirst: boolean,
): readonly { readonly sheet: SheetKind; readonly paper: string }[] {
  const used = new Set<string>();
  return papers.map(({ id, name: own, width, height, count, directional, offcut }) => {
    let name = own;
    for (let times = 2; used.has(name); times++) name = `${own} (${times})`;
    used.add(name);
    return {
      paper: id,
      sheet: {
        name,
        width,
        height,
        count,
        kerf: mm(0),
        trim: mm(0),
        directional,
        priority: offcutsFirst && !offcut ? 1 : 0,
      },
    };
  });
}

/** What a cutting does to the stash: sheets taken out, offcuts put in. */
export interface StashChange {
  readonly taken: readonly { readonly paper: string; readonly count: number }[];
  readonly added: readonly StashPaper[];
}

/** A sheet that was bought for the cutting, as the stash would have it. */
const bought = ({ name, width, height, directional }: SheetKind): KeptPaper => ({
  id: '',
  name,
  width,
  height,
  count: 0,
  caliper: USUAL_CALIPER,
  sided: 2,
  directional,
  colour: '',
  price: 0,
  made: 'plain',
  of: '',
  note: '',
  offcut: false,
});

/**
 * What the stash gives and gets when a layout is cut. `paperOf` finds the paper a sheet is; none for bought ones, which
 * only leave their offcuts.
 */
export function whenCut(list: CutList, layout: Layout, paperOf: (sheet: string) => KeptPaper | undefined): StashChange {
  const taken = new Map<string, number>();
  const added = new Map<string, { -readonly [K in keyof StashPaper]: StashPaper[K] }>();
  for (const { sheet, offcuts } of layout.sheets) {
    const own = paperOf(sheet);
    if (own) taken.set(own.id, (taken.get(own.id) ?? 0) + 1);
    const paper = own ?? bought(list.sheets.find(({ name }) => name === sheet)!);
    const { id: _, offcut, ...kind } = paper;
    for (const { width, height } of offcuts) {
      // The longer side first, unless the paper has a right way up.
      const [w, h] = paper.directional || width >= height ? [width, height] : [height, width];
      const key = `${sheet} ${w.toFixed(2)} ${h.toFixed(2)}`;
      const same = added.get(key);
      if (same) same.count++;
      else
        added.set(key, {
          ...kind,
          name: offcut ? kind.name : `Offcut, ${kind.name}`.slice(0, 80),
          width: w as StashPaper['width'],
          height: h as StashPaper['height'],
          count: 1,
          // Paper costs by its area.
          price: (paper.price * width * height) / (paper.width * paper.height),
          note: '',
        });
    }
  }
  return { taken: [...taken].map(([paper, count]) => ({ paper, count })), added: [...added.values()] };
}

/** Where the paper of a cutting went, mm², and what it cost. */
export interface PaperSpent {
  /** All sheets together. */
  readonly paper: number;
  readonly pieces: number;
  /** Kept as offcuts. */
  readonly kept: number;
  /** Pieces cut from offcuts, so from no new sheet: the paper saved. */
  readonly saved: number;
  /** What the pieces cost: the sheets less what is kept of them. */
  readonly cost: number;
  /** What the pieces cut from offcuts would have cost again. */
  readonly savedCost: number;
  /** What each piece costs, by name, one of it. */
  readonly each: ReadonlyMap<string, number>;
}

/** Counts up a layout. A sheet's cost, less its offcuts', is shared among its pieces by their area. */
export function paperSpent(
  list: CutList,
  layout: Layout,
  paperOf: (sheet: string) => KeptPaper | undefined,
): PaperSpent {
  const total = { paper: 0, pieces: 0, kept: 0, saved: 0, cost: 0, savedCost: 0 };
  const costs = new Map<string, { cost: number; count: number }>();
  for (const { sheet: name, placements, offcuts } of layout.sheets) {
    const sheet = list.sheets.find((kind) => kind.name === name)!;
    const whole = sheet.width * sheet.height;
    const area = (all: readonly { readonly width: number; readonly height: number }[]): number =>
      all.reduce((sum, { width, height }) => sum + width * height, 0);
    const [pieces, kept] = [area(placements), area(offcuts)];
    const paper = paperOf(name);
    const cost = (paper?.price ?? 0) * (1 - kept / whole);
    total.paper += whole;
    total.pieces += pieces;
    total.kept += kept;
    total.cost += cost;
    if (paper?.offcut) {
      total.saved += pieces;
      total.savedCost += cost;
    }
    for (const { piece, width, height } of placements) {
      const own = costs.get(piece) ?? { cost: 0, count: 0 };
      costs.set(piece, { cost: own.cost + (cost * width * height) / pieces, count: own.count + 1 });
    }
  }
  return { ...total, each: new Map([...costs].map(([piece, { cost, count }]) => [piece, cost / count])) };
}
