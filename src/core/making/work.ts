import { isReady, reached } from '../fold';
import { TOLERANCE } from '../geometry';
import { near, type Mm } from '../length';
import { paperOf, type Design, type Decoration } from '../design';
import {
  type MadePiece,
  type Plan,
  pieceOf,
  closurePlan,
  type ClosurePlan,
  type PlannedLayer,
  scoreNumbers,
} from '../plan';
import { liesAsItIs } from '../mending';
import { laidOnFlat } from './laid-flat';
import { inOrder, type Operation } from './order';
import { pieceWorkedOn } from './folding';
import { secondScores } from './second-scores';
import type { Phase } from './step';

/** One thing that is done on the way, by what it works on. Stages are those of the folding, flat or in space. */
type Done =
  | { readonly do: 'cut'; readonly part: MadePiece; readonly alike: readonly MadePiece[] }
  /** All moves of the tool on the flat sheet, and on those that are made alike. */
  | { readonly do: 'flat'; readonly part: MadePiece; readonly alike: readonly MadePiece[] }
  | { readonly do: 'decorate'; readonly part: MadePiece; readonly what: Decoration }
  /** Discs fixed to the flat sheet, for a cord to wind round. */
  | { readonly do: 'fix-discs' }
  /** What is cut off by hand of what was bought, for the stage that says so. */
  | { readonly do: 'trim'; readonly stage: number }
  /** A fold that goes round what lies there is scored a second time, so far beyond the first. */
  | { readonly do: 'second-score'; readonly stage: number; readonly beyond: Mm }
  | { readonly do: 'fold'; readonly stage: number }
  | { readonly do: 'raise'; readonly stage: number }
  /** What goes in is laid down before the first wall stands, or put in once there is room for it. */
  | { readonly do: 'contents' }
  /** A layer, cut by now, goes where it belongs. */
  | { readonly do: 'layer'; readonly layer: PlannedLayer }
  | { readonly do: 'closure'; readonly closure: ClosurePlan };

export type Work = Operation & { readonly phase: Phase } & Done;

/** True where two pieces are cut to one size and everything done to them flat is the same, names and all. */
function isAlike(a: MadePiece, b: MadePiece, design: Design): boolean {
  const moves = ({ programme }: MadePiece): string => {
    const numbers = scoreNumbers(programme);
    return JSON.stringify(programme.moves, (key, value: unknown) =>
      (key === 'score' || key === 'slit') && typeof value === 'string'
        ? (numbers.get(value) ?? '')
        : key === 'also' || key === 'scores'
          ? (value as readonly string[]).map((id) => numbers.get(id))
          : typeof value === 'number'
            ? Math.round(value * 1000)
            : value,
    );
  };
  const sheet = ({ piece: { name, blank, quantity } }: MadePiece): string =>
    JSON.stringify([blank.width.toFixed(3), blank.height.toFixed(3), quantity, paperOf(design, name)]);
  // What is done on a sheet that went wrong is done by itself.
  const apart = [a, b].some(({ piece: { name } }) => name === design.rescued?.piece);
  return !apart && sheet(a) === sheet(b) && moves(a) === moves(b);
}

/** True where a single blank is as large as the sheet it comes from: nothing is cut of it. */
export function isSheetAtHand({ piece: { name, blank, quantity } }: MadePiece, design: Design): boolean {
  const { width, height } = paperOf(design, name);
  const sheet = width !== undefined && height !== undefined ? { width, height } : design.blank;
  const alike = (a: number, b: number): boolean => near(a, b, TOLERANCE.drawn);
  return (
    sheet !== null &&
    quantity === 1 &&
    ((alike(sheet.width, blank.width) && alike(sheet.height, blank.height)) ||
      (alike(sheet.width, blank.height) && alike(sheet.height, blank.width)))
  );
}

/**
 * Everything a make takes, in an order that can be followed: each operation names what must come before it. A piece is
 * cut before it is scored, flat work and looks come before folding, a pile waits for the step that worked on it last, a
 * ribbon is laid before the mat that covers it.
 */
