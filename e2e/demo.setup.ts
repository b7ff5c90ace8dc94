import { expect, test } from "@playwright/test";
import { DEMO_STATE, loadDemoByHand, settled, walk } from "./steps";

test("the demo river is loaded, its reach solved and every station seen, for the other tests to begin from", async ({
  page,
}) => {
  await loadDemoByHand(page);
  await page.context().storageState({ path: DEMO_STATE.loaded, indexedDB: true });
  await walk(page, "Reach");
  await settled(page);
  // The field is kept after it is shown.
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<number>((done, fail) => {
            const asked = indexedDB.open("low-heron");
            asked.onerror = () => fail(new Error(asked.error?.message));
            asked.onsuccess = () => {
              const count = asked.result.transaction("fields").objectStore("fields").count();
              count.onsuccess = () => {
                asked.result.close();
                done(count.result);
              };
            };
          }),
      ),
    )
    .toBeGreaterThan(0);
  await page.context().storageState({ path: DEMO_STATE.solved, indexedDB: true });
  // What the stations have worked out is kept: the other tests work it out no more than an angler's browser does.
  await walk(page, "Rig");
  await expect(page.getByTestId("setting")).toBeVisible({ timeout: 60_000 });
  await walk(page, "Today");
  await expect(page.getByTestId("windows")).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText("are still being worked out")).toBeHidden({ timeout: 60_000 });
  await walk(page, "Water");
  await expect(page.getByRole("table", { name: /^Tested/ }).getByText("24 h")).toBeVisible({ timeout: 60_000 });
  await walk(page, "Learn");
  await expect(page.getByText(/Best so far/)).toBeVisible({ timeout: 60_000 });
  await page.context().storageState({ path: DEMO_STATE.seen, indexedDB: true });
});
