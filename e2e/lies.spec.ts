import { expect, test } from "@playwright/test";
import { beginSession, loadDemo, makeSmallReach, noFaults, settled, walk } from "./steps";

test("the water by name, the fish's year, a boat, time and casts; a fish logged on a lie, one put on the plan, and all of them against the model", async ({
  page,
}) => {
  // Fish are held against the model at flows that are solved ahead.
  await loadDemo(page, "/session", { ahead: true });
  await beginSession(page);
  await page.keyboard.press("3");
  await settled(page);

  // Structure: named on the plan, and the same in words.
  const plan = page.getByRole("group", { name: /^The reach from above/ });
  await expect(plan.getByText("tail", { exact: true })).toBeHidden();
  await page.getByRole("button", { name: "Structure" }).click();
  await expect(plan.getByText("tail", { exact: true })).toBeVisible();
  await expect(page.getByText(/^Stitches: seams.*foam lines.*eddies.*head, slot, deep and tail/)).toBeVisible();
  const words = page.locator("details", { hasText: "The water in words" });
  await words.locator("summary").click();
  for (const kind of ["Seams", "Eddies", "Foam lines", "Breaks and their slack", "Pools"])
    await expect(words.getByRole("heading", { name: kind })).toBeVisible();
  await expect(words.getByText(/The split stone, .* slack for [\d.]+ m below/)).toBeVisible();

  // The fish's year: asked for by name, winter lies are slower ones than usual.
  const season = page.getByLabel("Season");
  await season.click();
  await page.getByRole("option", { name: "winter" }).click();
  await expect(page.getByText(/Cold water: slow, deep spots/)).toBeVisible();
  await expect(page.getByText(/× season [\d.]+/)).toBeVisible();
  await season.click();
  await page.getByRole("option", { name: "spawning" }).click();
  await expect(page.getByText(/Leave spawning fish alone, and follow local closed seasons/)).toBeVisible();
  await expect(page.getByText(/The list shows where they are, so you can keep off/)).toBeVisible();
  await season.click();
  await page.getByRole("option", { name: "normal" }).click();
  await expect(page.getByText(/× season/)).toBeHidden();

  // Where to stand, the casts, the boat, the time.
  const approach = page.getByRole("region", { name: /^Approach to lie 1/ });
  await expect(
    approach
      .getByRole("list")
      .getByText(/casts?, land/)
      .first(),
  ).toBeVisible();
  const landed = await approach
    .getByText(/land [\d.]+ m upstream/)
    .first()
    .textContent();
  await approach.getByLabel("Sinks like").click();
  await page.getByRole("option", { name: "a lightly shot bait" }).click();
  await expect(approach.getByText(landed!, { exact: true })).toBeHidden();
  await approach.getByLabel("River flows towards").click();
  await page.getByRole("option", { name: /unknown/ }).click();
  await expect(approach.getByText(/shadow/i)).toHaveCount(1);
  await approach.getByRole("button", { name: "From a boat" }).click();
  await expect(approach.getByText(/^Boat .* upstream of the lie|No place to anchor/)).toBeVisible();
  await expect(approach.getByText(/never from the stern|No place to anchor/)).toBeVisible();
  const time = page.getByRole("region", { name: "Time for lie 1" });
  const roving = await time.textContent();
  await time.getByRole("button", { name: "I wait" }).click();
  await expect(time.getByText(/change small things first/)).toBeVisible();
  expect(await time.textContent()).not.toBe(roving);
  await noFaults(page);

  // A fish from this lie, in one press; and one of last summer put where it took.
  await page.getByRole("button", { name: "Fish from lie 1" }).click();
  await expect(page.getByText("Fish saved on lie 1.", { exact: true })).toBeVisible();
  await page
    .getByRole("button", { name: /^Remove the fish of .* from the plan$/ })
    .last()
    .click();
  const put = page.getByRole("button", { name: /^Add the fish of .* on lie 1$/ }).first();
  const label = (await put.getAttribute("aria-label"))!;
  await put.click();
  await expect(page.getByRole("button", { name: label })).toBeHidden();
  await page.getByRole("button", { name: "Undo" }).last().click();
  await expect(page.getByRole("button", { name: label })).toBeVisible();
  const verdict = page.getByText(/fish with a position held, on average, in better water than \d+ % of the water/);
  await expect(verdict).toBeVisible({ timeout: 120_000 });
  await expect(page.getByText(/came from a lie; [\d.]+ expected by chance/)).toBeVisible();
});

test("a fish of one's own: copied, refused where it makes no sense, kept through a reload, changed, removed and brought back", async ({
  page,
}) => {
  await page.goto("/");
  await makeSmallReach(page, "Own fish run");
  await walk(page, "Reach");
  await settled(page);
  await page.getByLabel("Fish", { exact: true }).click();
  await page.getByRole("option", { name: "Smallmouth bass" }).click();
  await expect(page.getByText(/Lies for smallmouth bass|No spot stands out/)).toBeVisible();
  await page.getByRole("button", { name: "Customise this species" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Name", { exact: true }).fill("Creek bass");
  await dialog.getByLabel("Depth, warm water, m").fill("0.2 0.5, 0.1 1");
  await dialog.getByLabel("Minimum depth, m").fill("thin");
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog.getByText("“thin” doesn’t start with a number.")).toBeVisible();
  await dialog.getByLabel("Minimum depth, m").fill("8 in");
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog.getByText("must ascend")).toBeVisible();
  await dialog.getByLabel("Depth, warm water, m").fill("0.2 0.5, 0.4 1");
  await noFaults(page);
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole("heading", { name: "Lies for creek bass" })).toBeVisible();
  await page.reload();
  await settled(page);
  await expect(page.getByRole("heading", { name: "Lies for creek bass" })).toBeVisible();
  await page.getByRole("button", { name: "Edit this species" }).click();
  await expect(dialog.getByLabel("Depth, warm water, m")).toHaveValue("0.2 0.5, 0.4 1");
  await expect(dialog.getByLabel("Minimum depth, m")).toHaveValue("0.2032");
  await dialog.getByRole("button", { name: "Delete this profile" }).click();
  await expect(page.getByRole("heading", { name: "Lies for smallmouth bass" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("heading", { name: "Lies for creek bass" })).toBeVisible();
});
