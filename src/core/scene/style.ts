import type { AreaKind, Line, Scene, State, Stuff } from './scene';
import type { Side } from '../fold';

/** Colours by what they are for: a screen has one for each in both its themes, paper and machines theirs. */
export type Tone =
  | 'inside'
  | 'outside'
  | 'outside-line'
  | 'given'
  | 'contents'
  | 'contents-line'
  | 'laid'
  | 'card'
  | 'ink'
  | 'ink-soft'
  | 'rule'
  | 'slab-line'
  | 'accent'
  | 'accent-soft'
  | 'glue'
  | 'fail'
  | 'ground'
  /** What a machine is to cut, and to score. */
  | 'cut'
  | 'fold';

/** Areas that are told by what fills them, not by a colour. */
export type Hatch = 'glue-hatch' | 'dry-dots' | 'offcut-hatch';

/** How one thing is drawn; widths and dashes are in pixels on a screen, millimetres on paper, and never grow with the drawing. */
export interface Paint {
  readonly fill?: Tone | Hatch;
  /** How much of what lies under the fill is covered, 0 to 1; all where left out. */
  readonly cover?: number;
  readonly stroke?: Tone;
  readonly width?: number;
  readonly dash?: readonly number[];
  /** Radius of a hole or mark as it is drawn at least, px. */
  readonly least?: number;
}

/** How the things of one kind of picture are drawn. What a picture does not draw has no paint in it. */
export interface DrawStyle {
  readonly face: Readonly<Partial<Record<Stuff, Paint>>>;
  /** Where paper shows its outside; as its inside where left out. */
  readonly outside?: Paint;
  /** Panels further from the light are darker, by so much in full shadow. */
  readonly shade?: number;
  /** Lines keep their width however the picture itself is scaled. */
  readonly fixed?: true;
  /** Paper lies off what it lies on, by a shadow. */
  readonly shadow?: 'sheet' | 'layer';
  /** The rim is drawn again over what lies on the paper. */
  readonly rim?: Paint;
  readonly line: Readonly<Partial<Record<Line['kind'], Paint>>>;
  readonly area: Readonly<Partial<Record<AreaKind, Paint>>>;
  /** Areas that are drawn over lines. */
  readonly over?: readonly AreaKind[];
  readonly hole?: Paint;
  readonly disc?: Paint;
  readonly cord?: Paint;
  readonly ribbon?: Paint;
  readonly number?: Paint;
  /** From which size on, px, a panel is named, and how much room a letter takes. */
  readonly name?: { readonly least: number; readonly letter: number };
  readonly mark?: Paint;
  readonly scar?: Paint;
  readonly upward?: Paint;
  /** What is drawn otherwise where it was made just now, or is not as it should be. */
  readonly state: Readonly<Partial<Record<State, { readonly line?: Paint; readonly spot?: Paint }>>>;
}

const ARROW: Paint = { stroke: 'ink-soft', width: 1.5 };
const WINDOW: Paint = { fill: 'accent', cover: 0.16, stroke: 'accent', width: 1.6, dash: [7, 4] };
const RIBBON: Paint = { stroke: 'accent', width: 3, dash: [6, 2] };
const SCAR: Paint = { fill: 'fail', least: 2 };

/** The flat sheet of a plan on the bench. */
const SHEET = {
  face: { paper: { fill: 'inside' } },
  shadow: 'sheet',
  rim: { stroke: 'ink', width: 1.6 },
  line: {
    valley: { stroke: 'accent', width: 1.8, dash: [9, 5] },
    mountain: { stroke: 'accent', width: 1.8, dash: [12, 4, 2, 4] },
    slit: { stroke: 'ink', width: 1.6 },
  },
  area: {
    blank: { stroke: 'ink-soft', width: 1, dash: [1.5, 3] },
    'no-glue': { fill: 'dry-dots' },
    glue: { fill: 'glue-hatch' },
    contents: { fill: 'contents', cover: 0.75, stroke: 'contents-line', width: 1.4 },
  },
  hole: { fill: 'ground', stroke: 'ink', width: 1.4 },
  number: { fill: 'inside', stroke: 'accent', width: 1.4 },
  name: { least: 30, letter: 7 },
  state: {},
} as const satisfies DrawStyle;

/** A blank on the paper it is cut from. */
const STOCK: DrawStyle = {
  face: {
    stock: { fill: 'outside', stroke: 'ink-soft', width: 1 },
    paper: { fill: 'inside', cover: 0.75, stroke: 'ink', width: 1.6 },
  },
  line: {
    valley: { stroke: 'ink', width: 1.1, dash: [6, 4] },
    mountain: { stroke: 'ink', width: 1.1, dash: [6, 4] },
  },
  area: {
    blank: { stroke: 'ink-soft', width: 1, dash: [2, 3] },
    front: { fill: 'accent-soft' },
    window: { ...WINDOW, cover: 0.18, width: 2 },
  },
  upward: ARROW,
  state: {},
};

