import { z } from 'zod';
import type { Together, Words } from '../constructions';
import { TOLERANCE } from '../geometry';
import { lengthSchema, mm, type Mm, type Say } from '../length';
import { lineSchema } from '../text';
import { HAND_MOVES } from './by-hand';
import { COMMON_FAULT_WORDS, type Fault, type FaultWords } from './fault';
import { TOOLS } from './list';
import type { HandMove } from './move';
import type { Sheet } from './sheet';
import {
  askedSchema,
  type Asked,
  type Figures,
  type InKit,
  type MoveType,
  type Owned,
  type PlanTool,
  type ToolType,
} from './tool';

/** What the list's tools come to, as types: their designs' tools, moves, findings, faults. */
type Listed = (typeof TOOLS)[number];
type HasAsked<F> = true extends { [N in keyof F]: F[N] extends { readonly asked: z.ZodType } ? true : never }[keyof F]
  ? true
  : false;
type AskedOf<T> =
  T extends ToolType<infer Kind, infer F, infer _M, infer _A, infer _U>
    ? HasAsked<F> extends true
      ? Asked<Kind, F>
      : never
    : never;
type AskedInputOf<T> =
  T extends ToolType<infer Kind, infer F, infer _M, infer _A, infer _U>
    ? HasAsked<F> extends true
      ? z.input<ReturnType<typeof askedSchema<Kind, F>>>
      : never
    : never;
type OwnedOf<T> = T extends ToolType<infer Kind, infer F, infer _M, infer _A, infer _U> ? Owned<Kind, F> : never;
type MoveOf<T> = T extends ToolType<infer _K, infer _F, infer M, infer _A, infer _U> ? M : never;
type FactsOf<T> = T extends ToolType<infer _K, infer _F, infer _M, infer A, infer _U> ? A : never;
type FaultsOf<T> = T extends ToolType<infer _K, infer _F, infer _M, infer _A, infer U> ? U : never;

/** What the maker works with, as a design has it. */
export type Tool = AskedOf<Listed>;
/** One tool a maker owns. */
export type OwnTool = OwnedOf<Listed>;
export type ToolKind = OwnTool['kind'];
/** One thing the maker does to the flat sheet. */
export type Move = HandMove | MoveOf<Listed>;
/** What the tools' limits can find of a plan. */
export type ToolLimitFacts = Together<FactsOf<Listed>>;
/** What can go wrong with one of the tools. */
export type ToolFaults = Together<FaultsOf<Listed>>;

/** A tool whatever its kind: its own file has the types. */
export type AnyTool = ToolType<ToolKind, Figures, never, object, object>;
export type AnyPlanTool = PlanTool<Tool, Exclude<Move, HandMove>, ToolLimitFacts, ToolFaults>;

const ALL = TOOLS as unknown as readonly AnyTool[];
const planOf = (tool: AnyTool): AnyPlanTool | null => tool.plan as unknown as AnyPlanTool | null;
/** Kinds of tool that a plan is made for. */
const PLANNED = ALL.filter(({ plan }) => plan !== null);

/** The record of a kind of tool. */
export const toolType = (kind: string): AnyTool => ALL.find((tool) => tool.kind === kind)!;
/** What a plan is made for with such a tool. */
export const planTool = ({ kind }: { readonly kind: Tool['kind'] }): AnyPlanTool => planOf(toolType(kind))!;

