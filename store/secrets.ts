// Secrets of a data folder, each a file of its own: made when it is first asked for, and anew when it has to be.
import { createHmac, randomBytes, timingSafeEqual } from "node:crypto";
import { readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { makeFolder, OWNER_FILE, writeWhole } from "./files.ts";

/** What changes have to carry, and what addresses of feeds are made from. */
export type SecretName = "token" | "feed-key";

const newSecret = (): string => randomBytes(24).toString("base64url");

/** A secret of a data folder. Of several who ask for it first at once, all get the same. */
export async function secretOf(folder: string, name: SecretName): Promise<string> {
  const path = join(folder, name);
  const known = await readFile(path, "utf8").catch(() => null);
  if (known !== null) return known;
  await makeFolder(folder);
  await writeFile(path, newSecret(), { flag: "wx", mode: OWNER_FILE }).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== "EEXIST") throw error;
  });
  return readFile(path, "utf8");
}

/** Makes a secret anew; what was made from the former one is not answered any longer. */
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
