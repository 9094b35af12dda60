import { tableScene } from '@/core/scene';
import { simulate, type Tool, type TrialFold } from '@/core/tools';
import { FigureText } from '../draw/FigureText';
import { SceneDrawn, sightOf } from '../draw/SceneDrawn';
import { madeOf } from '../parts/plans';
import styles from './Tools.module.css';

/** The first trial sheet, scored, with the two lengths to measure. */
export function TrialPicture({ trial, board }: { readonly trial: TrialFold; readonly board: Tool }) {
  const made = madeOf({
    version: 1,
    construction: 'diagonal-envelope',
    blank: { width: trial.sheet, height: trial.sheet },
    tool: board,
    graduation: 'exact',
    options: { setting: trial.setting },
  });
  if (!made) return <p>A square of that size cannot be set there.</p>;
  const { blank } = made.pieces[0].piece;
  const { moves } = made.pieces[0].programme;
  const size = 340;
  const scale = (size - 30) / blank.width;
  const scene = tableScene(made.pieces[0].piece, board, moves, 0);
  const sight = sightOf(scene, scale, 15, size - 15 - blank.height * scale);
  const { at } = sight;
  const corners = simulate(blank, board, moves).notches.map((notch) => notch[1]!);
  // The four tips of the notches are the inside's corners.
  const [a, b, c] = corners.map(at);
  if (!a || !b || !c) return null;
  const between = (p: readonly [number, number], q: readonly [number, number], share = 0.5): [number, number] => [
    p[0] + (q[0] - p[0]) * share,
    p[1] + (q[1] - p[1]) * share,
  ];
  const [widthAt, heightAt] = [between(b, c), between(a, b)];
  const centre = at({ x: blank.width / 2, y: blank.height / 2 });
  const inwards = (p: readonly [number, number]): [number, number] => between(p, centre, 0.3);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      className={styles.trialPicture}
      role="img"
      aria-label="Where to measure the inside: from fold to fold"
    >
      <SceneDrawn scene={scene} sight={sight} />
      {[
        { at: inwards(heightAt), word: 'height', value: made.inside },
        { at: inwards(widthAt), word: 'width', value: made.inside },
      ].map(({ at: [x, y], word }) => (
        <text key={word} x={x} y={y} textAnchor="middle" className={styles.measureWord}>
          {word}
        </text>
      ))}
      <path d={`M${between(a, b, 0.04).join(' ')}L${between(a, b, 0.96).join(' ')}`} className={styles.measure} />
      <path d={`M${between(b, c, 0.04).join(' ')}L${between(b, c, 0.96).join(' ')}`} className={styles.measure} />
      <FigureText x={size / 2} y={size - 1} value={trial.sheet} className={styles.sheetWord} />
    </svg>
  );
}
