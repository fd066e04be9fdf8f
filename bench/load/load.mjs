// Load runs: requests a second and latencies of what members do most, next to a bare Razor page on the same machine in the same run.
//   node load.mjs SITE BARE [SECONDS] [CONNECTIONS]
import autocannon from "autocannon";

const [site, bare, seconds = "10", connections = "16"] = process.argv.slice(2);

async function signIn() {
  const page = await fetch(`${site}/account/sign-in`);
  const html = await page.text();
  const token = html.match(/name="__RequestVerificationToken"[^>]*value="([^"]+)"/)[1];
  const first = page.headers.getSetCookie().map((c) => c.split(";")[0]);
  const answer = await fetch(`${site}/account/sign-in?handler=Demo`, {
    method: "POST",
    redirect: "manual",
    headers: { cookie: first.join("; "), "content-type": "application/x-www-form-urlencoded" },
    body: new URLSearchParams({ name: "wren", __RequestVerificationToken: token }),
  });
  if (answer.status !== 302) throw new Error(`signing in gave ${answer.status}`);
  return [...first, ...answer.headers.getSetCookie().map((c) => c.split(";")[0])].join("; ");
}

const cookie = await signIn();
const find = await (await fetch(`${site}/find`, { headers: { cookie } })).text();
const ids = [...new Set([...find.matchAll(/\/session\/([0-9a-f-]{36})/g)].map((m) => m[1]))];
const queries = ["to=20", "impact=low&level=2", "noise=quiet&spare=knees", "focus=glutes&kit=mat", "pace=ease&without=floor", "structure=intervals&sort=shortest", "words=glute+bridge", "page=3"];

const runs = [
  ["a bare Razor page", bare, ["/"], {}],
  ["Find", site, ["/find"], { cookie }],
  ["a filter change", site, queries.map((q) => `/find?${q}`), { cookie, "HX-Request": "true" }],
  ["Session", site, ids.slice(0, 6).map((id) => `/session/${id}`), { cookie }],
  ["Compare", site, [`/compare?s=${ids[0]}&s=${ids[1]}`, `/compare?s=${ids[2]}.push&s=${ids[3]}.ease&s=${ids[4]}`], { cookie }],
  ["For me", site, ["/for-me"], { cookie }],
];

const rows = [];
for (const [name, url, paths, headers] of runs) {
  // A short run first: code is made fast and what is kept is filled.
  for (const duration of [3, Number(seconds)]) {
    const result = await autocannon({ url, connections: Number(connections), duration, headers, requests: paths.map((path) => ({ method: "GET", path })) });
    if (result.non2xx > 0 || result.errors > 0) throw new Error(`${name}: ${result.non2xx} answers were not pages, ${result.errors} errors`);
    if (duration !== 3) rows.push({ name, rps: result.requests.average, p50: result.latency.p50, p99: result.latency.p99, kb: result.throughput.average / result.requests.average / 1000 });
  }
}

console.log(`| what | requests a second | p50 ms | p99 ms | kB a page on the wire | of a bare page's rate |`);
console.log(`|---|---|---|---|---|---|`);
for (const r of rows) {
  console.log(`| ${r.name} | ${r.rps.toFixed(0)} | ${r.p50} | ${r.p99} | ${r.kb.toFixed(1)} | ${(r.rps / rows[0].rps).toFixed(3)} |`);
}
console.log(`\n${connections} connections, ${seconds} s each, load tool and servers on the same machine.`);
