import { type PanelId, outlineOf, type Piece } from '../pattern';
import { z } from '../text/zod';
import { bringing, layerOf, type Joint } from '../fold';
import { boxOf, compose, invert, type Point } from '../geometry';
import { mm, sayer, unitsOf, type Say } from '../length';
import { checksOf, checkSentence } from '../checks';
import { LAYER_PLACES } from '../design';
import { glueAreas, keepDry, type Made, type MadePiece, type Plan, pieceOf } from '../plan';
import { stepsOf, type Step } from '../making';

const number = z.number();
const pair = z.tuple([number, number]);
const polygon = z.array(pair);
/** Scores of a sheet, in the order they are folded. */
const scores = z.array(
  z.strictObject({
    id: z.string(),
    from: pair,
    to: pair,
    fold: z.enum(['valley', 'mountain']),
    angle: number,
    order: number,
  }),
);
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
      scores,
      cuts: z.array(z.strictObject({ from: pair, to: pair })).describe('Slits inside the outline.'),
      marks: z
        .array(
          z.strictObject({
            edge,
            at: number,
            for: z.enum(['notch', 'score', 'slit', 'slant', 'hole']),
            reference: z.enum(['board', 'fence', 'ruler']),
            deep: number.optional().describe('How far in from the edge, for what does not lie on the rim.'),
            from: number.optional().describe('Where a score that stops part-way starts, up from the edge.'),
            to: number.optional().describe('Where it stops.'),
          }),
        )
        .describe('What the maker sets or measures along an edge from its left end once that edge is near.'),
      holes: z.array(z.strictObject({ at: pair, diameter: number })),
      glue: z.array(z.strictObject({ id: z.string(), polygon, side })),
      noGlue: z.array(z.strictObject({ polygon, side })),
    }),
  ),
  given: z
    .array(
      z.strictObject({
        name: z.string(),
        quantity: number,
        width: number,
        height: number,
        outline: polygon.optional().describe('Of what was folded before it was bought: as it would lie flat.'),
        scores: scores.optional(),
      }),
    )
    .describe('What the maker has already and the pieces are fixed to: its size as it is measured.'),
  assembly: z.array(
    z.strictObject({
      piece: z.string(),
      own: z.string().describe('The panel of the piece that comes to lie on the other.'),
      onto: z.string(),
      panel: z.string(),
      transform: z
        .array(number)
        .length(6)
        .describe(
          'From the piece’s own flat sheet onto the flat sheet of that panel: x’ = a x + c y + e, y’ = b x + d y + f.',
        ),
      side,
      step: number,
      above: number.optional().describe('How far over that panel’s inside it lies: a lid on the rim of its box.'),
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
      scores: z
        .array(z.string())
        .optional()
        .describe('All scores that are made or folded in this step, where several are.'),
      glue: z.string().optional(),
      joins: z.string().optional().describe('The glue, put on before, that now joins.'),
      rounds: z.number().optional().describe('Radius of the corners that are rounded.'),
      alike: z.array(z.string()).optional().describe('Other pieces to which the same is done in the same go.'),
      layer: z.string().optional(),
      text: z.string(),
    }),
  ),
  layers: z
    .array(
      z.strictObject({
        name: z.string(),
        on: z.enum(LAYER_PLACES),
        width: number,
        height: number,
        outline: polygon.describe('As cut, origin at its blank’s lower left.'),
        reveal: number.describe('The border that shows all round it.'),
        upon: z.string().optional().describe('The layer it is glued on; left out where it lies on the thing itself.'),
        panel: z.string().optional().describe('The panel it is glued on.'),
        side: side.optional(),
        polygon: polygon.optional().describe('Where it lies on that panel’s flat sheet.'),
        ribbon: number.describe('Ribbon round it to pull it out by; 0 for none.'),
      }),
    )
    .describe('What is laid on its faces and into its room.'),
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
      given: [],
      assembly: [],
      joins: [],
      inside: NOTHING,
      finished: { ...NOTHING, thickness: 0 },
      ease: NOTHING,
      largestContents: { width: 0, height: 0, thickness: 0 },
      thickest: 0,
      steps: [],
      layers: [],
      checks,
    };
  const { built, folded } = made;
  const steps = stepsOf(plan, say);
  // Without contents of its own, a plan answers for the largest that fit: they leave exactly the least ease.
  const ease =
    built.cavities.length === 0
      ? NOTHING
      : (made.fit?.ease ?? {
          width: Math.min(design.least.width, made.inside.width),
          height: Math.min(design.least.height, made.inside.height),
        });
  return {
    ...head,
    pieces: made.pieces.map((part) => pieceDocument(made, part)),
    given: built.pieces.flatMap((piece) => (piece.source === 'made' ? [] : [givenDocument(piece)])),
    assembly: [...placed(made, steps), ...setDown(made, steps)],
    joins: jointsOf(folded).flatMap((joint) =>
      joint.polygons.map((ring) => ({
        a: `${pieceOf(built, joint.panel).name}/${joint.panel}`,
        b: `${pieceOf(built, joint.onto).name}/${joint.onto}`,
        polygon: ring.map(xy),
      })),
    ),
    inside: { width: made.inside.width, height: made.inside.height, depth: made.inside.depth },
    finished: {
      width: made.finished.width,
      height: made.finished.height,
      depth: made.finished.depth,
      thickness: made.finished.thickness,
    },
    ease: {
      width: ease.width,
      height: ease.height,
      depth: made.fit?.depth ?? mm(made.inside.depth - Math.min(made.inside.depth, design.thickness)),
    },
    largestContents: { ...made.largest },
    thickest: made.thickest,
    steps: steps.map(
      ({
        how,
        ifRough: _,
        caution,
        text,
        phase: _p,
        readings: _r,
        picture: _i,
        dries: _d,
        alike,
        scores,
        ...step
      }) => ({
        ...step,
        ...(alike && { alike: [...alike] }),
        ...(scores && { scores: [...scores] }),
        text: [text, how, caution].filter(Boolean).join(' '),
      }),
    ),
    layers: made.layers.map(({ piece, layer: { on, reveal, upon, laid, ribbon } }) => ({
      name: piece.name,
      on,
      width: piece.blank.width,
      height: piece.blank.height,
      outline: outlineOf(piece)[0]!.map(xy),
      reveal,
      ...(upon && { upon }),
      ...(laid && { panel: laid.panel, side: laid.side, polygon: laid.polygon.map(xy) }),
      ribbon,
    })),
    checks,
  };
}

