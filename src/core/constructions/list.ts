import { accordionPocket } from './pockets/accordion-pocket';
import { bellyBand } from './pockets/belly-band';
import { boughtEnvelope } from './envelopes/bought-envelope';
import { cardHolder } from './pockets/card-holder';
import { coinEnvelope } from './envelopes/coin-envelope';
import { anyConstruction, type Construction } from './shared/construction';
import { coverBoard } from './layers/cover-board';
import { deskFile } from './boxes/desk-file';
import { diagonalBox } from './boxes/diagonal-box';
import { diagonalEnvelope } from './envelopes/diagonal-envelope';
import { envelopeTrio } from './albums/envelope-trio';
import { flapAlbum } from './albums/flap-album';
import { flapMat } from './layers/flap-mat';
import { foldedCard } from './layers/folded-card';
import { folio } from './pockets/folio';
import { libraryPocket } from './pockets/library-pocket';
import { mat } from './layers/mat';
import { packet } from './pockets/packet';
import { padHolder } from './boxes/pad-holder';
import { patchPocket } from './pockets/patch-pocket';
import { plainSheet } from './layers/plain-sheet';
import { seamEnvelope } from './envelopes/seam-envelope';
import { ringAlbum } from './albums/ring-album';
import { sleeve } from './pockets/sleeve';
import { sliderSet } from './pockets/slider-set';
import { storagePocket } from './pockets/storage-pocket';
import { tabEnvelope } from './envelopes/tab-envelope';
import { tag } from './layers/tag';
import { trayBox } from './boxes/tray-box';

/** Every construction there is. A new one is one file and one line here; the laws hold it from then on. */
export const CONSTRUCTIONS: readonly Construction[] = [
  anyConstruction(diagonalEnvelope),
  anyConstruction(coinEnvelope),
  anyConstruction(envelopeTrio),
  anyConstruction(ringAlbum),
  anyConstruction(flapAlbum),
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
  anyConstruction(trayBox),
  anyConstruction(diagonalBox),
  anyConstruction(padHolder),
  anyConstruction(folio),
  anyConstruction(deskFile),
  anyConstruction(coverBoard),
  anyConstruction(foldedCard),
  anyConstruction(mat),
  anyConstruction(flapMat),
  anyConstruction(tag),
];

/** What is there already and is measured, not made: a part of a set can be one, and nobody chooses to make one. */
export const GIVEN: readonly Construction[] = [anyConstruction(plainSheet), anyConstruction(boughtEnvelope)];
