// Files that are the owner's alone, and that are on the disk when the promise is kept.
import { mkdir, open, rename, statfs } from "node:fs/promises";
import { dirname, join, resolve } from "node:path";
import { crc32 } from "node:zlib";
import { codeOf } from "../core/values/errors.ts";

const OWNER_FILE = 0o600;
const OWNER_FOLDER = 0o700;

/** The data folder that the environment names, or `.data` below `root`.
 * @throws where it is named, but by an empty text: a mistake in a script must not open another plan. */
export function dataFolder(env: Readonly<Record<string, string | undefined>>, root: string): string {
  const named = env.ROSTER_DATA;
  if (named !== undefined && named.trim() === "") throw new Error("ROSTER_DATA is empty. Name a folder, or leave it out.");
  return named === undefined ? join(/*turbopackIgnore: true*/ root, ".data") : resolve(/*turbopackIgnore: true*/ named);
}

export async function makeFolder(path: string): Promise<void> {
  await mkdir(path, { recursive: true, mode: OWNER_FOLDER });
}

/** Opens a file for reading and writing; makes it where it is not there. */
export async function openOwn(path: string) {
  try {
    return await open(path, "r+");
  } catch (error) {
    if (codeOf(error) !== "ENOENT") throw error;
    return open(path, "wx+", OWNER_FILE);
  }
}

/** Writes a whole file: it is there as a whole, flushed, or not at all. */
export async function writeWhole(path: string, bytes: Uint8Array): Promise<void> {
  const aside = `${path}.part`;
  const file = await open(aside, "w", OWNER_FILE);
  try {
    await file.writeFile(bytes);
    await file.sync();
  } finally {
    await file.close();
  }
  await rename(aside, path);
  await flushFolder(dirname(path));
}

/** Flushes the names in a folder; systems that cannot do so keep them anyway. */
export async function flushFolder(path: string): Promise<void> {
  try {
    const folder = await open(path, "r");
    await folder.sync().finally(() => folder.close());
  } catch (error) {
    const code = codeOf(error);
    if (code !== "EISDIR" && code !== "EPERM" && code !== "EINVAL") throw error;
  }
}

/** A checksum as eight hexadecimal digits (CRC-32). */
export function checksum(bytes: Uint8Array | string): string {
  return crc32(bytes).toString(16).padStart(8, "0");
}

/** The bytes that a folder's disk has left for this user. */
export async function freeBytes(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}
