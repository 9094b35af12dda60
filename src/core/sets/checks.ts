/** Checks across a set: counts, what goes into what and out again, papers. What each part has by itself its own plan tells. */
import type { Contents, Level } from '../constructions';
import { TOLERANCE } from '../geometry';
import { alongContents } from '../fit';
import { inches, mm, type Mm } from '../length';
import { shortagesOf } from './cut-list';
import { heldBy, type PlannedPart, type SetPlan } from './plan-set';
import type { Part } from './set';

/** What can be found of a set, and what its sentence needs besides its figures. */
export interface SetFacts {
  /** Fewer of a part than what holds it, or goes round it, takes; more than it takes. */
  'count-short': { readonly name: string; readonly takers: string; readonly round: boolean };
  'count-spare': { readonly name: string; readonly takers: string; readonly round: boolean };
  /** Something of a size of its own does not take what it holds, one way. */
  'goes-in': { readonly name: string; readonly side: 'width' | 'height' | 'thickness'; readonly given: boolean };
  /** A part without a pattern. */
  'no-plan': { readonly name: string; readonly fills: string | null };
  /** What fills another: as large as it is made, and as it would be with the other room. */
  'as-large': {
    readonly name: string;
    readonly into: string;
    readonly keeps: 'least' | 'aim';
    readonly size: Pick<Contents, 'width' | 'height'>;
    readonly otherwise: Pick<Contents, 'width' | 'height'>;
  };
  /** Nothing to take hold of what lies in it by. */
  grip: { readonly name: string; readonly deep: boolean };
  /** A piece named for a paper that the part does not have. */
  'no-piece': { readonly name: string; readonly piece: string };
  /** Sheets it takes, and has. */
  paper: { readonly name: string };
}
export type SetKind = keyof SetFacts;

/** What would mend it, as data: more or fewer of a part, its size from what it holds again, or what it holds turned. */
export type SetRemedy =
  | { readonly code: 'turned'; readonly part: string; readonly name: string }
  | { readonly code: 'quantity'; readonly part: string; readonly name: string; readonly to: number }
  | { readonly code: 'own-size'; readonly part: string; readonly name: string }
  | {
      readonly code: 'room';
      readonly part: string;
      readonly name: string;
      readonly in: string;
      readonly to: 'least' | 'aim';
    };

/** One thing asked of a set; its sentence is made in words.ts. */
export type SetCheckOf<Kind extends SetKind> = {
  readonly kind: Kind;
  readonly id: string;
  readonly level: Level;
  /** The part it is about; null for a paper. */
  readonly part: string | null;
  readonly value: number;
  readonly limit: number;
  readonly about: SetFacts[Kind];
  readonly remedies: readonly SetRemedy[];
};
export type SetCheck = { [Kind in SetKind]: SetCheckOf<Kind> }[SetKind];

/** Room for fingers beside what lies deep in a box, mm. From memory. */
const FINGERS = inches(3 / 8);

/** Everything asked of a set beyond its parts, in the order of its parts, papers last. */
export function setChecks(planned: SetPlan): SetCheck[] {
  return [
    ...planned.parts.flatMap((one) => [
      ...planChecks(one, planned),
      ...countChecks(one.part, planned),
      ...goesInChecks(one, planned),
      ...asLargeChecks(one, planned),
      ...gripChecks(one),
      ...pieceChecks(one),
    ]),
    ...shortagesOf(planned).map(({ paper, name, sheets, has }): SetCheck => ({
      kind: 'paper',
      id: `paper-${paper}`,
      level: 'warn',
      part: null,
      value: sheets,
      limit: has,
      about: { name },
      remedies: [],
    })),
  ];
}

function planChecks({ part, plan }: PlannedPart, { set }: SetPlan): SetCheck[] {
  // What another does not tell the size of is mended there.
  if (plan.made || (plan.refusal.code === 'not-told' && !part.fills)) return [];
  const holder = part.fills && set.parts.find(({ id }) => id === part.fills!.holder)!;
  return [
    {
      kind: 'no-plan',
      id: `no-plan-${part.id}`,
      level: 'fail',
      part: part.id,
      value: 0,
      limit: 0,
      about: { name: part.name, fills: holder?.name ?? null },
      remedies: [],
    },
  ];
}

/** So many of a part as each part takes of it: in it, and apart from that round it. */
const TAKES: Record<'in' | 'round', (taker: Part, id: string) => number> = {
  in: ({ holds, quantity }, id) =>
    holds.reduce((sum, { part, count }) => sum + (part === id ? count * quantity : 0), 0),
  round: ({ round, quantity }, id) => (round?.part === id ? round.count * quantity : 0),
};

/** Whether there are as many of a part as go into others; and as many as others go round. */
const countChecks = ({ id, name, quantity, given }: Part, { set }: SetPlan): SetCheck[] =>
  (['in', 'round'] as const).flatMap((way): SetCheck[] => {
    const takers = set.parts.filter((taker) => TAKES[way](taker, id) > 0);
    const takes = takers.reduce((sum, taker) => sum + TAKES[way](taker, id), 0);
    if (takers.length === 0 || takes === quantity) return [];
    const short = quantity < takes;
    return [
      {
        kind: short ? 'count-short' : 'count-spare',
        id: way === 'in' ? `count-${id}` : `count-round-${id}`,
        level: short ? 'warn' : 'note',
        part: id,
        value: quantity,
        limit: takes,
        about: { name, takers: takers.map((taker) => taker.name).join(' and '), round: way === 'round' },
        remedies: given && short ? [] : [{ code: 'quantity', part: id, name, to: takes }],
      },
    ];
  });

