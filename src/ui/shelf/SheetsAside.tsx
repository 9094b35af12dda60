import { Button } from 'antd';
import { Link } from '../parts/Link';
import type { MakeRecord, SpoiledSheet } from '@/data/db';
import { setAsideOf, settleSheet } from '@/data/makes';
import { mm } from '@/core/length';
import { blankPolygon } from '@/core/pattern';
import { scarredScene, STYLE } from '@/core/scene';
import { SmallPicture } from '../draw/SmallPicture';
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
const SIDE = 88;

/** The sheet as it was set aside: what is left of it, and its scores; what older versions wrote is a plain sheet. */
function Drawn({ sheet: { blank, drawn, piece } }: { readonly sheet: SpoiledSheet }) {
  const whole = { width: mm(blank.width), height: mm(blank.height) };
  const paper = drawn?.paper.map((ring) => ring.map(([x, y]) => ({ x, y }))) ?? [blankPolygon(whole)];
  const marks = (drawn?.scores ?? []).map(([x1, y1, x2, y2]) => ({
    kind: 'score',
    lines: [{ from: { x: x1, y: y1 }, to: { x: x2, y: y2 } }],
    gone: [],
    wrong: false,
  }));
  return (
    <SmallPicture
      picture={scarredScene({ name: piece, blank: whole }, paper, marks)}
      room={{ width: SIDE, height: SIDE }}
      label={`The ${piece} as it was set aside`}
      look={STYLE.aside}
    />
  );
}
