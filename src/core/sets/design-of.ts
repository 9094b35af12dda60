import { lengthSchema } from '../length';
import type { DesignInput } from '../design';
import { hasSize, paperIdOf, type PartInput, type PartOutput, type SetInput, type SetPaperInput } from './set';

/** Contents as another part tells them. */
type Told = { readonly contents?: DesignInput['contents'] };

/**
 * A part’s design as a document of its own: what the set gives laid into it (marks, tool, papers), its layers, and its
 * contents where another part tells them. What is given is a plain sheet of its size.
 */
export function designOf(set: SetInput, part: PartInput | PartOutput, told: Told = {}): DesignInput {
  const papers = set.papers ?? [];
  const parts = set.parts as readonly PartOutput[];
  const sheet = (id: string | null | undefined): NonNullable<DesignInput['paper']> | undefined => {
    const paper = papers.find((one) => one.id === id);
    if (!paper) return undefined;
    const { count: _, stash: __, ...like } = paper;
    return like;
  };
  const own = sheet(paperIdOf(papers, parts, part as PartOutput));
  const { laid = {}, layers = [], given } = part;
  const separate = Object.entries(part.papers ?? {}).flatMap(([piece, id]) => {
    const paper = sheet(id);
    return paper ? [[piece, paper] as const] : [];
  });
  // A bought envelope is of its own paper; layers on it are of the set’s.
  if (given?.envelope) separate.push(['envelope', { caliper: paperOfEnvelope(given) }]);
  const tool = part.tool ?? set.tool;
  const design = given ? givenDesign(given) : part.design;
  return {
    version: 1,
    ...design,
    ...told,
    graduation: set.graduation ?? '1/8 in',
    ...(tool && { tool }),
    ...(set.kit && { kit: set.kit }),
    ...(set.order && { order: set.order }),
    ...((own || part.laid) && { paper: { ...own, ...laid } }),
    ...(separate.length > 0 && { papers: Object.fromEntries(separate) }),
    ...(layers.length > 0 && {
      layers: layers.map(({ paper, ...layer }) => {
        const other = sheet(paper);
        return { ...layer, ...(other && { paper: other }) };
      }),
    }),
  } as DesignInput;
}

type Given = NonNullable<PartInput['given']>;

/** What is there already as a design: a sheet of its size, or an envelope with its flap and mouth. */
const givenDesign = ({ width, height, envelope }: Given) => ({
  construction: envelope ? 'bought-envelope' : 'plain-sheet',
  blank: { width, height },
  ...(envelope && { options: envelope }),
});

/** Paper of envelopes where nobody measured, mm: about 90 g/m². From memory. */
const ENVELOPE_PAPER = 0.12;

/** An empty envelope is two papers thick. */
const paperOfEnvelope = ({ thickness }: Given): number => {
  const measured = lengthSchema({ least: 0 }).safeParse(thickness);
  return measured.success && measured.data > 0 ? measured.data / 2 : ENVELOPE_PAPER;
};

/** A place on its paper that a part tells for itself. */
const LAID = ['turn', 'at', 'window'] as const;

/**
 * The set with a part’s design as it is now (`now`, as `designOf` gave it) changed to the next: each thing is kept where it
 * belongs. Marks and order of work with the set, what paper is like with that paper, the tool with the set while it has
 * one part, everything else with the part. Contents that another part tells are not written down.
 */
