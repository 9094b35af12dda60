import { z } from '../text/zod';
import { inches } from '../length';
import type { OwnTool, Tool } from './kinds';
import { freshTool, ownToolSchema, toolOf } from './registry';

/** Most tools of one table. */
export const MOST_TOOLS = 200;
export const toolboxSchema = z.array(ownToolSchema).max(MOST_TOOLS);
export type Toolbox = readonly OwnTool[];

/** What a table usually has: a maker's own takes its place. */
export const COMMON_TOOLBOX: Toolbox = [
  freshTool('envelope-board', 'Envelope board', 'envelope-board'),
  freshTool('scoring-board', 'Scoring board', 'scoring-board'),
  freshTool('trimmer', 'Trimmer', 'trimmer'),
  freshTool('ruler', 'Steel ruler', 'ruler'),
  freshTool('punch', '1 in punch', 'punch-1'),
  freshTool('punch', '1/8 in hole punch', 'punch-1-8', { diameter: inches(1 / 8) }),
  freshTool('corner-rounder', '1/4 in corner rounder', 'corner-rounder'),
];

/** What may be told anew of a tool: its figures, its name, whether it is out. */
export type ToolChange = Readonly<Record<string, number | string | boolean>>;

/** The tools with something of one told anew; all else of it is as it stands in the list, whoever changed it last. */
export const withChanged = (toolbox: Toolbox, id: string, change: ToolChange): Toolbox =>
  toolbox.map((tool) => (tool.id === id ? ({ ...tool, ...change } as OwnTool) : tool));

/** The boards that are out today, with the tool each makes of a plan. */
export const boardsOf = (toolbox: Toolbox): readonly { readonly own: OwnTool; readonly tool: Tool }[] =>
  toolbox.flatMap((own) => {
    const tool = own.out ? toolOf(own) : null;
    return tool ? [{ own, tool }] : [];
  });
