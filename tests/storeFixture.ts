// A store on a folder of its own for each test of a file, with the ways in which tests speak to it.
import { readdir } from "node:fs/promises";
import { join } from "node:path";
import { afterEach, beforeEach, inject } from "vitest";
import { readMigrations } from "../store/migrate.ts";
import { PlanStore, type Request, type StoreOptions } from "../store/planStore.ts";
import { copyTemplate } from "./copyTemplate.ts";
import { migrationsFolder } from "./storeTemplate.ts";

export const NOW = "2027-02-01T09:00:00.000Z";
export const migrations = await readMigrations(migrationsFolder);

/** The store under test; `reopen` gives the field another one. */
interface Fixture {
  store: PlanStore;
  folder: string;
  open(options?: StoreOptions): Promise<PlanStore>;
  reopen(options?: StoreOptions): Promise<void>;
  /** Opens the folder as it would be found after a cut, with what `cut` makes of its files. */
  afterCut(cut: (folder: string) => Promise<void>): Promise<PlanStore>;
  /** @param maker Whose browser asks; a program's by default. */
  settle(request: Request, base?: number, maker?: string | null): ReturnType<PlanStore["settle"]>;
  /** The person who has an assignment. */
  holder(id: string): string | undefined;
}

export const give = (id: string, personId: string): Request => ({ kind: "edit", edit: { kind: "reassign", id, personId } });

/** Every file below a folder. */
export async function filesOf(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  return entries.filter((entry) => entry.isFile()).map(({ parentPath, name }) => join(parentPath, name));
}

/** Opens a copy of the demo plan's folder before each test of the file that calls this, and removes it after. */
export function storeFixture(): Fixture {
  let data: Awaited<ReturnType<typeof copyTemplate>>;
  const fixture = {
    open: (options) => PlanStore.open(data.folder, migrations, options),
    reopen: async (options) => {
      await fixture.store.close();
      fixture.store = await fixture.open(options);
    },
    afterCut: async (cut) => {
      await fixture.store.close();
      await cut(data.folder);
      fixture.store = await fixture.open();
      return fixture.store;
    },
    settle: (request, base = fixture.store.snapshot().revision, maker = null) =>
      fixture.store.settle(request, { actor: "manager", id: maker }, base, NOW),
    holder: (id) => fixture.store.snapshot().plan.assignments.find((row) => row.id === id)?.personId,
  } as Fixture;
  beforeEach(async () => {
    data = await copyTemplate(inject("storeTemplate"));
    fixture.folder = data.folder;
    fixture.store = await fixture.open();
  });
  afterEach(async () => {
    await fixture.store.close();
    await data.remove();
  });
  return fixture;
}
