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

/**
 * The cuts of all sheets in the order of a trimmer: whatever can be cut at the setting the fence has is cut before it
 * is moved. The next setting is one that never comes back if there is such a one, else the one most cuts wait for;
 * between equals the one with the longest cuts, so strips come first.
 */
export function fenceOrder(sheets: readonly SheetKind[], layouts: readonly SheetLayout[]): FenceGroup[] {
  const kinds = new Map(sheets.map((sheet) => [sheet.name, sheet]));
  let waiting = layouts.flatMap((layout, sheet): TrimmerCut[] =>
    carryOutCuts(kinds.get(layout.sheet)!, layout.cuts).made.map((cut) => ({ ...cut, sheet })),
  );
  const groups: FenceGroup[] = [];
  const done = new Set<string>();
  const ready = ({ sheet, after }: TrimmerCut): boolean => after < 0 || done.has(`${sheet} ${after}`);
  while (waiting.length > 0) {
    const settings = new Map<string, { ready: TrimmerCut[]; all: number; longest: number }>();
    for (const cut of waiting) {
      const key = cut.setting.toFixed(3);
      const own = settings.get(key) ?? { ready: [], all: 0, longest: 0 };
      own.all++;
      if (ready(cut)) {
        own.ready.push(cut);
        own.longest = Math.max(own.longest, cut.length);
      }
      settings.set(key, own);
    }
    const [, next] = [...settings]
      .filter(([, own]) => own.ready.length > 0)
      .sort(
        ([, a], [, b]) =>
          Number(b.ready.length === b.all) - Number(a.ready.length === a.all) ||
          b.longest - a.longest ||
          b.ready.length - a.ready.length,
      )[0]!;
    const setting = next.ready[0]!.setting;
    const cuts: TrimmerCut[] = [];
    // A cut may make the next one at the same setting possible.
    for (let more = next.ready; more.length > 0;) {
      cuts.push(...more);
      for (const { sheet, cut } of more) done.add(`${sheet} ${cut}`);
      waiting = waiting.filter(({ sheet, cut }) => !done.has(`${sheet} ${cut}`));
      more = waiting.filter((cut) => ready(cut) && near(cut.setting, setting));
    }
    groups.push({ setting, cuts });
  }
  return groups;
}