export function workOf({ made, design }: Plan): readonly Work[] {
  if (!made) return [];
  const byPiece = design.order === 'by-piece';
  const { stages } = made.folded;
  const raised = made.folded.standing?.stages ?? [];
  // Pieces made alike are cut and worked on together, with the tool set once; each is named by the first of them.
  const leads = new Map<MadePiece, MadePiece>();
  for (const part of made.pieces)
    leads.set(part, (byPiece ? undefined : [...leads.keys()].find((other) => isAlike(other, part, design))) ?? part);
  /** The sheet at hand is the blank already. */
  const there = (part: MadePiece): boolean =>
    part.piece.name === design.rescued?.piece
      ? liesAsItIs(part.piece, design.rescued)
      : part === made.pieces[0] && isSheetAtHand(part, design);
  const leadOf = (name: string): string => leads.get(made.pieces.find(({ piece }) => piece.name === name)!)!.piece.name;
  const going = (...places: PlannedLayer['on'][]): string[] =>
    made.layers.flatMap(({ layer: { on, piece } }) => (places.includes(on) ? [`lay ${piece.name}`] : []));
  // A template is there before the holes are marked.
  const template = going('sheet');
  const work: Work[] = made.pieces.flatMap((part, i): Work[] => {
    const { name } = part.piece;
    const rank = byPiece ? 2 * i + 1 : 1 + i;
    const alike = made.pieces.filter((other) => other !== part && leads.get(other) === part);
    const own: Work[] =
      leads.get(part) === part
        ? [
            ...(there(part)
              ? []
              : [
                  {
                    do: 'cut',
                    part,
                    alike,
                    id: `cut ${name}`,
                    phase: 'cut',
                    after: [],
                    rank: byPiece ? 2 * i : 0,
                  } as const,
                ]),
            {
              do: 'flat',
              part,
              alike,
              id: `flat ${name}`,
              phase: 'flat',
              after: [...(there(part) ? [] : [`cut ${name}`]), ...(part.piece.holes.length > 0 ? template : [])],
              rank,
            },
          ]
        : [];
    return [
      ...own,
      // Looks come while the piece is flat and cut out: neither inks nor dies reach a folded edge.
      ...design.decorate.map((what): Work => {
        return {
          do: 'decorate',
          part,
          what,
          id: `${what} ${name}`,
          phase: 'flat',
          after: [`flat ${leadOf(name)}`],
          rank,
        };
      }),
    ];
  });
  // Its layers are cut with the rest.
  made.layers.forEach((part, i) => {
    const { name } = part.piece;
    const rank = byPiece ? 2 * (made.pieces.length + i) : 0;
    work.push({ do: 'cut', part, alike: [], id: `cut ${name}`, phase: 'cut', after: [], rank });
    if (part.programme.moves.length > 0)
      work.push({
        do: 'flat',
        part,
        alike: [],
        id: `flat ${name}`,
        phase: 'flat',
        after: [`cut ${name}`],
        rank: byPiece ? rank + 1 : made.pieces.length + 1 + i,
      });
  });
  const onFlat = laidOnFlat(made);
  /** Everything that is done to a piece while it is flat, but for what is laid on it. */
  const workedOn = (name: string): string[] => [
    `flat ${leadOf(name)}`,
    ...design.decorate.map((what) => `${what} ${name}`),
  ];
  const laidOn = (name: string): string[] =>
    made.layers.flatMap(({ layer }) =>
      onFlat.get(layer.piece.name)?.seat === name ? [`lay ${layer.piece.name}`] : [],
    );
  const flatOf = (name: string): string[] => [...workedOn(name), ...laidOn(name)];
  const closure = closurePlan(made, design);
  const closes = closure !== null && closure.trouble === null;
  const floor = 2 * (made.pieces.length + made.layers.length) + 1;
  // Discs are fixed while both sides of their paper can be reached.
  const discs = closes && closure.kind === 'buttons';
  const holed = made.pieces.filter(({ piece }) => piece.holes.length > 0).map(({ piece }) => piece.name);
  if (discs)
    work.push({ do: 'fix-discs', id: 'discs', phase: 'flat', after: holed.flatMap(flatOf), rank: floor - 0.5 });
  const own = new Set(made.pieces.map(({ piece }) => piece.name));
  /** What was done before a piece was bought is behind already. */
  const toCome = new Set([...stages, ...raised].map(({ step }) => step.id));
  const [cavity] = made.built.cavities;
  const seat = cavity && pieceOf(made.built, cavity.floor).name;
  const inserted = cavity ? [...stages, ...raised].findIndex(({ step }) => step.id === cavity.insertAfter) : -1;
  /** True once contents could go in: what is then done to the pile that holds them waits for them. */
  const after = (at: number): boolean =>
    cavity !== undefined && at > inserted && (inserted >= 0 || isReady(made.folded, cavity));
  let needed = Infinity;
  // A pile waits for the flat work of its pieces, and for the step that worked on it last.
  const lastOn = new Map<string, string>();
  const twice = secondScores(made, design);
  stages.forEach(({ step, stack }, i) => {
    const pieces = [...new Set(stack.layers.map(({ piece }) => piece))];
    const flat = pieces.flatMap((name) => [
      // What is bought, or there already, is not cut or scored; it waits for what was done to it all the same.
      ...(own.has(name) ? [...flatOf(name), ...(discs && holed.includes(name) ? ['discs'] : [])] : []),
      ...(lastOn.has(name) ? [lastOn.get(name)!] : []),
    ]);
    const trim = step.trims ? [`trim ${step.id}`] : [];
    // All trimming comes before the first glue.
    if (step.trims) work.push({ do: 'trim', stage: i, id: trim[0]!, phase: 'flat', after: [], rank: floor - 0.75 });
    const beyond = twice.get(step.id);
    const again = beyond === undefined ? [] : [`again ${step.id}`];
    if (beyond !== undefined) {
      const turned = pieceWorkedOn(stages[i]!, made);
      work.push({
        do: 'second-score',
        stage: i,
        beyond,
        id: again[0]!,
        phase: 'flat',
        after: own.has(turned) ? workedOn(turned) : [],
        rank: floor - 0.7,
      });
    }
    const waits = after(i) && pieces.includes(seat!);
    if (waits) needed = Math.min(needed, floor + i);
    work.push({
      do: 'fold',
      stage: i,
      id: step.id,
      phase: 'fold',
      after: [
        ...new Set([
          ...flat,
          ...trim,
          ...again,
          ...(step.after ?? []).filter((id) => toCome.has(id)),
          ...(waits ? ['contents'] : []),
        ]),
      ],
      rank: floor + i,
    });
    for (const name of pieces) lastOn.set(name, step.id);
  });
  const risen = floor + stages.length;
  raised.forEach(({ step, motions, before }, i) => {
    const moved = new Set(motions.flatMap(({ moving }) => [...moving]));
    const pieces = made.pieces.filter(({ piece }) => piece.panels.some(({ id }) => moved.has(id)));
    const pile = cavity ? reached(before, [cavity.floor]) : new Set<string>();
    const waits =
      after(stages.length + i) &&
      ([...moved].some((id) => pile.has(id)) || (step.kind === 'set' && pile.has(step.onto)));
    if (waits) needed = Math.min(needed, risen + i);
    work.push({
      do: 'raise',
      stage: i,
      id: step.id,
      phase: 'fold',
      // In space one thing is done after the other, once all the flat work on what moves is done.
      after: [
        ...pieces.flatMap(({ piece }) => flatOf(piece.name)),
        ...stages.map((stage) => stage.step.id),
        ...(i > 0 ? [raised[i - 1]!.step.id] : []),
        ...(waits ? ['contents'] : []),
      ],
      rank: risen + i,
    });
  });
  const finished = [...stages, ...raised].map(({ step }) => step.id);
  const last = risen + raised.length;
  const at = Math.min(needed, last) - 0.5;
  const before = going('inside');
  if (cavity)
    work.push({
      do: 'contents',
      id: 'contents',
      phase: 'fold',
      after: [...(inserted >= 0 ? [cavity.insertAfter] : own.has(seat!) ? flatOf(seat!) : []), ...before],
      rank: at,
    });
  // A ribbon under a mat is laid before the mat; everything else closes what is finished.
  const under = closes && closure.kind === 'ribbon';
  const mats = going('front', 'back', 'flap');
  const fronts = going('front').length > 0;
  const underFlat =
    under && fronts && made.layers.every(({ layer: { on, piece } }) => on !== 'front' || onFlat.has(piece.name));
  for (const { layer } of made.layers) {
    const { on, upon, piece } = layer;
    const seat = onFlat.get(piece.name)?.seat;
    const lower = upon ? [`lay ${upon}`] : [];
    const place =
      on === 'sheet'
        ? { after: [], rank: 0.5 }
        : on === 'inside'
          ? { after: inserted >= 0 ? [cavity!.insertAfter] : [], rank: at - 0.25 }
          : seat !== undefined
            ? { after: [...workedOn(seat), ...(underFlat && on === 'front' ? ['closure'] : [])], rank: floor - 0.6 }
            : { after: [...finished, ...(under ? ['closure'] : [])], rank: last + 2 };
    work.push({
      do: 'layer',
      layer,
      id: `lay ${piece.name}`,
      phase: on === 'sheet' || seat !== undefined ? 'flat' : 'fold',
      after: [
        work.some(({ id }) => id === `flat ${piece.name}`) ? `flat ${piece.name}` : `cut ${piece.name}`,
        ...lower,
        ...place.after,
      ],
      rank: place.rank,
    });
  }
  if (closes) {
    const after = [...finished, ...(cavity ? ['contents'] : []), ...(under ? [] : mats)];
    work.push(
      underFlat
        ? {
            do: 'closure',
            closure,
            id: 'closure',
            phase: 'flat',
            after: [...own].flatMap(workedOn),
            rank: floor - 0.65,
          }
        : { do: 'closure', closure, id: 'closure', phase: 'fold', after, rank: last + 3 },
    );
  }
  return inOrder(work);
}