/** Whether what stands by itself takes what it holds. */
function goesInChecks({ part, plan, holds }: PlannedPart, { set }: SetPlan): SetCheck[] {
  const { id, name, given, fixed } = part;
  if (!fixed || !holds || !plan.made) return [];
  const roomFor = (contents: Contents): Room[] =>
    given && !given.envelope ? givenRoom(given, contents) : madeRoom({ plan }, contents);
  const room = roomFor(holds);
  // What has a size of its own and no mouth may lie the other way round.
  const [held, ...more] = part.holds.flatMap((hold) => set.parts.find((one) => one.id === hold.part) ?? []);
  const turns =
    held?.given &&
    !held.given.envelope &&
    more.length === 0 &&
    roomFor({ ...holds, width: holds.height, height: holds.width }).every(
      ({ left, least }) => left >= least - TOLERANCE.folded,
    );
  const remedies: SetRemedy[] = [
    ...(turns ? [{ code: 'turned', part: held.id, name: held.name } as const] : []),
    ...(given ? [] : [{ code: 'own-size', part: id, name } as const]),
  ];
  return room.flatMap(({ side, left, least }): SetCheck[] => {
    const level = left < -TOLERANCE.folded ? 'fail' : left < least - TOLERANCE.folded ? 'warn' : 'pass';
    return [
      {
        kind: 'goes-in',
        id: `goes-in-${id}-${side}`,
        level,
        part: id,
        value: left,
        limit: least,
        about: { name, side, given: given !== null },
        remedies: level === 'pass' ? [] : remedies,
      },
    ];
  });
}

/** What fills another is the largest there can be, or what keeps the room aimed for; the other is told beside it. */
function asLargeChecks({ part, plan, otherwise }: PlannedPart, { set }: SetPlan): SetCheck[] {
  const size = plan.design.contents;
  if (!part.fills || !size || !otherwise || !plan.made) return [];
  const off = Math.max(Math.abs(size.width - otherwise.width), Math.abs(size.height - otherwise.height));
  if (off <= TOLERANCE.folded) return [];
  const { holder, hold } = part.fills;
  const into = set.parts.find(({ id }) => id === holder)!.name;
  const { id, name } = part;
  const to = hold.room === 'aim' ? 'least' : 'aim';
  return [
    {
      kind: 'as-large',
      id: `as-large-${id}`,
      level: 'note',
      part: id,
      value: size.width,
      limit: otherwise.width,
      about: { name, into, keeps: hold.room, size, otherwise },
      remedies: [{ code: 'room', part: id, name, in: holder, to }],
    },
  ];
}

interface Room {
  readonly side: 'width' | 'height' | 'thickness';
  readonly left: number;
  readonly least: Mm;
}

/** What is given and no envelope is a box of its size. */
const givenRoom = (given: NonNullable<Part['given']>, holds: Contents): Room[] =>
  (['width', 'height', 'thickness'] as const).map((side) => ({ side, left: given[side] - holds[side], least: mm(0) }));

function madeRoom({ plan: { made, design } }: Pick<PlannedPart, 'plan'>, holds: Contents): Room[] {
  const [hold] = made!.holds;
  if (!hold) return [];
  const { ease, depth } = hold.fit(holds);
  return [
    ...(['width', 'height'] as const)
      .filter((side) => hold.limits.includes(side))
      .map((side) => ({ side, left: ease[side], least: design.least[side] })),
    ...(hold.cavity.kind === 'box' ? [{ side: 'thickness' as const, left: depth, least: mm(0) }] : []),
  ];
}

/** Whether what lies in it can be taken out again: it stands out, is bitten free, pulled, or leaves room for fingers. */
function gripChecks({ part, plan, holds }: PlannedPart): SetCheck[] {
  const { made, design } = plan;
  const [cavity] = made?.built.cavities ?? [];
  if (!made || !cavity || !holds || part.given || cavity.through || heldBy(part).length === 0) return [];
  const bitten = made.built.features.some(({ kind }) => kind === 'finger-notch');
  const pulled = made.layers.some(({ layer }) => layer.ribbon > 0);
  if (bitten || pulled || design.construction.does === 'closes') return [];
  const grip = (deep: boolean): SetCheck => ({
    kind: 'grip',
    id: `grip-${part.id}`,
    level: 'note',
    part: part.id,
    value: 0,
    limit: deep ? FINGERS : 0,
    about: { name: part.name, deep },
    remedies: [],
  });
  if (cavity.kind === 'box') {
    const fit = made.holds[0]?.fit(holds);
    const tight = fit !== undefined && Math.max(fit.ease.width, fit.ease.height) < FINGERS && fit.depth >= 0;
    return tight && !cavity.onEdge && holds.thickness > FINGERS ? [grip(true)] : [];
  }
  return alongContents(cavity, holds).height <= alongContents(cavity, made.inside).height - TOLERANCE.folded
    ? [grip(false)]
    : [];
}

/** A paper for a piece that the part does not have says nothing. */
function pieceChecks({ part, plan }: PlannedPart): SetCheck[] {
  if (!plan.made) return [];
  const names = plan.made.built.pieces.map(({ name }) => name);
  return Object.keys(part.papers)
    .filter((piece) => !names.includes(piece))
    .map((piece) => ({
      kind: 'no-piece',
      id: `no-piece-${part.id}-${piece}`,
      level: 'warn',
      part: part.id,
      value: 0,
      limit: 0,
      about: { name: part.name, piece },
      remedies: [],
    }));
}
