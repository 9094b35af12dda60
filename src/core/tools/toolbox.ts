import { z } from 'zod';
import { inches, lengthSchema, mm, type Mm } from '../length';
import { lineSchema } from '../text';
import type { Kit } from './kit';
import type { Tool } from './tool';

const size = (least: number, most: number) => lengthSchema({ least, most });
const own = {
  id: z.string().min(1).max(60),
  name: lineSchema(60),
  /** Lies on the table today. */
  out: z.boolean(),
};

/** One tool a maker owns: its figures, its name, and whether it is out today. */
export const ownToolSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...own,
    kind: z.literal('envelope-board'),
    notch: size(5, 60),
    offset: size(-15, 15),
    rulerEnd: size(20, 1000),
    grooveEnd: size(20, 1000),
  }),
  z.strictObject({ ...own, kind: z.literal('scoring-board'), length: size(50, 2000), pitch: size(0.5, 60) }),
  z.strictObject({
    ...own,
    kind: z.literal('edge-board'),
    scoreFrom: size(2, 100),
    relief: size(1, 50),
    offset: size(-20, 20),
  }),
  z.strictObject({ ...own, kind: z.literal('trimmer'), longest: size(50, 3000) }),
  z.strictObject({ ...own, kind: z.literal('ruler'), length: size(50, 3000) }),
  z.strictObject({ ...own, kind: z.literal('punch'), diameter: size(1, 120) }),
  z.strictObject({ ...own, kind: z.literal('corner-rounder'), radius: size(1, 60) }),
]);
/** Most tools of one table. */
export const MOST_TOOLS = 200;
export const toolboxSchema = z.array(ownToolSchema).max(MOST_TOOLS);
export type OwnTool = z.output<typeof ownToolSchema>;
export type Toolbox = readonly OwnTool[];
export type ToolKind = OwnTool['kind'];

/** A figure of a tool as forms show it; limits in mm. */
interface ToolFigure {
  readonly name: string;
  readonly title: string;
  readonly hint?: string;
  readonly least: number;
  readonly most: number;
}

/** Each kind of tool: what it is called, what it is like, and how a new one starts. */
export const OWN_TOOLS: readonly {
  readonly kind: ToolKind;
  readonly title: string;
  readonly plural: string;
  readonly figures: readonly ToolFigure[];
  readonly fresh: Omit<OwnTool, 'id' | 'name' | 'out' | 'kind'>;
}[] = [
  {
    kind: 'envelope-board',
    title: 'Envelope board',
    plural: 'Envelope boards',
    figures: [
      { name: 'notch', title: 'Notch, along the edge', hint: 'Punch scrap and measure the cut.', least: 5, most: 60 },
      { name: 'offset', title: 'Guide offset', hint: 'True setting less what its ruler reads.', least: -15, most: 15 },
      { name: 'rulerEnd', title: 'Ruler ends at', least: 20, most: 1000 },
      { name: 'grooveEnd', title: 'Groove ends at', least: 20, most: 1000 },
    ],
    fresh: { notch: inches(3 / 4), offset: mm(0), rulerEnd: inches(5), grooveEnd: inches(7) },
  },
  {
    kind: 'scoring-board',
    title: 'Scoring board',
    plural: 'Scoring boards',
    figures: [
      { name: 'length', title: 'Last groove at', least: 50, most: 2000 },
      { name: 'pitch', title: 'Groove to groove', least: 0.5, most: 60 },
    ],
    fresh: { length: inches(12), pitch: inches(1 / 8) },
  },
  {
    kind: 'edge-board',
    title: 'Edge board',
    plural: 'Edge boards',
    figures: [
      { name: 'scoreFrom', title: 'Score from the edge', least: 2, most: 100 },
      { name: 'relief', title: 'Relief notch', least: 1, most: 50 },
      { name: 'offset', title: 'Guide off by', least: -20, most: 20 },
    ],
    fresh: { scoreFrom: inches(1 / 2), relief: inches(1 / 4), offset: mm(0) },
  },
  {
    kind: 'trimmer',
    title: 'Trimmer',
    plural: 'Trimmers',
    figures: [{ name: 'longest', title: 'Longest cut', least: 50, most: 3000 }],
    fresh: { longest: inches(12) },
  },
  {
    kind: 'ruler',
    title: 'Ruler',
    plural: 'Rulers',
    figures: [{ name: 'length', title: 'Length', least: 50, most: 3000 }],
    fresh: { length: inches(18) },
  },
  {
    kind: 'punch',
    title: 'Punch',
    plural: 'Punches',
    figures: [{ name: 'diameter', title: 'Across', least: 1, most: 120 }],
    fresh: { diameter: inches(1) },
  },
  {
    kind: 'corner-rounder',
    title: 'Corner rounder',
    plural: 'Corner rounders',
    figures: [{ name: 'radius', title: 'Radius', least: 1, most: 60 }],
    fresh: { radius: inches(1 / 4) },
  },
];

