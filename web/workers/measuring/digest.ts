import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** Read at once for a file's digest. @unit bytes */
const DIGEST_PIECE = 4 * 2 ** 20;

/** What tells a file from every other, without keeping it: SHA-256 of all of it, in hexadecimal. */
export const digestOf = async (
  file: File,
  tell: (bytes: number) => void = () => undefined,
): Promise<string> => {
  const digest = sha256.create();
  for (let from = 0; from < file.size; from += DIGEST_PIECE) {
    digest.update(new Uint8Array(await file.slice(from, from + DIGEST_PIECE).arrayBuffer()));
    tell(Math.min(file.size, from + DIGEST_PIECE));
  }
  return bytesToHex(digest.digest());
};
