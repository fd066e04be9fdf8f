// What holds for every page: readable by all, light, quiet, nothing from outside, nothing wider than the screen.
import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { signIn } from "./site.mjs";

const studio = ["/studio/today", "/studio/take-in", "/studio/library", "/studio/coverage", "desk", "/moves", "/moves/squat", "/studio/moves/new", "/studio/moves/squat/names", "/studio/calculator", "/studio/settings?Level=WholeClass"];
const members = ["/find", "/find?impact=high&to=5", "/find?spare=knees&noise=quiet", "/for-me", "/profile", "/log", "log-add", "session", "compare", "/moves?q=lunge", "/moves/reverse-lunge"];

async function urlOf(page, name) {
  if (name === "desk") {
    await page.goto("/studio/library");
    return page.getByRole("link", { name: "The Wrong Foot" }).getAttribute("href");
  }
  if (name === "session" || name === "compare" || name === "log-add") {
    await page.goto("/find");
    const ids = await page.locator("input[name=s]").evaluateAll((all) => all.map((x) => x.value));
    return name === "session" ? `/session/${ids[0].split(".")[0]}` : name === "log-add" ? `/log/add?s=${ids[0].split(".")[0]}` : `/compare?s=${ids[0]}&s=${ids[1]}&s=${ids[2]}`;
  }
  return name;
}

for (const [who, names] of [["ines", studio], ["tolly", members]]) {
  for (const scheme of ["light", "dark"]) {
    for (const size of [{ width: 1280, height: 800 }, { width: 360, height: 780 }]) {
      test(`${who}'s pages are accessible and fit, ${scheme}, ${size.width} wide`, async ({ page }) => {
        test.setTimeout(120_000);
        const faults = [];
        page.on("console", (m) => m.type() === "error" && !/status of 404/.test(m.text()) && faults.push(m.text()));
        page.on("pageerror", (e) => faults.push(e.message));
        page.on("request", (r) => new URL(r.url()).host !== new URL(process.env.ANYPACE_URL).host && faults.push(`outside: ${r.url()}`));
        await page.emulateMedia({ colorScheme: scheme });
        await page.setViewportSize(size);
        await signIn(page, who);
        for (const name of names) {
          await page.goto(await urlOf(page, name));
          const { violations } = await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"]).analyze();
          expect(violations.map((v) => `${name}: ${v.id} ${v.nodes.map((n) => n.target.join(" ")).slice(0, 3)}`)).toEqual([]);
          expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), `${name} is wider than the screen`).toBeLessThanOrEqual(0);
        }
        expect(faults).toEqual([]);
      });
    }
  }
}

test("the sign-in page is accessible", async ({ page }) => {
  await page.goto("/account/sign-in");
  expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => v.id)).toEqual([]);
});

test("a first load stays under 250 kB, its HTML under 60 kB", async ({ page }) => {
  await signIn(page, "tolly");
  for (const url of ["/find", "/for-me", "/moves", "/moves?q=squat", "session"]) {
    const session = await page.context().newCDPSession(page);
    await session.send("Network.enable");
    await session.send("Network.setCacheDisabled", { cacheDisabled: true });
    let total = 0;
    session.on("Network.loadingFinished", (e) => (total += e.encodedDataLength));
    const response = await page.goto(await urlOf(page, url), { waitUntil: "networkidle" });
    const html = (await response.body()).length;
    expect(html, `${url}: ${html} bytes of HTML`).toBeLessThan(60 * 1024);
    expect(total, `${url}: ${total} bytes in all`).toBeLessThan(250 * 1024);
    await session.detach();
  }
});

test("a member is kept out of the studio", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/studio/today");
  await expect(page.getByRole("heading")).toHaveText("This room is the studio's");
});

test("a move is found by a misspelt name while typing, and opened", async ({ page }) => {
  await signIn(page, "tolly");
  await page.goto("/moves");
  await page.locator("#q").pressSequentially("clam shall");
  await page.getByRole("link", { name: "Clamshell", exact: true }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Clamshell");
  await expect(page.getByRole("img", { name: /Prime movers/ })).toBeVisible();
  await page.goBack();
  await expect(page.locator("#q")).toHaveValue("clam shall");
});
