// What every test does: walk in as one of the demo's people.
export async function signIn(page, name) {
  await page.goto("/account/sign-in");
  await page.locator(`button[name="name"][value="${name}"]`).click();
  await page.waitForURL((url) => !url.pathname.startsWith("/account"));
}
