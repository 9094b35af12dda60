import type { KeptPaper } from '@/core/cutting';
import { logEntrySchema, type LogEntry, type ProjectFile } from '@/core/files';
import { inches, mm } from '@/core/length';
import type { PaperFaceInput } from '@/core/papers';
import { begunIn, type DesignInput } from '@/core/design';
import { setOf, type SetInput } from '@/core/sets';
import type { CutRecord, CuttingRecord } from './db';

type Demo = Pick<ProjectFile, 'name' | 'units' | 'set'>;

const envelope = (design: Omit<DesignInput, 'version' | 'construction'>): DesignInput => ({
  version: 1,
  construction: 'diagonal-envelope',
  ...design,
});
const holder = (
  construction: string,
  design: Omit<DesignInput, 'version' | 'construction' | 'options'>,
  options = {},
): DesignInput => ({ version: 1, construction, ...design, options }) as DesignInput;
/** A single holder is a set of one. */
const alone = (design: DesignInput): SetInput => setOf(begunIn(design));
const scoring: DesignInput['tool'] = { kind: 'scoring-board', length: inches(12), pitch: inches(1 / 8) };
const cover = { width: inches(12), height: inches(12), caliper: 0.28, sided: 2, directional: false } as const;
const board: DesignInput['tool'] = {
  kind: 'envelope-board',
  notch: inches(3 / 4),
  offset: 0,
  rulerEnd: inches(5),
  grooveEnd: inches(7),
};

/** What some papers of the drawer look like. */
const NIGHT = { colour: '#27345a' } as const;
const GREY = { colour: '#aaa69c' } as const;
const CHART = { print: 'contour', colours: ['#e8dbb9', '#94713f', '#2f5f78'] } as const satisfies PaperFaceInput;

/** Papers of the stash that sets are made of. */
const PAPERS = {
  cream: {
    id: 'cream',
    name: 'Cream text',
    width: inches(8.5),
    height: inches(11),
    caliper: 0.13,
    sided: 2,
    directional: false,
    front: { colour: '#f3e9cf' },
    count: 40,
    stash: 'demo-paper-cream',
  },
  chart: {
    id: 'chart',
    name: 'Old star charts',
    width: inches(12),
    height: inches(12),
    caliper: 0.16,
    sided: 1,
    directional: true,
    front: CHART,
    count: 9,
    stash: 'demo-paper-chart',
  },
  grey: { id: 'grey', name: 'Grey cover', ...cover, caliper: 0.35, front: GREY, count: 6, stash: 'demo-paper-grey' },
  night: { id: 'night', name: 'Midnight cardstock', ...cover, front: NIGHT, count: 24, stash: 'demo-paper-night' },
} as const;

/**
 * The shelf of a first run: the open night of an invented hilltop observatory, Quillmere Dome, whose helpers fold
 * envelopes for everything that is handed out at the door.
 */
