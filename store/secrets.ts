// Secrets of a data folder, each a file of its own: made when it is first asked for, flushed, and made again where it is damaged.
import { createHmac, randomBytes, timingSafeEqual } from "node:crypto";
import { link, readFile, rename, rm } from "node:fs/promises";
import { dirname, join } from "node:path";
import { codeOf } from "../core/values/errors.ts";
import { flushFolder, makeFolder, writeWhole } from "./files.ts";

/** The secrets: the token of changes, and the key of feed addresses. */
export type SecretName = "token" | "feed-key";

const newSecret = (): string => randomBytes(24).toString("base64url");

/** True of a secret as this application writes one. A file that a power cut has emptied or cut short is none. */
const isSecret = (text: string): boolean => /^[\w-]{32}$/.test(text);

/** Secrets that are being made, by path: several calls at once get the same one. */
const making = new Map<string, Promise<string>>();

/** A secret of a data folder. */
export async function secretOf(folder: string, name: SecretName): Promise<string> {
  const path = join(folder, name);
  const known = await readSecret(path);
  if (known !== null) return known;
  const made = making.get(path) ?? makeSecret(folder, path).finally(() => making.delete(path));
  making.set(path, made);
  return made;
}

async function makeSecret(folder: string, path: string): Promise<string> {
  await makeFolder(folder);
  // Made aside, flushed and linked: the first of several wins, and the file is never there in part.
  const aside = `${path}.${process.pid}-${randomBytes(6).toString("hex")}`;
  await writeWhole(aside, Buffer.from(newSecret()));
  try {
    await linkFirst(aside, path);
  } finally {
    await rm(aside, { force: true });
  }
  const made = await readSecret(path);
  if (made === null) throw new Error(`The file ${path} cannot be written. Check the disk and the rights of the data folder.`);
  return made;
}

async function readSecret(path: string): Promise<string | null> {
  const text = await readFile(path, "utf8").catch(() => "");
  return isSecret(text) ? text : null;
}

/** Puts a file in place where there is none, or one that is damaged. */
async function linkFirst(aside: string, path: string): Promise<void> {
  try {
    await link(aside, path);
  } catch (error) {
    if (codeOf(error) !== "EEXIST") throw error;
    if ((await readSecret(path)) === null) await rename(aside, path);
  }
  await flushFolder(dirname(path));
}

/** Replaces a secret; addresses made from the former one are no longer answered. */
export async function renewSecret(folder: string, name: SecretName): Promise<void> {
  await writeWhole(join(folder, name), Buffer.from(newSecret()));
}

/** The part of a feed's address that nobody can guess. @param feed Such as "people/mara". */
export async function feedSecret(folder: string, feed: string): Promise<string> {
  const key = await secretOf(folder, "feed-key");
  return createHmac("sha256", key).update(feed).digest("base64url").slice(0, 32);
}

/** True where an address of a feed has its secret part. */
export async function isFeedSecret(folder: string, feed: string, given: string): Promise<boolean> {
  const [own, theirs] = [Buffer.from(await feedSecret(folder, feed)), Buffer.from(given)];
  return own.length === theirs.length && timingSafeEqual(own, theirs);
}
