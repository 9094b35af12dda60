/**
 * Every importer against files that are not what they should be: each is taken or refused with sentences a person can
 * use, and what is taken can be used. Nothing throws, whatever comes.
 */
import { hostileFiles, type HostileFile } from '../../tests/helpers/hostile';
import { CONSTRUCTIONS } from '@/core/constructions';
import { readCutList } from '@/core/cutting';
import { readBackup, writeBackup } from '@/core/files/backup';
import { readLogCsv, writeLogCsv } from '@/core/files/log-csv';
import { readProject, writeProject } from '@/core/files/project';
import { CHAINS, planSet, readSet } from '@/core/sets';
import { readStashCsv, writeStashCsv } from '@/core/files/stash-csv';
import { checksOf } from '@/core/checks';
import { planFor } from '@/core/plan';
import { readDesign } from '@/core/design';
import { stepsOf } from '@/core/making';
import { sayer } from '@/core/length';
import { COMMON_TOOLBOX } from '@/core/tools';
import { readRecord } from './records';

/** Files for each importer; `HOSTILE=5000 npx jest hostile` for more of them. */
const COUNT = Number(process.env.HOSTILE ?? 600);
const text = ({ bytes }: HostileFile): string => new TextDecoder().decode(bytes);

/** A sentence for a person: it says something, not too much, and nothing of the machine. */
function expectSentences(sentences: readonly string[], how: string): void {
  const said = sentences.join(' ');
  expect({ how, said, some: sentences.length > 0 }).toEqual({ how, said, some: true });
  for (const sentence of sentences)
    expect({ how, ends: /[.!?…)]$/u.test(sentence.trim()), sentence }).toEqual({ how, ends: true, sentence });
  expect({ how, length: said.length < 6000 }).toEqual({ how, length: true });
  expect(said).not.toMatch(
    /undefined|\[object|SyntaxError|TypeError|RangeError|Unexpected token|at position \d|\bZod|Invalid (input|option)/u,
  );
  // What a file says is never put before a person as something that turns the text about or rings a bell.
  expect(said).not.toMatch(/[\u0000-\u0008\u000b-\u001f\u202a-\u202e\u2066-\u2069]|\p{Cs}/u);
}

const design = {
  version: 1,
  construction: 'diagonal-envelope',
  contents: { width: 90, height: 120, thickness: 1 },
  paper: { caliper: 0.3 },
  tool: { kind: 'ruler', notch: 20 },
  graduation: '1/16 in',
  options: { 'flap-style': 'blunt' },
  decorate: ['front'],
  companions: ['liner'],
};
const designs = [
  design,
  { ...design, tool: { kind: 'scoring-board' }, options: {} },
  ...CONSTRUCTIONS.map(({ name }) => ({
    version: 1,
    construction: name,
    contents: { width: 80, height: 110, thickness: 2 },
  })),
];

test('designs', () => {
  let taken = 0;
  for (const file of hostileFiles({ documents: designs }, 1, COUNT)) {
    let document: unknown;
    try {
      document = JSON.parse(text(file));
    } catch {
      continue;
    }
    const read = readDesign(document);
    if (!read.ok) {
      expectSentences(
        read.issues.map(({ message }) => message),
        file.how,
      );
      continue;
    }
    taken++;
    const plan = planFor(read.design);
    checksOf(plan);
    if (plan.made) stepsOf(plan, sayer('in', read.design.graduation));
  }
  expect(taken).toBeGreaterThan(COUNT / 50);
});

test('project files', () => {
  const projects = designs.map((one) => ({
    format: 'tuck-fold-project',
    version: 1,
    name: 'Lantern',
    units: 'mm',
    design: one,
  }));
  const sets = CHAINS.map((chain) => ({
    format: 'tuck-fold-project',
    version: 2,
    name: 'Lantern',
    units: 'mm',
    set: chain.set(chain.usual),
  }));
  let taken = 0;
  for (const file of hostileFiles({ documents: [...projects, ...sets] }, 2, COUNT)) {
    const read = readProject(text(file));
    if (!read.ok) {
      expectSentences(
        read.issues.map(({ message }) => message),
        file.how,
      );
      continue;
    }
    taken++;
    expect(readProject(writeProject(read.project))).toEqual(read);
    const checked = readSet(read.project.set);
    expect(checked.ok).toBe(true);
    if (checked.ok) planSet(checked.set);
  }
  expect(taken).toBeGreaterThan(COUNT / 100);
});

test('tables of makes', () => {
  const tables = [
    'day,name,holder,width,height,thickness,room width,room height,fit width,off width,copies,minutes,paper,note\n2026-03-21,Star cards,diagonal-envelope,76.2,101.6,0,4.6,-1.2,tight,3.18,6,35.5,midnight,\n2026-03-22,Moon,coin-envelope,80,110,1,,,right,,1,5,kraft,"two, or three"\n',
    '"day";"name";"holder";"width";"height"\n"2026-03-21";"Star";"Diagonal envelope";"3 1/2 in";"5 in"\n',
  ];
  let taken = 0;
  for (const file of hostileFiles({ tables }, 3, COUNT)) {
    const read = readLogCsv(text(file));
    if (!read.ok) {
      expectSentences([read.message], file.how);
      continue;
    }
    for (const line of [...read.parts()].flat())
      if ('entry' in line) {
        taken++;
        const again = readLogCsv(writeLogCsv([line.entry]));
        expect(again.ok && [...again.parts()].flat()[0]).toMatchObject({
          entry: { name: line.entry.name, note: line.entry.note },
        });
        const kept = { ...line.entry, id: 'x', units: 'mm', makeId: '', projectId: '', addedAt: 1, deletedAt: 0 };
        expect(readRecord('log', kept)).toMatchObject({ ok: true });
      } else expectSentences(line.problems, file.how);
  }
  expect(taken).toBeGreaterThan(COUNT / 10);
});

