import type { ProjectFile } from '@/core/files';
import { readDesign } from '@/core/plan';
import { sameTool, type Tool } from '@/core/tools';
import { db, type Project } from './db';
import { loadCutting, TABLE } from './cuttings';
import { DEMO_CUTS, DEMO_LOG, DEMO_SHELF, DEMO_STASH, DEMO_TABLE } from './demo';

/** Names this open page among others that may hold the same project. */
export const THIS_PAGE = typeof crypto === 'undefined' ? 'server' : crypto.randomUUID();

const fresh = (file: Pick<ProjectFile, 'name' | 'units' | 'design'>): Project => {
  const now = Date.now();
  return { ...file, id: crypto.randomUUID(), createdAt: now, updatedAt: now, deletedAt: 0, writtenBy: THIS_PAGE };
};

/** Adds a project to the shelf and gives back its id. */
export async function addProject(file: Pick<ProjectFile, 'name' | 'units' | 'design'>): Promise<string> {
  return db.projects.add(fresh(file));
}

/** Writes what the person decided; the project must exist. Fails, loudly, when the browser has no room. */
export async function saveProject(
  id: string,
  change: Partial<Pick<Project, 'name' | 'units' | 'design'>>,
): Promise<void> {
  const changed = await db.projects.update(id, { ...change, updatedAt: Date.now(), writtenBy: THIS_PAGE });
  if (changed === 0 && !(await db.projects.get(id))) throw new Error('this project is no longer in the browser');
}

/** A copy beside the original, named so that both can be told apart. */
export async function duplicateProject(id: string): Promise<string | null> {
  const original = await db.projects.get(id);
  if (!original) return null;
  const { name, units, design } = original;
  return addProject({ name: `${name} (copy)`.slice(0, 120), units, design: structuredClone(design) });
}

/** Takes a project off the shelf; it stays in the bin until it is put back. */
export const binProject = (id: string): Promise<number> => db.projects.update(id, { deletedAt: Date.now() });
export const putBackProject = (id: string): Promise<number> => db.projects.update(id, { deletedAt: 0 });

/** Everything, newest change first; the shelf and the bin. */
export async function allProjects(): Promise<{ shelf: Project[]; bin: Project[] }> {
  const all = await db.projects.orderBy('updatedAt').reverse().toArray();
  return { shelf: all.filter((p) => p.deletedAt === 0), bin: all.filter((p) => p.deletedAt > 0) };
}

/** Fills the shelf with the demo projects once, in the first run of a browser. */
export async function seedDemoShelf(): Promise<void> {
  await db.transaction('rw', [db.projects, db.log, db.settings, db.papers, db.cuts, db.cuttings], async () => {
    if (await db.settings.get('demo-shelf')) return;
    const now = Date.now();
    await db.projects.bulkAdd(
      DEMO_SHELF.map((file, i) => ({ ...fresh(file), id: `demo-${i + 1}`, updatedAt: now - i * 60_000 })),
    );
    await db.log.bulkAdd(
      DEMO_LOG.map((entry, i) => ({
        ...entry,
        id: `demo-log-${i + 1}`,
        units: 'in' as const,
        makeId: '',
        projectId: '',
        addedAt: now - i,
        deletedAt: 0,
      })),
    );
    await db.papers.bulkAdd(DEMO_STASH.map((paper, i) => ({ ...paper, from: '', addedAt: now - i, deletedAt: 0 })));
    await db.cuts.bulkAdd([...DEMO_CUTS]);
    await db.cuttings.add({ ...(await loadCutting(TABLE)), ...DEMO_TABLE, updatedAt: now });
    await db.settings.put({ key: 'demo-shelf', value: now });
  });
}

/** Projects on the shelf whose plan is made for exactly that tool. */
export async function projectsWith(tool: Tool): Promise<Project[]> {
  const { shelf } = await allProjects();
  return shelf.filter(({ design }) => {
    const read = readDesign(design);
    return read.ok && sameTool(read.design.tool, tool);
  });
}

/** Lets projects be planned for another tool; gives back what they were, for undoing. */
export async function retool(projects: readonly Project[], tool: Tool): Promise<() => Promise<void>> {
  const before = projects.map(({ id, design }) => ({ id, design }));
  await db.transaction('rw', db.projects, async () => {
    for (const { id, design } of before) await saveProject(id, { design: { ...design, tool: { ...tool } } as never });
  });
  return async () => {
    for (const { id, design } of before) await saveProject(id, { design });
  };
}
