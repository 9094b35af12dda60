import { z } from 'zod';
import type { Contact } from '../fold';
import type { Point } from '../geometry';
import { unitsOf } from '../length';
import { outlineOf } from '../pattern';
import { checksOf } from './checks';
import type { Made, Plan } from './plan';
import { glueIds, stepsOf } from './steps';
import { checkSentence, sayer, type Say } from './words';

const number = z.number();
const pair = z.tuple([number, number]);
const polygon = z.array(pair);
const edge = z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)]);
const side = z.enum(['inside', 'outside']);

/** The plan document: the answer to a design, lengths in millimetres. */
export const planSchema = z.strictObject({
  version: z.literal(1),
  construction: z.string(),
  pieces: z.array(
    z.strictObject({
      name: z.string(),
      quantity: number,
      blank: z.strictObject({ width: number, height: number }).describe('As cut, before notches and corners come off.'),
      outline: polygon.describe('After cutting, anticlockwise, origin at the blank’s lower left, inside face up.'),
      scores: z.array(
        z.strictObject({
          id: z.string(),
          from: pair,
          to: pair,
          fold: z.enum(['valley', 'mountain']),
          angle: number,
          order: number,
        }),
      ),
      cuts: z.array(z.strictObject({ from: pair, to: pair })).describe('Slits inside the outline.'),
      marks: z
        .array(
          z.strictObject({
            edge,
            at: number,
            for: z.enum(['notch', 'score', 'slit', 'slant', 'hole']),
            reference: z.enum(['board', 'fence', 'ruler']),
          }),
        )
        .describe('What the maker sets or measures along an edge from its left end once that edge is near.'),
      glue: z.array(z.strictObject({ id: z.string(), polygon, side })),
      noGlue: z.array(z.strictObject({ polygon, side })),
    }),
  ),
  assembly: z.array(
    z.strictObject({
      piece: z.string(),
      onto: z.string(),
      panel: z.string(),
      transform: z.array(number).length(6),
      side,
      step: number,
    }),
  ),
  joins: z.array(z.strictObject({ a: z.string(), b: z.string(), polygon })),
  inside: z.strictObject({ width: number, height: number, depth: number }),
  finished: z.strictObject({ width: number, height: number, depth: number, thickness: number }),
  ease: z.strictObject({ width: number, height: number, depth: number }),
  largestContents: z.strictObject({ width: number, height: number, thickness: number }),
  thickest: number,
  steps: z.array(
    z.strictObject({
      id: number,
      piece: z.string(),
      action: z.enum(['cut', 'mark', 'punch', 'score', 'turn', 'trim', 'fold', 'glue', 'insert', 'close']),
      edge: edge.optional(),
      at: number.optional(),
      turn: z.literal('cw').optional(),
      score: z.string().optional(),
      glue: z.string().optional(),
      text: z.string(),
    }),
  ),
  checks: z.array(
    z.strictObject({
      id: z.string(),
      level: z.enum(['pass', 'note', 'warn', 'fail']),
      value: number,
      limit: number,
      message: z.string(),
    }),
  ),
});
export type PlanDocument = z.infer<typeof planSchema>;

const NOTHING = { width: 0, height: 0, depth: 0 };

/** Writes a plan as the document others read; sentences in the units of the design's own marks unless told. */
export function planDocument(
  plan: Plan,
  say: Say = sayer(unitsOf(plan.design.graduation), plan.design.graduation),
): PlanDocument {
  const { design, made } = plan;
  const checks = checksOf(plan).map((check) => ({
    id: check.id,
    level: check.level,
    value: check.value,
    limit: check.limit,
    message: checkSentence(check, say),
  }));
  const head = { version: 1 as const, construction: design.construction.name };
  if (!made)
    return {
      ...head,
      pieces: [],
      assembly: [],
      joins: [],
      inside: NOTHING,
      finished: { ...NOTHING, thickness: 0 },
      ease: NOTHING,
      largestContents: { width: 0, height: 0, thickness: 0 },
      thickest: 0,
      steps: [],
      checks,
    };
  const { built } = made;
  // Without contents of its own, a plan answers for the largest that fit: they leave exactly the least ease.
  const ease = made.fit?.ease ?? {
    width: Math.min(design.least.width, made.inside.width),
    height: Math.min(design.least.height, made.inside.height),
  };
  return {
    ...head,
    pieces: [pieceDocument(made)],
    assembly: [],
    joins: made.folded.finished.joints.flatMap((joint) =>
      joint.polygons.map((ring) => ({
        a: `${built.piece.name}/${joint.panel}`,
        b: `${built.piece.name}/${joint.onto}`,
        polygon: ring.map(xy),
      })),
    ),
    inside: { width: made.inside.width, height: made.inside.height, depth: 0 },
    finished: {
      width: made.finished.width,
      height: made.finished.height,
      depth: 0,
      thickness: made.finished.thickness,
    },
    ease: { width: ease.width, height: ease.height, depth: 0 },
    largestContents: { ...made.largest },
    thickest: made.thickest,
    steps: stepsOf(plan, say).map(({ caution, text, picture: _, ...step }) => ({
      ...step,
      text: caution ? `${text} ${caution}` : text,
    })),
    checks,
  };
}

const xy = (p: Point): [number, number] => [p.x, p.y];

function pieceDocument(made: Made): PlanDocument['pieces'][number] {
  const { piece } = made.built;
  return {
    name: piece.name,
    quantity: piece.quantity,
    blank: { width: piece.blank.width, height: piece.blank.height },
    outline: outlineOf(piece)[0]!.map(xy),
    scores: [...piece.hinges]
      .sort((a, b) => a.order - b.order)
      .map(({ id, line, fold, angle, order }) => ({ id, from: xy(line.from), to: xy(line.to), fold, angle, order })),
    cuts: [],
    marks: made.programme.marks.map((mark) => ({
      edge: mark.edge,
      at: mark.at,
      for: mark.for,
      reference: mark.reference,
    })),
    glue: glueAreas(made)
      .map(({ id, contact }) =>
        contact.polygons.map((ring) => ({ id, polygon: ring.map(xy), side: faceDown(made, contact) })),
      )
      .flat(),
    noGlue: keepDry(made).flatMap((contact) =>
      contact.polygons.map((ring) => ({ polygon: ring.map(xy), side: faceDown(made, contact) })),
    ),
  };
}

/** Where glue goes, on the flat sheet, by the fold that brings it down. */
export function glueAreas({
  folded,
}: Made): readonly { readonly id: string; readonly fold: string; readonly contact: Contact }[] {
  const ids = glueIds(folded.stages.flatMap((s) => (s.fold.gluedTo ? [s.fold.id] : [])));
  return folded.stages.flatMap(({ fold, contacts }) =>
    contacts
      .filter((contact) => contact.onto !== null && fold.gluedTo?.includes(contact.onto))
      .map((contact) => ({ id: ids.get(fold.id)!, fold: fold.id, contact })),
  );
}

/** Where a glued flap lies on paper it must not stick to, on the flat sheet. */
export const keepDry = ({ folded }: Made): readonly Contact[] =>
  folded.stages.flatMap(({ fold, contacts }) =>
    contacts.filter((contact) => contact.onto !== null && !fold.gluedTo?.includes(contact.onto)),
  );

/** The face of a panel that looks down once it has been folded: the one that takes the glue. */
function faceDown({ folded }: Made, contact: Contact): 'inside' | 'outside' {
  const stage = folded.stages.find((s) => s.contacts.includes(contact))!;
  return stage.stack.layers.find((layer) => layer.panel === contact.panel)!.up === 'B' ? 'inside' : 'outside';
}
