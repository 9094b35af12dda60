import { proxy } from 'comlink';
import { useMemo } from 'react';
import { piecesOf, type CutList, type Layout, type PackProgress } from '@/core/cutting';
import type { SetPlan } from '@/core/sets';
import { laidOn, TABLE } from '@/data/cuttings';
import type { CuttingRecord, LaidForMake, MakeRecord, Project } from '@/data/db';
import { laidIn } from '@/data/makes';
import { cameWithApp } from '@/data/examples';
import { same } from '@/data/patch';
import type { CuttingWorker } from '@/workers/cutting.worker';
import { useBeside } from '../parts/useBeside';
import { useAll } from '../parts/useKept';
import { useStash } from '../parts/useStash';
import { listOn } from './listOn';
import { takenOf, type TakenOfPaper } from './needOn';

/** So long a choice is left alone before sheets are laid for it, ms. */
const PAUSE = 60;

/** What is told of one paper: laid, or still to be laid. */
type Laying = Omit<LaidForMake, 'layout'> & { readonly layout: Layout | null };

/**
 * How the sheets of a project lie, paper by paper: as Cutting has cut them for `copies` and no make took it yet, as they were laid by
 * hand, or laid anew beside the page for so many `sets` (none for 0). Null until there is a first answer for each; what cannot be laid
 * is left out.
 */
export function useSheets(
  project: Project,
  plan: SetPlan | null,
  copies: number,
  sets: number,
): readonly LaidForMake[] | null {
  const cuttings = useAll<CuttingRecord>('cuttings');
  const makes = useAll<MakeRecord>('makes');
  const stash = useStash();
  const known = useMemo((): readonly Laying[] | null => {
    if (!plan || !cuttings || !makes || !stash) return null;
    // One that was given up before its blanks were touched leaves them to the next.
    const taken = new Set(
      makes.records
        .filter(({ endedAt, done, finished, laid = [] }) => endedAt === 0 || finished === true || done > laid.length)
        .flatMap((make) => laidIn(make).flatMap(({ cut, followed = '' }) => [cut, followed])),
    );
    const tableOf = (id: string): CuttingRecord => laidOn(id, cuttings.records.find((one) => one.id === id) ?? null);
    return takenOf(plan, project).flatMap((takes): readonly Laying[] => {
      const { paper, table } = takes;
      const done = [tableOf(table), tableOf(TABLE)].flatMap(({ cut }) =>
        cut && !taken.has(cut.id) ? (cutFor(cut, takes, copies) ?? []) : [],
      )[0];
      if (done) return [{ paper, table, papers: [], ...done }];
      const record = tableOf(table);
      if (sets === 0) return [];
      const { list, paperIds } = listOn(
        { ...record, extra: [] },
        [{ ...takes, example: cameWithApp(project), copies: sets }],
        stash,
        project.units,
      );
      if (!list) return [];
      const own = record.byHand && same(record.byHand.list, list) ? record.byHand.layout : null;
      return [{ paper, table, list, layout: own, papers: [...paperIds], cut: '' }];
    });
  }, [project, plan, copies, sets, cuttings, makes, stash]);
  const open = useMemo(() => known?.flatMap(({ list, layout }) => (layout ? [] : [list])) ?? [], [known]);
  const { told, trouble } = useBeside<CuttingWorker, readonly Layout[]>({
    key: open.length > 0 ? JSON.stringify(open) : null,
    pause: PAUSE,
    make: () => new Worker(new URL('../../workers/cutting.worker.ts', import.meta.url), { type: 'module' }),
    job: async (remote, tell) => {
      const layouts = await Promise.all(open.map((list) => remote.first(list)));
      tell([...layouts]);
      for (const [i, list] of open.entries())
        await remote.lay(
          list,
          proxy(({ layout }: PackProgress) => {
            layouts[i] = layout;
            tell([...layouts]);
          }),
        );
      return null;
    },
  });
  return useMemo(() => {
    if (!known || (open.length > 0 && !told && trouble === null)) return null;
    return known.flatMap(({ layout, ...paper }): readonly LaidForMake[] => {
      const found = layout ?? told?.[open.indexOf(paper.list)];
      return found ? [{ ...paper, layout: found }] : [];
    });
  }, [known, open, told, trouble]);
}

/** What a cutting that was carried out gives of what so many copies take: its sheets, by this project’s own names; null where it is not enough. */
function cutFor(
  cut: { readonly id: string; readonly list: CutList; readonly layout: Layout },
  takes: TakenOfPaper,
  copies: number,
): Pick<LaidForMake, 'list' | 'layout' | 'cut'> | null {
  const needed = piecesOf([{ ...takes, copies }]);
  for (const before of ['', `${takes.name}: `]) {
    const own = new Map(needed.map((piece) => [`${before}${piece.name}`, piece]));
    const sheets = cut.layout.sheets
      .map((sheet) => ({
        ...sheet,
        placements: sheet.placements.flatMap((one) => {
          const piece = own.get(one.piece);
          return piece ? [{ ...one, piece: piece.name }] : [];
        }),
      }))
      .filter(({ placements }) => placements.length > 0);
    const laid = sheets.flatMap(({ placements }) => placements);
    const enough = needed.every(
      ({ name, width, height, quantity }) =>
        laid.filter(
          (one) =>
            one.piece === name &&
            HAIR >
              Math.abs(one.width + one.height - width - height) +
                Math.abs(Math.max(one.width, one.height) - Math.max(width, height)),
        ).length >= quantity,
    );
    if (enough)
      return {
        cut: cut.id,
        list: { ...cut.list, pieces: needed },
        layout: { ...cut.layout, sheets, sheetsUsed: sheets.length },
      };
  }
  return null;
}
/** A blank is that blank as long as it is no further from its size, mm. */
const HAIR = 0.05;