export const DEMO_SHELF: readonly Demo[] = [
  {
    name: 'Star cards, Quillmere open night',
    units: 'in',
    set: alone(
      envelope({
        contents: { width: inches(3), height: inches(4), thickness: 0 },
        paper: {
          width: inches(12),
          height: inches(12),
          caliper: 0.25,
          sided: 2,
          directional: false,
          front: { print: 'nightfall' },
        },
        tool: board,
        graduation: '1/8 in',
      }),
    ),
  },
  {
    name: 'Dome postcards',
    units: 'in',
    set: alone(
      envelope({
        contents: { width: 105, height: 148, thickness: inches(1 / 16) },
        paper: {
          width: inches(12),
          height: inches(12),
          caliper: 0.2,
          sided: 1,
          directional: false,
          front: { print: 'mitre' },
        },
        tool: board,
        graduation: '1/8 in',
        options: { tip: 'blunt' },
      }),
    ),
  },
  {
    name: 'Lens-cloth samples',
    units: 'mm',
    set: alone(
      envelope({
        contents: { width: 90, height: 90, thickness: 2 },
        paper: {
          width: 210,
          height: 297,
          caliper: 0.16,
          sided: 2,
          directional: false,
          front: { print: 'windowpane', colours: ['#7d94a6', '#eef0ea', '#c98b4a'] },
        },
        tool: { kind: 'ruler', notch: 20 },
        graduation: '1 mm',
        options: { tip: 'folded' },
      }),
    ),
  },
  {
    name: 'Door tickets',
    units: 'in',
    set: alone(
      envelope({
        contents: { width: inches(2), height: inches(5), thickness: 0 },
        paper: {
          width: inches(8.5),
          height: inches(11),
          caliper: 0.2,
          sided: 2,
          directional: false,
          front: { print: 'pinhole' },
        },
        tool: board,
        graduation: '1/8 in',
        options: { flaps: 'trimmed' },
      }),
    ),
  },
  {
    name: 'What the leftover squares hold',
    units: 'in',
    set: alone(
      envelope({
        blank: { width: inches(6), height: inches(6) },
        paper: {
          width: inches(6),
          height: inches(6),
          caliper: 0.25,
          sided: 2,
          directional: false,
          front: { print: 'halves' },
        },
        tool: board,
        graduation: '1/8 in',
        options: { setting: inches(2.25), opening: 'short' },
      }),
    ),
  },
  {
    name: 'Gift-card holders for the shop',
    units: 'in',
    set: alone(
      holder('card-holder', {
        contents: { width: inches(2.125), height: inches(3.375), thickness: inches(1 / 32) },
        paper: { ...cover, sided: 1, directional: true, front: { print: 'clerk' } },
        tool: scoring,
        graduation: '1/8 in',
      }),
    ),
  },
  {
    name: 'Pouch for twelve star cards',
    units: 'in',
    set: alone(
      holder(
        'accordion-pocket',
        {
          contents: { width: inches(4), height: inches(3), thickness: inches(3 / 8) },
          paper: { ...cover, front: { print: 'combed' } },
          tool: scoring,
          graduation: '1/8 in',
          closure: { kind: 'cord' },
        },
        { lid: inches(2) },
      ),
    ),
  },
  {
    name: 'Sliding doors for the comet photos',
    units: 'in',
    set: alone(
      holder('slider-set', {
        contents: { width: inches(5.5), height: inches(2.75), thickness: 0 },
        paper: { ...cover, front: { print: 'windowpane' } },
        tool: scoring,
        graduation: '1/8 in',
      }),
    ),
  },
  {
    name: 'Library pockets from map scraps',
    units: 'in',
    set: alone(
      holder('library-pocket', {
        blank: { width: inches(4), height: inches(6) },
        paper: { width: inches(4), height: inches(6), caliper: 0.15, sided: 1, directional: false, front: CHART },
        tool: { kind: 'ruler', notch: inches(3 / 4) },
        graduation: '1/8 in',
      }),
    ),
  },
  {
    name: 'Packets of moon-garden seed',
    units: 'in',
    set: alone(
      holder(
        'packet',
        {
          contents: { width: inches(3), height: inches(3.75), thickness: inches(1 / 8) },
          paper: { ...cover, caliper: 0.12, front: { print: 'rowan' } },
          tool: { kind: 'ruler', notch: inches(3 / 4) },
          graduation: '1/8 in',
        },
        { lining: true },
      ),
    ),
  },
  {
    name: 'Bands round the postcard sets',
    units: 'in',
    set: {
      version: 1,
      graduation: '1/8 in',
      tool: scoring,
      papers: [{ id: 'cover', name: 'Grey cover', ...cover, front: GREY }],
      parts: [
        {
          id: 'postcard',
          name: 'Postcard',
          quantity: 5,
          given: { width: 105, height: 148, thickness: inches(1 / 20) },
        },
        {
          id: 'band',
          name: 'Band',
          paper: 'cover',
          design: { construction: 'belly-band' },
          round: { part: 'postcard', count: 5, lie: 'stacked' },
        },
      ],
    },
  },
  {
    name: 'Box for twelve star cards',
    units: 'in',
    set: {
      version: 1,
      graduation: '1/8 in',
      tool: scoring,
      papers: [
        { id: 'cover', name: 'Midnight cardstock', ...cover, front: NIGHT, stash: 'demo-paper-night', count: 24 },
        {
          id: 'lining',
          name: 'Cream text',
          width: inches(8.5),
          height: inches(11),
          caliper: 0.13,
          sided: 2,
          directional: false,
          front: { colour: '#f3e9cf' },
        },
      ],
      parts: [
        {
          id: 'star-card',
          name: 'Star card',
          quantity: 12,
          given: { width: inches(3), height: inches(4), thickness: inches(1 / 16) },
        },
        {
          id: 'box',
          name: 'Box',
          paper: 'cover',
          papers: { liner: 'lining' },
          design: { construction: 'tray-box', options: { liner: true } },
          holds: [{ part: 'star-card', count: 12, lie: 'stacked' }],
        },
      ],
    },
  },
  {
    name: 'Meteor sweets for the youngest',
    units: 'in',
    set: alone(
      holder('diagonal-box', {
        contents: { width: inches(1), height: inches(1.5), thickness: inches(1) },
        paper: { ...cover, sided: 1, front: { print: 'offcuts' } },
        tool: board,
        graduation: '1/8 in',
      }),
    ),
  },
  {
    name: 'Sky notes with their pen',
    units: 'mm',
    set: alone(
      holder(
        'pad-holder',
        {
          contents: { width: 76, height: 76, thickness: 8 },
          paper: { width: 210, height: 297, caliper: 0.3, sided: 2, directional: false, front: { colour: '#d2793f' } },
          tool: { kind: 'ruler', notch: 20 },
          graduation: '1 mm',
        },
        { pen: 9 },
      ),
    ),
  },
  {
    name: 'Folio for the season programme',
    units: 'in',
    set: alone(
      holder('folio', {
        contents: { width: inches(4), height: inches(5), thickness: inches(1 / 2) },
        paper: { ...cover, front: { print: 'basket' } },
        tool: scoring,
        graduation: '1/8 in',
      }),
    ),
  },
  {
    name: 'Desk file for log sheets',
    units: 'in',
    set: alone(
      holder('desk-file', {
        contents: { width: inches(4.5), height: inches(4), thickness: inches(1.5) },
        paper: { ...cover, front: { colour: '#2f6266' } },
        tool: scoring,
        graduation: '1/8 in',
      }),
    ),
  },
  {
    name: 'Boards for the visitors’ book',
    units: 'mm',
    set: alone(
      holder(
        'cover-board',
        {
          contents: { width: 160, height: 220, thickness: 2 },
          paper: {
            width: 297,
            height: 420,
            caliper: 0.16,
            sided: 1,
            directional: false,
            front: { print: 'combed', colours: ['#5a2530', '#ead9bd', '#2f4d54', '#b98a4c', '#8c4a43'] },
          },
          tool: { kind: 'ruler', notch: 20 },
          graduation: '1 mm',
        },
        { turnIn: 16 },
      ),
    ),
  },
  {
    name: 'Comet letters, four to a box',
    units: 'in',
    set: {
      version: 1,
      graduation: '1/8 in',
      tool: scoring,
      papers: [PAPERS.cream, PAPERS.night, PAPERS.chart],
      parts: [
        {
          id: 'card',
          name: 'Comet card',
          quantity: 4,
          paper: 'night',
          design: { construction: 'folded-card', contents: { width: inches(3.5), height: inches(8.5) } },
          layers: [
            { id: 'chart', on: 'front', paper: 'chart' },
            { id: 'title', on: 'front', reveal: inches(1 / 2), paper: 'cream' },
          ],
        },
        {
          id: 'envelope',
          name: 'Envelope',
          quantity: 4,
          paper: 'cream',
          design: {
            construction: 'seam-envelope',
            options: { lap: inches(3 / 8), bottomFlap: inches(1 / 2), closingFlap: inches(1.25) },
          },
          holds: [{ part: 'card' }],
        },
        {
          id: 'box',
          name: 'Box',
          paper: 'night',
          design: { construction: 'tray-box', options: { depth: inches(1) } },
          holds: [{ part: 'envelope', count: 4, lie: 'stacked' }],
        },
        { id: 'band', name: 'Band', paper: 'chart', design: { construction: 'belly-band' }, round: 'box' },
      ],
    },
  },
  {
    name: 'Season pass in its holder',
    units: 'in',
    set: {
      version: 1,
      graduation: '1/8 in',
      tool: scoring,
      papers: [PAPERS.grey, PAPERS.chart, PAPERS.cream],
      parts: [
        { id: 'pass', name: 'Season pass', given: { width: 53.98, height: 85.6, thickness: 0.76 } },
        {
          id: 'holder',
          name: 'Holder',
          paper: 'grey',
          design: { construction: 'card-holder' },
          holds: [{ part: 'pass' }],
          layers: [
            { id: 'mat', on: 'front', paper: 'chart' },
            { id: 'insert', on: 'inside', pull: true, paper: 'cream' },
          ],
        },
        {
          id: 'envelope',
          name: 'Envelope',
          paper: 'cream',
          design: { construction: 'seam-envelope' },
          holds: [{ part: 'holder' }],
        },
        {
          id: 'tag',
          name: 'Tag',
          paper: 'grey',
          design: { construction: 'tag', contents: { width: inches(1.5), height: inches(3) } },
        },
      ],
    },
  },
  {
    name: 'Album of the eclipse night',
    units: 'in',
    set: {
      version: 1,
      graduation: '1/8 in',
      tool: scoring,
      papers: [PAPERS.chart, PAPERS.grey, PAPERS.cream],
      parts: [
        {
          id: 'album',
          name: 'Album',
          paper: 'chart',
          papers: {
            'cover wrap': 'grey',
            'middle pull-out': 'grey',
            'side pull-out': 'grey',
            'photo card': 'grey',
            'hole guide': 'grey',
            'photo layer': 'cream',
            'back photo layer': 'cream',
            'cover lining': 'cream',
            'first envelope': 'cream',
            'second envelope': 'cream',
          },
          design: {
            construction: 'ring-album',
            contents: { width: inches(4), height: inches(4), name: 'photo' },
            options: { envelope: inches(6.125), flap: inches(3), pages: 6 },
          },
        },
      ],
    },
  },
];

