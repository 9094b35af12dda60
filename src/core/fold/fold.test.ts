import { secondDifference, secondIntersection } from '../../../tests/helpers/second-geometry';
import { area, type Polygon } from '../geometry';
import { mm } from '../length';
import type { Hinge, Panel, Piece } from '../pattern';
import {
  assemble,
  contactsOf,
  flatStack,
  foldOver,
  lapBetween,
  layerOf,
  layersAt,
  levelOf,
  mostLayers,
  mouthView,
  reachAcross,
  slotOf,
  stageAfter,
  uncovered,
  visibleFrom,
  type AssemblyFold,
  type AssemblyPlace,
  type Cavity,
  type Fold,
} from '.';

const rect = (x: number, y: number, w: number, h: number): Polygon<'sheet'> => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
];
const panel = (id: string, polygon: Polygon<'sheet'>): Panel => ({ id, name: id, polygon });
const hinge = (
  id: string,
  still: string,
  moving: string,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  fold: Hinge['fold'] = 'valley',
): Hinge => ({
  id,
  between: [still, moving],
  line: { from: { x: x1, y: y1 }, to: { x: x2, y: y2 } },
  fold,
  angle: 180,
  order: 1,
});
const piece = (panels: Panel[], hinges: Hinge[]): Piece => ({
  name: 'strip',
  quantity: 1,
  source: 'made',
  blank: { width: mm(300), height: mm(100) },
  panels,
  hinges,
  notches: [],
  trims: [],
  holes: [],
  slits: [],
});

/** A strip of three panels side by side: left 40, middle 100, right 90 wide, 60 high. */
const strip = piece(
  [panel('left', rect(0, 0, 40, 60)), panel('middle', rect(40, 0, 100, 60)), panel('right', rect(140, 0, 90, 60))],
  [hinge('h-left', 'middle', 'left', 40, 0, 40, 60), hinge('h-right', 'middle', 'right', 140, 0, 140, 60)],
);
const folds: [AssemblyFold & Fold, AssemblyFold & Fold] = [
  { kind: 'fold', id: 'left', name: 'left', hinges: ['h-left'], moving: ['left'] },
  { kind: 'fold', id: 'right', name: 'right', hinges: ['h-right'], moving: ['right'], gluedTo: ['left'] },
];
/** A tube open at top and bottom, asked from the top. */
const tube: Cavity = {
  id: 'tube',
  kind: 'tube',
  floor: 'middle',
  roof: ['left', 'right'],
  mouth: { from: { x: 40, y: 60 }, to: { x: 140, y: 60 } },
  insertAfter: 'right',
  covered: { floor: 1, roof: 1 },
};

