/** Sizing: the pattern that suits a design's contents, found by folding it. */
import { drawn, type Built, type Contents, type Refusal } from '../constructions';
import { assemble, type Folded } from '../fold';
import { holdOf, type OpenCavity } from '../fit';
import { TOLERANCE } from '../geometry';
import { inches, mm, roundTo, type Mm } from '../length';
import { briefFor, calipersOf, constructionOptions, type Design } from '../design';

/** A pattern, what it folds to, and its first cavity opened. */
interface FoldedPattern {
  readonly ok: true;
  readonly built: Built;
  readonly folded: Folded;
  readonly hold: OpenCavity | null;
}
type Sized = FoldedPattern | { readonly ok: false; readonly refusal: Refusal };

/**
 * The pattern of a design, sized for its contents and for what the holder's own paper then takes of the room: what is aimed
 * for is what is reported.
 */
function forContents(design: Design): Sized {
  const first = foldedFor(design);
  if (!design.contents || design.blank) return first;
  if (first.ok) {
    const taken = takenBesides(first);
    const again = taken && foldedFor(design, taken, first);
    return again?.ok ? again : first;
  }
  // What is a hair too narrow for its parts may do with that room.
  if (first.refusal.code !== 'part-too-large') return first;
  const larger = foldedFor(design, { width: HAIR, height: HAIR, thickness: mm(0) });
  const taken = larger.ok && takenBesides(larger);
  if (!taken) return first;
  const measured = foldedFor(design, taken);
  return measured.ok ? measured : larger;
}

/**
 * @param taken what the holder's own paper takes beside the contents
 * @param known what was folded already: a pattern that is no other is not folded again
 */
function foldedFor(design: Design, taken?: Contents, known?: FoldedPattern): Sized {
  const pattern = drawn(design.construction, briefFor(design, taken));
  if (!pattern.ok) return pattern;
  const { built } = pattern;
  if (known && sameSizes(built, known.built)) return known;
  const folded = assemble(built.pieces, built.assembly);
  const [cavity] = built.cavities;
  return { ok: true, built, folded, hold: cavity ? holdOf(folded, cavity, calipersOf(design)) : null };
}

/** A millimetre or so is what paper of a usual holder takes. */
const HAIR = mm(1);

/** Two drawings of one design are one pattern where all their panels lie alike. */
const sameSizes = (a: Built, b: Built): boolean =>
  a.pieces.every(
    (piece, at) =>
      piece.panels.length === b.pieces[at]?.panels.length &&
      piece.panels.every((panel, i) => {
        const other = b.pieces[at]?.panels[i]?.polygon;
        return (
          other?.length === panel.polygon.length &&
          panel.polygon.every((p, k) => Math.abs(p.x - other[k]!.x) + Math.abs(p.y - other[k]!.y) < TOLERANCE.length)
        );
      }),
  );

/** What its own paper takes of a room beside what goes in, mm; null where it takes nothing. */
function takenBesides({ hold }: FoldedPattern): Contents | null {
  if (!hold) return null;
  const { taken, limits } = hold;
  if (limits.every((side) => taken[side] <= TOLERANCE.length)) return null;
  return { width: taken.width, height: taken.height, thickness: taken.depth };
}

/** The least lap or tab that glue holds by, mm. Common practice 1/4 in. */
export const HOLDS = inches(1 / 4);

/** A pattern that suits the contents, and the options it is drawn with: on a given sheet some may give way. */
export interface SizedDesign {
  readonly sized: Sized;
  readonly options: unknown;
}

/** So many usual lengths give way one after the other at most. */
const WAYS = 6;

/**
 * A design whose usual options suit its contents: those that its construction says suit others, and lengths for which there
 * is no place, which give way as far as it takes. What somebody told stays.
 */
function suited(design: Design): { readonly design: Design; readonly sized: Sized } {
  const free = <T extends object>(options: T): Partial<T> =>
    Object.fromEntries(Object.entries(options).filter(([name]) => !design.told.includes(name))) as Partial<T>;
  const laid = (now: Design, options: object): Design => ({
    ...now,
    options: { ...(now.options as object), ...free(options) },
  });
  const changes = free(design.construction.suited?.(briefFor(design)) ?? {});
  let now = Object.keys(changes).length > 0 ? laid(design, changes) : design;
  let sized = forContents(now);
  for (let i = 0; i < WAYS && !sized.ok; i++) {
    const { code, limit, about } = sized.refusal;
    const named = about?.id ?? (code === 'corner-too-round' ? roundingOf(now) : undefined);
    const shorter = named === undefined ? null : shorterOption(now, named, limit);
    if (!shorter) break;
    const next = laid(now, shorter);
    now = next;
    sized = forContents(next);
  }
  return sized.ok ? { design: now, sized } : { design, sized: forContents(design) };
}

