/** Designs as older versions kept them, with companions in a list of their own, as sets. */
import { inches, mm } from '../length';
import { planFor, type Made } from '../plan';
import { readDesign, type DesignInput } from '../design';
import { setOf } from './design-of';
import { withOutside, withPart } from './change';
import type { PartInput, SetInput } from './set';

/** What once went with a holder. */
type Companion = 'insert-card' | 'mat' | 'tag' | 'note' | 'sweet-wrap' | 'hole-template' | 'clip-cover';

/** A wrapped sweet, mm: along, and half of what goes round it. Common practice, no source. */
const SWEET = { width: mm(11.25), height: mm(30), thickness: mm(11.25) };
/** A jumbo paper clip, mm. From memory. */
const CLIP = { width: mm(10), height: mm(50), thickness: mm(1) };

/** The set that a design of an older version is: its layers, and what went with it as parts of their own. */
export function setOfOlder(design: Record<string, unknown>): SetInput {
  const { companions, ...rest } = design as { companions?: readonly Companion[] } & Record<string, unknown>;
  const goes = Array.isArray(companions) ? [...new Set(companions)] : [];
  const layers = goes.flatMap((name): NonNullable<PartInput['layers']> => {
    switch (name) {
      case 'insert-card':
        return [{ id: 'insert', on: 'inside', pull: true }];
      case 'mat':
        return [{ id: 'mat', on: 'front' }];
      case 'hole-template':
        return [{ id: 'template', on: 'sheet' }];
      default:
        return [];
    }
  });
  // What another version wrote is no set of this one, and says so.
  const { version } = design as { version?: 1 };
  const set = { ...setOf(rest as unknown as DesignInput), ...(version !== undefined && { version }) };
  const [holder] = set.parts as [PartInput];
  const laid = layers.length > 0 ? withPart(set, holder.id, { layers: [...(holder.layers ?? []), ...layers] }) : set;
  return goes.reduce((now, name) => withCompanion(now, holder.id, name, rest), laid);
}

/** The set with what a companion was as parts of it. */
function withCompanion(set: SetInput, holder: string, name: Companion, design: Record<string, unknown>): SetInput {
  const paper = set.parts.find(({ id }) => id === holder)!.paper;
  const add = (part: PartInput): SetInput =>
    withOutside(set, { quantity: 1, ...(paper !== undefined && { paper }), ...part });
  switch (name) {
    case 'tag': {
      const { width, height } = roomOf(design) ?? { width: inches(2), height: inches(4) };
      return add({
        id: 'tag',
        name: 'Tag',
        design: {
          construction: 'tag',
          contents: {
            width: Math.max(inches(1), Math.min(width - inches(1 / 8), inches(2))),
            height: Math.max(inches(1), Math.min(height - inches(1 / 8), inches(4))),
          },
        },
      });
    }
    case 'note': {
      // As large as its holder allows, and no larger holder for it.
      const withNote = add({
        id: 'note',
        name: 'Folded note',
        design: { construction: 'folded-card', options: { fold: 'top' } },
      });
      return withPart(withNote, holder, { holds: [{ part: 'note', fills: true }] });
    }
    case 'sweet-wrap':
      return withOutside(add({ id: 'sweet', name: 'Small sweet', given: SWEET }), {
        id: 'sweet-wrap',
        name: 'Strip round a sweet',
        quantity: 1,
        ...(paper !== undefined && { paper }),
        design: { construction: 'belly-band', options: { breadth: SWEET.height } },
        round: 'sweet',
      });
    case 'clip-cover':
      return add({
        id: 'clip-cover',
        name: 'Cover for a paper clip',
        design: {
          construction: 'folded-card',
          contents: { width: CLIP.width + inches(1 / 4), height: CLIP.height / 2 + inches(1 / 8) },
          options: { fold: 'top' },
        },
      });
    default:
      return set;
  }
}

/** The room of the holder as it was, mm; null where it has none that can be told. */
function roomOf(design: Record<string, unknown>): Made['inside'] | null {
  const read = readDesign(design);
  const inside = read.ok ? planFor(read.design).made?.inside : undefined;
  return inside && inside.width > 0 && inside.height > 0 ? inside : null;
}
