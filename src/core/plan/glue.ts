import type { PanelId } from '../pattern';
import { claimsOf, type Facts } from '../constructions';
import type { Contact, FlatWork, Joint, Side, StandingWork } from '../fold';
import {
  apply,
  area,
  difference,
  intersection,
  leastWidth,
  plainRings,
  type Polygon,
  TOLERANCE,
  centreOf,
} from '../geometry';
import { inches, mm, type Mm } from '../length';
import type { Design, Adhesive } from '../design';
import type { Made } from './made';

/** Where glue goes for one step, on the flat sheet. */
export interface GlueArea {
  /** `g1`, `g2` in the order of the assembly; areas that are glued in one go share it. */
  readonly id: string;
  readonly step: string;
  readonly joint: Joint;
  readonly side: Side;
}

/** What paper is glued to when it is glued to what goes in. */
export const CONTENTS = 'contents';

/** A step at which something is glued, flat or standing, and what else the glued parts meet there. */
interface Gluing {
  readonly step: Pick<FlatWork | StandingWork, 'id' | 'sticks' | 'tape'>;
  readonly joints: readonly Joint[];
  readonly contacts: readonly Contact[];
}

const gluing = ({ built, folded }: Pick<Made, 'built' | 'folded'>): readonly Gluing[] => {
  const panels = new Map(built.pieces.flatMap((piece) => piece.panels.map((panel) => [panel.id, panel] as const)));
  const stuck = (panel: PanelId): Joint => ({
    id: `stick-${panel}`,
    panel,
    onto: CONTENTS,
    side: 'inside',
    polygons: [panels.get(panel)!.polygon],
  });
  const [cavity] = built.cavities;
  return [
    ...(cavity?.kind === 'box' && cavity.glued
      ? [{ step: { id: CONTENTS, sticks: [cavity.floor] }, joints: [], contacts: [] }]
      : []),
    ...folded.stages,
    ...(folded.standing?.stages ?? []).map(({ step, joints }) => ({ step, joints, contacts: [] })),
  ]
    .map((one) => ({ ...one, joints: [...one.joints, ...(one.step.sticks ?? []).map(stuck)] }))
    .filter(({ joints }) => joints.length > 0);
};

/** Glue areas are numbered by the step that brings them together: step to `g1`, `g2`. */
export const glueIds = (made: Made): ReadonlyMap<string, string> =>
  new Map(gluing(made).map(({ step }, i) => [step.id, `g${i + 1}`]));

/** Where glue goes, by the step that brings it together. */
export function glueAreas(made: Made): readonly GlueArea[] {
  const ids = glueIds(made);
  return gluing(made).flatMap(({ step, joints }) =>
    joints.map((joint) => ({ id: ids.get(step.id)!, step: step.id, joint, side: joint.side })),
  );
}

/** Where a glued part lies on paper it must not stick to, on the flat sheet. */
export interface DryArea extends Contact {
  readonly step: string;
}

/** Worked out once for a thing: the checks, the steps, the drawing and the advice all ask. */
const dryOf = new WeakMap<Made, readonly DryArea[]>();

/** What of a glued panel meets other paper without being glued to it there. */
export function keepDry(made: Made): readonly DryArea[] {
  const known = dryOf.get(made) ?? dryAreas(made);
  dryOf.set(made, known);
  return known;
}

const dryAreas = (made: Made): readonly DryArea[] =>
  gluing(made).flatMap(({ step, contacts, joints }) =>
    contacts.flatMap((contact) => {
      const own = joints.filter((joint) => joint.panel === contact.panel);
      if (contact.onto === null || own.length === 0) return [];
      const rest = plainRings(
        difference(
          [...contact.polygons],
          own.flatMap((joint) => joint.polygons),
        ),
      ).filter((ring) => area(ring) > 0.5);
      return rest.length > 0 ? [{ ...contact, polygons: rest, step: step.id }] : [];
    }),
  );

/** Widths tape is sold in, mm. Common practice, no source. */
const TAPES = [1 / 8, 1 / 4, 3 / 8, 1 / 2, 3 / 4, 1].map((width) => inches(width));
/** Wet glue creeps about this far when it is pressed, mm. Common practice 1/8 in. */
const CREEP = inches(1 / 8);
/** Diameter of a hook-and-loop dot, mm. Common practice 3/8 in. */
const DOT = inches(3 / 8);

/** What the areas of one step say about what to glue them with. */
export interface GlueAdvice {
  readonly id: string;
  readonly step: string;
  readonly chosen: Adhesive;
  /** Width of the tape that the holder is drawn for, where that is what is chosen; null elsewhere. */
  readonly drawnFor: Mm | null;
  /** Breadth of the narrowest area, mm. */
  readonly breadth: Mm;
  /** Widest tape sold that fits, or null. */
  readonly tape: Mm | null;
  /** Margin to keep from the paper that must stay free, mm; 0 where the glue has none beside it. */
  readonly margin: Mm;
  /** Whether what is chosen fits: null when it does, or why not. */
  readonly trouble: Facts['glue']['trouble'] | null;
  /** Whether a part slides in what this closes, so that it must be lined up while the glue is wet. */
  readonly slides: boolean;
}

/** Advice for every glue step, from the folded shape. */
export function glueAdvice(made: Made, { adhesive }: Design): readonly GlueAdvice[] {
  const dry = keepDry(made);
  const areas = glueAreas(made);
  const strips = new Map(
    gluing(made).flatMap(({ step: { id, tape } }) => (tape === undefined ? [] : [[id, tape] as const])),
  );
  return [...glueIds(made)].map(([step, id]) => {
    const here = areas.filter((a) => a.step === step);
    const rings = here.flatMap(({ joint }) => joint.polygons);
    const breadth = mm(Math.min(...rings.map(leastWidth)));
    const beside = dry.some(
      (d) => d.step === step && d.polygons.some((ring) => rings.some((other) => touches(ring, other))),
    );
    const margin = beside ? CREEP : mm(0);
    const strip = strips.get(step);
    const chosen = adhesive.joins[step] ?? (strip === undefined ? adhesive.all : 'tape');
    const drawnFor = chosen === 'tape' ? (strip ?? null) : null;
    const tape = TAPES.filter((width) => width <= breadth + TOLERANCE.folded).at(-1) ?? null;
    // What is glued into a channel that something slides in; the channel itself may be glued down as one likes.
    const slides = claimsOf(made.built.claims, 'slides').some(({ between }) =>
      here.some(({ joint }) => between.includes(joint.onto)),
    );
    const width =
      chosen === 'tape' ? adhesive.tape : chosen === 'hook-dot' ? DOT : chosen === 'tape-runner' ? TAPES[1]! : 0;
    const trouble =
      drawnFor === null && width > breadth + TOLERANCE.folded
        ? 'too_narrow'
        : (chosen === 'wet-glue' || chosen === 'hot-glue') && margin > 0 && breadth <= 2 * CREEP
          ? 'creeps'
          : chosen !== 'wet-glue' && slides
            ? 'cannot_shift'
            : null;
    return { id, step, chosen, drawnFor, breadth, tape, margin, trouble, slides };
  });
}

/** True when two areas lie edge to edge, or overlap: grown by a hair they share something. */
function touches(a: Polygon<'sheet'>, b: Polygon<'sheet'>): boolean {
  const centre = centreOf(a);
  const grown = a.map((p) => apply<'sheet'>([1.01, 0, 0, 1.01, -0.01 * centre.x, -0.01 * centre.y], p));
  return intersection(grown, b).length > 0;
}
