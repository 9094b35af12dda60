import { affineOf } from '../geometry';
import { cutOutOf, onPaper, sheetPicture } from '../looks';
import { onStock, sheetScene, type Scene } from '../scene';
import type { Made } from '../plan';
import { paperOf, type Papers } from '../design';
import { cutListOf, isCut, pieceName, type SetPlan } from '../sets';

/**
 * Every sheet to cut for a made plan: its pieces, then its layers. `onPapers` draws a piece that has a
 * place on its paper there, with the paper round it: as a machine takes it that cuts the whole sheet.
 */
export function allSheets(made: Made, design: Papers, onPapers = false): readonly Scene[] {
  const [first, ...others] = made.pieces.map((part) => sheetPicture(made, part));
  const { width, height } = design.paper;
  const { piece } = made.pieces[0];
  const { turn } = paperOf(design, piece.name);
  const lies = onPapers && cutOutOf(made, design) !== null && width !== undefined && height !== undefined;
  const lay = affineOf<'sheet'>((p) => onPaper({ ...design.paper, turn }, piece.blank, p));
  return [
    lies ? onStock(first!, lay, { width, height }) : first!,
    ...others,
    ...made.layers.map((layer) => sheetScene(layer.piece)),
  ];
}

/** Every sheet to cut for a whole set, paper by paper as they are first cut from. */
export function sheetsByPaper(plan: SetPlan): readonly (readonly Scene[])[] {
  const all = setSheets(plan);
  const ordered = cutListOf(plan).map(({ pieces }) =>
    pieces.flatMap(({ part, name }) => all.find((scene) => scene.name === pieceName(plan.set, part, name)) ?? []),
  );
  // What is made of a sheet that lies there is printed too.
  const left = all.filter((scene) => !ordered.some((own) => own.includes(scene)));
  return [...ordered, left].filter((own) => own.length > 0);
}

/** Every sheet to cut for a whole set, part by part, each named after its part where there are several. */
export function setSheets({ set, parts }: SetPlan, onPapers = false): readonly Scene[] {
  return parts.flatMap((one) => {
    const { part, plan } = one;
    if (!plan.made) return [];
    return allSheets(plan.made, plan.design, onPapers)
      .filter(({ name }) => isCut(one, name))
      .map((scene) => ({ ...scene, name: pieceName(set, part.id, scene.name) }));
  });
}
