import { Button } from 'antd';
import { useMemo } from 'react';
import {
  isUpright,
  openPrintMap,
  printMap,
  printOn,
  printStands,
  turnedUpright,
  turnFor,
  type Showing,
} from '@/core/looks';
import { paperOf, type Design, type DesignChange } from '@/core/design';
import type { Made } from '@/core/plan';
import styles from './PrintTable.module.css';

interface PrintTableProps {
  readonly made: Made;
  readonly design: Design;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** Which side of the sheet shows where, and which way up the print stands: of the finished thing, opened, page by page. */
export function PrintTable({ made, design, onChange }: PrintTableProps) {
  const open = useMemo(() => openPrintMap(made, design), [made, design]);
  const closed = useMemo(() => printMap(made, design), [made, design]);
  const paper = ({ piece }: Showing): Design['paper'] => paperOf(design, piece);
  const own = new Set(made.pieces.map(({ piece }) => piece.name));
  const shows = [...closed, ...open].filter((one) => {
    const { directional, sided } = paper(one);
    return own.has(one.piece) && (directional || sided === 1);
  });
  if (shows.length === 0) return null;
  const directional = shows.some((one) => paper(one).directional);
  const upright = directional && made.pieces.length > 1 ? turnedUpright(made, design) : null;
  const only = made.pieces.length === 1;
  const turn = ({ piece }: Showing, turns: Design['paper']['turn']): void =>
    onChange(
      only ? { paper: { ...design.paper, turn: turns } } : { turns: { ...design.turns, [piece]: turns } },
      'paper-turn',
    );
  return (
    <section className={styles.print} aria-label="What of the print shows">
      {upright && <Button onClick={() => onChange(upright, 'paper-turn')}>Turn every piece upright</Button>}
      <table>
        <thead>
          <tr>
            <th>shows</th>
            <th>on the</th>
            <th>side</th>
            {directional && <th>print</th>}
          </tr>
        </thead>
        <tbody>
          {shows.map((one) => (
            <tr key={`${one.face}-${one.panel}`}>
              <td>{one.name}</td>
              <td>{one.face}</td>
              <td>{one.side === 'outside' ? 'outside' : paper(one).sided === 1 ? 'plain inside' : 'inside'}</td>
              {directional && (
                <td className={isUpright(one) ? undefined : styles.wrong}>
                  {printOn(made, design, one) === null ? '' : printStands(one.turn)}
                  <MakeUpright showing={one} now={paper(one).turn} onTurn={(to) => turn(one, to)} />
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Turns the blank so that this very panel reads upright, where a turn can do that. */
function MakeUpright({
  showing,
  now,
  onTurn,
}: {
  readonly showing: Showing;
  readonly now: Design['paper']['turn'];
  readonly onTurn: (turn: Design['paper']['turn']) => void;
}) {
  const turn = turnFor(showing, now);
  if (turn === null || turn === now) return null;
  return (
    <Button
      size="small"
      type="link"
      aria-label={`Turn the blank so that the ${showing.name} on the ${showing.face} reads upright`}
      onClick={() => onTurn(turn)}
    >
      turn it upright
    </Button>
  );
}