test('tables of papers', () => {
  const tables = [
    'name,width,height,count,caliper,sided,directional,colour,price,note\nkraft,210,297,4,0.3,1,no,#c8a06c,0.4,\nmidnight,12 in,12 in,2,300 gsm,2,yes,#123456,,""\n',
    'name\twidth\theight\nstar\t8 1/2\t11\n',
  ];
  let taken = 0;
  for (const file of hostileFiles({ tables }, 4, COUNT)) {
    const read = readStashCsv(text(file), 'in');
    if (!read.ok) {
      expectSentences([read.message], file.how);
      continue;
    }
    for (const line of [...read.parts()].flat())
      if ('paper' in line) {
        taken++;
        const again = readStashCsv(writeStashCsv([line.paper]), 'in');
        expect(again.ok && [...again.parts()].flat()[0]).toMatchObject({ paper: { name: line.paper.name } });
        const kept = { ...line.paper, id: 'x', offcut: false, from: '', addedAt: 1, deletedAt: 0 };
        expect(readRecord('papers', kept)).toMatchObject({ ok: true });
      } else expectSentences(line.problems, file.how);
  }
  expect(taken).toBeGreaterThan(COUNT / 10);
});

test('cut lists', () => {
  const list = {
    version: 1,
    sheets: [
      { name: 'kraft', width: 305, height: 305, kerf: 0.5, trim: 3, priority: 1 },
      { name: 'star', width: 210, height: 297, count: 4, directional: true },
    ],
    pieces: [
      { name: 'mat', width: 90, height: 120, quantity: 4 },
      { name: 'tag', width: 30, height: 60, quantity: 12, turn: false },
    ],
    cutter: 'guillotine',
    keep: 25,
  };
  let taken = 0;
  for (const file of hostileFiles({ documents: [list] }, 5, COUNT)) {
    let document: unknown;
    try {
      document = JSON.parse(text(file));
    } catch {
      continue;
    }
    const read = readCutList(document);
    if (!read.ok) {
      expectSentences(
        read.issues.map(({ message }) => message),
        file.how,
      );
      continue;
    }
    taken++;
    expect(read.list.pieces.reduce((sum, { quantity }) => sum + quantity, 0)).toBeLessThanOrEqual(2000);
    expect(readCutList(JSON.parse(JSON.stringify(read.list)))).toEqual(read);
  }
  expect(taken).toBeGreaterThan(COUNT / 50);
});

test('backups', () => {
  const project = { id: 'p', name: 'Star', units: 'in', design, createdAt: 1, updatedAt: 2, deletedAt: 0 };
  const good = writeBackup({
    writtenAt: 1,
    dataVersion: 4,
    tables: { projects: [project], settings: [{ key: 'units', value: 'mm' }] },
    photos: new Map([['p', new Uint8Array(400).fill(7)]]),
  });
  let refused = 0;
  for (const file of hostileFiles({ bytes: [good] }, 6, COUNT)) {
    const read = readBackup(file.bytes);
    if (!read.ok) {
      refused++;
      expectSentences([read.message], file.how);
    } else {
      // A bit that is turned where it says nothing, or what follows a whole file: the content must be the very same.
      expect(read.backup.tables.projects).toEqual([project]);
      expect(read.backup.photos.get('p')).toEqual(new Uint8Array(400).fill(7));
    }
  }
  expect(refused).toBeGreaterThan(COUNT / 2);
});

test('records as a foreign or damaged backup brings them', () => {
  const records = {
    projects: { id: 'p', name: 'Star', units: 'in', design, createdAt: 1, updatedAt: 2, deletedAt: 0 },
    makes: {
      id: 'm',
      projectId: 'p',
      name: 'Star',
      units: 'in',
      design,
      copies: 2,
      way: 'together',
      done: 1,
      spent: 5,
      startedAt: 1,
      updatedAt: 2,
      endedAt: 0,
      spoiled: [],
    },
    settings: { key: 'toolbox', value: COMMON_TOOLBOX },
    cuts: {
      id: 'c',
      name: 'x',
      at: 1,
      sheets: 1,
      paper: 1,
      pieces: 1,
      kept: 0,
      saved: 0,
      cost: 0,
      savedCost: 0,
      taken: [],
      added: [],
      undoneAt: 0,
    },
  } as const;
  for (const [table, record] of Object.entries(records) as [keyof typeof records, object][]) {
    expect(readRecord(table, record)).toMatchObject({ ok: true });
    for (const file of hostileFiles({ documents: [record] }, 7, COUNT / 4)) {
      let raw: unknown;
      try {
        raw = JSON.parse(text(file));
      } catch {
        continue;
      }
      const read = readRecord(table, raw);
      if (!read.ok)
        expect({ how: file.how, why: read.why }).toEqual({ how: file.how, why: expect.stringMatching(/\S/) });
    }
  }
});
