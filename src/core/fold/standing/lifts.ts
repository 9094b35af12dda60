import { area, dot3 } from '../../geometry';
import { inOnePlane } from './raise';
import type { Leaf, Standing } from './pose';

/**
 * How many layers of paper each panel lies off its plane, along its own inside face: ideal paper has no thickness, so
 * what lies on what must be told apart before it is drawn. The largest panel of each plane stays where it is.
 */
export function liftsOf({ leaves, touches }: Standing): ReadonlyMap<string, number> {
  const lifts = new Map(leaves.map((l) => [l.panel.id, 0]));
  for (const plane of planesOf(leaves, touches)) {
    if (plane.length < 2) continue;
    const up = plane[0]!.pose.normal;
    const facing = (l: Leaf): number => (dot3(l.pose.normal, up) > 0 ? 1 : -1);
    const own = new Map(plane.map((l) => [l.panel.id, l]));
    /** Panels each one lies right above, seen from the plane's upper side. */
    const under = new Map<string, string[]>(plane.map((l) => [l.panel.id, []]));
    for (const { panel, onto, face } of touches) {
      const [a, b] = [own.get(panel), own.get(onto)];
      if (!a || !b) continue;
      const above = (face === 'inside') === facing(b) > 0;
      under.get(above ? panel : onto)!.push(above ? onto : panel);
    }
    const levels = new Map<string, number>();
    const levelOf = (id: string, open: ReadonlySet<string>): number => {
      const known = levels.get(id);
      if (known !== undefined) return known;
      // Flaps tucked round in a ring lie on each other in turn: the ring is cut where it closes.
      const below = under.get(id)!.filter((other) => !open.has(other));
      const level = below.reduce((most, other) => Math.max(most, levelOf(other, new Set([...open, id])) + 1), 0);
      levels.set(id, level);
      return level;
    };
    for (const l of plane) levelOf(l.panel.id, new Set());
    const largest = plane.reduce((a, b) => (area(b.panel.polygon) > area(a.panel.polygon) ? b : a));
    const base = levels.get(largest.panel.id)!;
    for (const l of plane) lifts.set(l.panel.id, (levels.get(l.panel.id)! - base) * facing(l));
  }
  return lifts;
}

/** Panels that lie on each other, plane by plane. */
function planesOf(leaves: readonly Leaf[], touches: Standing['touches']): Leaf[][] {
  const own = new Map(leaves.map((l) => [l.panel.id, l]));
  const next = new Map<string, string[]>(leaves.map((l) => [l.panel.id, []]));
  for (const { panel, onto } of touches) {
    const [a, b] = [own.get(panel), own.get(onto)];
    if (!a || !b || !inOnePlane(a, b)) continue;
    next.get(panel)!.push(onto);
    next.get(onto)!.push(panel);
  }
  const seen = new Set<string>();
  return leaves.flatMap((l) => {
    if (seen.has(l.panel.id)) return [];
    const plane: Leaf[] = [];
    const open = [l.panel.id];
    while (open.length > 0) {
      const id = open.pop()!;
      if (seen.has(id)) continue;
      seen.add(id);
      plane.push(own.get(id)!);
      open.push(...next.get(id)!);
    }
    return [plane];
  });
}
