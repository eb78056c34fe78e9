// npm run restore, as a person would use it: the copies are listed, and a revision comes back.

import { expect, test } from "vitest";
import { give, NOW, storeFixture } from "../tests/storeFixture.ts";
import { restore } from "./restore.ts";

const fixture = storeFixture();

test("a plan comes back as it was at a revision, and what was there before is kept", async () => {
  await fixture.settle(give("rockpools-mara", "rui"));
  const wanted = fixture.store.snapshot();
  await fixture.settle(give("rockpools-mara", "kaspar"));
  const { plan } = fixture.store.snapshot();
  await fixture.store.replace({ ...plan, settings: { ...plan.settings, name: "Opened by mistake" } }, "manager", NOW);
  await fixture.store.close();
  const list = await restore(fixture.folder, undefined, new Date(NOW));
  expect(list).toMatch(/revision 4 .*\n.*revision 3 .*\n.*revision 1 /);
  expect(await restore(fixture.folder, String(wanted.revision), new Date(NOW))).toBe(
    '"Fernhollow Exhibit Works" is restored to revision 2, as revision 5. The former plan is kept as revision 4.',
  );
  fixture.store = await fixture.open();
  expect(fixture.store.snapshot().plan).toEqual(wanted.plan);
  expect((await fixture.store.planAt(4))?.settings.name).toBe("Opened by mistake");
  await fixture.store.close();
  await expect(restore(fixture.folder, "99", new Date(NOW))).rejects.toThrow(/The plan at revision 99 is no longer kept/);
  await expect(restore(fixture.folder, "last week", new Date(NOW))).rejects.toThrow(/is not a revision/);
  fixture.store = await fixture.open();
});