/** The option that says how round its corners are. */
const roundingOf = ({ options }: Design): string | undefined =>
  Object.keys(options as object).find((name) => name === 'corner' || name === 'cornerRadius');

/** A usual length made no longer than a limit, on a mark; left out where it may be and less does not hold. Null where it may not. */
function shorterOption(design: Design, id: string, limit: Mm): Readonly<Record<string, Mm>> | null {
  const field = constructionOptions(design.construction.name).find(({ name }) => name === id);
  const now = (design.options as Record<string, unknown>)[id];
  if (field?.unit !== 'mm' || typeof now !== 'number' || design.told.includes(id)) return null;
  const rounding = id === roundingOf(design);
  // Corners that are as round as they can be meet.
  const marked = roundTo(mm(rounding ? 0.95 * limit : limit), design.graduation, 'down');
  if (marked > 0 && (rounding || marked >= HOLDS) && marked < now) return { [id]: marked };
  return field.limits?.least === 0 && now > 0 ? { [id]: mm(0) } : null;
}

/**
 * Sizes a design. For its contents, usual options give way where they do not suit them. On a given sheet the contents come
 * before whatever nobody told: laps, tabs and flaps give way one after the other, each only as far as it takes, and never to less
 * than what still holds. Where all of it together does not let the contents in, all stay as usual.
 */
export function sizedFor(design: Design): SizedDesign {
  if (design.contents && !design.blank) {
    const { sized, design: now } = suited(design);
    return { sized, options: now.options };
  }
  const first = forContents(design);
  if (!design.blank || !design.contents || !first.ok) return { sized: first, options: design.options };
  let now: { readonly design: Design; readonly sized: FoldedPattern } = { design, sized: first };
  for (const name of givesWay(design)) {
    const lack = lacking(now.design, now.sized);
    if (lack <= 0) break;
    const whole = (now.design.options as Record<string, Mm>)[name]!;
    const at = (length: Mm): typeof now | null => {
      const tried = { ...now.design, options: { ...(now.design.options as object), [name]: length } };
      const sized = foldedFor(tried);
      return sized.ok ? { design: tried, sized } : null;
    };
    const least = at(HOLDS);
    const left = least ? lacking(least.design, least.sized) : lack;
    if (!least || left >= lack - TOLERANCE.length) continue;
    // Room grows as the part shrinks: back to where it just does, on a mark.
    const over = spare(least.design, least.sized);
    const enough = left > 0 ? HOLDS : HOLDS + ((whole - HOLDS) * over) / (over + lack);
    const marked = at(roundTo(mm(Math.max(HOLDS, enough)), design.graduation, 'down'));
    now = marked && lacking(marked.design, marked.sized) <= left + TOLERANCE.length ? marked : least;
  }
  const goesIn = spare(design, now.sized, { width: mm(0), height: mm(0) }) > -TOLERANCE.length;
  return goesIn ? { sized: now.sized, options: now.design.options } : { sized: first, options: design.options };
}

/** The lengths of a holder that nobody told and that may be shorter than usual, as they are declared. */
const givesWay = ({ construction, options, told }: Design): readonly string[] =>
  constructionOptions(construction.name).flatMap(({ name, unit, madeWith, onPaper, limit, limits }) => {
    const now = (options as Record<string, unknown>)[name];
    const free =
      unit === 'mm' && !madeWith && !onPaper && !limit && !told.includes(name) && (limits?.least ?? 0) <= HOLDS;
    return free && typeof now === 'number' && now > HOLDS ? [name] : [];
  });

/** The least that any side the holder limits has over the least ease, mm; negative where it is short. */
function spare(design: Design, { hold }: FoldedPattern, least: Design['least'] = design.least): number {
  if (!hold) return Infinity;
  const { ease } = hold.fit(design.contents!);
  const over = (['width', 'height'] as const)
    .filter((side) => hold.limits.includes(side))
    .map((side) => ease[side] - least[side]);
  return Math.min(Infinity, ...over);
}
const lacking = (design: Design, pattern: FoldedPattern): number => {
  const over = spare(design, pattern);
  return over < -TOLERANCE.length ? -over : 0;
};
