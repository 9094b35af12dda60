import { planDocument } from '../document';
import type { WaysOut } from './ways';

/** The ways out as the contract has them: lengths in millimetres, each with its whole plan. */
export const rescueAnswer = ({ sheet, ways, mistakes, done }: WaysOut): object => ({
  version: 1,
  // Below 1 there was no time for the rest: what is here is the best of what was tried.
  sought: done,
  ways: ways.map(({ kind, title, design, keeps, room, scars, cost, text, plan }) => ({
    kind,
    title,
    design,
    keeps,
    room,
    scars: scars.map(({ what, ends, panel }) => ({ what, ends, panel })),
    cost,
    text,
    plan: planDocument(plan),
  })),
  sheet: {
    outline: sheet.paper.map((ring) => ring.map(({ x, y }) => [x, y])),
    scores: sheet.marks.flatMap(({ kind, lines }) =>
      kind === 'score' ? lines.map(({ from, to }) => [from.x, from.y, to.x, to.y]) : [],
    ),
    notches: sheet.marks.flatMap(({ kind, gone }) =>
      kind === 'notch' ? gone.map((ring) => ring.map(({ x, y }) => [x, y])) : [],
    ),
  },
  mistakes: mistakes.map(({ mistake, text }) => ({ mistake, text })),
});
