import { distance } from '@/core/geometry';
import type { Edge } from '@/core/pattern';
import type { Made, MadePiece } from '@/core/plan';
import { FigureText } from '../draw/FigureText';
import { Ruler } from '../draw/Ruler';
import type { Scene } from '@/core/scene';
import type { OnScreen } from '../draw/SceneDrawn';
import styles from './SheetView.module.css';

interface SheetEdgesProps {
  readonly made: Made;
  readonly part: MadePiece;
  readonly scene: Scene;
  readonly sight: OnScreen;
}

/** The four edges of a sheet, each ruled and with what is set or measured along it. */
export const SheetEdges = ({ made, part, scene, sight: { at, scale } }: SheetEdgesProps) =>
  scene.anchors.map(({ edge, from, to }) => {
    const [x, y] = at(from);
    const length = distance(from, to);
    return (
      <g key={edge} transform={`translate(${x} ${y}) rotate(${-90 * (edge - 1)})`}>
        <Ruler length={length} scale={scale} />
        <text x={length * scale} y={54} textAnchor="end" className={styles.edgeName}>
          edge {edge}
        </text>
        <EdgeMarks made={made} part={part} edge={edge} scale={scale} />
      </g>
    );
  });

/** What to set or measure along an edge: flags that point at the place, each with its figure. */
function EdgeMarks({
  made,
  part: { piece, programme },
  edge,
  scale,
}: {
  made: Made;
  part: MadePiece;
  edge: Edge;
  scale: number;
}) {
  const onBoard = programme.marks.some((mark) => mark.for === 'notch');
  const own = programme.marks.filter((mark) => mark.edge === edge);
  const marks = own.filter((mark) => mark.for === (onBoard ? 'notch' : 'score'));
  const slants = own.filter((mark) => mark.for === 'slant' && !mark.deep);
  const first = onBoard && made.built.start.edge === edge;
  return (
    <g>
      {marks.map((mark, i) => {
        const notch = piece.notches.filter((n) => n.edge === edge)[i];
        const x = (onBoard && notch ? notch.at : mark.at) * scale;
        const anchor =
          onBoard || marks.length !== 2 || marks[1]!.at - marks[0]!.at > 60 / scale
            ? 'middle'
            : i === 0
              ? 'end'
              : 'start';
        // Marks that stand too close to be told apart keep their flags; the numbers beside the sheet say them all.
        const crowded =
          marks.length > 2 && marks.some((other, j) => j !== i && Math.abs(other.at - mark.at) * scale < 44 && j < i);
        return (
          <g key={i}>
            <path d={`M${x} 2l-4.500 9h9z`} className={first || !onBoard ? styles.flag : styles.flagQuiet} />
            {!crowded && (
              <FigureText
                x={x + (anchor === 'end' ? 6 : anchor === 'start' ? -6 : 0)}
                y={42}
                value={mark.at}
                before={first ? 'set ' : ''}
                anchor={anchor}
                className={first || !onBoard ? styles.setting : styles.settingQuiet}
              />
            )}
          </g>
        );
      })}
      {slants.map((mark, i) => (
        <g key={`slant-${i}`}>
          <path d={`M${mark.at * scale} 2l-4.500 9h9z`} className={styles.flagQuiet} />
          {onBoard && <FigureText x={mark.at * scale} y={42} value={mark.at} className={styles.settingQuiet} />}
        </g>
      ))}
    </g>
  );
}