describe('folding', () => {
  test('a valley turns the panel over, onto the stack, mirrored in its line', () => {
    const { stack, problems } = foldOver(flatStack(strip), folds[0]);
    expect(problems).toEqual([]);
    expect(levelOf(stack, 'left')).toBe(2);
    expect(layerOf(stack, 'left').up).toBe('outside');
    expect(Math.max(...layerOf(stack, 'left').polygon.map((p) => p.x))).toBeCloseTo(80, 9);
  });

  test('a mountain goes underneath, and a valley under a panel that already shows its outside goes underneath too', () => {
    const mountain = piece([...strip.panels], [hinge('h-left', 'middle', 'left', 40, 0, 40, 60, 'mountain')]);
    expect(levelOf(foldOver(flatStack(mountain), folds[0]).stack, 'left')).toBe(0);
    const whole = foldOver(flatStack(strip), { id: 'over', hinges: ['h-right'], moving: ['middle', 'left'] }).stack;
    expect(layerOf(whole, 'middle').up).toBe('outside');
    expect(levelOf(foldOver(whole, folds[0]).stack, 'left')).toBe(0);
  });

  test('two folds lap, glue where they meet, and stack three layers thick', () => {
    const folded = assemble([strip], folds);
    expect(folded.problems).toEqual([]);
    expect(lapBetween(folded.finished, 'left', 'right').breadth).toBeCloseTo(30, 6);
    expect(reachAcross(folded.finished, 'left', 'right', { x: 1, y: 0 })).toBeCloseTo(30, 9);
    expect(folded.finished.joints).toHaveLength(1);
    expect(area(folded.finished.joints[0]!.polygons[0]!)).toBeCloseTo(30 * 60, 3);
    expect(mostLayers(folded.finished)).toBe(3);
    expect(layersAt(folded.finished, { x: 60, y: 30 }).map((layer) => layer.panel)).toEqual([
      'middle',
      'left',
      'right',
    ]);
  });

  test('contacts under a panel are its whole face, told apart by what lies there', () => {
    const { finished } = assemble([strip], folds);
    const contacts = contactsOf(finished, 'right', 'under');
    expect(contacts.map((c) => c.onto)).toEqual(['left', 'middle']);
    const [onLeft, onMiddle] = contacts.map((c) => c.polygons);
    expect(secondIntersection(onLeft!, onMiddle!)).toBeLessThan(1e-6);
    expect(secondDifference([strip.panels[2]!.polygon], [...onLeft!, ...onMiddle!])).toBeLessThan(1e-3);
  });

  test('a fold under a panel that lies over it is blocked, and says by what', () => {
    const long = piece(
      [panel('left', rect(0, 0, 120, 60)), panel('middle', rect(120, 0, 50, 60)), panel('right', rect(170, 0, 90, 60))],
      [hinge('h-left', 'middle', 'left', 120, 0, 120, 60), hinge('h-right', 'middle', 'right', 170, 0, 170, 60)],
    );
    const { problems } = assemble([long], folds);
    expect(problems).toContainEqual({ code: 'blocked', fold: 'right', panel: 'right', by: 'left' });
  });

  test('a panel across the fold line, or held by a joint off it, cannot turn', () => {
    const straddling = foldOver(flatStack(strip), { id: 'x', hinges: ['h-left'], moving: ['left', 'right'] });
    expect(straddling.problems.map((p) => p.code)).toEqual(expect.arrayContaining(['joint_off_line', 'straddles']));
    const glued = assemble([strip], folds).finished;
    expect(foldOver(glued, { id: 'x', hinges: ['h-left'], moving: ['left'] }).problems.map((p) => p.code)).toContain(
      'joint_off_line',
    );
  });

  test('a tuck goes under the panel it names', () => {
    const folded = assemble([strip], [folds[0], { ...folds[1], gluedTo: [], under: 'left' }]);
    expect(folded.finished.layers.map((layer) => layer.panel)).toEqual(['middle', 'right', 'left']);
  });

  test('a tuck is refused where glue or a fold shuts the gap it goes into', () => {
    // The right panel is to go between the left one and the middle, but the left one is glued down first.
    const glued = assemble(
      [strip],
      [
        { ...folds[0], gluedTo: ['middle'] },
        { ...folds[1], gluedTo: [], under: 'left' },
      ],
    );
    expect(glued.problems).toEqual([{ code: 'tuck_tied', fold: 'right', panel: 'right', by: 'glue-left-middle' }]);
    // Too long: it would have to pass the left panel's own fold.
    const long = piece(
      [panel('left', rect(0, 0, 40, 60)), panel('middle', rect(40, 0, 100, 60)), panel('right', rect(140, 0, 120, 60))],
      [hinge('h-left', 'middle', 'left', 40, 0, 40, 60), hinge('h-right', 'middle', 'right', 140, 0, 140, 60)],
    );
    const past = assemble([long], [folds[0], { ...folds[1], gluedTo: [], under: 'left' }]);
    expect(past.problems).toEqual([{ code: 'tuck_tied', fold: 'right', panel: 'right', by: 'h-left' }]);
  });

  test('names that do not exist are bugs, and throw', () => {
    expect(() => foldOver(flatStack(strip), { id: 'x', hinges: ['nope'], moving: [] })).toThrow('names no hinge');
    expect(() => layerOf(flatStack(strip), 'nope')).toThrow('no panel nope');
    expect(() => stageAfter(assemble([strip], folds), 'nope')).toThrow('no step is called nope');
  });
});

describe('the slot', () => {
  const { finished } = assemble([strip], folds);

  test('a tube is as wide as its floor and takes anything through', () => {
    const slot = slotOf(finished, tube, false);
    expect(slot.largest).toEqual({ width: expect.closeTo(100, 6), height: expect.closeTo(60, 6) });
    expect(slot.test({ width: 100, height: 60 })).toBeNull();
    expect(slot.test({ width: 100.1, height: 40 })).toBe('too_wide');
  });

  test('glue onto the floor narrows the slot and glue across the way in bars it', () => {
    const joint = (x: number, y: number, w: number, h: number) => ({
      ...finished,
      joints: [
        ...finished.joints,
        { id: 'g', panel: 'middle', onto: 'right', side: 'inside' as const, polygons: [rect(x, y, w, h)] },
      ],
    });
    expect(slotOf(joint(40, 0, 10, 60), tube, false).largest.width).toBeCloseTo(90, 6);
    expect(slotOf(joint(40, 50, 100, 10), tube, false).test({ width: 50, height: 20 })).not.toBeNull();
    const pocket = slotOf(joint(40, 0, 100, 10), tube, false);
    expect(pocket.test({ width: 100, height: 50 })).toBeNull();
    expect(pocket.test({ width: 100, height: 50.1 })).toBe('too_high');
  });

  test('closed, what the roof does not cover is seen', () => {
    const narrow = assemble(
      [
        piece(
          [panel('left', rect(0, 0, 40, 60)), strip.panels[1]!, panel('right', rect(140, 0, 40, 60))],
          [...strip.hinges],
        ),
      ],
      [folds[0], { ...folds[1], gluedTo: [] }],
    ).finished;
    expect(slotOf(narrow, tube, true).test({ width: 90, height: 50 })).toBe('uncovered');
    expect(uncovered(narrow, 'middle', ['left', 'right']).reduce((sum, p) => sum + area(p), 0)).toBeCloseTo(20 * 60, 3);
  });
});

