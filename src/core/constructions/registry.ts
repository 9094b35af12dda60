import { accordionPocket } from './accordion-pocket';
import { bellyBand } from './belly-band';
import { cardHolder } from './card-holder';
import { coinEnvelope } from './coin-envelope';
import { anyConstruction, type Construction } from './construction';
import { diagonalEnvelope } from './diagonal-envelope';
import { flapMat } from './flap-mat';
import { foldedCard } from './folded-card';
import { libraryPocket } from './library-pocket';
import { mat } from './mat';
import { packet } from './packet';
import { patchPocket } from './patch-pocket';
import { seamEnvelope } from './seam-envelope';
import { sleeve } from './sleeve';
import { sliderSet } from './slider-set';
import { storagePocket } from './storage-pocket';
import { tabEnvelope } from './tab-envelope';

/** Every construction there is. A new one is one file and one line here; the laws hold it from then on. */
export const CONSTRUCTIONS: readonly Construction[] = [
  anyConstruction(diagonalEnvelope),
  anyConstruction(coinEnvelope),
  anyConstruction(seamEnvelope),
  anyConstruction(tabEnvelope),
  anyConstruction(cardHolder),
  anyConstruction(libraryPocket),
  anyConstruction(patchPocket),
  anyConstruction(packet),
  anyConstruction(accordionPocket),
  anyConstruction(storagePocket),
  anyConstruction(sliderSet),
  anyConstruction(sleeve),
  anyConstruction(bellyBand),
  anyConstruction(foldedCard),
  anyConstruction(mat),
  anyConstruction(flapMat),
];

/** The construction of that name, or null. */
export const constructionNamed = (name: string): Construction | null =>
  CONSTRUCTIONS.find((c) => c.name === name) ?? null;
