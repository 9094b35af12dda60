import { Button } from 'antd';
import { Link } from '../parts/Link';
import { mm } from '@/core/length';
import type { MakeRecord, SpoiledSheet } from '@/data/db';
import { setAsideOf, settleSheet } from '@/data/makes';
import { ringsPath } from '../draw/path';
import { InUnits, useUnits } from '../parts/InUnits';
import { useTell } from '../parts/useTell';
import styles from './Shelf.module.css';

/** So many are shown, the last first. */
const SHOWN = 12;

/** Sheets that went wrong in a make and were set aside: nothing became of them yet. */
export function SheetsAside({ makes }: { readonly makes: readonly MakeRecord[] }) {
  const aside = setAsideOf(makes).slice(0, SHOWN);
  if (aside.length === 0) return null;
  return (
    <section className={styles.aside} aria-label="Sheets set aside">
      <h2>Sheets set aside</h2>
      <ul>
        {aside.map(({ make, sheet }) => (
          <InUnits key={`${make.id} ${sheet.at}`} units={make.units} graduation="exact">
            <AsideSheet make={make} sheet={sheet} />
          </InUnits>
        ))}
      </ul>
    </section>
  );
}

function AsideSheet({ make, sheet }: { readonly make: MakeRecord; readonly sheet: SpoiledSheet }) {
  const { say } = useUnits();
  const { undoable } = useTell();
  const { width, height } = sheet.blank;
  const what = `The ${sheet.piece} of “${make.name}”`;
  const putAway = (): void => {
    settleSheet(make, sheet.at);
    undoable({
      key: `${make.id} ${sheet.at}`,
      done: `${what} is put away`,
      back: () => Promise.resolve(settleSheet({ ...make, spoiled: settled(make, sheet) }, sheet.at, false)),
    });
  };
  return (
    <li>
      <Drawn sheet={sheet} />
      <p>
        <strong>{what}</strong>
        <br />
        {say(mm(width))} × {say(mm(height))}, copy {sheet.copy}, went wrong at step {sheet.step}
      </p>
      <Link href={`/rescue?${new URLSearchParams({ make: make.id, sheet: String(sheet.at) }).toString()}`}>
        Find a way out for it
      </Link>
      <Button size="small" type="text" onClick={putAway}>
        Put it away
      </Button>
    </li>
  );
}

/** The make as it is once a sheet is put away. */
const settled = ({ spoiled }: MakeRecord, sheet: SpoiledSheet): readonly SpoiledSheet[] =>
  spoiled.map((one) => (one.at === sheet.at ? { ...one, settled: true } : one));

/** Side of the drawing, px. */
const SIDE = 92;

/** The sheet as it was set aside: what is left of it, and its scores; what older versions wrote is a plain sheet. */
function Drawn({ sheet: { blank, drawn, piece } }: { readonly sheet: SpoiledSheet }) {
  const { width, height } = blank;
  const scale = (SIDE - 8) / Math.max(width, height);
  const place = ({ x, y }: { readonly x: number; readonly y: number }): readonly [number, number] => [
    4 + x * scale,
    4 + (height - y) * scale,
  ];
  const paper = drawn?.paper.map((ring) => ring.map(([x, y]) => ({ x, y }))) ?? [
    [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
  ];
  return (
    <svg
      width={width * scale + 8}
      height={height * scale + 8}
      role="img"
      aria-label={`The ${piece} as it was set aside`}
      className={styles.drawing}
    >
      <path d={ringsPath(paper, place)} fillRule="evenodd" className={styles.paper} />
      {drawn?.scores.map(([x1, y1, x2, y2], i) => {
        const [[a, b], [c, d]] = [place({ x: x1, y: y1 }), place({ x: x2, y: y2 })];
        return <line key={i} x1={a} y1={b} x2={c} y2={d} className={styles.fold} />;
      })}
    </svg>
  );
}
