// npm run restore, as somebody would use it: the copies are listed, and a revision comes back.

import { expect, test } from "vitest";
import { give, NOW, storeScene } from "../tests/storeScene.ts";
import { restore } from "./restore.ts";

const scene = storeScene();

test("a plan comes back as it was at a revision, and what stood there before is kept", async () => {
  await scene.settle(give("rockpools-mara", "rui"));
  const wanted = scene.store.snapshot();
  await scene.settle(give("rockpools-mara", "kaspar"));
  const { plan } = scene.store.snapshot();
  await scene.store.replace({ ...plan, settings: { ...plan.settings, name: "Opened by mistake" } }, "manager", NOW);
  await scene.store.close();
  const list = await restore(scene.folder, undefined, new Date(NOW));
  expect(list).toMatch(/revision 4 .*\n.*revision 3 .*\n.*revision 1 /);
  expect(await restore(scene.folder, String(wanted.revision), new Date(NOW))).toBe(
    '"Fernhollow Exhibit Works" is as it was at revision 2 again; that is revision 5. What stood there before is kept as revision 4.',
  );
  scene.store = await scene.open();
  expect(scene.store.snapshot().plan).toEqual(wanted.plan);
  expect((await scene.store.planAt(4))?.settings.name).toBe("Opened by mistake");
  await scene.store.close();
  await expect(restore(scene.folder, "99", new Date(NOW))).rejects.toThrow(/The plan at revision 99 is not held/);
  await expect(restore(scene.folder, "last week", new Date(NOW))).rejects.toThrow(/is not a revision/);
  scene.store = await scene.open();
});
