import { mm } from '../length';
import { isGiven, readDesign } from '../design';
import { type Issue, issuesOf } from '../text/issues';
import { designOf } from './design-of';
import { innerFirst } from './inner-first';
import { hasSize, setSchema, type Part, type PartOutput, type SetDesign } from './set';

export type SetResult =
  | { readonly ok: true; readonly set: SetDesign }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** An id that nobody chose: a part that is alone in its set is called after what it is. */
const NOBODYS = /^part-\d+$/u;

/** What a part is, where nobody named it. */
const whatItIs = ({ given }: PartOutput, title: string): string =>
  given ? (given.envelope ? 'Bought envelope' : 'What you have') : title;

/** A size that stands where another part will tell it, mm: only to read the rest of the design. */
const TO_BE_TOLD = { width: mm(100), height: mm(100), thickness: mm(0) };

/** Reads a set document; everything wrong with it is gathered, each thing with its path. */
export function readSet(input: unknown): SetResult {
  const read = setSchema.safeParse(input, { reportInput: true });
  if (!read.success) return { ok: false, issues: issuesOf(read.error) };
  const document = read.data;
  const issues: Issue[] = [];
  const miss = (path: string, message: string) => void issues.push({ path, message });
  const called = (part: { readonly id: string; readonly name?: string | undefined }): string => part.name || part.id;
  twins(document.papers).forEach((i) =>
    miss(`papers.${i}.id`, `Two papers are called “${document.papers[i]!.id}”. Give one another id.`),
  );
  twins(document.parts).forEach((i) =>
    miss(`parts.${i}.id`, `Two parts are called “${document.parts[i]!.id}”. Give one another id.`),
  );
  const parts = new Map(document.parts.map((part) => [part.id, part]));
  const papers = new Set(document.papers.map((paper) => paper.id));
  document.papers.forEach((paper, i) => {
    if ((paper.width === undefined) !== (paper.height === undefined))
      miss(`papers.${i}`, 'Give the paper’s width and height both, or neither.');
  });
  const fillers = new Map<string, Part['fills']>();
  document.parts.forEach((part, i) => {
    const at = `parts.${i}`;
    const known = (path: string, other: string): void => {
      if (!parts.has(other))
        miss(path, `There is no part “${other}” in this set. Its parts are ${listOf([...parts.keys()])}.`);
      else if (other === part.id) miss(path, `“${called(part)}” cannot hold or go round itself.`);
    };
    for (const [path, paper] of papersOf(part))
      if (!papers.has(paper))
        miss(
          `${at}.${path}`,
          `There is no paper “${paper}” in this set. ${papers.size > 0 ? `Its papers are ${listOf([...papers])}.` : 'It has none yet.'}`,
        );
    if ((part.design === undefined) === (part.given === undefined))
      miss(at, `Say how “${called(part)}” is made (design), or that it is there already (given): one of the two.`);
    if (part.round && part.holds.length > 0)
      miss(`${at}.round`, `“${called(part)}” goes round one thing and holds others. Make two parts of it.`);
    part.holds.forEach((hold, j) => {
      known(`${at}.holds.${j}.part`, hold.part);
      if (!hold.fills) return;
      if (fillers.has(hold.part))
        miss(`${at}.holds.${j}.fills`, `“${hold.part}” cannot be as large as two things allow.`);
      if (parts.get(hold.part)?.given)
        miss(
          `${at}.holds.${j}.fills`,
          `“${hold.part}” is there already and does not grow or shrink. Leave “fills” out.`,
        );
      fillers.set(hold.part, { holder: part.id, hold });
    });
    if (part.round) known(`${at}.round`, part.round.part);
    if (part.from !== undefined) known(`${at}.from`, part.from);
  });
  if (issues.length > 0) return { ok: false, issues };
  const order = innerFirst(document.parts);
  if (!order.ok) {
    const names = order.circle.map((one) => `“${called(parts.get(one)!)}”`);
    const path = `parts.${document.parts.findIndex((part) => part.id === order.circle[0])}`;
    return {
      ok: false,
      issues: [
        {
          path,
          message: `${names.map((one, i) => `${one} takes its size from ${names[(i + 1) % names.length]}`).join(', ')}: none of them can be the first. Take one of these away, or tell the size of one.`,
        },
      ],
    };
  }
  const planned = document.parts.map((part, i): Part | null => {
    const fills = fillers.get(part.id) ?? null;
    const inner = part.holds.some((hold) => !hold.fills) || part.round !== undefined;
    const own = part.given ? true : hasSize(part.design!);
    if (fills && (own || inner)) {
      miss(
        `parts.${i}`,
        `“${called(part)}” fills “${called(parts.get(fills.holder)!)}” and has a size of its own as well. Leave one out.`,
      );
      return null;
    }
    for (const key of ['version', 'graduation', 'tool', 'kit', 'paper', 'papers', 'layers', 'order'])
      if (part.design && key in part.design)
        miss(
          `parts.${i}.design.${key}`,
          `“${key}” is the set’s or the part’s to give, not the design’s. Leave it out here.`,
        );
    if (isGiven(part.design?.construction))
      miss(
        `parts.${i}.design.construction`,
        `“${called(part)}” is there already: say its size as “given”, with “envelope” for an envelope that is bought.`,
      );
    const told = own || !(inner || fills) ? {} : { contents: TO_BE_TOLD };
    const read = readDesign(designOf(document, part, told));
    if (read.ok)
      return {
        ...part,
        name: part.name || (NOBODYS.test(part.id) ? whatItIs(part, read.design.construction.title) : part.id),
        design: read.design,
        given: part.given ?? null,
        fixed: own,
        fills,
      };
    for (const { path, message } of read.issues) miss(`parts.${i}.design${path ? `.${path}` : ''}`, message);
    return null;
  });
  if (issues.length > 0) return { ok: false, issues };
  const byId = new Map(planned.map((part) => [part!.id, part!]));
  return {
    ok: true,
    set: {
      name: document.set,
      graduation: document.graduation,
      papers: document.papers,
      parts: order.order.map((one) => byId.get(one)!),
      order: document.order ?? 'by-operation',
    },
  };
}

/** Every paper a part names, by its path. */
const papersOf = (part: PartOutput): readonly (readonly [string, string])[] => [
  ...(part.paper === undefined ? [] : [['paper', part.paper] as const]),
  ...Object.entries(part.papers).map(([piece, paper]) => [`papers.${piece}`, paper] as const),
  ...part.layers.flatMap(({ paper }, i) => (paper === undefined ? [] : [[`layers.${i}.paper`, paper] as const])),
];

/** Places of those whose id another has before them. */
const twins = (all: readonly { readonly id: string }[]): number[] =>
  all.flatMap((one, i) => (all.findIndex((other) => other.id === one.id) < i ? [i] : []));

const listOf = (names: readonly string[]): string => names.map((one) => `“${one}”`).join(', ');