/** A blank while it is cut out of its sheet. */
const CUT_OUT: DrawStyle = {
  face: {
    stock: { fill: 'outside', stroke: 'outside-line', width: 1 },
    paper: { fill: 'inside', stroke: 'ink', width: 1.1 },
  },
  line: {},
  area: {},
  state: {},
};

/** The same on the table, where the trimmer lies over it. */
const UNCUT: DrawStyle = { ...CUT_OUT, face: { ...CUT_OUT.face, paper: { fill: 'accent-soft' } } };

/** A sheet with the pieces that are cut from it. */
const LAYOUT: DrawStyle = {
  face: {
    stock: { fill: 'outside', stroke: 'slab-line', width: 1 },
    paper: { fill: 'inside', stroke: 'ink', width: 1.2 },
  },
  fixed: true,
  line: {},
  area: { offcut: { fill: 'offcut-hatch' } },
  state: {},
};

/** The same in a row of all sheets. */
const SMALL_LAYOUT: DrawStyle = {
  ...LAYOUT,
  face: { ...LAYOUT.face, paper: { fill: 'inside', stroke: 'ink-soft', width: 1 } },
  area: { offcut: { fill: 'accent-soft' } },
};

/** A sheet as tools have left it so far. */
const TABLE: DrawStyle = {
  face: { paper: { fill: 'inside', stroke: 'ink-soft', width: 1 } },
  outside: { fill: 'outside', stroke: 'ink-soft', width: 1 },
  line: {
    score: { stroke: 'ink-soft', width: 1.2, dash: [5, 3] },
    slit: { stroke: 'ink-soft', width: 1.2 },
    cut: { stroke: 'ink-soft', width: 1.2 },
  },
  area: {
    notch: { fill: 'card', stroke: 'ink-soft', width: 1.2 },
    // What comes off now, still lying there.
    waste: { fill: 'accent-soft' },
    laid: { fill: 'laid', stroke: 'ink-soft', width: 1 },
  },
  over: ['notch', 'laid'],
  hole: { fill: 'card', stroke: 'ink-soft', width: 1.2, least: 1.6 },
  ribbon: RIBBON,
  mark: { fill: 'ink-soft', least: 2.6 },
  state: {
    fresh: {
      line: { stroke: 'accent', width: 2.4 },
      spot: { fill: 'accent', stroke: 'accent', least: 4 },
    },
  },
};

/** A sheet on which something went wrong, and how its marks really lie. */
const SCARRED: DrawStyle = {
  face: { paper: { fill: 'inside', stroke: 'ink', width: 1.5 } },
  shadow: 'sheet',
  line: {
    score: { stroke: 'accent', width: 2, dash: [7, 5] },
    cut: { stroke: 'ink', width: 2 },
  },
  area: { gone: { stroke: 'ink-soft', width: 1.5 } },
  state: { wrong: { line: { stroke: 'fail', width: 2.5 }, spot: { stroke: 'fail', width: 2.5 } } },
};

/** A sheet that was set aside, small. */
const ASIDE: DrawStyle = {
  face: { paper: { fill: 'outside', stroke: 'ink', width: 1.5 } },
  line: { score: { stroke: 'accent', width: 1.4, dash: [4, 3] } },
  area: {},
  state: {},
};

const LAID: Paint = { fill: 'laid', stroke: 'ink', width: 1.1 };

/** A folded pile. */
const PILE: DrawStyle = {
  face: {
    paper: { fill: 'inside', stroke: 'ink', width: 1.1 },
    given: { fill: 'given', stroke: 'rule', width: 1 },
    contents: { fill: 'card', stroke: 'ink-soft', width: 1.2 },
  },
  outside: { fill: 'outside', stroke: 'ink', width: 1.1 },
  shadow: 'layer',
  line: {},
  area: {
    glue: { fill: 'glue', cover: 0.14, stroke: 'glue', width: 0.8, dash: [1.5, 2.5] },
    laid: LAID,
    window: WINDOW,
    insert: { stroke: 'ink-soft', width: 1.2 },
    contents: { stroke: 'contents-line', width: 1.5, dash: [3, 3] },
  },
  disc: { fill: 'card', stroke: 'accent', width: 2 },
  cord: { stroke: 'accent', width: 3, dash: [9, 3] },
  scar: SCAR,
  upward: ARROW,
  state: {},
};

