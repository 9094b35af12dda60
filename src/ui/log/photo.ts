import { Refused } from '@/data/trouble';

/** Longest side of a kept photo, px, and how good it is kept: a table's worth, under 300 kB. */
const LONGEST = 1280;
const QUALITY = 0.82;
/** Files larger than this are no photo to shrink in a browser, bytes. */
export const LARGEST_PHOTO = 40_000_000;

/** Shrinks a photo for keeping. Fails with a sentence when the file is no picture this browser knows. */
export async function shrunk(file: File): Promise<Blob> {
  if (file.size > LARGEST_PHOTO)
    throw new Refused(`“${file.name}” has ${Math.round(file.size / 1e6)} MB; a photo has under 40 MB`);
  const picture = await createImageBitmap(file).catch(() => {
    throw new Refused(`“${file.name}” is not a picture this browser can read. Choose a JPEG or PNG`);
  });
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const pen = canvas.getContext('2d')!;
  // A photo has no see-through places; a drawing's become white as on paper.
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((done, failed) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : failed(new Refused(`“${file.name}” could not be shrunk`))),
      'image/jpeg',
      QUALITY,
    ),
  );
}
