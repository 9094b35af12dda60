import { useEffect, useState } from 'react';
import { coloursOf, inked, printNamed, type PaperFace, type Print } from '@/core/papers';

/** Pixels to a millimetre of a tile, and most pixels along one: a whole sheet is drawn coarser than a stripe. */
const FINE = 8;
const MOST = 1536;

type Printed = Extract<PaperFace, { print: string }>;

/** Tiles by what they show, as addresses of bitmaps: each is drawn once a page. */
const TILES = new Map<string, Promise<string | null>>();
const READY = new Map<string, string>();

const keyOf = ({ print, colours }: Printed): string => `${print} ${colours.join(' ')}`;

/** A print as one tile, an address that pictures may show; null where nothing can be drawn. */
export function printTile(face: Printed): Promise<string | null> {
  const key = keyOf(face);
  const known = TILES.get(key);
  if (known) return known;
  const print = printNamed(face.print);
  const canvas = print && drawn(print, coloursOf(print, face.colours));
  const made = new Promise<string | null>((done) => {
    if (!canvas) return done(null);
    canvas.toBlob((blob) => {
      const address = blob && URL.createObjectURL(blob);
      if (address) READY.set(key, address);
      done(address);
    });
  });
  TILES.set(key, made);
  return made;
}

/** One tile of a print on a canvas; null where the browser has none. */
export function drawn(print: Print, colours: readonly string[]): HTMLCanvasElement | null {
  const { width, height } = print.tile;
  const scale = Math.min(FINE, MOST / Math.max(width, height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(width * scale), Math.round(height * scale)];
  const pen = canvas.getContext('2d');
  if (!pen) return null;
  pen.fillStyle = colours[0]!;
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.scale(canvas.width / width, canvas.height / height);
  pen.lineCap = 'round';
  pen.lineJoin = 'round';
  for (const { d, fill, stroke, width: breadth = 0.3 } of print.draw()) {
    const path = new Path2D(d);
    if (fill !== undefined) {
      pen.fillStyle = inked(fill, colours);
      pen.fill(path);
    }
    if (stroke !== undefined) {
      pen.strokeStyle = inked(stroke, colours);
      pen.lineWidth = breadth;
      pen.stroke(path);
    }
  }
  return canvas;
}

/** The bitmap of a face’s print once it is drawn; null before, and for a plain colour. */
export function usePrint(face: PaperFace | null): string | null {
  const printed = face && 'print' in face ? face : null;
  const key = printed && keyOf(printed);
  const [ready, setReady] = useState(() => (key ? (READY.get(key) ?? null) : null));
  useEffect(() => {
    let asked = true;
    if (printed) void printTile(printed).then((address) => asked && setReady(address));
    return () => {
      asked = false;
    };
    // Faces of one paper are told anew with every plan: what counts is what they show.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key]);
  return key ? (READY.get(key) ?? ready) : null;
}
