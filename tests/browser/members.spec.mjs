import { expect, test } from "@playwright/test";
import { signIn } from "./site.mjs";

test("filters narrow as they are ticked, the URL follows, back goes back", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find");
  const heading = page.locator("#find h1");
  const all = parseInt(await heading.textContent(), 10);
  const jumps = page.locator("label.tick", { has: page.locator("input[name=impact][value=high]") });
  const count = parseInt(await jumps.locator("b").textContent(), 10);
  expect(count).toBeLessThan(all);
  await jumps.locator("input").check();
  await expect(heading).toHaveText(count === 1 ? "1 session fits" : `${count} sessions fit`);
  await expect(page).toHaveURL(/impact=high/);
  await expect(page.locator(".chips")).toContainText("jumps");
  await page.goBack();
  await expect(heading).toHaveText(`${all} sessions fit`);
});

test("the pace changes every figure", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find?words=leap+year");
  const facts = page.locator(".row", { hasText: "Leap Year" }).locator(".facts");
  await expect(facts).toContainText("jumps");
  await page.locator(".paces").getByRole("link", { name: "Ease" }).click();
  await expect(page).toHaveURL(/pace=ease/);
  await expect(facts).toContainText("at Ease");
  await expect(facts).not.toContainText("jumps");
});

test("when nothing fits one tap gives something", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find?impact=high&kit=none&to=5");
  await expect(page.locator("#find h1")).toHaveText("0 sessions fit");
  await page.locator(".relax a.button").first().click();
  await expect(page.locator("#find h1")).not.toHaveText("0 sessions fit");
});

test("five suggestions with reasons, none against a limit", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/for-me");
  await expect(page.locator(".row")).toHaveCount(5);
  for (const row of await page.locator(".row").all()) {
    await expect(row.locator(".for")).not.toBeEmpty();
    await expect(row.locator(".facts")).not.toContainText("jumps");
    await expect(row.locator(".facts")).not.toContainText("dumbbell");
  }
});

test("strips that are compared share one clock", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find?sort=shortest");
  const ids = await page.locator("input[name=s]").evaluateAll((all) => all.map((x) => x.value));
  await page.goto(`/compare?s=${ids[0]}&s=${ids.at(-1)}`);
  const ends = await page.locator(".lane .strip .line").evaluateAll((lines) => lines.map((l) => Number(l.getAttribute("x2"))));
  ends.sort((a, b) => a - b);
  expect(ends[0]).toBeLessThan(ends[1]);
  expect(ends[1]).toBeGreaterThan(1050);
});

test.describe("without script", () => {
  test.use({ javaScriptEnabled: false });

  test("finding, pacing, comparing", async ({ page }) => {
    await signIn(page, "tolly");
    await page.goto("/find");
    await page.locator("input[name=impact][value=low]").check();
    await page.getByRole("button", { name: "Show these" }).click();
    await expect(page).toHaveURL(/impact=low/);
    await page.locator(".paces").getByRole("link", { name: "Push" }).click();
    await expect(page).toHaveURL(/pace=push/);
    await page.locator("input[name=s]").nth(0).check();
    await page.locator("input[name=s]").nth(1).check();
    await page.getByRole("button", { name: "Compare the ticked" }).click();
    await expect(page.locator(".lane")).toHaveCount(2);
  });

  test("correcting a bout on the desk", async ({ page }) => {
    await signIn(page, "odo");
    await page.goto("/studio/library");
    await page.getByRole("link", { name: "Corner Drills" }).click();
    const version = Number((await page.locator("#desk").textContent()).match(/version (\d+) by/)[1]);
    await page.locator(".ledger a").nth(2).click();
    await page.locator("#reps").fill("20");
    await page.getByRole("button", { name: "Save the bout" }).click();
    await expect(page.locator("#desk")).toContainText(`version ${version + 1} by Odo`);
    await expect(page.locator("#reps")).toHaveValue("20");
  });
});
