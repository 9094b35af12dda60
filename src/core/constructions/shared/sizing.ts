import { TOLERANCE } from '../../geometry';
import { mm, roundTo, stepOf, type Direction, type Graduation, type Mm, usualIn } from '../../length';
import type { Room } from '../../fold';
import { LEAST } from '../../pattern';
import type { Brief, Refusal } from './construction';

/** What the contents' thickness takes from each way, as a share of it. */
export interface Takes {
  readonly width: number;
  readonly height: number;
}

/** What stands takes its contents' thickness up in its walls. */
export const FREE: Takes = { width: 0, height: 0 };
/** Both ends closed: the thickness is lost both ways. */
export const CLOSED: Takes = { width: 1, height: 1 };
/** Open at one end or both: half of it is lost along the opening's depth. */
export const OPEN: Takes = { width: 1, height: 0.5 };

/**
 * The inside wanted for the contents, each way on the graduation: the mark whose ease comes nearest the aim and
 * keeps the least ease; of equals the smaller.
 * @param adds what walls that unfold add to the mouth, mm: thickness takes of the width only what is beyond it
 */
export function insideFor({ contents, aim, least, making }: Brief, takes: Takes, adds = 0): Room {
  const { width, height, thickness } = contents!;
  const beyond = Math.max(0, thickness - adds);
  return {
    width: roomy(width + takes.width * beyond, aim.width, least.width, making.graduation),
    height: roomy(height + takes.height * thickness, aim.height, least.height, making.graduation),
  };
}

/** The mark that leaves nearest the aim over `need`, and never under the least. */
export function roomy(need: number, aim: Mm, least: Mm, graduation: Graduation): Mm {
  const step = stepOf(graduation);
  const wanted = Math.max(aim, least);
  if (step === 0) return mm(need + wanted);
  const below = Math.floor((need + aim) / step + TOLERANCE.length) * step;
  const ease = below - need;
  const fits = ease >= least - TOLERANCE.length && aim - ease <= ease + step - aim + TOLERANCE.length;
  if (fits) return mm(below);
  return mm(Math.max(Math.ceil((need + least) / step - TOLERANCE.length) * step, below + step));
}

/** A length moved to the graduation's marks. */
export const onMark = (length: number, { making }: Brief, way: Direction = 'nearest'): Mm =>
  roundTo(mm(length), making.graduation, way);

/** A usual length, found in inches, as it is said where the thing was begun: a whole figure in millimetres as well. */
export const usual = (length: Mm, brief: Brief): Mm => usualIn(brief.usual, length);

/** A spine as wide as something is thick, on a mark, and never so narrow that the paper between its scores splits. */
export const spineFor = (thickness: Mm, brief: Brief): Mm =>
  onMark(Math.max(thickness, LEAST.scores.apart), brief, 'up');

/**
 * A spine of a flat holder, which crosses what it closes over: the contents and so many layers of paper; never under the
 * usual.
 */
export const spineOver = (usual: Mm, layers: number, brief: Brief): Mm => {
  const crosses = brief.thickness + layers * brief.caliper;
  return crosses < usual - SPINE_SPARE ? usual : onMark(crosses + SPINE_SPARE, brief, 'up');
};

/** A spine is so much more than what it crosses, mm, or it pulls. From memory. */
const SPINE_SPARE = 0.5;

/** What a sheet leaves over for the inside: on a mark, or a refusal when nothing is left. */
export function leftOver(
  brief: Brief,
  side: 'width' | 'height',
  given: number,
  taken: number,
  parts = 1,
): { readonly ok: true; readonly length: Mm } | { readonly ok: false; readonly refusal: Refusal } {
  const length = onMark((given - taken) / parts, brief, 'down');
  return length > 0
    ? { ok: true, length }
    : {
        ok: false,
        refusal: { code: 'sheet-too-small', value: mm(given), limit: mm(taken), about: { side } },
      };
}

/** What of a side goes into tabs, laps and flaps, and into how many panels the rest is shared out (one when left out). */
export type Share = readonly [taken: number, parts?: number];

/** The inside: wanted for the contents, or what a given sheet leaves over each way. */
export function sizedInside(
  brief: Brief,
  takes: Takes,
  shares: { readonly width: Share; readonly height: Share },
): { readonly ok: true; readonly inside: Room } | { readonly ok: false; readonly refusal: Refusal } {
  if (!brief.blank) return { ok: true, inside: insideFor(brief, takes) };
  const width = leftOver(brief, 'width', brief.blank.width, ...shares.width);
  const height = leftOver(brief, 'height', brief.blank.height, ...shares.height);
  if (!width.ok) return width;
  if (!height.ok) return height;
  return { ok: true, inside: { width: width.length, height: height.length } };
}

/** A part that takes more than there is; by its id, where a cure is for it alone: often the option that sizes it. */
export const tooLarge = (id: string | null, part: string, value: number, limit: number): Refusal => ({
  code: 'part-too-large',
  value: mm(value),
  limit: mm(Math.max(0, limit)),
  about: { part, ...(id !== null && { id }) },
});
