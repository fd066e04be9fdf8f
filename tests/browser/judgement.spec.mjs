// Findings settled, numbers opened and doses worked out, as a cataloguer and a member do it.
import { expect, test } from "@playwright/test";
import { signIn } from "./site.mjs";

test("a finding is settled on the desk without leaving it", async ({ page }) => {
  await signIn(page, "odo");
  await page.goto("/studio/today");
  await page.locator(".waiting .title", { hasText: "The Wrong Foot" }).click();
  const heading = page.locator("#findings h2");
  const before = parseInt((await heading.textContent()).replace(/\D+/g, ""), 10);
  const first = page.locator("#findings > .findings li").first();
  await first.getByText("Settle").click();
  await first.getByRole("button", { name: "Accept it" }).click();
  await expect(page.locator("#findings .errors")).toContainText("Give a reason");
  const again = page.locator("#findings > .findings li").first();
  await again.getByText("Settle").click();
  await again.getByLabel("Reason").fill("the description says so");
  await again.getByRole("button", { name: "Accept it" }).click();
  await expect(heading).toContainText(`${before - 1}`);
  await page.locator("#findings summary", { hasText: "settled" }).click();
  await expect(page.locator("#findings")).toContainText("accepted: the description says so");
  await page.getByRole("button", { name: "Open again" }).click();
  await expect(heading).toContainText(`${before}`);
});

test("the dose calculator answers while one types the numbers, and the address keeps them", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto("/studio/calculator");
  const length = page.locator(".tiles dd").first();
  await expect(length).toHaveText("19:20");
  await page.locator('[name="Blocks[0].Rounds"]').fill("3");
  await page.getByRole("button", { name: "Work it out" }).click();
  await expect(length).toHaveText("26:00");
  await expect(page).toHaveURL(/Rounds=3/);
  await page.goBack();
  await expect(length).toHaveText("19:20");
  await page.locator(".ways a").first().click();
  await expect(length).toHaveText("20:00");
  await page.getByRole("button", { name: "Add a block" }).click();
  await expect(page.locator("fieldset.block")).toHaveCount(2);
  await page.getByRole("button", { name: "Take it out" }).nth(1).click();
  await expect(page.locator("fieldset.block")).toHaveCount(1);
  await page.getByLabel("Keep it as a plan").fill("Twenty, at last");
  await page.getByRole("button", { name: "Keep the plan" }).click();
  await expect(page.locator(".done")).toContainText("is kept as a plan");
  await page.getByRole("button", { name: "Put away" }).first().click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator(".lines")).toContainText("Twenty, at last");
});

test("a member opens a number to the moments that made it", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find");
  await page.locator(".row a.open", { hasText: "level" }).first().click();
  await expect(page.locator("#why-level")).toContainText("The whole class would say");
  await expect(page.locator("#why-level tr").first()).toContainText("MET over the hardest five minutes");
  await expect(page.locator("svg.figure")).toBeVisible();
});
