import type { Project } from '@/data/db';
import { fileName } from './download';

/**
 * A project as a file to take along, whatever is in it: also one that no screen can show. One that can be read is a
 * project file like any other.
 */
export const projectAlong = ({ name, units, set }: Pick<Project, 'name' | 'units' | 'set'>) => ({
  name: fileName(String(name), 'json'),
  content: () =>
    `${JSON.stringify({ format: 'tuck-fold-project', version: 2, name: String(name).trim() || 'Untitled', units, set }, null, 2)}\n`,
});
