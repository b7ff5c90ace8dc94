import { expect, test } from "@playwright/test";
import { DEMO_STATE, loadDemoByHand, settled, walk } from "./steps";

test("the demo river is loaded, and its reach solved, for the other tests to begin from", async ({ page }) => {
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
});
