import { spawnSync } from 'node:child_process';
import type { Command, Said } from '../../scripts/document';

/** Runs a script as the contract names it, in a process of its own: a second or two each. */
export function started(script: string, input: string, ...args: string[]): Said {
  const { status, stdout, stderr } = spawnSync('node_modules/.bin/tsx', [`scripts/${script}.ts`, ...args], {
    input,
    encoding: 'utf8',
  });
  return { status: status ?? -1, out: stdout, err: stderr };
}

/** Runs a command line here. */
export const asked = (command: Command, input: string, ...args: string[]): Promise<Said> => command(args, () => input);
