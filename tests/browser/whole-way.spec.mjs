// The whole way with captions that are not in the demo: upload, read, correct, publish, find, compare, be suggested.
import { expect, test } from "@playwright/test";
import { signIn } from "./site.mjs";

const title = "Kettle and Tide";

test("captions in, a matched session out", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto("/studio/take-in");
  await page.getByLabel("Caption file").setInputFiles("fixtures/kettle-and-tide.vtt");
  await page.getByLabel("Title").fill(title);
  await page.getByLabel("Coach").fill("Ottoline Vane");
  await page.getByLabel("Recorded on").fill("2026-11-05");
  await page.getByLabel("Promised length").fill("8");
  await page.getByRole("button", { name: "Read the captions" }).click();

  await expect(page.getByRole("heading", { name: title })).toBeVisible();
  for (const move of ["March on the spot", "Goblet squat", "Kettlebell swing", "Plank", "Glute bridge", "Lying hamstring stretch"]) {
    await expect(page.locator(".ledger").getByRole("link", { name: move, exact: true }).first()).toBeVisible();
  }

  // Correct one bout: the plank was on the forearms. The measures are worked out anew without leaving the page.
  await page.locator(".ledger").getByRole("link", { name: "Plank", exact: true }).first().click();
  await expect(page.locator("#bout-title")).toContainText("Plank");
  await expect(page.locator(".cues .evidence").first()).toContainText("plank");
  await page.locator("#move").fill("Forearm plank");
  await page.locator("#end").fill("3:14");
  await page.getByRole("button", { name: "Save the bout" }).click();
  await expect(page.locator("#bout-title")).toContainText("Forearm plank");
  await expect(page.locator("#desk")).toContainText("version 2 by Ines");

  await page.getByRole("button", { name: "Publish version 2" }).click();
  await expect(page.getByRole("status")).toContainText("Members can find it now");

  // As a member: find it by its kit and words, open it, compare it.
  await page.getByRole("button", { name: "Sign out" }).click();
  await signIn(page, "wren");
  await page.goto(`/find?words=${encodeURIComponent(title)}`);
  // Other sessions may have a word like these.
  await page.locator(".row h2 a", { hasText: title }).first().click();
  await expect(page.locator(".session")).toContainText("kettlebell");
  await expect(page.locator(".session")).toContainText("Forearm plank");
  const id = new URL(page.url()).pathname.split("/").pop();

  await page.goto("/find");
  await page.locator(`input[name=s][value="${id}.led"]`).check();
  await page.locator(`input[name=s]:not([value="${id}.led"])`).first().check();
  await page.getByRole("button", { name: "Compare the ticked" }).click();
  await expect(page.locator(".lane")).toHaveCount(2);
  await expect(page.locator(".versus thead")).toContainText(title);
  await expect(page.locator(".versus td.stands").first()).toBeVisible();

  // It needs a kettlebell, so it is only suggested once there is one.
  await page.goto("/for-me");
  await expect(page.locator(".for-me")).not.toContainText(title);
  await page.goto(`/session/${id}`);
  await expect(page.locator(".session")).toContainText("needs kettlebell, which you don't list");
  await page.goto("/profile");
  await page.getByRole("checkbox", { name: "kettlebell" }).check();
  await page.getByLabel("Time you usually have").fill("10");
  await page.getByRole("button", { name: "Save" }).click();
  await page.goto(`/session/${id}`);
  await expect(page.locator(".session")).toContainText("it keeps to all your limits");
  await page.goto(`/find?sort=fit&kit=kettlebell&kit=mat&words=${encodeURIComponent(title)}`);
  await expect(page.locator(".row", { hasText: title })).toBeVisible();

  // Leave the demo as it was.
  await page.getByRole("button", { name: "Sign out" }).click();
  await signIn(page, "ines");
  await page.goto(`/studio/desk/${id}`);
  await page.getByRole("button", { name: "Withdraw" }).click();
  await expect(page.getByRole("status")).toContainText("Withdrawn");
});
