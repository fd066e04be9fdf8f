import { defineConfig } from "@playwright/test";

// The system's Chromium; nothing is downloaded. Root has no sandbox, and the site has no outside to ask for.
export default defineConfig({
  testDir: ".",
  testMatch: "*.spec.mjs",
  outputDir: "out/traces",
  workers: 1,
  // A second try tells what is broken from what was unlucky; the list names the unlucky ones.
  retries: 1,
  timeout: 90_000,
  // A machine shared with others can take seconds over a page; what is asserted is what the page says, not when.
  expect: { timeout: 20_000 },
  reporter: [["list"], ["json", { outputFile: "out/results.json" }]],
  use: {
    baseURL: process.env.ANYPACE_URL,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
      args: ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync"],
    },
  },
});
