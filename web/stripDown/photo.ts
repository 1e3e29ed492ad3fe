import { LOG_LIMITS } from '../../core/assembly';

/** Photographs as they come from a camera, at most. */
export const MOST_PHOTO_BYTES = 40 * 1024 * 1024;
/** Longest side, pixels, from the first try to the last. */
const SIDES = [640, 480, 320, 200] as const;
const QUALITY = 0.7;

export type Photo =
  | { readonly ok: true; readonly url: string }
  | { readonly ok: false; readonly cause: 'too-large' | 'no-picture' };

/** A photograph made small enough for a log; what is no picture says so, and changes nothing. */
export async function smallPhoto(file: Blob): Promise<Photo> {
  if (file.size > MOST_PHOTO_BYTES) return { ok: false, cause: 'too-large' };
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return { ok: false, cause: 'no-picture' };
  try {
    for (const side of SIDES) {
      const url = drawn(picture, side);
      if (url.length <= LOG_LIMITS.photo) return { ok: true, url };
    }
    return { ok: false, cause: 'too-large' };
  } finally {
    picture.close();
  }
}

function drawn(picture: ImageBitmap, side: number): string {
  const scale = Math.min(1, side / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', QUALITY);
}
