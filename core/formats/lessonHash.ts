import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { stringify } from 'safe-stable-stringify';
import type { Lesson } from '../lesson';

/** SHA-256 over the lesson with sorted keys: two files of the same content have the same hash. */
export const lessonHash = (lesson: Lesson): string => contentHash(utf8ToBytes(stringify(lesson)));

/** SHA-256 of bytes, in lower-case hexadecimal. */
export const contentHash = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
