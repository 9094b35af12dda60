import { TOLERANCE } from '../geometry';
import type { Cut, Rect, SheetKind, SheetLayout } from './cut-list';

const near = (a: number, b: number): boolean => Math.abs(a - b) < TOLERANCE.drawn;

/** A cut as the person makes it on the trimmer. */
export interface TrimmerCut {
  /** Which sheet of the layout, and which of its cuts, from 0. */
  readonly sheet: number;
  readonly cut: number;
  /** The paper it is made in, mm on the sheet. */
  readonly part: Rect;
  /** An upright line on the sheet, or one across. */
  readonly upright: boolean;
  /** Where the fence stands: how much paper lies between it and the blade, mm. */
  readonly setting: number;
  /** How long the cut is, mm. */
  readonly length: number;
  /** The cut that must be made before, of the same sheet; −1 for none. */
  readonly after: number;
  /** What the two parts are. */
  readonly first: Rect;
  readonly second: Rect;
}

/**
 * A simulated trimmer: carries out a sheet's cuts one by one, each from edge to edge of the one part it lies in.
 * Gives the parts in the end. Throws, naming the cut, when one does not go from edge to edge of a part.
 */
export function carryOutCuts(
  sheet: SheetKind,
  cuts: readonly Cut[],
): { parts: Rect[]; made: Omit<TrimmerCut, 'sheet'>[] } {
  const parts: { rect: Rect; by: number }[] = [
    { rect: { x: 0, y: 0, width: sheet.width, height: sheet.height }, by: -1 },
  ];
  const made = cuts.map(({ from, to }, i): Omit<TrimmerCut, 'sheet'> => {
    const upright = near(from[0], to[0]);
    const at = parts.findIndex(({ rect }) => {
      const [x, y] = [rect.x + rect.width, rect.y + rect.height];
      return upright
        ? from[0] > rect.x - TOLERANCE.drawn &&
            from[0] < x + TOLERANCE.drawn &&
            near(Math.min(from[1], to[1]), rect.y) &&
            near(Math.max(from[1], to[1]), y)
        : from[1] > rect.y - TOLERANCE.drawn &&
            from[1] < y + TOLERANCE.drawn &&
            near(Math.min(from[0], to[0]), rect.x) &&
            near(Math.max(from[0], to[0]), x);
    });
    if (at < 0 || (!upright && !near(from[1], to[1])))
      throw new Error(`Cut ${i + 1} does not go from edge to edge of a part of the sheet.`);
    const { rect, by } = parts[at]!;
    const line = upright ? from[0] : from[1];
    const [first, second] = upright
      ? [
          { ...rect, width: line - rect.x },
          { ...rect, x: line + sheet.kerf, width: rect.x + rect.width - line - sheet.kerf },
        ]
      : [
          { ...rect, height: line - rect.y },
          { ...rect, y: line + sheet.kerf, height: rect.y + rect.height - line - sheet.kerf },
        ];
    parts.splice(at, 1, { rect: first, by: i }, { rect: second, by: i });
    return {
      cut: i,
      part: rect,
      upright,
      setting: upright ? first.width : first.height,
      length: upright ? rect.height : rect.width,
      after: by,
      first,
      second,
    };
  });
  // What the blade has gone through to the edge is no paper any more.
  return {
    parts: parts.map(({ rect }) => rect).filter((r) => r.width > TOLERANCE.drawn && r.height > TOLERANCE.drawn),
    made,
  };
}

/** Cuts made one after the other without touching the fence. */
export interface FenceGroup {
  readonly setting: number;
  readonly cuts: readonly TrimmerCut[];
}

/** Settings nearer than this are one. */
const keyOf = ({ setting }: Pick<TrimmerCut, 'setting'>): string => setting.toFixed(3);

/**
 * The cuts of all sheets in the order of a trimmer: whatever can be cut at the setting the fence has is cut before it is moved, and
 * the settings follow each other so that few come back (`settingsInTurn`).
 */
