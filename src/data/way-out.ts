import type { DesignInput } from '@/core/design';
import { setOf, withDesign } from '@/core/sets';
import { uncapitalised } from '@/core/text';
import type { MakeRecord, Project, SpoiledSheet } from './db';
import { goesOnWith, settleSheet, takeWay, takeWayBack } from './makes';
import { addProject, keepProject } from './projects';

/** A sheet that a make set aside. */
export interface Aside {
  readonly make: MakeRecord;
  readonly sheet: SpoiledSheet;
}

/** What a sheet that went wrong was to be: a copy in a make, a part of a project, or something on no shelf. */
export interface ToBe {
  readonly aside: Aside | null;
  readonly project: Project | null;
  /** The part of the set it was to be, how many there are of it, and its design as the part has it. */
  readonly part: { readonly id: string; readonly quantity: number } | null;
  readonly design: DesignInput;
  readonly units: Project['units'];
}

/** A way out, as far as it is kept. */
export interface ChosenWay {
  readonly kind: string;
  readonly title: string;
  readonly design: DesignInput;
}

/** Where one goes on with what was taken, and how it is taken back where that is a button. */
export interface WhatFollows {
  readonly to: string;
  readonly undo: { readonly key: string; readonly done: string; readonly back: () => Promise<void> } | null;
}

/** Takes a way out: the make goes on with it, the project is planned anew, or it is a project of its own. */
export async function takeWayOut(way: ChosenWay, { aside, project, part, design, units }: ToBe): Promise<WhatFollows> {
  const what = uncapitalised(way.title);
  if (aside && goesOnWith(aside.make, aside.sheet)) {
    const { make, sheet } = aside;
    const to = `/make?p=${make.projectId}`;
    // Nothing was wrong: it goes on as it was.
    if (way.kind === 'as-it-is' && !way.design.rescued) {
      settleSheet(make, sheet.at);
      return { to, undo: null };
    }
    const taken = takeWay(make, sheet, way.design);
    const back = (): Promise<void> => Promise.resolve(takeWayBack(taken, make));
    return { to, undo: { key: `${make.id} ${sheet.at}`, done: `Copy ${sheet.copy} goes on: ${what}`, back } };
  }
  if (project && part?.quantity === 1) {
    // The paper and the tool are the set’s, and other parts have them too: only the sheet is what it is.
    const taken = { ...way.design, paper: design.paper, tool: design.tool } as DesignInput;
    const was = { name: project.name, units: project.units, set: project.set };
    const is = { ...was, set: withDesign(project.set, part.id, design, taken) };
    const { id } = project;
    keepProject(id, was, is);
    const back = (): Promise<void> => Promise.resolve(keepProject(id, is, was));
    return { to: `/bench?p=${id}`, undo: { key: id, done: `“${project.name}” is planned anew: ${what}`, back } };
  }
  // Of several copies one goes its own way: it is a thing of its own.
  const from = aside?.make ?? project;
  const id = await addProject({ name: from ? `${from.name}: ${what}` : way.title, units, set: setOf(way.design) });
  if (aside) settleSheet(aside.make, aside.sheet.at);
  return { to: `/bench?p=${id}`, undo: null };
}
