import { readFileSync } from 'node:fs';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';
import { DRAWN, keyOf } from './sample.mjs';

/** Lets the changes that were drawn through to the tests; the others are put aside (as what does not compile is). */
class Drawn {
  async init() {
    this.drawn = new Set(JSON.parse(readFileSync(DRAWN, 'utf8')));
  }

  async check(mutants) {
    return Object.fromEntries(
      mutants.map((mutant) => [
        mutant.id,
        this.drawn.has(keyOf(mutant)) ? { status: 'passed' } : { status: 'compileError', reason: 'not drawn' },
      ]),
    );
  }

  // All at once: there is nothing to find out about each.
  async group(mutants) {
    return [mutants.map(({ id }) => id)];
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.Checker, 'drawn', Drawn)];
