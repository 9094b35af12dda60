/**
 * The plan document held against a second reader, which imports nothing of the core: it splits every sheet along its
 * scores and cuts, folds it by its angles and joins the pieces as told; what comes out must be what the plan says.
 */
import fc from 'fast-check';
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { disagreements } from '../../../tests/helpers/disagreements';
import { CONSTRUCTIONS } from '../constructions';
import { checksOf } from '../checks';
import { planDocument, type PlanDocument } from './document';

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s, read by a second reader', (name, construction) => {
  test.each([0, 6])('folds as its document says, contents %s mm thick', (thickness) => {
    const plan = planOf({ version: 1, construction: name, contents: { width: 100, height: 140, thickness } });
    expect(plan.made).not.toBeNull();
    expect(disagreements(plan, planDocument(plan))).toEqual([]);
  });

  test('so does every sound plan of it', () => {
    let held = 0;
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const plan = planOf(input);
        fc.pre(plan.made !== null && checksOf(plan).every(({ level }) => level !== 'fail'));
        held++;
        expect(disagreements(plan, planDocument(plan))).toEqual([]);
      }),
      runs(5),
    );
    expect(held).toBeGreaterThan(0);
  });
});

describe('a document that says something else is noticed', () => {
  const plan = planOf({ version: 1, construction: 'tray-box', contents: { width: 100, height: 140, thickness: 20 } });
  const document = planDocument(plan);
  const found = (change: (document: PlanDocument) => void): string => {
    const other = structuredClone(document);
    change(other);
    return disagreements(plan, other).join('; ');
  };

  test('a score somewhere else, or turned by another angle', () => {
    expect(found((d) => (d.pieces[0]!.scores[0]!.angle = 80))).toMatch(/apart|comes to/);
    expect(
      found((d) => {
        for (const end of ['from', 'to'] as const) d.pieces[0]!.scores[0]![end][1] += 1;
      }),
    ).not.toBe('');
    expect(found((d) => (d.pieces[0]!.scores[0]!.fold = 'mountain'))).not.toBe('');
    expect(found((d) => void d.pieces[0]!.scores.pop())).toMatch(/faces/);
  });

  test('another inside, another lap, a hole in a fold', () => {
    expect(found((d) => (d.inside.width += 1))).toMatch(/walls leave another room/);
    expect(found((d) => (d.inside.depth -= 1))).toMatch(/walls stand/);
    const pocket = planOf({ version: 1, construction: 'storage-pocket', contents: { width: 100, height: 140 } });
    const foundIn = (change: (document: PlanDocument) => void): string => {
      const other = structuredClone(planDocument(pocket));
      change(other);
      return disagreements(pocket, other).join('; ');
    };
    expect(foundIn(() => undefined)).toBe('');
    expect(foundIn((d) => (d.inside.width = d.finished.width + 1))).toMatch(/nowhere within the paper/);
    expect(foundIn((d) => (d.checks.find(({ id }) => id === 'flap-overlap')!.value += 1))).toMatch(/told to lap/);
    expect(
      foundIn((d) => {
        const piece = d.pieces.find(({ holes }) => holes.length > 0)!;
        piece.holes[0]!.at = [...piece.scores[0]!.from];
      }),
    ).toMatch(/hole of the/);
  });

  test('another size, a lid set down elsewhere, glue that stands over', () => {
    expect(found((d) => (d.finished.height += 0.5))).toMatch(/comes to/);
    expect(found((d) => (d.assembly[0]!.transform[4]! += 5))).toMatch(/comes to/);
    expect(found((d) => (d.assembly[0]!.above! += 5))).toMatch(/comes to/);
    expect(
      found((d) => {
        for (const p of d.pieces[0]!.glue[0]!.polygon) p[0] -= 40;
      }),
    ).toMatch(/glue stands over/);
  });
});
