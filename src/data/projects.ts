import type { ProjectFile } from '@/core/files';
import { readSet, type SetInput } from '@/core/sets';
import { COMMON_BOARD, sameTool, toolSchema, type Tool } from '@/core/tools';
import { db, type LogRecord, type PaperRecord, type Project } from './db';
import { allKept, keep, readAll, type Records } from './keep';
import { laidOn, TABLE } from './cuttings';
import { DEMO_CUTS, DEMO_LOG, DEMO_SHELF, DEMO_STASH, DEMO_TABLE } from './demo';
import { isExample } from './examples';
import { newId } from './newId';

const fresh = (file: Pick<ProjectFile, 'name' | 'units' | 'set'>): Project => {
  const now = Date.now();
  return { ...file, id: newId(), createdAt: now, updatedAt: now, deletedAt: 0 };
};

/** Adds a project to the shelf and gives back its id. */
export async function addProject(file: Pick<ProjectFile, 'name' | 'units' | 'set'>): Promise<string> {
  return db.projects.add(fresh(file));
}

/** What the person decides about a project. */
export type ProjectDecisions = Pick<Project, 'name' | 'units' | 'set'>;

/** Keeps what became of a project, at once; what changed in it elsewhere meanwhile stays. */
export const keepProject = (id: string, before: ProjectDecisions, after: ProjectDecisions): void =>
  keep('projects', id, before, after);

/** Keeps how many of it are made. */
export const keepCopies = (project: Project, copies: number): void =>
  keep('projects', project.id, project, { ...project, copies });

/** A copy beside the original, named so that both can be told apart. */
export async function duplicateProject(id: string): Promise<string | null> {
  await allKept();
  const original = await db.projects.get(id);
  if (!original) return null;
  const { name, units, set } = original;
  return addProject({ name: `${name} (copy)`.slice(0, 120), units, set: structuredClone(set) });
}

/** Takes a project off the shelf; it stays in the bin until it is put back. */
export const binProject = (id: string): Promise<number> =>
  db.projects.update(id, { deletedAt: Date.now(), updatedAt: Date.now() });
export const putBackProject = (id: string): Promise<number> =>
  db.projects.update(id, { deletedAt: 0, updatedAt: Date.now() });

/** The shelf and the bin, newest change first. */
export function shelfAndBin({ records }: Pick<Records<Project>, 'records'>): { shelf: Project[]; bin: Project[] } {
  const all = [...records].sort((a, b) => b.updatedAt - a.updatedAt);
  return { shelf: all.filter((p) => p.deletedAt === 0), bin: all.filter((p) => p.deletedAt > 0) };
}

/** In which order projects stand on the shelf. */
export const SHELF_ORDERS = ['used', 'name', 'kind'] as const;
export type ShelfOrder = (typeof SHELF_ORDERS)[number];

/** Projects in that order; those alike by it as they were used, the last first. `kindOf` says what a project is. */
export function inShelfOrder(
  projects: readonly Project[],
  order: ShelfOrder,
  kindOf: (project: Project) => string,
): readonly Project[] {
  if (order === 'used') return projects;
  // Made once: comparing by the browser's own order of words thousands of times takes its time.
  const { compare } = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' });
  const by = order === 'name' ? ({ name }: Project) => name : kindOf;
  return projects
    .map((project) => ({ project, word: by(project) }))
    .sort((a, b) => compare(a.word, b.word))
    .map(({ project }) => project);
}

/** Older versions counted on each cutting table by itself: a project’s own table tells how many are made, or the one of several. */
export const gatherOlderCounts = (): Promise<void> =>
  db.transaction('rw', db.projects, db.cuttings, async () => {
    const tables = (await db.cuttings.toArray()).sort((a, b) => Number(a.id === TABLE) - Number(b.id === TABLE));
    for (const { projectId, copies } of tables.flatMap(({ needs }) => needs)) {
      if (copies <= 1) continue;
      const project = await db.projects.get(projectId);
      if (project && project.copies === undefined) await db.projects.update(projectId, { copies });
    }
  });

/** Everything that can be read, newest change first; the shelf and the bin. */
export const allProjects = async (): Promise<{ shelf: Project[]; bin: Project[] }> =>
  shelfAndBin(await readAll<Project>('projects'));

