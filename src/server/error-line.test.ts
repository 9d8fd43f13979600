import { expect, test } from "vitest";

const path = "./error-line.mjs"; // of the door, which runs before anything is built
const { errorLine } = (await import(path)) as { errorLine: (parts: readonly unknown[]) => string };

test("an error is told by its kind, code and id and by where it came from, never by its words", () => {
  const error = Object.assign(new TypeError("Private Person weighs 74 kg"), { code: "E1", digest: "123" });
  const line = errorLine(["⨯", error]);
  expect(line).toMatch(/^⨯ TypeError E1 123 src\/server\/error-line\.test\.ts:\d+/);
  expect(line).not.toMatch(/Private|74|node_modules/);
});
test("places are files of the application, three at most", () => {
  const frames = [
    "node:internal/x:1:1",
    "/app/node_modules/pg/lib.js:3:4",
    "/app/src/a.ts:1:2",
    "/app/src/b.ts:5:6",
    "/x/src/c.ts:7:8",
    "/x/src/d.ts:9:1",
  ];
  const error = Object.assign(new Error("words"), { stack: ["Error: words", ...frames.map((at) => `    at work (${at})`)].join("\n") });
  expect(errorLine([error])).toBe("Error src/a.ts:1 src/b.ts:5 src/c.ts:7");
  expect(errorLine([Object.assign(new Error("words"), { stack: "Error: words\n said (by: Person:1:2)" })])).toBe("Error");
});
test("of other words the first line is told, and of anything else nothing", () => {
  expect(errorLine(["starting\nPrivate Person", { name: "Private Person" }, 74])).toBe("starting");
});
