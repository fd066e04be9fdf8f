import { expect, test } from "@playwright/test";
import { signIn } from "./site.mjs";

async function openDraft(page, name = "The Wrong Foot") {
  await page.goto("/studio/today");
  await page.locator(".waiting .title", { hasText: name }).click();
  await expect(page.getByRole("heading", { name, level: 1 })).toBeVisible();
  // The heading is there before the rest of a long page and its script; a key pressed until then goes nowhere.
  await page.waitForLoadState("load");
}

test("today says which recording needs attention and why", async ({ page }) => {
  await signIn(page, "odo");
  await page.goto("/studio/today");
  await expect(page.locator(".waiting li").first()).toContainText(/problem|doubtful/);
  await page.getByRole("link", { name: /^Open / }).click();
  await expect(page.locator("#desk")).toBeVisible();
});

test("doubtful bouts are walked through and agreed with by key", async ({ page }) => {
  await signIn(page, "odo");
  await openDraft(page, "Straight to It: Legs");
  // Rows of a said dose that do not fit what was read are drawn alike, and are no bouts.
  const bouts = page.locator(".ledger:not(.laid)");
  const doubtful = bouts.locator("tr.doubtful");
  const before = await doubtful.count();
  expect(before).toBeGreaterThan(0);
  await bouts.locator("tr:not(.doubtful) a").first().click();
  await expect(bouts.locator("tr.here:not(.doubtful)")).toHaveCount(1);
  await page.keyboard.press("n");
  await expect(bouts.locator("tr.here.doubtful")).toHaveCount(1);
  await expect(page.locator('button[data-key="Enter"]')).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(doubtful).toHaveCount(before - 1);
});

test("a doubtful bout offers other moves by number, and Enter in a field saves what was typed", async ({ page }) => {
  await signIn(page, "odo");
  await openDraft(page, "Corner Drills");
  const doubtful = page.locator(".ledger:not(.laid) tr.doubtful");
  const before = await doubtful.count();
  await doubtful.locator("a").first().click();
  const offered = page.locator('.rather [name="instead"]').first();
  const name = (await offered.textContent()).replace(/\s*1\s*$/, "").trim();
  await expect(page.locator(".doubt")).toContainText("times in 100");
  await page.keyboard.press("1");
  await expect(doubtful).toHaveCount(before - 1);
  await expect(page.locator(".versions li").first()).toContainText(`is ${name}`);

  // Enter in a field saves what was typed there, whatever other buttons the form has.
  await doubtful.locator("a").first().click();
  await page.locator("#move").fill("Burpee");
  await page.locator("#move").press("Enter");
  await expect(page.locator("#bout-title")).toContainText("Burpee");
});

