// The roster command as a program: writes what it results in, and ends with its status.
import { writeSync } from "node:fs";
import { codeOf, messageOf } from "../core/values/errors.ts";
import { FAILED, runCommand } from "./command.ts";

/** Writes all of a text to a file that may be a pipe; one that nobody reads any more needs no more. */
function write(file: number, text: string): void {
  const bytes = Buffer.from(text);
  for (let done = 0; done < bytes.length; ) {
    try {
      done += writeSync(file, bytes, done);
    } catch (error) {
      const code = codeOf(error);
      if (code === "EPIPE") return;
      // The reader of a pipe is slower than this writes: wait a moment, for its sake alone.
      if (code === "EAGAIN") Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 5);
      else throw error;
    }
  }
}

function run(): number {
  const { status, stdout, stderr } = runCommand(process.argv.slice(2));
  try {
    if (stderr) write(2, stderr);
    if (stdout) write(1, stdout);
    return status;
  } catch (error) {
    const isFull = codeOf(error) === "ENOSPC";
    write(2, `The report could not be written: ${isFull ? "the disk is full" : messageOf(error)}.\n`);
    return FAILED;
  }
}

process.exitCode = run();
