/** The pile every holder ends as, layer by layer from the table upwards: worked out by folding paper, no other source. */
import { planOf } from '../../../tests/helpers/designs';
import { layersAt, mouthView, type FlatCavity } from '../fold';
import type { Made } from '../plan';

const made = (construction: string, options: object = {}, contents: object = {}): Made =>
  planOf({ version: 1, construction, contents: { width: '4 in', height: '4 1/2 in', ...contents }, options }).made!;
/** Panels over a place of the finished thing, given across the mouth and into the pocket as shares of the inside. */
const pileAt = (m: Made, across: number, into: number): string[] => {
  const { finished } = m.folded;
  const cavity = m.built.cavities[0] as FlatCavity;
  const view = mouthView(finished, cavity);
  const [x, y] = [across * m.inside.width, into * m.inside.height];
  return layersAt(finished, {
    x: view.origin.x + view.across.x * x + view.up.x * y,
    y: view.origin.y + view.across.y * x + view.up.y * y,
  }).map((layer) => layer.panel);
};

test('a seam envelope: front, wide flap, narrow flap, the closing flap over them at the mouth', () => {
  const m = made('seam-envelope');
  // The seam's lap lies beside the middle, on the narrow flap's side.
  const beside = [pileAt(m, 0.46, 0.1), pileAt(m, 0.54, 0.1)];
  expect(beside).toContainEqual(['front', 'side-1', 'side-2', 'closing']);
  expect([pileAt(m, 0.46, 0.97), pileAt(m, 0.54, 0.97)]).toContainEqual(['front', 'side-1', 'side-2', 'bottom']);
  // Away from the seam one side flap alone covers the back.
  expect(pileAt(m, 0.25, 0.6)).toHaveLength(2);
});

test('an envelope with side tabs: tabs inside, or under the front', () => {
  const inside = made('tab-envelope');
  expect(pileAt(inside, 0.02, 0.8)).toEqual(['back', expect.stringMatching(/^tab/), 'front']);
  expect(pileAt(inside, 0.5, 0.8)).toEqual(['back', 'front']);
  expect(pileAt(inside, 0.5, 0.05)).toEqual(['back', 'closing']);
  const onBack = made('tab-envelope', { tabsOn: 'back' });
  expect(pileAt(onBack, 0.02, 0.8)).toEqual(['back', expect.stringMatching(/^tab/), 'front']);
  expect(onBack.folded.finished.joints.map((joint) => `${joint.panel} on ${joint.onto}`).sort()).toEqual([
    'closing on front',
    'front on tab-1',
    'front on tab-2',
  ]);
});

test('a card holder: both tabs between back and front, however the bottom tab got there', () => {
  for (const bottomTab of ['folded', 'tucked']) {
    const m = made('card-holder', { bottomTab });
    expect(pileAt(m, 0.5, 0.97)).toEqual(['back', 'bottom-tab', 'front']);
    expect([pileAt(m, 0.03, 0.4), pileAt(m, 0.97, 0.4)]).toContainEqual(['back', 'side-tab', 'front']);
    expect(m.folded.problems).toEqual([]);
  }
});

test('a library pocket: tabs between pocket and back, or round behind', () => {
  expect(pileAt(made('library-pocket'), 0.01, 0.8)).toEqual(['back', expect.stringMatching(/^tab/), 'pocket']);
  expect(pileAt(made('library-pocket', { tabs: 'behind' }), 0.01, 0.8)).toEqual([
    expect.stringMatching(/^tab/),
    'back',
    'pocket',
  ]);
  // What shows of the back is one sheet thick.
  expect(pileAt(made('library-pocket'), 0.5, 0.1)).toEqual(['back']);
});

test('a patch pocket lies on its page, tabs under it', () => {
  const m = made('patch-pocket');
  expect(pileAt(m, 0.5, 0.5)).toEqual(['page', 'pocket']);
  expect(pileAt(m, 0.5, 0.98)).toEqual(['page', 'tab-3', 'pocket']);
  expect(m.pieces.map(({ piece }) => piece.name)).toEqual(['pocket']);
});

test('a packet: the back between front and tabs, or over them; the flap round under the front, its lining inside', () => {
  const behind = made('packet', { lining: true });
  expect(pileAt(behind, 0.02, 0.5)).toEqual(['front', 'back', expect.stringMatching(/^tab/)]);
  expect(pileAt(behind, 0.5, 0.02)).toEqual(['closing', 'lining-flap', 'front', 'hem', 'lining-back', 'back']);
  const onto = made('packet', { join: 'onto' });
  expect(pileAt(onto, 0.02, 0.5)).toEqual(['front', expect.stringMatching(/^tab/), 'back']);
});

test('an accordion pocket: pleats in and out between back and front, the tail inside, the lid over the front', () => {
  const m = made('accordion-pocket', { pleats: 2 }, { height: '3 in' });
  const edge = 0.01;
  const side = pileAt(m, edge, 0.5);
  expect(side[0]).toBe('back');
  expect(side.slice(1, 5).map((name) => name.replace(/left|right/, 'side'))).toEqual([
    'back-side-1',
    'back-side-2',
    'front-side-2',
    'front-side-1',
  ]);
  expect(pileAt(m, 0.5, 0.98)).toEqual(['back', 'tail', 'front']);
  expect(pileAt(m, 0.5, 0.3)).toEqual(['back', 'tail', 'front', 'lid']);
});

test('a storage pocket: leaves sandwich the body’s edges, top flap under the side flaps', () => {
  const m = made('storage-pocket', { frontPocket: false });
  const side = pileAt(m, 0.05, 0.6).map((name) => name.replace(/left|right/, 'side'));
  expect(side).toEqual(['side-back-leaf', 'back', 'front', 'side-front-leaf', 'side-front-face', 'side-back-face']);
  expect(pileAt(m, 0.5, 0.35)).toEqual(['back', 'front', 'top']);
});

test('a slider set: tongue in its channel, lip over it, doors, foot and clasp over all', () => {
  const m = made('slider-set', {}, { width: '5 1/2 in', height: '2 3/4 in' });
  expect(pileAt(m, 0.5, 0.8)).toEqual(['back', 'channel-under', 'tongue', 'channel-over', 'lip', 'foot']);
  const ends = [pileAt(m, 0.1, 0.8), pileAt(m, 0.9, 0.8)].map((pile) => pile.filter((name) => name.endsWith('door')));
  expect(ends.flat().sort()).toEqual(['fixed-door', 'slider-door']);
});

test('sleeves and bands are as thick as they are wrapped', () => {
  expect(pileAt(made('sleeve'), 0.5, 0.5)).toEqual(['back', 'front']);
  expect(pileAt(made('sleeve', { fold: 'tube' }), 0.5, 0.5)).toEqual(['front', 'end-1', 'end-2']);
  const joined = made('belly-band', { sheetLength: '8 in' });
  expect([pileAt(joined, 0.03, 0.5), pileAt(joined, 0.97, 0.5)].flat()).toContain('join');
});
