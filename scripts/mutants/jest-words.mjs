/**
 * The tests' words (describe, test, each, expect, beforeAll) on Mocha, which keeps the loaded tests from one small change to
 * the next: so a change is tried in a blink, where Jest would load everything anew.
 */
import { expect } from 'expect';
import { bind } from 'jest-each';
import Mocha from 'mocha';

const { bdd } = Mocha.interfaces;
Mocha.interfaces.bdd = (suite) => {
  bdd(suite);
  suite.on('pre-require', (context) => {
    const { describe, it, before, after } = context;
    // What Jest takes as a third argument, a time, is not asked here.
    const group = (name, body) => describe(name, body);
    const test = (name, body) => it(name, body);
    group.each = (...rows) => bind(group, false)(...rows);
    test.each = (...rows) => bind(test, false)(...rows);
    Object.assign(context, { describe: group, test, it: test, beforeAll: before, afterAll: after, expect });
  });
};
