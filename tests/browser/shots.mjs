// One current picture of each main view, from the demo data.
import { chromium } from "@playwright/test";
import { mkdirSync } from "node:fs";
import config from "./playwright.config.mjs";
import { signIn } from "./site.mjs";

const folder = process.argv[2];
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(config.use.launchOptions);

async function as(name, size, steps) {
  const context = await browser.newContext({ baseURL: process.env.ANYPACE_URL, viewport: size, colorScheme: "light" });
  const page = await context.newPage();
  if (name) await signIn(page, name);
  await steps(page, async (file, wait = 150) => {
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(wait);
    await page.screenshot({ path: `${folder}/${file}.png` });
  });
  await context.close();
}

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

async function compareLink(page) {
  await page.goto("/find?sort=shortest");
  const ids = await page.locator("input[name=s]").evaluateAll((all) => all.map((x) => x.value));
  return `/compare?s=${ids[1]}&s=${ids[4]}&s=${ids[6]}`;
}

await as("ines", desk, async (page, shot) => {
  await page.goto("/studio/today");
  await shot("today");
  await page.locator(".waiting .title", { hasText: "The Wrong Foot" }).click();
  await shot("desk");
  await page.goto("/studio/take-in");
  await shot("take-in");
  await page.goto("/studio/library");
  await shot("library");
  await page.goto("/studio/coverage");
  await shot("coverage");
  await page.goto("/studio/calculator");
  await shot("calculator");
  await page.goto("/studio/settings?Impact=Prevailing&Level=WholeClass");
  await shot("settings");
  await page.goto("/moves?q=lunge");
  await shot("moves");
  await page.goto("/moves/goblet-squat");
  await shot("move");
});
for (const [size, suffix] of [[desk, ""], [phone, "-phone"]]) {
  await as("tolly", size, async (page, shot) => {
    await page.goto(suffix ? "/find" : "/find?noise=quiet&to=25");
    await shot(`find${suffix}`);
    await page.goto("/find?words=quiet");
    await page.locator(".row h2 a").first().click();
    await shot(`session${suffix}`);
    await page.goto(await compareLink(page));
    await shot(`compare${suffix}`);
    await page.goto("/for-me");
    await shot(`for-me${suffix}`);
    if (suffix) {
      await page.goto("/profile");
      await shot(`profile${suffix}`);
    } else {
      await page.goto("/log");
      await shot("log");
    }
  });
}
await browser.close();
