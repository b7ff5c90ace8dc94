import { expect, test } from "@playwright/test";
import { loadDemo } from "./steps";

test("the weight is for a purpose: one press, the choices and what the bottom says change it, and each is taken back", async ({
  page,
}) => {
  await loadDemo(page, "/rig");
  await page.getByRole("button", { name: "Bottom drift", exact: true }).click();
  const card = page.getByRole("region", { name: "Rig card" });
  const setting = page.getByTestId("setting");
  await expect(card.getByText("Shot above the hook")).toBeVisible();
  const usual = (await setting.textContent())!;
  const purposes = card.getByRole("group", { name: "What the weight is for" });
  await expect(purposes.getByRole("button", { name: "Just touch" })).toHaveAttribute("aria-pressed", "true");
  // The size on the card is the one that the table marks, with what it is good for.
  const marked = page.getByTestId("ladder").locator("tr[aria-current]");
  await expect(marked).toContainText(/\d+ %/);
  // Held: heavier, and so it says.
  await purposes.getByRole("button", { name: "Hold" }).click();
  await expect(setting).not.toHaveText(usual);
  await expect(purposes.getByRole("button", { name: "Hold" })).toHaveAttribute("aria-pressed", "true");
  await page.getByText("Why", { exact: true }).click();
  await expect(page.getByText("Hold: your choice.")).toBeVisible();
  await purposes.getByRole("button", { name: "Hold" }).click();
  await expect(setting).toHaveText(usual);
  // What the bottom says moves this rig alone, is shown, and is reset.
  for (let k = 0; k < 5; k++) await page.getByRole("button", { name: "It never touches" }).click();
  await expect(page.getByText(/the line pulls 2\.49 times as hard/)).toBeVisible();
  await expect(setting).not.toHaveText(usual);
  await page.getByRole("button", { name: "Reset your correction" }).click();
  await expect(setting).toHaveText(usual);
  // A bait is chosen as a thing: its hook and its weight come with it.
  await page.getByText("Your choices: bottom drift").click();
  await page.getByRole("combobox", { name: "Bait" }).click();
  await page.getByRole("option", { name: "live fish" }).click();
  await expect(card.getByText("Live bait fish", { exact: true })).toBeVisible();
  await expect(card.getByText(/^hook \d/)).toContainText("a live bait fish");
});
