import { accordionPocket } from './accordion-pocket';
import { bellyBand } from './belly-band';
import { boughtEnvelope } from './bought-envelope';
import { cardHolder } from './card-holder';
import { coinEnvelope } from './coin-envelope';
import { anyConstruction, type Construction } from './construction';
import { coverBoard } from './cover-board';
import { deskFile } from './desk-file';
import { diagonalBox } from './diagonal-box';
import { diagonalEnvelope } from './diagonal-envelope';
import { envelopeTrio } from './envelope-trio';
import { flapAlbum } from './flap-album';
import { flapMat } from './flap-mat';
import { foldedCard } from './folded-card';
import { folio } from './folio';
import { libraryPocket } from './library-pocket';
import { mat } from './mat';
import { packet } from './packet';
import { padHolder } from './pad-holder';
import { patchPocket } from './patch-pocket';
import { plainSheet } from './plain-sheet';
import { seamEnvelope } from './seam-envelope';
import { ringAlbum } from './ring-album';
import { sleeve } from './sleeve';
import { sliderSet } from './slider-set';
import { storagePocket } from './storage-pocket';
import { tabEnvelope } from './tab-envelope';
import { tag } from './tag';
import { trayBox } from './tray-box';

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