test("keys are shown by ? and do not fire while typing", async ({ page }) => {
  await signIn(page, "odo");
  await openDraft(page);
  await page.keyboard.press("?");
  await expect(page.locator("dialog#keys")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("m");
  await expect(page.locator("#move")).toBeFocused();
  await page.locator("#move").fill("");
  await page.keyboard.type("xna");
  await expect(page.locator("#move")).toHaveValue("xna");
  await expect(page.locator("#desk")).toContainText("version 1");
});

test("a slip is explained where it was made and nothing typed is lost", async ({ page }) => {
  await signIn(page, "odo");
  await openDraft(page);
  await page.locator("#move").fill("Moonwalk");
  await page.locator("#reps").fill("12-15");
  await page.getByRole("button", { name: "Save the bout" }).click();
  await expect(page.locator("#bout-errors")).toContainText('No move is called "Moonwalk"');
  await expect(page.locator("#move")).toHaveValue("Moonwalk");
  await expect(page.locator("#reps")).toHaveValue("12-15");
});

test("figures open to their reasons", async ({ page }) => {
  await signIn(page, "odo");
  await openDraft(page);
  await page.locator(".figures summary", { hasText: "level" }).click();
  await expect(page.locator(".figures details[open]")).toContainText("MET over the hardest five minutes");
  await page.locator(".figures summary", { hasText: "kit" }).click();
  await expect(page.locator(".figures details[open]").last()).toContainText("chair");
});

test("kit is put right where it is read", async ({ page }) => {
  await signIn(page, "odo");
  await openDraft(page, "Corner Drills");
  await page.locator(".figures summary", { hasText: "kit" }).click();
  await page.locator("#kit-item").fill("towel");
  await page.locator("#kit-count").fill("two");
  await page.getByRole("button", { name: "Save the item" }).click();
  await expect(page.locator("#kit-errors")).toContainText('"two" is not a number of items');
  await expect(page.locator("#kit-item")).toHaveValue("towel");
  await page.locator("#kit-count").fill("1");
  await page.getByRole("button", { name: "Save the item" }).click();
  await expect(page.locator(".kit li", { hasText: "towel" })).toContainText("required");
  await page.getByRole("button", { name: "Make towel optional" }).click();
  await expect(page.locator(".kit li", { hasText: "towel" })).toContainText("towel × 1: optional");
  await page.getByRole("button", { name: "Remove towel" }).click();
  await expect(page.locator(".kit li", { hasText: "towel" })).toHaveCount(0);
});

test("what is said beside the moves is put right where it is read", async ({ page }) => {
  await signIn(page, "odo");
  await openDraft(page, "Corner Drills");
  await page.locator(".figures summary", { hasText: "said besides" }).click();
  await page.locator("#remark-what").selectOption("Promise|spot reduction");
  await page.locator("#remark-at").fill("later");
  await page.locator("#remark-text").fill("a waist in a week");
  await page.getByRole("button", { name: "Add the remark" }).click();
  await expect(page.locator("#remark-errors")).toContainText('"later" is not a time');
  await expect(page.locator("#remark-text")).toHaveValue("a waist in a week");
  await page.locator("#remark-at").fill("1:10");
  await page.getByRole("button", { name: "Add the remark" }).click();
  await expect(page.locator(".remarks li", { hasText: "a waist in a week" })).toContainText("1:10 spot reduction");
  await expect(page.locator("#findings")).toContainText("a waist in a week");
  await page.getByRole("link", { name: "Change spot reduction at 1:10" }).click();
  await expect(page.locator("#remark-at")).toHaveValue("1:10");
  await page.locator("#remark-what").selectOption("Aside|advert");
  await page.getByRole("button", { name: "Save the remark" }).click();
  await expect(page.locator(".remarks li", { hasText: "a waist in a week" })).toContainText("advert");
  await page.getByRole("button", { name: "Remove advert at 1:10" }).click();
  await expect(page.locator(".remarks li", { hasText: "a waist in a week" })).toHaveCount(0);
});

test("two people from one version meet on a page that shows both", async ({ browser, page }) => {
  await signIn(page, "ines");
  await openDraft(page);
  const other = await (await browser.newContext()).newPage();
  await signIn(other, "odo");
  await other.goto(page.url());
  await other.locator("#move").fill("Side step");
  await other.getByRole("button", { name: "Save the bout" }).click();
  await expect(other.locator("#desk")).toContainText("version 2 by Odo");

  await page.locator("#move").fill("Jog on the spot");
  await page.getByRole("button", { name: "Save the bout" }).click();
  await expect(page.locator(".clash")).toContainText("Odo saved version 2 while you worked");
  await expect(page.locator(".clash")).toContainText("became Side step");
  await expect(page.locator(".clash")).toContainText("Jog on the spot");
  await page.getByRole("button", { name: "Put mine on top" }).click();
  await expect(page.locator("#desk")).toContainText("version 3 by Ines");

  // Every change can be taken back.
  await page.getByRole("button", { name: "Go back to version 1" }).click();
  await expect(page.locator("#desk")).toContainText("version 4 by Ines");
  await other.context().close();
});
