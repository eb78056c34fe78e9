// Addresses of feeds that nobody can guess: made from a key of the data folder. A new key makes all of them anew.
import { createHmac, randomBytes, timingSafeEqual } from "node:crypto";
import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { makeFolder, writeWhole } from "./files.ts";

const pathOf = (folder: string): string => join(folder, "feed-key");

async function readKey(folder: string): Promise<string> {
  const known = await readFile(pathOf(folder), "utf8").catch(() => null);
  return known ?? renewFeedKey(folder);
}

/** Makes all feeds' addresses anew: the former ones are not answered any longer. */
export async function renewFeedKey(folder: string): Promise<string> {
  await makeFolder(folder);
  const key = randomBytes(24).toString("base64url");
  await writeWhole(pathOf(folder), Buffer.from(key));
  return key;
}

/** The secret part of a feed's address. @param feed Such as "people/mara". */
export async function feedSecret(folder: string, feed: string): Promise<string> {
  return createHmac("sha256", await readKey(folder))
    .update(feed)
    .digest("base64url")
    .slice(0, 32);
}

/** True where an address of a feed has its secret part. */
export async function isFeedSecret(folder: string, feed: string, given: string): Promise<boolean> {
  const [own, theirs] = [Buffer.from(await feedSecret(folder, feed)), Buffer.from(given)];
  return own.length === theirs.length && timingSafeEqual(own, theirs);
}