/** An open page with its cards. */
const PAGE: DrawStyle = {
  ...PILE,
  face: { ...PILE.face, contents: { fill: 'contents', stroke: 'contents-line', width: 1.5 } },
};

/** A pile that is worked on: where glue goes now, and where none may. */
const WORKED: DrawStyle = {
  ...PILE,
  area: {
    ...PILE.area,
    glue: { fill: 'glue', cover: 0.55 },
    'no-glue': { stroke: 'fail', width: 1.4, dash: [1.5, 3] },
    'going-in': { fill: 'contents', cover: 0.85, stroke: 'contents-line', width: 1 },
  },
};

/** What stands, as a drawing. */
const STILL: DrawStyle = {
  face: {
    paper: { fill: 'inside', stroke: 'ink', width: 1.1 },
    given: { fill: 'given', stroke: 'ink', width: 1.1 },
    contents: { fill: 'contents', stroke: 'ink', width: 1.1 },
    laid: LAID,
    glue: { fill: 'glue' },
  },
  outside: { fill: 'outside', stroke: 'ink', width: 1.1 },
  shade: 0.34,
  line: {},
  area: {},
  state: {},
};

/** Dashes of score lines on paper and in files, mm: told by their kind, not by colour. */
const DASH = { valley: [4, 2], mountain: [6, 1.5, 1, 1.5] } as const;

const INKED = { stroke: 'ink', width: 0.25 } as const satisfies Paint;
/** A flat piece on a printed page; widths and dashes in millimetres of the page. */
const PRINTED = {
  face: { paper: INKED },
  hole: INKED,
  line: { slit: INKED, valley: { ...INKED, dash: DASH.valley }, mountain: { ...INKED, dash: DASH.mountain } },
  area: {
    'no-glue': { stroke: 'ink-soft', width: 0.15, dash: [0.4, 0.8] },
    glue: { fill: 'glue-hatch', stroke: 'ink-soft', width: 0.2 },
  },
  state: {},
} as const satisfies DrawStyle;

const CUT = { stroke: 'cut', width: 0.2 } as const satisfies Paint;
const SCORE = { stroke: 'fold', width: 0.2 } as const satisfies Paint;
const THIN = { stroke: 'ink', width: 0.1 } as const satisfies Paint;
/** A flat piece in a file for machines: what is cut by one tone, what is scored by another; millimetres. */
const FILED = {
  face: { paper: CUT, stock: THIN },
  hole: CUT,
  line: { slit: CUT, valley: { ...SCORE, dash: DASH.valley }, mountain: { ...SCORE, dash: DASH.mountain } },
  area: {
    blank: { ...THIN, dash: [2, 2] },
    glue: { fill: 'ink', cover: 0.15 },
    'no-glue': { ...THIN, dash: [0.5, 1] },
  },
  state: {},
} as const satisfies DrawStyle;

/** A sheet with its pieces in such a file. */
const FILED_LAYOUT = {
  face: { stock: { stroke: 'ink', width: 0.3 }, paper: { stroke: 'fold', width: 0.1 } },
  line: { cut: CUT },
  area: { offcut: { fill: 'ink', cover: 0.08 } },
  state: {},
} as const satisfies DrawStyle;

/** How each kind of picture is drawn: the one place that says what is seen of paper, on every screen, in both themes, in print and files. */
export const STYLE = {
  sheet: SHEET,
  stock: STOCK,
  cutOut: CUT_OUT,
  uncut: UNCUT,
  layout: LAYOUT,
  smallLayout: SMALL_LAYOUT,
  table: TABLE,
  scarred: SCARRED,
  aside: ASIDE,
  pile: PILE,
  page: PAGE,
  worked: WORKED,
  still: STILL,
  printed: PRINTED,
  filed: FILED,
  filedLayout: FILED_LAYOUT,
} as const satisfies Record<string, DrawStyle>;

/** How a picture is drawn where nobody says otherwise. */
export const lookOf = ({ kind }: Pick<Scene, 'kind'>): DrawStyle => STYLE[kind];

/** How a face is drawn: paper by the side that is seen, all else by what it is. Null where it is not drawn. */
export const facePaint = (
  look: DrawStyle,
  { stuff, side }: { readonly stuff: Stuff; readonly side: Side },
): Paint | null => (stuff === 'paper' && side === 'outside' ? look.outside : undefined) ?? look.face[stuff] ?? null;

/**
 * How dark a face is printed: 1 leaves the paper white, 0 prints black. The outside of a sheet is a little darker than its
 * inside, and what is in shadow darker still.
 */
export const printedShade = ({ side, light }: { readonly side: Side; readonly light: number }): number =>
  (side === 'inside' ? 1 : 0.87) * (1 - (1 - light) * 0.35);
