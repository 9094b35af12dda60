/** Mends: paper glued behind what is torn or cut, and a flap made anew and joined on. Both are laid down while all is flat. */
import {
  type PanelId,
  drawPiece,
  rect,
  sharedEdge,
  wasteTrims,
  type Hinge,
  type Panel,
  type Piece,
  some,
} from '../pattern';
import type { Built } from '../constructions';
import type { AssemblyPlace, AssemblyStep } from '../fold';
import {
  anticlockwise,
  apply,
  applyAll,
  area,
  boxOf,
  compose,
  direction,
  distance,
  intersection,
  invert,
  rotation,
  sideOf,
  TOLERANCE,
  translation,
  type Affine,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import { inches, mm, roundTo, type Graduation } from '../length';

/** What a strip or lap is glued by on either side of what it mends, mm. Common practice 1/4 in, a joint 1/2 in. */
const STRIP = inches(1 / 4);
const LAPS = [inches(1 / 2), inches(3 / 8), inches(1 / 4)] as const;

/** The only hinge a panel hangs by; null for one with several, which nothing can stand in for. */
export function onlyHinge(piece: Piece, panel: PanelId): Hinge | null {
  const [hinge, ...more] = piece.hinges.filter(({ between }) => between.includes(panel));
  return hinge && more.length === 0 ? hinge : null;
}

/** Paper that is laid down on a panel: its panels, each on its own sheet, how that lies on the sheet of the panel, and the step. */
interface LaidDown {
  readonly panels: readonly Panel[];
  readonly map: Affine;
  readonly step: AssemblyPlace;
}

/**
 * A pattern with paper laid down on a panel of a piece before all else: it lies on the side of the contents that the panel
 * lies on, is glued where that is glued, and is met where that is met.
 */
function withLaid(built: Built, pieces: readonly Piece[], piece: Piece, { panels, map, step }: LaidDown): Built {
  const { panel: laid, onto } = step;
  const back = invert(map);
  const moves = (work: AssemblyStep): boolean =>
    work.kind === 'fold'
      ? piece.hinges.some(({ id }) => id === work.hinges[0])
      : work.kind === 'place' && piece.panels.some(({ id }) => id === work.panel);
  const after = (work: AssemblyStep): AssemblyStep => {
    if (work.kind !== 'fold' && work.kind !== 'place') return work;
    const { gluedTo, glueWithin } = work;
    return {
      ...work,
      ...(gluedTo?.includes(onto) && { gluedTo: [...gluedTo, laid] }),
      ...(glueWithin &&
        moves(work) && {
          glueWithinOn: {
            ...work.glueWithinOn,
            ...Object.fromEntries(
              panels.map(({ id }) => [id, glueWithin.map((ring) => applyAll<'sheet'>(back, ring))] as const),
            ),
          },
        }),
    };
  };
  return {
    ...built,
    pieces: some(pieces),
    assembly: [step, ...built.assembly.map(after)],
    cavities: built.cavities.map((cavity) =>
      cavity.kind !== 'box' && cavity.roof.includes(onto) ? { ...cavity, roof: [...cavity.roof, laid] } : cavity,
    ),
  };
}

/** Paper glued flat on the inside of a panel: it lies on the sheet as `map` from its own says. */
function laidOn(id: string, name: string, panel: Panel, onto: PanelId, map: Affine): AssemblyPlace {
  const [from, to] = panel.polygon as readonly [Point<'sheet'>, Point<'sheet'>];
  return {
    kind: 'place',
    id,
    name,
    panel: panel.id,
    onto,
    line: { from, to },
    on: { from: apply(map, from), to: apply(map, to) },
    over: false,
    level: 'top',
    gluedTo: [onto],
  };
}

/** From where rings begin to where they lie. */
const backTo = (rings: readonly Polygon[]): Affine => {
  const { minX, minY } = boxOf(rings.flat());
  return translation(minX, minY);
};
const shifted = (ring: Polygon<'sheet'>, back: Affine): Polygon<'sheet'> =>
  applyAll<'sheet'>(translation(-back[4], -back[5]), ring);

/** A strip behind a place of a panel, on its inside; null where it would be larger than can be glued there. */
export function withStrip(
  built: Built,
  piece: Piece,
  panel: PanelId,
  places: readonly Polygon<'sheet'>[],
  graduation: Graduation,
): Built | null {
  const on = piece.panels.find(({ id }) => id === panel);
  if (!on || places.length === 0) return null;
  const { minX, minY, maxX, maxY } = boxOf(places.flat());
  // Cut on a mark; a little broader all round where that is more.
  const more = (long: number): number => (roundTo(mm(long + 2 * STRIP), graduation, 'up') - long) / 2;
  const [across, up] = [more(maxX - minX), more(maxY - minY)];
  const [ring, ...others] = intersection(on.polygon, rect(minX - across, minY - up, maxX + across, maxY + up));
  if (!ring || others.length > 0) return null;
  const back = backTo([ring]);
  const polygon = shifted(anticlockwise(ring), back);
  const strip: Panel = { id: `strip-${panel}`, name: `strip for the ${on.name}`, polygon };
  const { maxX: width, maxY: height } = boxOf(polygon);
  const made = drawPiece({
    name: strip.name,
    blank: { width: mm(width), height: mm(height) },
    panels: [strip],
    folds: [],
  });
  return withLaid(built, [...built.pieces, made], piece, {
    panels: [strip],
    map: back,
    step: laidOn(
      `behind-${panel}`,
      `Lay the strip behind what is torn or cut, on the inside of the ${on.name}`,
      strip,
      panel,
      back,
    ),
  });
}

/** True where anything of the work is told by places on the sheet of a panel: it cannot lie on another sheet. */
const toldOn = ({ assembly, cavities }: Built, piece: Piece, panel: PanelId): boolean =>
  assembly.some(
    (step) => (step.kind === 'place' || step.kind === 'set') && (step.panel === panel || step.onto === panel),
  ) ||
  cavities.some(({ floor }) => floor === panel) ||
  piece.holes.some((hole) => hole.panel === panel);

/**
 * A panel that hangs by one hinge made anew: it comes off its piece along that fold, and a new one is glued on by a lap behind
 * it. Null for a panel that nothing can stand in for.
 */
export function withJoined(built: Built, piece: Piece, panel: PanelId, stuck = false): Built | null {
  const hinge = onlyHinge(piece, panel);
  const own = piece.panels.find(({ id }) => id === panel);
  if (!hinge || !own || own.bends || toldOn(built, piece, panel)) return null;
  const stays = hinge.between.find((id) => id !== panel)!;
  const base = piece.panels.find(({ id }) => id === stays)!;
  const lap = lapOn(base, own, hinge.line);
  if (!lap) return null;
  // The new piece is cut square to its fold, the lap at the near edge.
  const { x, y } = lap.along;
  const turn = rotation(-Math.atan2(y, x));
  const [flap, tongue] = [own.polygon, lap.polygon].map((ring) => anticlockwise(applyAll<'sheet'>(turn, ring))) as [
    Polygon<'sheet'>,
    Polygon<'sheet'>,
  ];
  // Its corners are rounded as they were: what is cut first has them still.
  const rounded = piece.trims.flatMap(({ cut, ...trim }) =>
    cut.kind === 'rounded' && sharedEdge(trim.polygon, own.polygon) ? [{ ...trim, cut }] : [],
  );
  const corners = rounded.map(({ cut }) => apply<'sheet'>(turn, cut.corner));
  const back = backTo([flap, tongue, corners]);
  const panels: [Panel, Panel] = [
    { id: `${panel}-lap`, name: `lap of the ${own.name}`, polygon: shifted(tongue, back) },
    { ...own, polygon: shifted(flap, back) },
  ];
  const toOwn = compose(invert(back), turn);
  const { maxX, maxY } = boxOf([...panels.flatMap(({ polygon }) => polygon), ...shifted(corners, back)]);
  const drawn = drawPiece({
    name: `new ${own.name}`,
    blank: { width: mm(maxX), height: mm(maxY) },
    panels,
    folds: [],
    trims: rounded.map(({ cut, ...trim }) => ({
      ...trim,
      polygon: applyAll<'sheet'>(toOwn, trim.polygon),
      cut: { ...cut, corner: apply<'sheet'>(toOwn, cut.corner) },
    })),
  });
  const line = sharedEdge(panels[0].polygon, panels[1].polygon);
  if (!line) return null;
  const between: Hinge['between'] = hinge.between[0] === panel ? [panel, panels[0].id] : [panels[0].id, panel];
  const joined: Piece = { ...drawn, hinges: [{ ...hinge, between, line }] };
  const left = withoutPanel(
    piece,
    own,
    hinge,
    stuck ? `old ${own.name} (what is stuck of it stays)` : `old ${own.name}`,
  );
  const map = compose(rotation(Math.atan2(y, x)), back);
  return {
    ...withLaid(built, [...built.pieces.map((one) => (one.name === piece.name ? left : one)), joined], piece, {
      panels,
      map,
      step: laidOn(
        `join-${panel}`,
        `Join the new ${own.name} on, its lap on the inside of the ${base.name}`,
        panels[0],
        stays,
        map,
      ),
    }),
    grips: built.grips.filter((grip) => grip.hinge !== hinge.id),
  };
}

/** A lap on a panel along one of its folds, its ends slanted; and that fold’s direction, what joins on to its left. */
function lapOn(
  base: Panel,
  flap: Panel,
  { from, to }: Segment<'sheet'>,
): { readonly polygon: Polygon<'sheet'>; readonly along: Point<'sheet'> } | null {
  const middle = boxOf(flap.polygon);
  const inFlap = { x: (middle.minX + middle.maxX) / 2, y: (middle.minY + middle.maxY) / 2 };
  const [a, b] = sideOf({ from, to }, inFlap as Point<'sheet'>) > 0 ? [from, to] : [to, from];
  const along = direction(a, b);
  const into = { x: along.y, y: -along.x };
  const at = (s: number, deep: number): Point<'sheet'> => ({
    x: a.x + along.x * s + into.x * deep,
    y: a.y + along.y * s + into.y * deep,
  });
  const length = distance(a, b);
  for (const deep of LAPS) {
    const slant = Math.min(deep, length / 4);
    const polygon = anticlockwise([at(0, 0), at(slant, deep), at(length - slant, deep), at(length, 0)]);
    const inside = intersection(base.polygon, polygon);
    if (inside.length === 1 && area(inside[0]!) > area(polygon) - TOLERANCE.seen) return { polygon, along };
  }
  return null;
}

/** A piece with one panel cut off along its fold: what it had beside that panel comes off with it. */
function withoutPanel(piece: Piece, panel: Panel, hinge: Hinge, name: string): Piece {
  const panels = piece.panels.filter((one) => one !== panel);
  const trims = piece.trims.filter(
    ({ name: what, polygon }) =>
      !what.startsWith('waste beside') &&
      polygon.length > 2 &&
      panels.some((other) => sharedEdge(polygon, other.polygon)) &&
      !sharedEdge(polygon, panel.polygon),
  );
  const waste = wasteTrims({ ...piece, panels, trims }).map((trim) =>
    trim.polygon.length > 2 &&
    intersection(trim.polygon, panel.polygon).some((ring) => area(ring) > area(panel.polygon) / 2)
      ? { ...trim, name }
      : trim,
  );
  return { ...piece, panels, hinges: piece.hinges.filter((one) => one !== hinge), trims: [...waste, ...trims] };
}

/** Where a panel is cut through by lines: thin rings. */
export function cutsIn({ polygon }: Panel, cuts: readonly Segment<'sheet'>[]): Polygon<'sheet'>[] {
  return cuts.flatMap(({ from, to }) => {
    const along = direction(from, to);
    const side = { x: -along.y / 2, y: along.x / 2 };
    const thin = anticlockwise([
      { x: from.x + side.x, y: from.y + side.y },
      { x: to.x + side.x, y: to.y + side.y },
      { x: to.x - side.x, y: to.y - side.y },
      { x: from.x - side.x, y: from.y - side.y },
    ] as Polygon<'sheet'>);
    return intersection(polygon, thin);
  });
}
