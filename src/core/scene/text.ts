import type { Point } from '../geometry';
import type { SceneMark, Scene } from './scene';

const figure = (value: number): string => String(Number(value.toFixed(3)) + 0);
const at = ({ x, y }: Point): string => `${figure(x)},${figure(y)}`;
const ring = (points: readonly Point[]): string => points.map(at).join(' ');

function markText(mark: SceneMark): string {
  const state = 'state' in mark && mark.state ? ` ${mark.state}` : '';
  switch (mark.kind) {
    case 'area':
      return `${mark.of}${state}: ${mark.rings.map(ring).join(' / ')}`;
    case 'name':
      return `name at ${at(mark.at)}: ${mark.text}`;
    case 'number':
      return `number ${mark.number}: ${at(mark.from)} ${at(mark.to)}`;
    case 'cord':
    case 'ribbon':
      return `${mark.kind}: ${at(mark.from)} ${at(mark.to)}`;
    case 'upward':
      return `upward at ${at(mark.at)}, turned ${figure(mark.turn)}`;
    case 'hole':
    case 'disc':
      return `${mark.kind}${state} at ${at(mark.at)}, ${figure(mark.diameter)} across`;
    default:
      return `${mark.kind}${state} at ${at(mark.at)}`;
  }
}

/** A scene in words, a line each: faces from the furthest to the nearest with their lines, then what lies on them; mm. */
export function sceneText({ kind, name, box, faces, marks }: Scene): string {
  return [
    [kind, name, `${figure(box.maxX - box.minX)} × ${figure(box.maxY - box.minY)}`].filter(Boolean).join(' '),
    ...faces.flatMap(({ id, piece, stuff, side, depth, rings, lines }) => [
      `${stuff} ${piece}${id === piece ? '' : ` ${id}`}, ${side}, depth ${depth}: ${rings.map(ring).join(' / ') || 'hidden'}`,
      ...lines.map(
        (line) =>
          `  ${line.kind}${line.state ? ` ${line.state}` : ''}${line.id ? ` ${line.id}` : ''}: ${line.points.map(at).join(' ')}`,
      ),
    ]),
    ...marks.map(markText),
    '',
  ].join('\n');
}