/** Every joint there is, those of parts that lie beside the thing included. */
const jointsOf = ({ standing, earlier, stages }: Made['folded']): readonly Joint[] =>
  standing?.finished.joints ?? [...earlier, ...stages].flatMap(({ joints }) => joints);

/** Pieces laid on others while both lie flat. */
function placed({ built, folded }: Made, steps: readonly Step[]): PlanDocument['assembly'] {
  return folded.stages.flatMap(({ step, stack }, i) => {
    if (step.kind !== 'place') return [];
    const layer = stack.layers.find(({ panel }) => panel === step.panel)!;
    return [
      {
        piece: pieceOf(built, step.panel).name,
        own: step.panel,
        onto: pieceOf(built, step.onto).name,
        panel: step.onto,
        // Adding nothing turns a minus nought into a plain one, which is all JSON can write.
        transform: compose(invert(layerOf(stack, step.onto).map), layer.map).map((value) => value + 0),
        side: step.over ? ('inside' as const) : ('outside' as const),
        step: steps.find(({ picture }) => picture.kind === 'folded' && picture.stage === i && !picture.before)?.id ?? 0,
      },
    ];
  });
}

/** Pieces set down on what stands, on the sheet of the panel they lie over. */
function setDown({ built, folded }: Made, steps: readonly Step[]): PlanDocument['assembly'] {
  return (folded.standing?.stages ?? []).flatMap(({ step }, i) =>
    step.kind === 'set'
      ? [
          {
            piece: pieceOf(built, step.panel).name,
            own: step.panel,
            onto: pieceOf(built, step.onto).name,
            panel: step.onto,
            transform: bringing(step.line, step.on, step.over).map((value) => value + 0),
            side: step.over ? ('inside' as const) : ('outside' as const),
            step:
              steps.find(({ picture }) => picture.kind === 'standing' && picture.stage === i && !picture.before)?.id ??
              0,
            above: step.above,
          },
        ]
      : [],
  );
}

const xy = (p: Point): [number, number] => [p.x, p.y];

/** What is given: a panel, a board; or folded before it was bought, and as large as its face. */
function givenDocument(piece: Piece): PlanDocument['given'][number] {
  const { name, quantity, blank, hinges, panels } = piece;
  if (hinges.length === 0) return { name, quantity, width: blank.width, height: blank.height };
  const face = boxOf(panels[0]!.polygon);
  return {
    name,
    quantity,
    width: face.maxX - face.minX,
    height: face.maxY - face.minY,
    outline: outlineOf(piece)[0]!.map(xy),
    scores: scoresDocument(piece),
  };
}

const scoresDocument = ({ hinges }: Piece): PlanDocument['pieces'][number]['scores'] =>
  [...hinges]
    .sort((a, b) => a.order - b.order)
    .map(({ id, line, fold, angle, order }) => ({ id, from: xy(line.from), to: xy(line.to), fold, angle, order }));

function pieceDocument(made: Made, { piece, programme }: MadePiece): PlanDocument['pieces'][number] {
  const ownPanel = (panel: PanelId): boolean => piece.panels.some(({ id }) => id === panel);
  return {
    name: piece.name,
    quantity: piece.quantity,
    blank: { width: piece.blank.width, height: piece.blank.height },
    outline: outlineOf(piece)[0]!.map(xy),
    scores: scoresDocument(piece),
    cuts: piece.slits.map(({ line }) => ({ from: xy(line.from), to: xy(line.to) })),
    marks: programme.marks.map((mark) => ({ ...mark })),
    holes: piece.holes.map(({ centre, diameter }) => ({ at: xy(centre), diameter })),
    glue: glueAreas(made)
      .filter(({ joint }) => ownPanel(joint.panel))
      .flatMap(({ id, joint, side }) => joint.polygons.map((ring) => ({ id, polygon: ring.map(xy), side }))),
    noGlue: keepDry(made)
      .filter(({ panel }) => ownPanel(panel))
      .flatMap(({ polygons, side }) => polygons.map((ring) => ({ polygon: ring.map(xy), side }))),
  };
}
