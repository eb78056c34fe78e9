// Measuring: the median of several runs, after one to warm up.
import { performance } from "node:perf_hooks";

export interface Measured<T> {
  value: T;
  milliseconds: number;
}

/** Runs `work` some times and gives its last value with the median of its times. */
export function measure<T>(work: () => T, runs = 7): Measured<T> {
  let value = work();
  const times: number[] = [];
  for (let run = 0; run < runs; run++) {
    const start = performance.now();
    value = work();
    times.push(performance.now() - start);
  }
  return { value, milliseconds: times.sort((a, b) => a - b)[Math.floor(runs / 2)] };
}

/** A value with the megabytes that stay in use because of it; needs `--expose-gc`. */
export function withMemory<T>(make: () => T): { value: T; megabytes: number } {
  const before = bytesInUse();
  const value = make();
  return { value, megabytes: (bytesInUse() - before) / 2 ** 20 };
}

function bytesInUse(): number {
  // Twice, for buffers are only given back by the collection after the one that finds them unused.
  globalThis.gc?.();
  globalThis.gc?.();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
}

/** One line: what, its time, and how many floors that is. */
export function line(name: string, milliseconds: number, floor: number, note = ""): void {
  const ratio = floor > 0 ? `${(milliseconds / floor).toFixed(1)} floors` : "";
  console.log(`${name.padEnd(58)} ${milliseconds.toFixed(2).padStart(10)} ms ${ratio.padStart(14)}  ${note}`);
}