const one = (kind: ToolKind, name: string, figures: object, id: string = kind): OwnTool =>
  ownToolSchema.parse({ id, name, out: true, kind, ...figures });

/** What a table usually has: a maker's own takes its place. */
export const COMMON_TOOLBOX: Toolbox = [
  one('envelope-board', 'Envelope board', OWN_TOOLS[0]!.fresh),
  one('scoring-board', 'Scoring board', OWN_TOOLS[1]!.fresh),
  one('trimmer', 'Trimmer', OWN_TOOLS[3]!.fresh),
  one('ruler', 'Steel ruler', OWN_TOOLS[4]!.fresh),
  one('punch', '1 in punch', { diameter: inches(1) }, 'punch-1'),
  one('punch', '1/8 in hole punch', { diameter: inches(1 / 8) }, 'punch-1-8'),
  one('corner-rounder', '1/4 in corner rounder', { radius: inches(1 / 4) }),
];

/** The tool a plan is made for, from one that is owned; null for what only helps. */
export function toolOf(tool: OwnTool): Tool | null {
  switch (tool.kind) {
    case 'envelope-board':
      return {
        kind: 'envelope-board',
        notch: tool.notch,
        offset: tool.offset,
        rulerEnd: tool.rulerEnd,
        grooveEnd: tool.grooveEnd,
      };
    case 'scoring-board':
      return { kind: 'scoring-board', length: tool.length, pitch: tool.pitch, notch: inches(3 / 4) };
    case 'edge-board':
      return {
        kind: 'edge-board',
        scoreFrom: tool.scoreFrom,
        relief: tool.relief,
        offset: tool.offset,
        notch: inches(3 / 4),
      };
    default:
      return null;
  }
}

/** The boards that are out today, with the tool each makes of a plan. */
export const boardsOf = (toolbox: Toolbox): readonly { readonly own: OwnTool; readonly tool: Tool }[] =>
  toolbox.flatMap((own) => {
    const tool = own.out ? toolOf(own) : null;
    return tool ? [{ own, tool }] : [];
  });

/** What else is out today. A kind of which nothing is owned at all is not asked about; one that is put away is missing. */
export function kitOf(toolbox: Toolbox): Kit {
  const sizes = (kind: ToolKind, of: (tool: never) => Mm): Mm[] | undefined => {
    const owned = toolbox.filter((tool) => tool.kind === kind);
    return owned.length > 0 ? owned.filter(({ out }) => out).map((tool) => of(tool as never)) : undefined;
  };
  const longest = (all: readonly Mm[] | undefined): Mm | undefined =>
    all && all.length > 0 ? mm(Math.max(...all)) : undefined;
  const kit = {
    trimmer: longest(sizes('trimmer', ({ longest: cut }: { longest: Mm }) => cut)),
    ruler: longest(sizes('ruler', ({ length }: { length: Mm }) => length)),
    punches: sizes('punch', ({ diameter }: { diameter: Mm }) => diameter),
    rounders: sizes('corner-rounder', ({ radius }: { radius: Mm }) => radius),
  };
  return Object.fromEntries(Object.entries(kit).filter(([, value]) => value !== undefined)) as Kit;
}
