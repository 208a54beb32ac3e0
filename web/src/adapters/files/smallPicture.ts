import { MOST_PICTURE_BYTES, MOST_PICTURE_SIDE, say } from '@yaylak/contract';

/** A photo as it is kept: a JPEG in base64, no wider or higher than `MOST_PICTURE_SIDE`. */
export interface SmallPicture {
  readonly picture: string;
  readonly width: number;
  readonly height: number;
}

/** Larger ones would fill a phone's memory while they are unpacked. */
const MOST_BYTES = 60_000_000;
const BYTES_A_MB = 1_000_000;
/** Tried one after another until the picture is small enough. */
const QUALITIES = [0.82, 0.7, 0.58, 0.46];
const SIDES = [MOST_PICTURE_SIDE, 800, 640, 480];

/**
 * Makes a photo small on this device, turned the way it was held; where it was taken is not in it any more.
 * @throws Error in words when it cannot be read as a picture
 */
export async function smallPicture(file: File): Promise<SmallPicture> {
  if (file.size > MOST_BYTES)
    throw new Error(
      say('“{name}” has {n} MB; a photo may have up to {most}. Choose a smaller one.', {
        name: file.name,
        n: Math.round(file.size / BYTES_A_MB),
        most: MOST_BYTES / BYTES_A_MB,
      }),
    );
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new Error(say('“{name}” cannot be read as a picture here. Choose a JPEG, PNG or WebP.', { name: file.name }));
  });
  try {
    for (const side of SIDES) {
      const canvas = drawn(bitmap, side);
      for (const quality of QUALITIES) {
        const blob = await jpegOf(canvas, quality);
        if (blob.size <= MOST_PICTURE_BYTES)
          return { picture: await base64(blob), width: canvas.width, height: canvas.height };
      }
    }
  } finally {
    bitmap.close();
  }
  throw new Error(say('“{name}” cannot be made small enough. Choose another photo.', { name: file.name }));
}

/** On white: a JPEG has no holes. */
function drawn(bitmap: ImageBitmap, side: number): HTMLCanvasElement {
  const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d');
  if (!context) throw new Error(say('This browser cannot draw a picture.'));
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return canvas;
}

const jpegOf = (canvas: HTMLCanvasElement, quality: number): Promise<Blob> =>
  new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error(say('This browser cannot draw a picture.')))),
      'image/jpeg',
      quality,
    ),
  );

const base64 = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve((reader.result as string).split(',')[1] ?? '');
    reader.onerror = () => reject(new Error(say('This browser cannot read the picture it drew.')));
    reader.readAsDataURL(blob);
  });
