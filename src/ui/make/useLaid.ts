import { proxy } from 'comlink';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { piecesOf, type CutList, type Layout, type PackProgress } from '@/core/cutting';
import { setsLaid, type SetPlan, type WayOfWork } from '@/core/sets';
import { laidOn, TABLE } from '@/data/cuttings';
import type { CuttingRecord, LaidForMake, MakeRecord, Project } from '@/data/db';
import { cameWithApp } from '@/data/examples';
import { same } from '@/data/patch';
import type { CuttingWorker } from '@/workers/cutting.worker';
import { listOn } from '../cutting/listOn';
import { takenOf, type TakenOfPaper } from '../cutting/needOn';
import { useBeside } from '../parts/useBeside';
import { useAll } from '../parts/useKept';
import { useStash } from '../parts/useStash';

/** So long a choice is left alone before sheets are laid for it, ms. */
const PAUSE = 150;

/** What is told of one paper: laid, or still to be laid. */
type Laying = Omit<LaidForMake, 'layout'> & { readonly layout: Layout | null };

/** How sheets lie as soon as that is known, and a promise of it for whoever cannot wait. */
interface Laid {
  readonly laid: readonly LaidForMake[] | null;
  readonly whenLaid: () => Promise<readonly LaidForMake[]>;
}

/** The same, waited for. */
export function useLaid(...asked: Parameters<typeof useSheets>): Laid {
  const laid = useSheets(...asked);
  const now = useRef(laid);
  const waiting = useRef<((laid: readonly LaidForMake[]) => void)[]>([]);
  useEffect(() => {
    now.current = laid;
    if (laid) for (const tell of waiting.current.splice(0)) tell(laid);
  }, [laid]);
  const whenLaid = useCallback(
    () =>
      now.current
        ? Promise.resolve(now.current)
        : new Promise<readonly LaidForMake[]>((tell) => waiting.current.push(tell)),
    [],
  );
  return { laid, whenLaid };
}

/**
 * How the sheets of a project lie for a make that is to begin: as Cutting has cut them, as they were laid by hand, or laid anew beside
 * the page. Null until there is a first answer for each; what cannot be laid is left out, and each blank of it is cut by itself.
 */
function useSheets(
  project: Project,
  plan: SetPlan | null,
  copies: number,
  way: WayOfWork,
): readonly LaidForMake[] | null {
  const cuttings = useAll<CuttingRecord>('cuttings');
  const makes = useAll<MakeRecord>('makes');
  const stash = useStash();
  const known = useMemo((): readonly Laying[] | null => {
    if (!plan || !cuttings || !makes || !stash) return null;
    const taken = new Set(
      makes.records.flatMap(({ laid = [] }) => laid.flatMap(({ cut, followed = '' }) => [cut, followed])),
    );
    const tableOf = (id: string): CuttingRecord => laidOn(id, cuttings.records.find((one) => one.id === id) ?? null);
    return takenOf(plan, project).flatMap((takes): readonly Laying[] => {
      const { paper, table } = takes;
      const done = [tableOf(table), tableOf(TABLE)].flatMap(({ cut }) =>
        cut && !taken.has(cut.id) ? (cutFor(cut, takes, copies) ?? []) : [],
      )[0];
      if (done) return [{ paper, table, papers: [], ...done }];
      const sets = setsLaid(way, copies);
      const record = tableOf(table);
      if (sets === 0) return [];
      const { list, paperIds } = listOn(
        { ...record, extra: [] },
        [{ ...takes, example: cameWithApp(project), copies: sets }],
        stash,
        project.units,
      );
      // One blank is told by itself. Scissors go from piece to piece; what is cut out of a certain place is told by itself.
      if (
        !list ||
        piecesIn(list) === 1 ||
        list.cutter === 'free' ||
        list.pieces.some(({ place }) => place !== undefined)
      )
        return [];
      const own = record.byHand && same(record.byHand.list, list) ? record.byHand.layout : null;
      return [{ paper, table, list, layout: own, papers: [...paperIds], cut: '' }];
    });
  }, [project, plan, copies, way, cuttings, makes, stash]);
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

const piecesIn = ({ pieces }: CutList): number => pieces.reduce((sum, { quantity }) => sum + quantity, 0);

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