test('what shows: outside faces on both sides, with the sheet’s up turned as the folds turned it', () => {
  const { finished } = assemble([strip], folds);
  const view = mouthView(finished, tube);
  const front = visibleFrom(finished, 'below', view);
  expect(front.map((v) => [v.panel, v.side])).toEqual([['middle', 'outside']]);
  const back = visibleFrom(finished, 'above', view);
  expect(back.map((v) => [v.panel, v.side])).toEqual([
    ['right', 'outside'],
    ['left', 'outside'],
  ]);
  // The mouth is at the sheet's top and the view looks into the pocket, so the sheet's up points away: half a turn.
  expect(Math.abs(front[0]!.turn)).toBeCloseTo(180, 6);
});

describe('pieces that join', () => {
  /** A card of its own, 30 by 20. */
  const tag: Piece = {
    ...piece([panel('tag', rect(0, 0, 30, 20))], []),
    name: 'tag',
    blank: { width: mm(30), height: mm(20) },
  };
  const laid = (more: Partial<AssemblyPlace> = {}): AssemblyPlace => ({
    kind: 'place',
    id: 'lay',
    name: 'lay',
    panel: 'tag',
    onto: 'middle',
    line: { from: { x: 0, y: 0 }, to: { x: 30, y: 0 } },
    on: { from: { x: 50, y: 10 }, to: { x: 80, y: 10 } },
    over: false,
    level: 'top',
    gluedTo: ['middle'],
    ...more,
  });

  test('a piece is laid where its line says, glued where it meets, and turns with what carries it', () => {
    const { finished, problems } = assemble(
      [strip, tag],
      [laid(), { kind: 'fold', id: 'over', name: 'over', hinges: ['h-right'] }],
    );
    expect(problems).toEqual([]);
    expect(finished.layers.map((layer) => layer.panel)).toEqual(['left', 'middle', 'tag', 'right']);
    expect(secondDifference([layerOf(finished, 'tag').polygon], [rect(50, 10, 30, 20)])).toBeLessThan(1e-6);
    expect(finished.joints).toEqual([expect.objectContaining({ panel: 'tag', onto: 'middle' })]);
    // Folding the middle instead takes the tag along, without being told.
    const turned = assemble([strip, tag], [laid(), { kind: 'fold', id: 'whole', name: 'whole', hinges: ['h-left'] }]);
    expect(turned.stages.at(-1)!.moving).toEqual(['left']);
    const other = piece([...strip.panels], [hinge('h-left', 'left', 'middle', 40, 0, 40, 60), strip.hinges[1]!]);
    expect(
      assemble([other, tag], [laid(), { kind: 'fold', id: 'x', name: 'x', hinges: ['h-left'] }]).stages.at(-1)!.moving,
    ).toEqual(['middle', 'right', 'tag']);
  });

  test('turned over it shows its other side, mirrored along its line', () => {
    const { finished } = assemble(
      [strip, tag],
      [laid({ over: true, on: { from: { x: 80, y: 10 }, to: { x: 50, y: 10 } } })],
    );
    expect(layerOf(finished, 'tag').up).toBe('outside');
    expect(secondDifference([layerOf(finished, 'tag').polygon], [rect(50, 10, 30, 20)])).toBeLessThan(1e-6);
  });

  test('glue goes only where it is told to, and a piece slides only into a gap that is open', () => {
    const strip10 = [rect(0, 0, 10, 20)];
    const { finished } = assemble([strip, tag], [laid({ glueWithin: strip10 })]);
    expect(area(finished.joints[0]!.polygons[0]!)).toBeCloseTo(200, 3);
    const under = laid({ level: { below: 'left' }, gluedTo: [], on: { from: { x: 50, y: 10 }, to: { x: 80, y: 10 } } });
    const fold = folds[0];
    expect(assemble([strip, tag], [fold, under]).problems).toEqual([]);
    expect(assemble([strip, tag], [{ ...fold, gluedTo: ['middle'] }, under]).problems).toEqual([
      { code: 'tuck_tied', fold: 'lay', panel: 'tag', by: 'glue-left-middle' },
    ]);
  });

  test('a piece laid onto itself, or onto a panel that is not there, is a bug and throws', () => {
    expect(() => assemble([strip, tag], [laid(), laid()])).toThrow('in one pile already');
    expect(() => assemble([strip, tag], [laid({ onto: 'lid' })])).toThrow('no piece has a panel lid');
  });
});
