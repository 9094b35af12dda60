import { TOLERANCE } from '../geometry';
import { mm, type Mm } from '../length';
import { edgeLength } from '../pattern';
import { constructionOptions, paperOf, type Design } from '../design';
import { longestCut } from '../cutting/longest-cut';
import type { Made, Plan } from '../plan';
import { check, type Check, type Remedy } from './check';

/** Sizes of a tool this close are the same tool, mm. */
const SAME_SIZE = 0.3;

/** Whether what else lies on the table is large enough, and there: trimmer, ruler, punches, corner rounders. */
export function kitChecks({ design }: Plan, { pieces }: Made): Check[] {
  const { kit } = design;
  const checks: Check[] = [];
  const cuts = pieces.map(({ piece }) => longestCut(piece.blank, paperOf(design, piece.name)));
  const cut = Math.max(...cuts);
  if (kit.trimmer !== undefined && cut > kit.trimmer + TOLERANCE.folded)
    checks.push(check('trimmer-end', 'note', cut, kit.trimmer, {}));
  const lines = pieces.flatMap(({ piece, programme }) =>
    programme.moves.flatMap((move) => {
      if (move.do !== 'join') return [];
      const { blank } = piece;
      // A line from edge to edge of the sheet: straight across it, or cornerwise from mark to mark.
      const across = move.from.edge % 2 === move.to.edge % 2;
      const length = across
        ? edgeLength(blank, move.from.edge === 1 || move.from.edge === 3 ? 2 : 1)
        : Math.SQRT2 * Math.max(edgeLength(blank, move.from.edge) - move.from.at, move.to.at);
      return [length];
    }),
  );
  const line = Math.max(0, ...lines);
  if (kit.ruler !== undefined && line > kit.ruler + TOLERANCE.folded)
    checks.push(check('ruler-short', 'note', line, kit.ruler, {}));
  const moves = pieces.flatMap(({ programme }) => programme.moves);
  const bites = moves.flatMap((move) => (move.do === 'bite' || move.do === 'hole' ? [move.diameter] : []));
  const rounds = moves.flatMap((move) => (move.do === 'round' ? [move.radius] : []));
  checks.push(
    ...missing(design, 'punch', bites, kit.punches),
    ...missing(design, 'corner rounder', rounds, kit.rounders),
  );
  return checks;
}

/** A size that is asked for and not there, with the nearest that is. */
function missing(
  design: Design,
  what: 'punch' | 'corner rounder',
  wanted: readonly Mm[],
  owned: readonly Mm[] | undefined,
): Check[] {
  if (!owned) return [];
  const lacking = [...new Set(wanted)].filter((size) => !owned.some((own) => Math.abs(own - size) <= SAME_SIZE));
  return lacking.map((size) => {
    const nearest = owned.reduce<Mm | null>(
      (best, own) => (best === null || Math.abs(own - size) < Math.abs(best - size) ? own : best),
      null,
    );
    return check(
      what === 'punch' ? 'no-punch' : 'no-corner-rounder',
      'note',
      size,
      nearest ?? 0,
      {},
      nearest === null ? [] : remediesWith(design, what, size, nearest),
    );
  });
}

/** The option that asked for that size, set to what is there. */
function remediesWith(design: Design, what: 'punch' | 'corner rounder', size: Mm, own: Mm): Remedy[] {
  const options = design.options as Record<string, unknown>;
  const option = constructionOptions(design.construction.name).find(
    ({ name, madeWith, limits }) =>
      madeWith === what &&
      options[name] === size &&
      own >= (limits?.least ?? 0) &&
      own > (limits?.over ?? 0) &&
      own <= (limits?.most ?? Infinity),
  );
  return option ? [{ code: 'own_size', what, size: own, change: { options: { [option.name]: mm(own) } } }] : [];
}
