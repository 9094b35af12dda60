/** A pattern laid on a sheet that went wrong: what that lacks is taken off its panels, what mends it is laid on them. */
import type { Built } from '../constructions';
import { apply, applyAll, difference, intersection } from '../geometry';
import type { Graduation } from '../length';
import { blankPolygon, some } from '../pattern';
import { bitesOf, bitten } from './bites';
import { asRing, asSegment, isAlong } from './done';
import { layOf } from './lying';
import { cutsIn, withJoined, withStrip } from './mends';
import type { Rescued } from './schema';

/**
 * The pattern with flaps joined on: as it would be cut and scored from a whole sheet; null where a flap cannot be made anew.
 */
export function withFlapsJoined(built: Built, { piece, joined, stuck }: Rescued): Built | null {
  return joined.reduce<Built | null>((now, panel) => {
    const own = now?.pieces.find(({ name }) => name === piece);
    return now && own ? withJoined(now, own, panel, panel === stuck) : null;
  }, built);
}

/** That pattern on the sheet as it is, strips behind it; null where what is left of a panel falls apart, or a strip has no place. */
export function onSheet(built: Built, rescued: Rescued, graduation: Graduation): Built | null {
  const own = built.pieces.find(({ name }) => name === rescued.piece);
  if (!own) return null;
  const lay = layOf(rescued);
  const bites = bitesOf(own, { blank: rescued.sheet, gone: rescued.gone.map(asRing) }, lay);
  const cuts = rescued.cuts
    .map((line) => {
      const { from, to } = asSegment(line);
      return { from: apply<'sheet'>(lay, from), to: apply<'sheet'>(lay, to) };
    })
    // What is slit as it should be needs nothing behind it.
    .filter((line) => !own.slits.some((slit) => isAlong(slit.line, line)));
  const whole = bitten(own, bites, rescued.strips);
  if (!whole) return null;
  // A corner whose paper is gone is not rounded any more.
  const there = difference(
    [applyAll<'sheet'>(lay, blankPolygon(rescued.sheet))],
    rescued.gone.map((ring) => applyAll<'sheet'>(lay, asRing(ring))),
  );
  const left = {
    ...whole,
    trims: whole.trims.filter(
      ({ cut, polygon }) => cut.kind !== 'rounded' || there.some((ring) => intersection(ring, polygon).length > 0),
    ),
  };
  const backed = rescued.strips.reduce<Built | null>((now, panel) => {
    const on = own.panels.find(({ id }) => id === panel);
    return now && on
      ? withStrip(now, own, panel, [...(bites.byPanel.get(panel) ?? []), ...cutsIn(on, cuts)], graduation)
      : null;
  }, built);
  return (
    backed && {
      ...backed,
      pieces: some(backed.pieces.map((one) => (one === own ? left : one))),
    }
  );
}
