import { contentHash } from './lessonHash';
import { MOST_PICTURE_BYTES } from './limits';

/** Pictures an instructor may bring. Told by their first bytes, never by their name. */
export type PictureKind = 'png' | 'jpg' | 'gif' | 'webp';

export const PICTURE_TYPES: Readonly<Record<PictureKind, string>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
};

export type PictureResult =
  | { readonly ok: true; readonly path: string; readonly kind: PictureKind }
  | {
      readonly ok: false;
      readonly cause: 'not-a-picture' | 'picture-too-large';
      readonly most: number;
    };

const startsWith = (bytes: Uint8Array, signature: readonly number[], at = 0): boolean =>
  signature.every((value, k) => bytes[at + k] === value);

/** Signatures: PNG (W3C PNG, 5.2), JPEG (ITU-T T.81, SOI), GIF89a, WebP (RFC 9649). */
export function pictureKind(bytes: Uint8Array): PictureKind | null {
  if (startsWith(bytes, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return 'png';
  if (startsWith(bytes, [0xff, 0xd8, 0xff])) return 'jpg';
  if (startsWith(bytes, [0x47, 0x49, 0x46, 0x38])) return 'gif';
  if (startsWith(bytes, [0x52, 0x49, 0x46, 0x46]) && startsWith(bytes, [0x57, 0x45, 0x42, 0x50], 8))
    return 'webp';
  return null;
}

/** The pack path for a picture, named by its content; refusals tell why. */
export function acceptPicture(bytes: Uint8Array): PictureResult {
  if (bytes.length > MOST_PICTURE_BYTES)
    return { ok: false, cause: 'picture-too-large', most: MOST_PICTURE_BYTES };
  const kind = pictureKind(bytes);
  if (!kind) return { ok: false, cause: 'not-a-picture', most: MOST_PICTURE_BYTES };
  return { ok: true, kind, path: `media/${contentHash(bytes).slice(0, 16)}.${kind}` };
}
