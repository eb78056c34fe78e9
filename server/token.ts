// The token that changes carry: kept in the data folder, told to the application's own pages, and to nobody else's.
import { randomBytes } from "node:crypto";
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";

/** The token of a data folder; made when it is first asked for. */
export function tokenOf(folder: string): string {
  const path = join(folder, "token");
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  try {
    writeFileSync(path, randomBytes(24).toString("base64url"), { flag: "wx", mode: 0o600 });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== "EEXIST") throw error;
  }
  return readFileSync(path, "utf8");
}