export function fenceOrder(sheets: readonly SheetKind[], layouts: readonly SheetLayout[]): FenceGroup[] {
  const kinds = new Map(sheets.map((sheet) => [sheet.name, sheet]));
  const all = layouts.map((layout, sheet) =>
    carryOutCuts(kinds.get(layout.sheet)!, layout.cuts).made.map((cut): TrimmerCut => ({ ...cut, sheet })),
  );
  let waiting = all.flat();
  const done = new Set<string>();
  const ready = ({ sheet, after }: TrimmerCut): boolean => after < 0 || done.has(`${sheet} ${after}`);
  return settingsInTurn(all).map((key) => {
    const cuts: TrimmerCut[] = [];
    // A cut may make the next one at the same setting possible.
    for (;;) {
      const more = waiting.filter((cut) => ready(cut) && keyOf(cut) === key);
      if (more.length === 0) return { setting: cuts[0]!.setting, cuts };
      cuts.push(...more);
      for (const { sheet, cut } of more) done.add(`${sheet} ${cut}`);
      waiting = waiting.filter(({ sheet, cut }) => !done.has(`${sheet} ${cut}`));
    }
  });
}

/** So many beginnings are kept in mind at once; fewer where there is much to cut. */
const KEPT = 40;
const EFFORT = 12_000;

/** Some settings, and what is cut by then. */
interface Begun {
  readonly settings: readonly string[];
  /** For each cut of `unlikeCuts`, whether it is made. */
  readonly made: readonly boolean[];
  /** No fewer settings in all than these. */
  readonly least: number;
  /** Length of what is cut, with how many sheets: long cuts first. */
  readonly cut: number;
}

/**
 * Settings of the fence in turn, few of them, by a beam search: of all beginnings of one length those are kept that must end with the
 * fewest settings, and of these the ones with most cut. Sheets that are cut alike are one.
 */
function settingsInTurn(all: readonly (readonly TrimmerCut[])[]): readonly string[] {
  const unlike = new Map<string, { readonly cuts: readonly TrimmerCut[]; count: number }>();
  for (const cuts of all) {
    const key = cuts.map((cut) => `${keyOf(cut)} ${cut.after} ${cut.length.toFixed(1)}`).join('|');
    const known = unlike.get(key);
    if (known) known.count++;
    else unlike.set(key, { cuts, count: 1 });
  }
  const cuts: { key: string; after: number; weight: number }[] = [];
  for (const { cuts: own, count } of unlike.values()) {
    const first = cuts.length;
    for (const cut of own)
      cuts.push({ key: keyOf(cut), after: cut.after < 0 ? -1 : first + cut.after, weight: cut.length * count });
  }
  const kept = Math.max(1, Math.min(KEPT, Math.floor(EFFORT / Math.max(1, cuts.length))));
  const next = (begun: Begun, key: string): Begun => {
    const made = [...begun.made];
    let weight = begun.cut;
    // A cut stands after the one it waits for: once through is enough.
    cuts.forEach((cut, i) => {
      if (made[i] || cut.key !== key || (cut.after >= 0 && !made[cut.after])) return;
      made[i] = true;
      weight += cut.weight;
    });
    const left = new Set(cuts.flatMap((cut, i) => (made[i] ? [] : [cut.key])));
    const settings = [...begun.settings, key];
    return { settings, made, least: settings.length + left.size, cut: weight };
  };
  let beam: readonly Begun[] = [{ settings: [], made: cuts.map(() => false), least: 0, cut: 0 }];
  for (;;) {
    const ended = beam.find(({ made }) => made.every(Boolean));
    if (ended) return ended.settings;
    const seen = new Set<string>();
    beam = beam
      .flatMap((begun) => {
        const ready = new Set(
          cuts.flatMap((cut, i) => (begun.made[i] || (cut.after >= 0 && !begun.made[cut.after]) ? [] : [cut.key])),
        );
        return [...ready].map((key) => next(begun, key));
      })
      .sort((a, b) => a.least - b.least || b.cut - a.cut)
      .filter(({ made }) => {
        const key = made.map(Number).join('');
        return !seen.has(key) && seen.add(key);
      })
      .slice(0, kept);
  }
}
