// Work on files, in threads of this process.
import "server-only";
import { join } from "node:path";
import { FileWork } from "../interchange/fileWork.ts";

// Next.js loads this file once for each route bundle; what is under way is counted once all the same.
const shared = globalThis as typeof globalThis & { rosterFiles?: FileWork };

export function fileWork(): FileWork {
  shared.rosterFiles ??= new FileWork(join(/*turbopackIgnore: true*/ process.cwd(), "dist/files.mjs"));
  return shared.rosterFiles;
}
