/** How the cuts of a layout are told at the trimmer. */
import { TOLERANCE } from '../geometry';
import { mm, onGraduation, roundTo, type Graduation, type Say } from '../length';
import { quoted, several } from '../text';
import type { Rect, SheetLayout } from './cut-list';
import type { FenceGroup, TrimmerCut } from './trimmer';

const near = (a: number, b: number): boolean => Math.abs(a - b) < TOLERANCE.drawn;
const sameSize = (a: Rect, b: Rect): boolean => near(a.width, b.width) && near(a.height, b.height);
const same = (a: Rect, b: Rect): boolean => near(a.x, b.x) && near(a.y, b.y) && sameSize(a, b);
const holds = (part: Rect, piece: Rect): boolean =>
  piece.x > part.x - TOLERANCE.drawn &&
  piece.y > part.y - TOLERANCE.drawn &&
  piece.x + piece.width < part.x + part.width + TOLERANCE.drawn &&
  piece.y + piece.height < part.y + part.height + TOLERANCE.drawn;

/** What a part of a sheet is; and whether that is a piece at its size. */
function whatIs(part: Rect, { placements, offcuts }: SheetLayout): { readonly words: string; readonly done: boolean } {
  const piece = placements.find((p) => same(p, part));
  if (piece) return { words: quoted(piece.piece), done: true };
  const inside = placements.filter((p) => holds(part, p)).length;
  const words = offcuts.some((offcut) => same(offcut, part))
    ? 'an offcut to keep'
    : inside === 0
      ? 'waste'
      : inside === 1
        ? 'one piece, not yet at size'
        : `a strip with ${inside} pieces`;
  return { words, done: false };
}

/** What a part of a sheet is, as one would call it at the trimmer. */
export function partWords(part: Rect, sheet: SheetLayout): string {
  const { words, done } = whatIs(part, sheet);
  return done ? `${words}, done: write its name on it` : words;
}

/** Cuts at one setting that are made alike: parts of one size, laid the same way, that fall into the same. */
interface Alike {
  readonly cut: TrimmerCut;
  /** Whole sheets, by their name; null for parts of them. */
  readonly sheet: string | null;
  /** How many parts, and how often each is cut, one cut behind the other. */
  readonly count: number;
  readonly times: number;
  readonly first: string;
  readonly second: string;
  /** What the last cut leaves. */
  readonly rest: Rect;
}

function alikeIn({ cuts }: FenceGroup, sheets: readonly SheetLayout[]): readonly Alike[] {
  const all: { -readonly [K in keyof Alike]: Alike[K] }[] = [];
  for (const cut of cuts) {
    const on = sheets[cut.sheet]!;
    const sheet = cut.after < 0 ? on.sheet : null;
    const [first, second] = [whatIs(cut.first, on).words, whatIs(cut.second, on).words];
    const like = all.find(
      (one) =>
        sameSize(one.cut.part, cut.part) &&
        one.cut.upright === cut.upright &&
        one.sheet === sheet &&
        one.first === first &&
        one.second === second,
    );
    if (like) like.count++;
    else all.push({ cut, sheet, count: 1, times: 1, first, second, rest: cut.second });
  }
  // What is cut off a strip again and again is one thing to do.
  return all.reduce<typeof all>((told, next) => {
    const before = told.find(
      ({ cut, count, first, rest }) =>
        next.sheet === null &&
        cut.upright === next.cut.upright &&
        cut.sheet === next.cut.sheet &&
        count === next.count &&
        first === next.first &&
        same(rest, next.cut.part),
    );
    if (!before) return [...told, next];
    Object.assign(before, { times: before.times + 1, second: next.second, rest: next.rest });
    return told;
  }, []);
}

/** All cuts of one setting, in sentences: what is laid at the fence, how often, and what comes of it. */
export function fenceSentences(group: FenceGroup, sheets: readonly SheetLayout[], say: Say): readonly string[] {
  return alikeIn(group, sheets).map(({ cut, sheet, count, times, first, second }) => {
    const size = `${say(mm(cut.part.width))} × ${say(mm(cut.part.height))}`;
    const thing =
      sheet === null ? `${several(count, 'part')}, ${size}` : `${several(count, 'sheet')} of ${quoted(sheet)}`;
    const edge = `${count === 1 ? 'its' : 'each with its'} ${cut.upright ? 'left' : 'near'} edge at the fence`;
    const again = times === 1 ? '' : `, ${times} times in a row`;
    const comes =
      first === second
        ? `Each half: ${first}`
        : `At the fence: ${first}; ${times === 1 ? 'beyond it' : 'left at last'}: ${second}`;
    return `Cut ${thing}, ${edge}${again}. ${comes}.`;
  });
}

/** True where pieces come to their size at a setting. */
export const endsPieces = ({ cuts }: FenceGroup, sheets: readonly SheetLayout[]): boolean =>
  cuts.some((cut) => [cut.first, cut.second].some((part) => whatIs(part, sheets[cut.sheet]!).done));

/** Told beside a setting: that it lies between two marks, that a cut is longer than the trimmer cuts. */
export function fenceCare(group: FenceGroup, graduation: Graduation, longest: number | undefined, say: Say): string[] {
  const setting = mm(group.setting);
  const long = group.cuts.filter(({ length }) => longest !== undefined && length > longest + TOLERANCE.drawn);
  return [
    ...(onGraduation(setting, graduation)
      ? []
      : [
          `${say(setting)} lies between two marks, nearest ${say(roundTo(setting, graduation, 'nearest'))}: set it by a piece of that breadth.`,
        ]),
    ...(long.length > 0
      ? [
          `${several(long.length, 'cut')} ${long.length === 1 ? 'is' : 'are'} ${say(mm(long[0]!.length))} long, more than the trimmer’s ${say(mm(longest!))}: mark ${long.length === 1 ? 'it' : 'them'} and cut along a ruler.`,
        ]
      : []),
  ];
}