type Said = readonly ['tight' | 'right' | 'loose', by?: number];
const told = ([how, by = 0]: Said) => ({ how, by: inches(by) });

/** One remembered make: lengths in inches. */
const made = (
  day: string,
  name: string,
  construction: string,
  [width, height, thickness]: readonly [number, number, number],
  room: readonly [number, number],
  fit: readonly [width: Said, height: Said],
  rest: Partial<LogEntry> = {},
): LogEntry =>
  logEntrySchema.parse({
    day,
    name,
    construction,
    contents: { width: inches(width), height: inches(height), thickness: inches(thickness) },
    room: { width: inches(room[0]), height: inches(room[1]) },
    fit: { width: told(fit[0]), height: told(fit[1]) },
    copies: 1,
    minutes: 15,
    paper: '',
    sheets: 1,
    changed: '',
    note: '',
    ...rest,
  });

const right: Said = ['right'];

/** What the helpers of the observatory wrote down over a season. */
export const DEMO_LOG: readonly LogEntry[] = [
  made(
    '2026-10-17',
    'Star cards, first night',
    'diagonal-envelope',
    [3, 4, 0],
    [3 / 16, 1 / 4],
    [['tight', 1 / 16], right],
    {
      copies: 24,
      minutes: 95,
      sheets: 6,
      paper: 'midnight cardstock',
      changed: 'a hair more room across',
    },
  ),
  made('2026-10-03', 'Eclipse tickets', 'diagonal-envelope', [2, 5, 0], [1 / 4, 3 / 8], [right, ['loose', 1 / 8]], {
    copies: 12,
    minutes: 50,
    sheets: 12,
    paper: 'old star charts',
  }),
  made(
    '2026-09-19',
    'Dome postcards',
    'diagonal-envelope',
    [4.134, 5.827, 1 / 32],
    [1 / 8, 1 / 8],
    [
      ['tight', 1 / 8],
      ['tight', 1 / 16],
    ],
    {
      copies: 10,
      minutes: 42,
      sheets: 10,
      paper: 'cream text',
      note: 'The paint on the cards is thicker than it looks.',
    },
  ),
  made(
    '2026-08-22',
    'Thank-you cards for the lens makers',
    'diagonal-envelope',
    [4, 5, 0],
    [5 / 16, 5 / 16],
    [right, right],
    {
      copies: 8,
      minutes: 30,
      sheets: 8,
      paper: 'cream text',
    },
  ),
  made('2026-09-05', 'Pouch for a set of slides', 'sleeve', [4, 4, 1 / 4], [1 / 8, 1 / 8], [['tight', 1 / 8], right], {
    copies: 3,
    minutes: 20,
    paper: 'grey cover',
    changed: 'it must slide with gloves on',
  }),
  made('2026-07-11', 'Wrap for the moon atlas', 'sleeve', [8, 6, 1 / 2], [3 / 16, 1 / 8], [['tight', 1 / 16], right], {
    minutes: 12,
    paper: 'grey cover',
  }),
  made('2026-06-20', 'Box for twelve star cards', 'tray-box', [3, 4, 3 / 4], [1 / 8, 1 / 8], [right, right], {
    copies: 4,
    minutes: 70,
    sheets: 8,
    paper: 'midnight cardstock',
  }),
];

