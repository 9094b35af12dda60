import { useMemo } from 'react';
import { paperSpent } from '@/core/cutting';
import { asSold, materialsOf, materialsTogether, materialWords } from '@/core/making';
import { cutListOf, minutesOf, walkOf, type SetPlan } from '@/core/sets';
import type { LaidForMake, Project } from '@/data/db';
import { laidPapers } from '@/data/makes';
import { useUnits } from '../parts/InUnits';
import { timeSaid } from '../parts/titles';
import { useMoney } from '../parts/useMoney';
import { usePace } from '../parts/usePace';
import { useStashPapers } from '../parts/useStash';
import { Words } from '../parts/Words';
import { paperName } from './needOn';
import { useSheets } from './useSheets';
import styles from './Shopping.module.css';

interface ShoppingProps {
  readonly project: Project;
  readonly plan: SetPlan;
  readonly copies: number;
}

/** All that so many of a project take: sheets by paper, as they are laid out, what there is and what to buy, everything else, hours. */
export function Shopping({ project, plan, copies }: ShoppingProps) {
  const { say } = useUnits();
  const money = useMoney();
  const pace = usePace();
  const stash = useStashPapers();
  const laid = useSheets(project, plan, copies, copies);
  const one = useMemo(() => [{ plan, copies }], [plan, copies]);
  const minutes = useMemo(
    () => minutesOf(walkOf(plan, say, copies, 'by-setting', laidPapers({ laid: laid ?? [] }))),
    [plan, say, copies, laid],
  );
  const cost = (laid ?? []).reduce((sum, { list, layout, papers }) => {
    const ids = new Map(papers);
    return sum + paperSpent(list, layout, (sheet) => stash.find(({ id }) => id === ids.get(sheet))).cost;
  }, 0);
  return (
    <section className={styles.shopping} aria-label="All it takes">
      <table aria-label="Papers it takes">
        <thead>
          <tr>
            <th scope="col">Paper</th>
            <th scope="col">Pieces</th>
            <th scope="col">Sheets</th>
            <th scope="col">At hand</th>
            <th scope="col">To buy</th>
          </tr>
        </thead>
        <tbody>
          {cutListOf(plan, copies).map(({ paper: id, pieces }) => {
            const paper = plan.set.papers.find((one) => one.id === id);
            const row = sheetsOf(
              laid?.find((one) => one.paper === id),
              paper?.count,
              (one) => stash.find((own) => own.id === one)?.count ?? 0,
            );
            return (
              <tr key={id} data-paper={id}>
                <th scope="row">
                  {paperName(plan, id)}
                  {paper?.width !== undefined && paper.height !== undefined && (
                    <small>
                      {' '}
                      <Words>
                        {say(paper.width)} × {say(paper.height)}
                      </Words>
                    </small>
                  )}
                </th>
                <td>{pieces.reduce((sum, { quantity, gives = 1 }) => sum + Math.ceil(quantity / gives), 0)}</td>
                <td>{row ? row.sheets : '…'}</td>
                <td>{row?.cut ? 'cut already' : (row?.has ?? 'not counted')}</td>
                <td data-short={(row && row.buy > 0) || undefined}>{row && row.buy > 0 ? row.buy : ''}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <ul>
        <Besides of={one} />
        <li>
          {timeSaid(minutes * pace)} {pace === 1 ? 'by usual figures' : 'at your own pace'}
          {cost > 0 && `, paper for one: ${money(cost / copies)}`}
        </li>
      </ul>
    </section>
  );
}

/** What some sets take besides paper, as it is bought: a line each. */
export function Besides({ of }: { readonly of: readonly { readonly plan: SetPlan; readonly copies: number }[] }) {
  const { units, say } = useUnits();
  const all = useMemo(
    () =>
      materialsTogether(
        of.flatMap(({ plan, copies }) =>
          plan.parts.flatMap(({ part, plan: { made, design } }) =>
            made ? materialsOf(made, design).map((one) => ({ one, times: part.quantity * copies })) : [],
          ),
        ),
      ),
    [of],
  );
  return all.map((one, i) => (
    <li key={i}>
      <Words>{materialWords(asSold(one, units), 1, say, units)}</Words>
    </li>
  ));
}

/** What one paper takes: sheets, those that lie there, and those to buy; null while they are laid out. */
function sheetsOf(
  laid: LaidForMake | undefined,
  counted: number | undefined,
  inStash: (paper: string) => number,
): { readonly sheets: number; readonly has: number | null; readonly buy: number; readonly cut: boolean } | null {
  if (!laid) return null;
  const papers = new Map(laid.papers);
  const cut = laid.cut !== '';
  if (cut) return { sheets: laid.layout.sheets.length, has: null, buy: 0, cut };
  const { sheets } = laid.layout;
  const bought = sheets.filter(({ sheet }) => !papers.has(sheet)).length;
  const own = [...new Set(papers.values())];
  if (own.length > 0)
    return { sheets: sheets.length, has: own.reduce((sum, one) => sum + inStash(one), 0), buy: bought, cut };
  return { sheets: sheets.length, has: counted ?? null, buy: Math.max(0, bought - (counted ?? 0)), cut };
}
