// Notes what each test takes of the processor: next to the browser tests, the time on the clock says little.
import { beforeEach } from "vitest";

const takenMs = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
};

beforeEach(({ task, onTestFinished }) => {
  const before = takenMs();
  onTestFinished(() => {
    task.meta.processorMs = takenMs() - before;
  });
});

declare module "vitest" {
  export interface TaskMeta {
    processorMs?: number;
  }
}
