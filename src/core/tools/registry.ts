import { z } from '../text/zod';
import type { Words } from '../constructions';
import { TOLERANCE } from '../geometry';
import { lengthSchema, mm, type Mm, type Say } from '../length';
import { lineSchema } from '../text';
import { HAND_MOVES } from './by-hand';
import { COMMON_FAULT_WORDS, type Fault, type ToolLimitFacts } from './fault';
import type { Kit, KitInput, OwnTool, Tool, ToolInput, ToolKind } from './kinds';
import { TOOLS } from './list';
import type { Move } from './move';
import type { Sheet } from './sheet';
import type { Figures, MoveType, PlanTool, ToolType } from './tool';

/** Kinds of tool that a plan is made for. */
const PLANNED = TOOLS.flatMap(({ plan, ...tool }) => (plan ? [{ ...tool, plan }] : []));

/** The record of a kind of tool. */
export const toolType = (kind: ToolKind): ToolType => TOOLS.find((tool) => tool.kind === kind)!;
/** What a plan is made for with such a tool. */
export const planTool = ({ kind }: { readonly kind: Tool['kind'] }): PlanTool => toolType(kind).plan!;

const either = (words: readonly string[]): string => `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** A schema built from the tools' figures; that these are the figures of the types by hand is held by a test. */
const typed = <T, I>(schema: z.ZodType): z.ZodType<T, I> => schema as z.ZodType<T, I>;

/** A schema for one of several kinds, each with its figures. */
const byKind = (shapes: readonly z.core.$ZodLooseShape[], error?: string) =>
  z.discriminatedUnion(
    'kind',
    shapes.map((shape) => z.strictObject(shape)) as [z.ZodObject, ...z.ZodObject[]],
    error === undefined ? {} : { error },
  );

/** What the maker works with. */
export const toolSchema = typed<Tool, ToolInput>(
  byKind(
    PLANNED.map(({ kind, figures }) => ({
      kind: z.literal(kind),
      ...Object.fromEntries(Object.entries(figures).flatMap(([name, { asked }]) => (asked ? [[name, asked]] : []))),
    })),
    `The tool is one of ${either(PLANNED.map(({ kind }) => `"${kind}"`))}, named by its kind.`,
  ),
);

const own = { id: z.string().min(1).max(60), name: lineSchema(60), out: z.boolean() };

/** One tool a maker owns: its figures, its name, and whether it is out today. */
export const ownToolSchema = typed<OwnTool, unknown>(
  byKind(
    TOOLS.map(({ kind, figures }) => ({
      ...own,
      kind: z.literal(kind),
      ...Object.fromEntries(
        ownedFigures({ figures }).map(({ name, least, most }) => [name, lengthSchema({ least, most })]),
      ),
    })),
  ),
);

/** A figure of an owned tool as forms show it; limits in mm. */
export interface OwnedFigure {
  readonly name: string;
  readonly title: string;
  readonly hint?: string;
  readonly least: number;
  readonly most: number;
  readonly fresh: Mm;
}
/** The figures on the card of an owned tool. */
export function ownedFigures({ figures }: { readonly figures: Figures }): readonly OwnedFigure[] {
  return Object.entries(figures).flatMap(([name, { owned }]) => (owned ? [{ name, ...owned }] : []));
}

/** One figure of a tool by its name, mm; undefined where it has none of that name, or none is told. */
export function figureOf(tool: Tool | OwnTool, name: string): Mm | undefined {
  const value: unknown = Object.entries(tool).find(([key]) => key === name)?.[1];
  return typeof value === 'number' ? mm(value) : undefined;
}

/** A tool with one figure changed, or left out. */
export function withFigure(tool: Tool, name: string, length: Mm | undefined): Tool {
  const changed = { ...tool, [name]: length };
  if (length === undefined) Reflect.deleteProperty(changed, name);
  return changed;
}

/** A tool of that kind, new. */
export const freshTool = (kind: ToolKind, name: string, id: string, figures: object = {}): OwnTool =>
  ownToolSchema.parse({
    id,
    name,
    out: true,
    kind,
    ...Object.fromEntries(ownedFigures(toolType(kind)).map((figure) => [figure.name, figure.fresh])),
    ...figures,
  });

/** The tool a plan is made for, from one that is owned; null for what only helps. */
export function toolOf(owned: OwnTool): Tool | null {
  const { kind, figures, plan } = toolType(owned.kind);
  if (!plan || plan.common) return null;
  return toolSchema.parse({
    kind,
    ...Object.fromEntries(
      Object.entries(figures).flatMap(([name, { asked, owned: mine }]) =>
        asked && mine ? [[name, figureOf(owned, name)]] : [],
      ),
    ),
  });
}

/** Kinds of tool a plan can be made for, with the words they are offered by. */
export const OFFERED: readonly { readonly kind: Tool['kind']; readonly label: string; readonly common: boolean }[] =
  PLANNED.map(({ kind, plan: { offered, common = false } }) => ({
    kind: kind as Tool['kind'],
    label: offered,
    common,
  })).sort((a, b) => Number(a.common) - Number(b.common));

/** A figure of a project's own tool as the bench shows it. */
export interface BenchFigure {
  readonly name: string;
  readonly title: string;
  readonly hint?: string;
  readonly clears?: string;
  readonly least: number;
  readonly most: number;
  readonly notched?: true;
}
/** The figures that are set on the bench for a project's own tool. */
export const benchFigures = ({ kind }: Tool): readonly BenchFigure[] =>
  Object.entries(toolType(kind).figures).flatMap(([name, { bench }]) => (bench ? [{ name, ...bench }] : []));

/** True when two tools are one for a plan: every figure alike. What is cut by hand anyway is no figure of a board. */
export function sameTool(a: Tool, b: Tool): boolean {
  if (a.kind !== b.kind) return false;
  return Object.entries(toolType(a.kind).figures).every(([name, { asked, byHand }]) => {
    if (!asked || byHand) return true;
    const [x, y] = [figureOf(a, name), figureOf(b, name)];
    return x !== undefined && y !== undefined ? Math.abs(x - y) < TOLERANCE.length : x === y;
  });
}

/** What else lies on the table besides the tool that scores. */
export const kitSchema = typed<Kit, KitInput>(
  z.strictObject(
    Object.fromEntries(
      TOOLS.flatMap(({ kit }) => {
        if (!kit) return [];
        const length = lengthSchema({ over: 0 });
        return [[kit.key, (kit.how === 'each' ? z.array(length) : length).optional().describe(kit.describe)]];
      }),
    ),
  ),
);

/** What else is out today. A kind of which nothing is owned at all is not asked about; one that is put away is missing. */
export function kitOf(toolbox: readonly OwnTool[]): Kit {
  return Object.fromEntries(
    TOOLS.flatMap(({ kind, kit }): [string, Mm | Mm[]][] => {
      const all = toolbox.filter((tool) => tool.kind === kind);
      if (!kit || all.length === 0) return [];
      const out = all.filter((tool) => tool.out).flatMap((tool) => figureOf(tool, kit.figure) ?? []);
      if (kit.how === 'each') return [[kit.key, out]];
      return out.length > 0 ? [[kit.key, mm(Math.max(...out))]] : [];
    }),
  );
}

/** How a move of a tool is carried out and told, and the tool that makes it. */
const TOOL_MOVES = new Map<string, { readonly tool: ToolType; readonly type: MoveType }>(
  TOOLS.flatMap((tool) =>
    Object.entries(tool.plan?.moves ?? {}).map(([name, type]) => [name, { tool, type }] as const),
  ),
);
/** How what is done by hand is carried out, and in a few words. */
const BY_HAND: Readonly<Record<string, Pick<MoveType, 'carryOut' | 'short'>>> = HAND_MOVES;

/** Carries one move out on a sheet. A move of another tool than the one on the table is a fault, not an exception. */
export function carryOut(move: Move, sheet: Sheet, tool: Tool): void {
  const own = TOOL_MOVES.get(move.do);
  const type = own?.type ?? BY_HAND[move.do];
  if (!type) throw new Error(`no simulated tool carries out ${JSON.stringify(move)}`);
  if (own && own.tool.kind !== tool.kind) sheet.fault({ code: 'no-tool', tool: own.tool.title.toLowerCase() });
  else type.carryOut(move, sheet, tool);
}

/** The kind of a tool's own move; null for what is done by hand. */
export const toolMove = (move: Move): MoveType | null => TOOL_MOVES.get(move.do)?.type ?? null;

/** One move in a few words, for one who tries a tool on the screen. */
export const moveWords = (move: Move, say: Say): string => (toolMove(move) ?? BY_HAND[move.do]!).short(move, say);

/** True when a programme uses the tool itself, and not only what lies on any table. */
export const usesTool = (moves: readonly Move[]): boolean => moves.some((move) => toolMove(move) !== null);

const FAULT_WORDS: Readonly<Record<string, (fault: Fault, say: Say) => string>> = Object.assign(
  {},
  COMMON_FAULT_WORDS,
  ...PLANNED.map(({ plan }) => plan.faults),
);

/** What went wrong, as the end of a sentence. */
export const faultWords = (fault: Fault, say: Say): string => FAULT_WORDS[fault.code]!(fault, say);

/** What is said of the limits of all tools; that each has its words is held by a test. */
export const TOOL_WORDS: Words<ToolLimitFacts> = Object.assign({}, ...PLANNED.map(({ plan }) => plan.words));