const stashed = (
  id: string,
  name: string,
  [width, height]: readonly [number, number],
  more: Partial<KeptPaper>,
): KeptPaper => ({
  id: `demo-paper-${id}`,
  name,
  width: inches(width),
  height: inches(height),
  count: 1,
  caliper: mm(0.28),
  sided: 2,
  directional: false,
  colour: '',
  price: 0,
  made: 'plain',
  of: '',
  note: '',
  offcut: false,
  ...more,
});

/** What lies in the observatory's paper drawer. */
export const DEMO_STASH: readonly KeptPaper[] = [
  stashed('night', 'Midnight cardstock', [12, 12], { count: 24, colour: 'deep blue', price: 0.85 }),
  stashed('chart', 'Old star charts', [12, 12], {
    count: 9,
    caliper: mm(0.16),
    sided: 1,
    directional: true,
    colour: 'sepia print',
    price: 0.4,
    note: 'The grid runs upright.',
  }),
  stashed('cream', 'Cream text', [8.5, 11], { count: 40, caliper: mm(0.13), colour: 'cream', price: 0.08 }),
  stashed('grey', 'Grey cover', [12, 12], { count: 6, caliper: mm(0.35), colour: 'warm grey', price: 1.1 }),
  stashed('foil', 'Cream on foil', [8, 8], {
    count: 3,
    caliper: mm(0.3),
    colour: 'silver',
    price: 1.6,
    made: 'laminated',
    of: 'cream text and kitchen foil',
  }),
  stashed('night-1', 'Offcut, Midnight cardstock', [12, 4.5], {
    count: 2,
    colour: 'deep blue',
    price: 0.31875,
    offcut: true,
  }),
  stashed('grey-1', 'Offcut, Grey cover', [6, 5], {
    count: 1,
    caliper: mm(0.35),
    colour: 'warm grey',
    price: 0.23,
    offcut: true,
  }),
  stashed('chart-1', 'Offcut, Old star charts', [3.5, 12], {
    count: 3,
    caliper: mm(0.16),
    sided: 1,
    directional: true,
    colour: 'sepia print',
    price: 0.117,
    offcut: true,
  }),
];

