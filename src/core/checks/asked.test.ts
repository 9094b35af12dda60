/**
 * What every plan is asked and what was found, as approved tables: each check with its figures, what its sentence
 * names, and what each remedy would change. That a remedy helps is asked by the sentences.
 */
import { expectApproved } from '../../../tests/helpers/approved';
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { checksOf } from './checks';
import { consequenceOf } from '../choosing';
import { sayer } from '../length';
import type { DesignInput } from '../design';

const say = sayer('in', '1/8 in');
const card = { width: '3 in', height: '4 in' };
/** Tables with much and with little on them, papers that suit and that do not, contents flat and thick. */
const ASKED: readonly (readonly [string, object])[] = [
  ['a card, a scoring board', { contents: card, tool: { kind: 'scoring-board' } }],
  [
    'thick contents, an envelope board, little else',
    {
      contents: { ...card, thickness: '3/8 in' },
      tool: { kind: 'envelope-board', rulerEnd: '3 in', grooveEnd: '4 in' },
      graduation: '1/16 in',
      paper: { width: '9 in', height: '9 in', caliper: 0.5, sided: 1, directional: true, turn: 1 },
      kit: { trimmer: '4 in', ruler: '3 in', punches: [], rounders: ['1/2 in'] },
      closure: { kind: 'cord' },
    },
  ],
  [
    'a square of thin paper, an edge board',
    {
      blank: { width: '6 in', height: '6 in' },
      contents: { thickness: 1 },
      tool: { kind: 'edge-board' },
      graduation: 'exact',
      paper: {
        width: '6 in',
        height: '6 in',
        caliper: 0.06,
        sided: 1,
        window: { x: 20, y: 20, width: 60, height: 50, keep: 'show' },
      },
      adhesive: { all: 'tape', tape: '1 in' },
    },
  ],
  [
    'a large card, grooves half an inch apart, paper printed up and down',
    {
      contents: { width: 130, height: 185, thickness: 1 },
      tool: { kind: 'scoring-board', length: 150, pitch: '1/2 in' },
      graduation: '1 mm',
      paper: {
        width: 297,
        height: 420,
        directional: true,
        window: { x: 1, y: 1, width: 30, height: 20, keep: 'avoid' },
      },
      kit: { trimmer: 250, ruler: 400, punches: ['1 in'], rounders: [] },
      closure: { kind: 'buttons' },
      layers: [{ on: 'front' }, { on: 'inside', pull: true }],
    },
  ],
  ['a card too large for its sheet', { contents: card, blank: { width: '5 in', height: '5 in' } }],
];

const figure = (value: unknown): unknown => (typeof value === 'number' ? Math.round(value * 100) / 100 + 0 : value);

test.each(CONSTRUCTIONS.map(({ name }) => name))('%s', (construction) => {
  const lines = ASKED.flatMap(([situation, fields]) => {
    const plan = planOf({ version: 1, construction, ...fields } as DesignInput);
    return [
      `${situation}: ${consequenceOf(plan, say)}`,
      ...checksOf(plan).flatMap(({ id, level, value, limit, about, remedies }) => [
        `  ${level} ${id} ${figure(value)} to ${figure(limit)} ${JSON.stringify(about, (_, v) => figure(v))}`,
        ...remedies.map(
          (remedy) => `    ${JSON.stringify(remedy, (_, v) => (v === undefined ? 'taken out' : figure(v)))}`,
        ),
      ]),
    ];
  });
  expectApproved(`asked/${construction}`, `${lines.join('\n')}\n`);
});
