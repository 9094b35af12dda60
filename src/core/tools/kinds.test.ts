/** The kinds of tool are written by hand as types: here what is read, owned and said is held to them, kind by kind. */
import { inches, mm, sayer } from '../length';
import type { ToolFaults, ToolLimitFacts } from './fault';
import { kitOf } from './registry';
import { faultWords, freshTool, kitSchema, TOOL_WORDS, TOOLS, toolSchema, type OwnTool, type Tool } from '.';

/** What a design's tool is where nothing is told: every figure of its type. */
const USUAL: { readonly [Kind in Tool['kind']]: Required<Extract<Tool, { kind: Kind }>> } = {
  'envelope-board': {
    kind: 'envelope-board',
    notch: inches(3 / 4),
    offset: mm(0),
    rulerEnd: inches(5),
    grooveEnd: inches(7),
  },
  'scoring-board': { kind: 'scoring-board', length: inches(12), pitch: mm(5), notch: inches(3 / 4) },
  'edge-board': {
    kind: 'edge-board',
    scoreFrom: inches(1 / 2),
    relief: inches(1 / 4),
    offset: mm(0),
    notch: inches(3 / 4),
  },
  ruler: { kind: 'ruler', notch: inches(3 / 4) },
};
test.each(Object.values(USUAL).map((tool) => [tool.kind, tool] as const))(
  'a design’s %s has the figures of its type',
  (kind, usual) => {
    expect(toolSchema.parse(usual)).toEqual(usual);
    expect({ ...('pitch' in usual && { pitch: usual.pitch }), ...toolSchema.parse({ kind }) }).toEqual(usual);
  },
);

/** What an owned tool is when it is new. */
const FRESH: { readonly [Kind in OwnTool['kind']]: Omit<Extract<OwnTool, { kind: Kind }>, 'id' | 'name' | 'out'> } = {
  'envelope-board': {
    kind: 'envelope-board',
    notch: inches(3 / 4),
    offset: mm(0),
    rulerEnd: inches(5),
    grooveEnd: inches(7),
  },
  'scoring-board': { kind: 'scoring-board', length: inches(12), pitch: inches(1 / 8) },
  'edge-board': { kind: 'edge-board', scoreFrom: inches(1 / 2), relief: inches(1 / 4), offset: mm(0) },
  ruler: { kind: 'ruler', length: inches(18) },
  trimmer: { kind: 'trimmer', longest: inches(12) },
  punch: { kind: 'punch', diameter: inches(1) },
  'corner-rounder': { kind: 'corner-rounder', radius: inches(1 / 4) },
};
test('every kind there is can be owned, and has the figures of its type', () => {
  expect(TOOLS.map(({ kind }) => kind).sort()).toEqual(Object.keys(FRESH).sort());
  for (const fresh of Object.values(FRESH))
    expect(freshTool(fresh.kind, 'Mine', 'one')).toEqual({ ...fresh, id: 'one', name: 'Mine', out: true });
});

test('what lies on the table besides is read by its kind', () => {
  const box = Object.values(FRESH).map(({ kind }) => freshTool(kind, 'Mine', kind));
  const kit = { trimmer: inches(12), ruler: inches(18), punches: [inches(1)], rounders: [inches(1 / 4)] };
  expect(kitOf(box)).toEqual(kit);
  expect(kitSchema.parse(kit)).toEqual(kit);
});

/** Every fault, with what it needs. */
const FAULTS: { readonly [Code in keyof ToolFaults]: ToolFaults[Code] } = {
  'not-laid': {},
  'ruler-ends': { at: 10 },
  'no-mark': { edge: 2, at: 10 },
  'pointer-meets-nothing': {},
  'board-ends': { at: 10 },
  'no-groove': { at: 10 },
  'guide-meets-nothing': { edge: 2, at: 10 },
};
/** Every finding. */
const FACTS: { readonly [Kind in keyof ToolLimitFacts]: true } = {
  'ruler-end': true,
  'groove-end': true,
  'slanted-scores': true,
  'board-end': true,
  'between-grooves': true,
};
test('every fault and every finding of a tool has its words', () => {
  const say = sayer('mm', '1 mm');
  for (const [code, about] of Object.entries(FAULTS)) {
    const words = faultWords({ code, ...about } as never, say);
    expect(words.length).toBeGreaterThan(10);
    expect(words).not.toMatch(/undefined|NaN/);
    if ('at' in about) expect(words).toContain('10 mm');
  }
  expect(Object.keys(TOOL_WORDS).sort()).toEqual(Object.keys(FACTS).sort());
});
