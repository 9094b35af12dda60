import type { Project } from '@/data/db';
import { examples } from '@/data/projects';
import { readRecord } from '@/data/records';
import { cardOf, type Card } from './card';

/** The examples’ cards by their sets as the shelf reads them, and the version that drew them. */
export interface ExampleCards {
  readonly by: string;
  readonly cards: readonly (readonly [set: string, card: Card])[];
}

/** Draws the examples’ cards, here and now. */
export const exampleCards = (): ExampleCards => ({
  by: process.env.DRAWN_BY ?? '',
  cards: examples(0).projects.map((project) => {
    // A record that was read has its fields in the order of its shape: by that a card is asked for.
    const read = readRecord('projects', project);
    if (!read.ok) throw new Error(`The example “${project.name}” cannot be read: ${read.why}`);
    const { set } = read.record as unknown as Project;
    return [JSON.stringify(set), cardOf(set)];
  }),
});
