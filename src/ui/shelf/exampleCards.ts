import type { Project } from '@/data/db';
import { examples } from '@/data/projects';
import { readRecord } from '@/data/records';
import { cardOf, type Card } from './card';

/** The examples' cards by their sets as the shelf reads them: that is what a card is asked for by. */
export const exampleCards = (): [string, Card][] =>
  examples(0).projects.map((project) => {
    const read = readRecord('projects', project);
    if (!read.ok) throw new Error(`The example “${project.name}” cannot be read: ${read.why}`);
    const { set } = read.record as unknown as Project;
    return [JSON.stringify(set), cardOf(set)];
  });