export function withDesign(set: SetInput, id: string, now: DesignInput, next: DesignInput): SetInput {
  const index = set.parts.findIndex((part) => part.id === id);
  const part = set.parts[index];
  if (!part) return set;
  const changed = (key: keyof DesignInput): boolean => JSON.stringify(now[key]) !== JSON.stringify(next[key]);
  const { version: _, graduation, tool, kit: __, order, paper = {}, papers: ___, layers, ...design } = next;
  const told = isTold(set, part) && !hasSize(part.design ?? {}) && !changed('blank');
  if (told) delete (design as { contents?: unknown }).contents;
  const own: Record<string, unknown> = part.given ? { ...part } : { ...part, design };
  const write = (key: string, value: unknown): void => {
    if (value === undefined) delete own[key];
    else own[key] = value;
  };
  const out: Record<string, unknown> = { ...set };
  if (changed('graduation')) out.graduation = graduation;
  if (changed('order')) out.order = order;
  if (changed('tool'))
    if (set.parts.length === 1) {
      out.tool = tool;
      delete own.tool;
    } else own.tool = tool;
  if (changed('layers'))
    write(
      'layers',
      layers?.map(({ paper: other, ...layer }) => ({ ...layer, ...(other?.id !== undefined && { paper: other.id }) })),
    );
  if (changed('paper')) {
    const laid = Object.fromEntries(LAID.flatMap((key) => (paper[key] === undefined ? [] : [[key, paper[key]]])));
    write('laid', Object.keys(laid).length > 0 ? laid : undefined);
    const papers = paperWith(set, own as PartInput, paper);
    out.papers = papers.papers;
    if (own.from === undefined) own.paper = papers.id;
  }
  out.parts = set.parts.map((one, i) => (i === index ? own : one));
  return out as SetInput;
}

/** True for a part whose contents another tells: what it holds, goes round, or fills. */
export const isTold = (set: SetInput, part: PartInput): boolean =>
  part.round !== undefined ||
  (part.holds ?? []).some(({ fills }) => !fills) ||
  set.parts.some(({ holds = [] }) => holds.some((hold) => hold.fills && hold.part === part.id));

/** The papers with what a part’s paper is like now; a set without papers gets one. */
function paperWith(
  set: SetInput,
  part: PartInput,
  sheet: NonNullable<DesignInput['paper']>,
): { readonly papers: readonly SetPaperInput[]; readonly id: string } {
  const papers = set.papers ?? [];
  const id = paperIdOf(papers, set.parts as readonly PartOutput[], part as PartOutput);
  const { turn: _, at: __, window: ___, id: ____, ...like } = sheet;
  const now = papers.find((paper) => paper.id === id);
  if (!now) return { papers: [...papers, { name: '', ...like, id: 'paper' }], id: 'paper' };
  // What is of another size or thickness is no longer the paper of the stash it was.
  const { stash, count, name, ...rest } = now;
  const same = (['width', 'height', 'caliper'] as const).every((key) => rest[key] === like[key]);
  const next = {
    ...like,
    id: now.id,
    name: like.name ?? name,
    ...(same && stash !== undefined && { stash }),
    ...(same && count !== undefined && { count }),
  };
  return { papers: papers.map((paper) => (paper === now ? next : paper)), id: now.id };
}

/** A single design as a set of one part. */
export function setOf(design: DesignInput, name = ''): SetInput {
  const { version: _, graduation, tool, kit, order, paper = {}, papers = {}, layers, ...rest } = design;
  const { turn, at, window, ...like } = paper;
  const laid = { ...(turn !== undefined && { turn }), ...(at && { at }), ...(window && { window }) };
  const more: SetPaperInput[] = [];
  const idOf = (sheet: NonNullable<DesignInput['paper']>, fallback: string): string => {
    const { turn: ____, at: __, window: ___, ...own } = sheet;
    const id = own.id ?? fallback;
    if (id !== 'paper' && !more.some((paper) => paper.id === id)) more.push({ name: '', ...own, id });
    return id;
  };
  const separate = Object.fromEntries(Object.entries(papers).map(([piece, sheet]) => [piece, idOf(sheet, piece)]));
  const laidOn = layers?.map(({ paper: sheet, ...layer }, i) => ({
    ...layer,
    ...(sheet && { paper: idOf(sheet, `layer-${i + 1}`) }),
  }));
  return {
    version: 1,
    ...(name && { set: name }),
    graduation,
    ...(tool && { tool }),
    ...(kit && { kit }),
    ...(order && { order }),
    papers: [{ name: '', ...like, id: like.id ?? 'paper' }, ...more],
    parts: [
      {
        id: 'part-1',
        quantity: 1,
        paper: like.id ?? 'paper',
        ...(Object.keys(separate).length > 0 && { papers: separate }),
        ...(Object.keys(laid).length > 0 && { laid }),
        ...(laidOn && { layers: laidOn }),
        design: rest as Record<string, unknown>,
      },
    ],
  } as SetInput;
}
