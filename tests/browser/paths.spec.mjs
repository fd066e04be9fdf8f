// A member's whole paths, as they are walked: on a desk and on a phone, with script and without.
import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { signIn } from "./site.mjs";

const sizes = [
  ["a desk", { width: 1280, height: 800 }],
  ["a phone", { width: 390, height: 844 }],
];

async function open(page, summary) {
  const fold = page.locator(".rail-fold");
  if (!(await fold.evaluate((d) => d.open))) await fold.locator("> summary").click();
  const facet = page.locator(".facet", { has: page.locator("summary", { hasText: summary }) });
  if (!(await facet.evaluate((d) => d.open))) await facet.locator("summary").click();
  return facet;
}

for (const [where, viewport] of sizes) {
  for (const script of [true, false]) {
    const tag = `on ${where}, ${script ? "with" : "without"} script`;
    test.describe(tag, () => {
      test.describe.configure({ mode: "serial" });
      test.use({ viewport, javaScriptEnabled: script });

      test(`a grumpy knee, neighbours below and twenty minutes, ${tag}`, async ({ page }) => {
        await signIn(page, "tolly");
        await page.goto("/find");
        const submit = async () => {
          if (!script) await page.getByRole("button", { name: "Show these" }).click();
        };
        await (await open(page, "Spare me")).getByLabel("knees").check();
        await submit();
        await expect(page).toHaveURL(/spare=knees/);
        await (await open(page, "Noise below")).locator("input[value=quiet]").check();
        await submit();
        await expect(page).toHaveURL(/noise=quiet/);
        await open(page, "Noise below");
        await page.locator("#time-to").fill("20");
        await page.locator("#time-to").press("Enter");
        await expect(page).toHaveURL(/to=20/);
        await expect(page.locator(".chips")).toContainText("sparing knees");
        const fit = parseInt(await page.locator("#find h1").textContent(), 10);
        expect(fit).toBeGreaterThan(0);

        // Taking a chip away widens; the back button brings it back.
        await page.locator(".chip", { hasText: "quiet" }).click();
        await expect(page).not.toHaveURL(/noise/);
        await expect(page.locator("#find h1")).not.toHaveText("");
        await page.goBack();
        await expect(page.locator(".chips")).toContainText("quiet");

        await page.locator(".row h2 a").first().click();
        await expect(page.locator("h2", { hasText: "For you" })).toBeVisible();
        await expect(page.locator(".care")).toContainText("Pain means stop");
      });

      test(`a search is kept and opened again, ${tag}`, async ({ page }) => {
        await signIn(page, "wren");
        await page.goto("/find?to=20&impact=low");
        await page.locator("#search-name").fill("Lunch");
        await page.locator(".save-search button").click();
        await expect(page.locator(".done")).toContainText("Lunch");
        await page.goto("/find");
        await page.locator(".saved a", { hasText: "Lunch" }).click();
        await expect(page).toHaveURL(/to=20/);
        await page.getByRole("button", { name: "Forget Lunch" }).click();
        await expect(page.locator(".saved a", { hasText: "Lunch" })).toHaveCount(0);
      });

      test(`comparing each at its own pace, ${tag}`, async ({ page }) => {
        await signIn(page, "tolly");
        await page.goto("/find");
        await page.locator("input[name=s]").nth(0).check();
        await page.locator("input[name=s]").nth(2).check();
        await page.getByRole("button", { name: "Compare the ticked" }).click();
        await expect(page.locator(".lane")).toHaveCount(2);
        await page.locator(".lane").nth(1).locator(".lane-paces a").nth(2).click();
        await expect(page.locator(".lane").nth(0)).toContainText("As led");
        await expect(page.locator(".lane").nth(1).locator(".lane-paces span").last()).toHaveText("Push");
        await expect(page.locator(".curves .line")).toHaveCount(2);
        await expect(page.locator("h2", { hasText: "Against your profile" })).toBeVisible();
        const { violations } = script ? await new AxeBuilder({ page }).analyze() : { violations: [] };
        expect(violations.map((v) => v.id)).toEqual([]);
      });

      test(`from profile to suggestion to log, ${tag}`, async ({ page }) => {
        await signIn(page, "wren");
        await page.goto("/profile");
        await page.getByLabel("Time you usually have").fill("25");
        await page.getByRole("button", { name: "Save" }).click();
        await expect(page.locator(".done")).toContainText("Saved");
        await page.goto("/for-me");
        await expect(page.locator(".sentence")).toContainText("25 minutes");
        const first = await page.locator(".suggested h2 a").first().textContent();
        await page.locator(".suggested").first().getByRole("button", { name: /Not today/ }).click();
        await expect(page.locator(".suggested h2 a").first()).not.toHaveText(first);
        await page.getByRole("button", { name: `bring it back (${first})` }).click();
        await expect(page.locator(".suggested h2 a").first()).toHaveText(first);

        await page.locator(".suggested").first().getByRole("link", { name: /Log it as done/ }).click();
        await page.getByLabel("How hard did it feel?").selectOption("7");
        await page.getByLabel("Did anything hurt?").fill("left wrist, in the planks");
        await page.getByRole("button", { name: "Log it" }).click();
        await expect(page.locator("[role=alert]")).toContainText("Pain means stop");
        await expect(page.locator("tbody tr").first()).toContainText("left wrist");
        await page.goto("/for-me");
        await expect(page.locator(".suggested h2 a").first()).not.toHaveText(first);
        await page.goto("/log");
        await page.locator("tbody tr").first().getByRole("button", { name: /Take out/ }).click();
        await expect(page.locator(".done")).toContainText("Taken out");
      });
    });
  }
}

test("the time bars can be dragged", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find");
  const box = await page.locator("#time-bars").boundingBox();
  const bar = box.width / 18;
  await page.mouse.move(box.x + bar * 2.5, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + bar * 3.5, box.y + 20);
  await page.mouse.up();
  await expect(page).toHaveURL(/from=10&to=20/);
  await expect(page.locator("#time-from")).toHaveValue("10");
});

test("a facet that was opened stays open while another is ticked", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find");
  await open(page, "Positions");
  await page.locator("input[name=level][value='2']").check();
  await expect(page).toHaveURL(/level=2/);
  await expect(page.locator(".facet", { has: page.locator("summary", { hasText: "Positions" }) })).toHaveAttribute("open", "");
});

test("a comparison of four prints on one page", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find");
  const ids = await page.locator("input[name=s]").evaluateAll((all) => all.map((x) => x.value));
  await page.goto(`/compare?${ids.slice(0, 4).map((id) => `s=${id}`).join("&")}`);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString("latin1");
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
});

test("misspelt words find what is meant", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/find?words=" + encodeURIComponent("with glute briges"));
  expect(parseInt(await page.locator("#find h1").textContent(), 10)).toBeGreaterThan(0);
});