const either = (words: readonly string[]): string => `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** What the maker works with. */
export const toolSchema = z.discriminatedUnion(
  'kind',
  PLANNED.map(({ kind, figures }) => askedSchema(kind, figures)) as never,
  { error: `The tool is one of ${either(PLANNED.map(({ kind }) => `"${kind}"`))}, named by its kind.` },
) as unknown as z.ZodType<Tool, AskedInputOf<Listed>>;

const own = { id: z.string().min(1).max(60), name: lineSchema(60), out: z.boolean() };

/** One tool a maker owns: its figures, its name, and whether it is out today. */
export const ownToolSchema = z.discriminatedUnion(
  'kind',
  ALL.map(({ kind, figures }) =>
    z.strictObject({
      ...own,
      kind: z.literal(kind),
      ...Object.fromEntries(
        ownedFigures({ figures }).map(({ name, least, most }) => [name, lengthSchema({ least, most })]),
      ),
    }),
  ) as never,
) as unknown as z.ZodType<OwnTool>;

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
  if (!plan || planOf(toolType(kind))!.common) return null;
  const has = owned as unknown as Record<string, unknown>;
  return toolSchema.parse({
    kind,
    ...Object.fromEntries(
      Object.entries(figures).flatMap(([name, { asked, owned: mine }]) => (asked && mine ? [[name, has[name]]] : [])),
    ),
  });
}

/** Kinds of tool a plan can be made for, with the words they are offered by. */
export const OFFERED: readonly { readonly kind: Tool['kind']; readonly label: string; readonly common: boolean }[] =
  PLANNED.map((tool) => ({
    kind: tool.kind as Tool['kind'],
    label: planOf(tool)!.offered,
    common: planOf(tool)!.common ?? false,
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
  const { figures } = toolType(a.kind);
  const value = (tool: Tool, name: string): unknown => (tool as unknown as Record<string, unknown>)[name];
  return Object.entries(figures).every(([name, { asked, byHand }]) => {
    if (!asked || byHand) return true;
    const [x, y] = [value(a, name), value(b, name)];
    return typeof x === 'number' && typeof y === 'number' ? Math.abs(x - y) < TOLERANCE.length : x === y;
  });
}

const shape = Object.fromEntries(
  ALL.flatMap(({ kit }) => {
    if (!kit) return [];
    const length = lengthSchema({ over: 0 });
    return [[kit.key, (kit.how === 'each' ? z.array(length) : length).optional().describe(kit.describe)]];
  }),
);
/** What else lies on the table besides the tool that scores. What is left out is not asked about. */
export type Kit = KitOf<Mm>;
type KitOf<Length> = Together<KitEntry<Listed, Length>>;
type KitEntry<T, Length> =
  T extends InKit<infer Key, infer How>
    ? { readonly [Name in Key]?: (How extends 'each' ? Length[] : Length) | undefined }
    : never;
type KitInput = KitOf<z.input<ReturnType<typeof lengthSchema>>>;
export const kitSchema = z.strictObject(shape) as unknown as z.ZodType<Kit, KitInput>;

/** What else is out today. A kind of which nothing is owned at all is not asked about; one that is put away is missing. */
export function kitOf(toolbox: readonly OwnTool[]): Kit {
  return Object.fromEntries(
    ALL.flatMap(({ kind, kit }): [string, Mm | Mm[]][] => {
      const all = toolbox.filter((tool) => tool.kind === kind);
      if (!kit || all.length === 0) return [];
      const out = all.filter((tool) => tool.out).map((tool) => (tool as unknown as Record<string, Mm>)[kit.figure]!);
      if (kit.how === 'each') return [[kit.key, out]];
      return out.length > 0 ? [[kit.key, mm(Math.max(...out))]] : [];
    }),
  );
}

/** How a move is carried out and told, and the kind of tool that makes it; null for what is done by hand. */
const MOVES = new Map<string, { readonly tool: AnyTool | null; readonly type: MoveType<never, never, never> }>([
  ...Object.entries(HAND_MOVES).map(([name, type]) => [name, { tool: null, type: type as never }] as const),
  ...ALL.flatMap((tool) =>
    Object.entries(planOf(tool)?.moves ?? {}).map(([name, type]) => [name, { tool, type: type as never }] as const),
  ),
]);

/** Carries one move out on a sheet. A move of another tool than the one on the table is a fault, not an exception. */
export function carryOut(move: Move, sheet: Sheet, tool: Tool): void {
  const kind = MOVES.get(move.do);
  if (!kind) throw new Error(`no simulated tool carries out ${JSON.stringify(move)}`);
  if (kind.tool && kind.tool.kind !== tool.kind) sheet.fault({ code: 'no-tool', tool: kind.tool.title.toLowerCase() });
  else (kind.type as unknown as MoveType<Move, Tool, Move>).carryOut(move, sheet, tool);
}

/** The kind of a tool's own move; null for what is done by hand. */
export const toolMove = (move: Move): MoveType<Exclude<Move, HandMove>, Tool, Exclude<Move, HandMove>> | null => {
  const kind = MOVES.get(move.do);
  return kind?.tool ? (kind.type as never) : null;
};

/** One move in a few words, for one who tries a tool on the screen. */
export const moveWords = (move: Move, say: Say): string =>
  (MOVES.get(move.do)!.type as unknown as MoveType<Move, Tool, Move>).short(move, say);

/** True when a programme uses the tool itself, and not only what lies on any table. */
export const usesTool = (moves: readonly Move[]): boolean => moves.some((move) => toolMove(move) !== null);

const FAULT_WORDS = Object.assign({}, COMMON_FAULT_WORDS, ...PLANNED.map((tool) => planOf(tool)!.faults)) as FaultWords<
  Record<string, object>
>;

/** What went wrong, as the end of a sentence. */
export const faultWords = (fault: Fault, say: Say): string => FAULT_WORDS[fault.code]!(fault, say);

/** What is said of the limits of all tools: each file's own words are complete. */
export const TOOL_WORDS = Object.assign({}, ...PLANNED.map((tool) => planOf(tool)!.words)) as Words<ToolLimitFacts>;
