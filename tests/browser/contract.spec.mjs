// Programs outside read what the command line prints; it must follow the published schema.
import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import Ajv from "ajv/dist/2020.js";

const root = process.env.ANYPACE_ROOT;
const anypace = (...args) => execFileSync(join(root, "anypace"), args, { cwd: root, maxBuffer: 1 << 28, encoding: "utf8" });
const schema = JSON.parse(readFileSync(join(root, "docs/reading.schema.json"), "utf8"));
const valid = new Ajv({ strict: false, allErrors: true }).compile(schema);

test("every demo reading follows the schema, one document a line, in name order", () => {
  const lines = anypace("read", "demo/captions", "--json").trim().split("\n").map((l) => JSON.parse(l));
  expect(lines.length).toBeGreaterThanOrEqual(8);
  expect(lines.map((l) => l.file)).toEqual(lines.map((l) => l.file).toSorted());
  for (const reading of lines) {
    expect(valid(reading) ? [] : valid.errors.map((e) => `${reading.file} ${e.instancePath} ${e.message}`)).toEqual([]);
  }
});

test("one file is one document; stated minutes are kept", () => {
  const reading = JSON.parse(anypace("read", "tests/browser/fixtures/kettle-and-tide.vtt", "--stated", "8", "--json"));
  expect(valid(reading)).toBe(true);
  expect(reading.stated.minutes[0]).toBe(8);
  expect(reading.moves.map((m) => m.id)).toContain("kettlebell-swing");
});

test("the schema is no rubber stamp", () => {
  const reading = JSON.parse(anypace("read", "tests/browser/fixtures/kettle-and-tide.vtt", "--json"));
  expect(valid({ ...reading, kind: "video" })).toBe(false);
  expect(valid({ ...reading, phases: undefined })).toBe(false);
});

test("the lexicon has the keys that are promised", () => {
  const moves = JSON.parse(anypace("moves", "--json"));
  expect(moves.length).toBeGreaterThanOrEqual(100);
  for (const move of moves) {
    expect(Object.keys(move)).toEqual(expect.arrayContaining(["id", "name", "aliases", "impact", "pattern", "muscles", "positions", "met"]));
    expect(["none", "low", "moderate", "high"]).toContain(move.impact);
    expect(Object.keys(move.muscles)).toEqual(["prime", "helper", "stabiliser"]);
  }
});

test("what is no captions exits with 2 and says which line", () => {
  const file = join(mkdtempSync(join(tmpdir(), "captions-")), "bad.txt");
  writeFileSync(file, "[0:10] fine\n[0:99] not a time\n");
  const result = spawnSync(join(root, "anypace"), ["read", file, "--json"], { cwd: root, encoding: "utf8" });
  expect(result.status).toBe(2);
  expect(result.stderr).toContain("Line 2");
  expect(result.stdout).toBe("");
  expect(spawnSync(join(root, "anypace"), ["read", "no-such-file.vtt"], { cwd: root }).status).toBe(2);
});

test("an unknown command says what there is", () => {
  const result = spawnSync(join(root, "anypace"), ["fly"], { cwd: root, encoding: "utf8" });
  expect(result.status).toBe(2);
  expect(result.stderr).toContain("./anypace demo");
});