/** As many as lie on the cutting table are made. */
const countOnTable = (id: string): Pick<Project, 'copies'> => {
  const need = DEMO_TABLE.needs.find(({ projectId }) => projectId === id);
  return need ? { copies: need.copies } : {};
};

/** The examples as they come, by table. */
export const examples = (now: number) => ({
  projects: DEMO_SHELF.map((file, i): Project => ({
    ...fresh(file),
    id: `demo-${i + 1}`,
    ...countOnTable(`demo-${i + 1}`),
    createdAt: now - i * 60_000,
    updatedAt: now - i * 60_000,
  })),
  log: DEMO_LOG.map((entry, i): LogRecord => ({
    ...entry,
    id: `demo-log-${i + 1}`,
    units: 'in',
    makeId: '',
    part: '',
    projectId: '',
    addedAt: now - i,
    deletedAt: 0,
  })),
  papers: DEMO_STASH.map((paper, i): PaperRecord => ({ ...paper, from: '', addedAt: now - i, deletedAt: 0 })),
  cuts: [...DEMO_CUTS],
  cuttings: [{ ...laidOn(TABLE, null), ...DEMO_TABLE }],
});

/** Fills the shelf with the demo projects once, in the first run of a browser. */
export async function seedDemoShelf(): Promise<void> {
  await db.transaction('rw', [db.projects, db.log, db.settings, db.papers, db.cuts, db.cuttings], async () => {
    if (await db.settings.get('demo-shelf')) return;
    const now = Date.now();
    const all = examples(now);
    await db.projects.bulkAdd(all.projects);
    await db.log.bulkAdd(all.log);
    await db.papers.bulkAdd(all.papers);
    await db.cuts.bulkAdd(all.cuts);
    await db.cuttings.bulkAdd(all.cuttings);
    await db.settings.put({ key: 'demo-shelf', value: now });
  });
}

type Came = Parameters<typeof isExample>[0];
/** The tables examples stand in. */
const TABLES = ['projects', 'log', 'papers', 'cuts', 'cuttings'] as const;

/** Takes out every example that is still as it came; what the person made of one stays. */
export const clearExamples = (): Promise<void> =>
  db.transaction(
    'rw',
    TABLES.map((name) => db.table(name)),
    async () => {
      for (const name of TABLES) {
        const all = (await db.table(name).toArray()) as Came[];
        const came = (one: Came): boolean => isExample(one) || (one.id === TABLE && one.updatedAt === 0);
        await db.table(name).bulkDelete(all.filter(came).map(({ id }) => id));
      }
    },
  );

/** Puts back the examples that are not there. */
export const bringExamplesBack = (): Promise<void> =>
  db.transaction(
    'rw',
    TABLES.map((name) => db.table(name)),
    async () => {
      const all = examples(Date.now());
      for (const name of TABLES) {
        const there = new Set(await db.table(name).toCollection().primaryKeys());
        await db.table(name).bulkPut(all[name].filter(({ id }) => !there.has(id)));
      }
    },
  );

/** The tools a set is made with: its own, and those of its parts. */
const toolsOf = ({ set }: Project): readonly Tool[] => {
  const read = readSet(set);
  return read.ok ? read.set.parts.filter(({ given }) => !given).map(({ design }) => design.tool) : [];
};

/** Projects on the shelf of which a part is made with exactly that tool. */
export async function projectsWith(tool: Tool): Promise<Project[]> {
  const { shelf } = await allProjects();
  return shelf.filter((project) => toolsOf(project).some((own) => sameTool(own, tool)));
}

/** Lets projects be planned for another tool where they are for `was`; gives back what undoes it. */
export function retool(projects: readonly Project[], was: Tool, tool: Tool): () => void {
  const next = (own: SetInput['tool']): SetInput['tool'] => {
    const read = toolSchema.safeParse(own ?? COMMON_BOARD);
    return read.success && sameTool(read.data, was) ? { ...tool } : own;
  };
  const anew = projects.map((project): Project => ({
    ...project,
    set: {
      ...project.set,
      tool: next(project.set.tool),
      parts: project.set.parts.map((part) => (part.tool ? { ...part, tool: next(part.tool) } : part)),
    },
  }));
  projects.forEach((project, i) => keepProject(project.id, project, anew[i]!));
  return () => projects.forEach((project, i) => keepProject(project.id, anew[i]!, project));
}