/** Square inches as the database keeps areas, mm². */
const square = (inch: number): number => inch * 645.16;
const cutOn = (
  i: number,
  name: string,
  day: string,
  sheets: number,
  [paper, pieces, kept, saved]: readonly [number, number, number, number],
  [cost, savedCost]: readonly [number, number],
): CutRecord => ({
  id: `demo-cut-${i}`,
  name,
  at: Date.parse(`${day}T15:00:00Z`),
  sheets,
  paper: square(paper),
  pieces: square(pieces),
  kept: square(kept),
  saved: square(saved),
  cost,
  savedCost,
  taken: [],
  added: [],
  undoneAt: 0,
});

/** What was cut over the season. */
export const DEMO_CUTS: readonly CutRecord[] = [
  cutOn(1, 'Box for twelve star cards', '2026-06-20', 8, [1152, 936, 144, 0], [5.9, 0]),
  cutOn(2, 'Wrap for the moon atlas', '2026-07-11', 1, [144, 104, 30, 0], [0.87, 0]),
  cutOn(3, 'Thank-you cards for the lens makers', '2026-08-22', 8, [648, 512, 54, 96], [0.6, 0.12]),
  cutOn(4, 'Pouch for a set of slides', '2026-09-05', 2, [174, 128, 22, 30], [1.0, 0.23]),
  cutOn(5, 'Dome postcards', '2026-09-19', 10, [935, 776, 0, 0], [0.8, 0]),
  cutOn(6, 'Eclipse tickets', '2026-10-03', 9, [1110, 900, 126, 210], [2.6, 0.62]),
  cutOn(7, 'Star cards, first night', '2026-10-17', 8, [972, 864, 54, 108], [4.9, 0.64]),
];

/** What is being cut for the next open night. */
export const DEMO_TABLE: Pick<CuttingRecord, 'needs' | 'extra' | 'papers' | 'bought'> = {
  needs: [
    { id: 'demo-4', projectId: 'demo-4', copies: 6 },
    { id: 'demo-11', projectId: 'demo-11', copies: 2 },
  ],
  extra: [
    { id: 'demo-piece-1', name: 'photo mat', width: inches(5.25), height: inches(5.875), quantity: 8, turn: true },
    { id: 'demo-piece-2', name: 'door tag', width: inches(2), height: inches(3.5), quantity: 9, turn: true },
  ],
  papers: ['demo-paper-night', 'demo-paper-night-1'],
  bought: [],
};
