/**
 * What a maker is told, whole: figures, checks with what would mend them, steps with the hand's part, cautions and
 * readings. Each design's text stands in tests/approved/told, read by a person before it was put there; whether its
 * numbers are right is asked by the laws, the formulas and the second reader.
 */
import { expectApproved } from '../../../tests/helpers/approved';
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { type Units, sayer } from '../length';
import { checksOf, checkSentence, remedyLabel } from '../checks';
import { LAYER_PLACES, type DesignInput } from '../design';
import { figureText, keyFigures } from '../looks';
import { glueAdvice } from '../plan';
import { stepsOf } from './steps';

function told(design: DesignInput, units: Units): string {
  const plan = planOf(design);
  const say = sayer(units, plan.design.graduation);
  const lines: string[] = [plan.design.construction.title, ''];
  if (plan.made) {
    for (const figure of keyFigures(plan.made, plan.design)) lines.push(`${figure.label}: ${figureText(figure, say)}`);
    for (const { step, chosen, breadth, margin, trouble } of glueAdvice(plan.made, plan.design))
      lines.push(
        `Glued at ${step}: ${chosen}, ${say(breadth)} broad${margin > 0 ? `, ${say(margin)} off` : ''}${trouble ? `, ${trouble}` : ''}`,
      );
    lines.push('');
  }
  for (const check of checksOf(plan)) {
    lines.push(`${check.level}: ${checkSentence(check, say)}`);
    for (const remedy of check.remedies)
      lines.push(`    ${remedyLabel(remedy, say)}: ${JSON.stringify(rounded(remedy.change))}`);
  }
  lines.push('');
  for (const step of stepsOf(plan, say)) {
    lines.push(`${step.id}. [${step.phase}, ${step.action}, ${step.piece}] ${step.text}`);
    for (const { at, on, what } of step.readings) lines.push(`    read ${say(at)} on the ${on}, ${what}`);
    if (step.how) lines.push(`    how: ${step.how}`);
    if (step.caution) lines.push(`    caution: ${step.caution}`);
    if (step.ifRough) lines.push(`    if rough: ${step.ifRough.text} ${step.ifRough.caution}`);
    const { picture } = step;
    lines.push(
      `    picture: ${
        picture.kind === 'flat'
          ? `${picture.piece}, edge ${picture.near} near, ${picture.moves} moves, ${picture.fresh} of them new`
          : `${picture.kind}, ${picture.before ? 'before' : 'after'} ${picture.stage}${picture.inserting ? ', contents going in' : ''}${picture.glue ? `, gluing ${picture.glue}` : ''}`
      }`,
    );
  }
  return `${lines.join('\n')}\n`;
}

/** Lengths in a change to a ten-thousandth of a millimetre, so that a last place says nothing. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 1e4) / 1e4 : v)));

const of = (construction: string, fields: object = {}): DesignInput =>
  ({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in', thickness: '1/4 in' },
    tool: { kind: 'scoring-board' },
    ...fields,
  }) as DesignInput;
const card = { width: '3 in', height: '4 in' };

test.each(CONSTRUCTIONS.map(({ name }) => name))('%s, on a scoring board', (name) => {
  expectApproved(`told/${name}`, told(of(name), 'in'));
});

test.each<[string, DesignInput, Units]>([
  ['envelope-on-board', of('diagonal-envelope', { tool: { kind: 'envelope-board' }, contents: card }), 'in'],
  [
    'envelope-by-ruler-mm',
    of('diagonal-envelope', { tool: { kind: 'ruler' }, contents: card, graduation: '1 mm' }),
    'mm',
  ],
  [
    'envelope-large-on-small-board',
    of('diagonal-envelope', {
      tool: { kind: 'envelope-board', rulerEnd: '3 in', grooveEnd: '4 in', offset: '1/8 in' },
      contents: { width: '5 in', height: '7 in' },
      kit: { trimmer: '6 in', ruler: '6 in', punches: [], rounders: [] },
    }),
    'in',
  ],
  [
    'envelope-not-square',
    of('diagonal-envelope', { contents: undefined, blank: { width: '7 in', height: '6 in' } }),
    'in',
  ],
  [
    'envelope-printed',
    of('diagonal-envelope', {
      contents: card,
      paper: { width: '12 in', height: '12 in', sided: 1, directional: true, turn: 1 },
    }),
    'in',
  ],
  [
    'seam-envelope-window',
    of('seam-envelope', {
      contents: card,
      paper: {
        width: '12 in',
        height: '12 in',
        sided: 1,
        directional: true,
        window: { x: '3 in', y: '5 in', width: '2 in', height: '2 in' },
      },
      closure: { kind: 'buttons', disc: '1/2 in' },
      adhesive: { all: 'tape', tape: '3/4 in' },
    }),
    'in',
  ],
  [
    'card-holder-decorated',
    of('card-holder', {
      contents: card,
      options: { notchWhen: 'assembled' },
      decorate: ['ink', 'emboss'],
      layers: [{ on: 'front' }],
      closure: { kind: 'ribbon' },
      adhesive: { all: 'hot-glue' },
      paper: { caliper: '0.45 mm', sided: 1 },
    }),
    'in',
  ],
  ['patch-pocket-edge-board', of('patch-pocket', { tool: { kind: 'edge-board' } }), 'in'],
  [
    'packet-edge-board-thin',
    of('packet', { tool: { kind: 'edge-board' }, contents: card, paper: { caliper: '0.07 mm' } }),
    'in',
  ],
  [
    'tray-box-by-piece-kit',
    of('tray-box', {
      order: 'by-piece',
      contents: { width: '6 in', height: '8 in', thickness: '2 in' },
      kit: { trimmer: '12 in', ruler: '6 in', punches: ['1 in'], rounders: ['1/4 in'] },
      paper: { width: '12 in', height: '12 in' },
      closure: { kind: 'bow' },
    }),
    'in',
  ],
  [
    'storage-pocket-all-layers',
    of('storage-pocket', { layers: LAYER_PLACES.map((on) => ({ on, pull: true })), closure: { kind: 'laced' } }),
    'in',
  ],
  [
    'slider-set-tape-runner',
    of('slider-set', { contents: { width: '5 in', height: '3 in' }, adhesive: { all: 'tape-runner' } }),
    'in',
  ],
  [
    'sleeve-from-paper-mm',
    of('sleeve', { contents: undefined, blank: { width: '150 mm', height: '100 mm' }, graduation: '1 mm' }),
    'mm',
  ],
  [
    'tab-envelope-tight',
    of('tab-envelope', {
      contents: card,
      ease: { width: 0, height: 0 },
      leastEase: { width: '1/8 in', height: '1/8 in' },
    }),
    'in',
  ],
  [
    'diagonal-box-by-ruler',
    of('diagonal-box', { tool: { kind: 'ruler' }, contents: { width: '3 in', height: '4 in', thickness: '1 in' } }),
    'in',
  ],
  [
    'folio-cord',
    of('folio', { closure: { kind: 'cord' }, contents: { width: '5 in', height: '7 in', thickness: '1/4 in' } }),
    'in',
  ],
])('%s', (name, design, units) => {
  expectApproved(`told/${name}`, told(design, units));
});
