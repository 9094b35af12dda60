/** Every sentence the app can say about random designs: whole, about something, and never a figure that is none. */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { contentsFirst, paperFirst, planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { checksOf } from './checks';
import { checkSentence, remedyLabel } from './words';
import { planDocument, planSchema } from '../document';
import { readDesign } from '../design';
import { sayer } from '../length';
import { stepsOf } from '../making';
import { planFor } from '../plan';
import type { Check } from './check';

const BROKEN = /undefined|NaN|Infinity|null|\[object|  | \.|,,|\bs-|-tab-\d|g\d\b/;

const partOf = ({ about }: Check): string | undefined => (about as { part?: string }).part;

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s', (_, construction) => {
  test('checks, remedies and steps are whole sentences in inches and in millimetres', () => {
    fc.assert(
      fc.property(fc.oneof(contentsFirst(construction), paperFirst(construction)), (input) => {
        const plan = planOf({
          ...input,
          paper: { width: 300, height: 300, sided: 1, directional: true },
          closure: { kind: 'cord' },
          layers: [{ on: 'front' }],
        });
        for (const say of [sayer('in', '1/8 in'), sayer('mm', '1 mm')]) {
          for (const check of checksOf(plan)) {
            const sentence = checkSentence(check, say);
            expect(sentence).toMatch(/^[A-Z0-9].*[.]$/);
            expect(sentence).not.toMatch(BROKEN);
            for (const remedy of check.remedies) expect(remedyLabel(remedy, say)).not.toMatch(BROKEN);
          }
          for (const step of stepsOf(plan, say)) {
            expect(step.text).toMatch(/^[A-Z].*[.]$/);
            expect(step.text).not.toMatch(BROKEN);
          }
        }
      }),
      runs(5),
    );
  });

  test('a remedy gives a design that can be read, and one for a failed check helps', () => {
    fc.assert(
      fc.property(fc.oneof(contentsFirst(construction), paperFirst(construction)), (input) => {
        const plan = planOf(input);
        for (const check of checksOf(plan))
          for (const { change } of check.remedies) {
            const options = { ...(input.options as object), ...change.options } as Record<string, unknown>;
            for (const key of Object.keys(options)) if (options[key] === undefined) delete options[key];
            const next: Record<string, unknown> = { ...input, ...change, options };
            for (const key of Object.keys(next)) if (next[key] === undefined) delete next[key];
            // Asking for a sheet instead of giving one needs contents to ask for.
            if (!next.blank && !(next.contents as { width?: number } | undefined)?.width) continue;
            const read = readDesign(next);
            expect(read.ok ? [] : read.issues).toEqual([]);
            if (!read.ok || check.level !== 'fail' || check.id === 'paper') continue;
            const still = checksOf(planFor(read.design)).filter(
              (c) => c.level === 'fail' && c.id === check.id && partOf(c) === partOf(check),
            );
            // A part that was too large is not any more; what the fold found is at least no worse.
            if (!plan.made) expect(still).toEqual([]);
            else for (const c of still) expect(c.value).toBeLessThanOrEqual(check.value + 1e-6);
          }
      }),
      runs(5),
    );
  });

  test('the document says which piece lies on which, and every name in it is one of its own', () => {
    const plan = planOf({
      version: 1,
      construction: construction.name,
      contents: { width: '4 in', height: '4 1/2 in' },
    });
    const document = planDocument(plan);
    expect(planSchema.parse(JSON.parse(JSON.stringify(document)))).toEqual(document);
    const built = plan.made!.built;
    const pieces = built.pieces.map((piece) => piece.name);
    const names = built.pieces.flatMap((piece) => piece.panels.map((panel) => `${piece.name}/${panel.id}`));
    for (const { a, b, polygon } of document.joins) {
      expect(names).toEqual(expect.arrayContaining([a, b]));
      expect(polygon.length).toBeGreaterThan(2);
    }
    for (const { piece, onto, panel, transform, step } of document.assembly) {
      expect(pieces).toEqual(expect.arrayContaining([piece, onto]));
      expect(names).toContain(`${onto}/${panel}`);
      const [a, b, c, d] = transform as [number, number, number, number];
      expect(Math.abs(a * d - b * c)).toBeCloseTo(1, 9);
      expect(['fold', 'glue', 'close']).toContain(document.steps.find(({ id }) => id === step)?.action);
    }
    // All but the first piece are laid onto something; a guide is held to others and laid aside again.
    const laid = pieces.filter((name) => !name.endsWith('guide'));
    expect(new Set(document.assembly.flatMap(({ piece, onto }) => [piece, onto])).size).toBe(
      laid.length > 1 ? laid.length : 0,
    );
    for (const glued of document.pieces.flatMap(({ glue }) => glue))
      expect(document.steps.some((step) => step.glue === glued.id)).toBe(true);
  });
});
